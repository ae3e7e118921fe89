import { z } from 'zod'
import { typed } from '../../quantity'
import { defineShape } from './define'

const schema = z.strictObject({
  kind: z.literal('round'),
  acrossMm: z.number().min(50).max(600).meta({ label: 'Across', kind: 'length' }),
})

export const round = defineShape<typeof schema>({
  kind: 'round',
  name: 'Round',
  schema,
  starting: (acrossMm) => ({ kind: 'round', acrossMm }),
  inset: (shape, insetMm) => ({ ...shape, acrossMm: shape.acrossMm - 2 * insetMm }),
  perimeterMm: ({ acrossMm }) => Math.PI * acrossMm,
  areaMm2: ({ acrossMm }) => (Math.PI * acrossMm ** 2) / 4,
  reachMm: ({ acrossMm }) => acrossMm / 2,
  cornersDeg: () => [],
  perimeterWords: {
    rule: 'round a circle',
    formula: 'π × {across}',
    inputs: ({ acrossMm }) => ({ across: typed('across', acrossMm, 'length', 'Tiers') }),
  },
})
