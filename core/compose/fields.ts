/** Fields that several compositions share, so that they read and mean the same everywhere. */
import { z } from 'zod'

export const fields = {
  count: z
    .number()
    .int()
    .min(1)
    .max(120)
    .nullable()
    .meta({ label: 'How many', kind: 'count', help: 'None typed: as many as fill it' }),
  tier: z.number().int().min(0).max(7).meta({ label: 'Tier', kind: 'count' }),
  middleDeg: z.number().min(-180).max(180).meta({ label: 'Middle at', kind: 'angle', help: 'From the front' }),
  spanDeg: z.number().min(10).max(360).meta({ label: 'Reaches round', kind: 'angle', help: '360° is all the way' }),
  overlap: z.number().min(0).max(0.75).meta({ label: 'Lushness', kind: 'share', help: 'How far neighbours overlap' }),
  taper: z.number().min(0.3).max(1).meta({ label: 'Smallest', kind: 'share', help: 'Of the biggest' }),
  irregularity: z
    .number()
    .min(0)
    .max(1)
    .meta({ label: 'Irregular', kind: 'share', help: 'How far size and place stray' }),
  upMm: z.number().min(0).max(400).meta({ label: 'Height', kind: 'length', help: 'Above the tier’s foot' }),
  seed: z.number().int().min(0).max(999999),
} as const
