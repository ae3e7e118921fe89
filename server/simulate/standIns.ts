/** Stand-ins for outside devices, and the faults they can be switched to. */
import { z } from 'zod'

const SENSOR_FAULTS = ['none', 'off', 'nonsense', 'unreadable', 'jumping', 'silent', 'dropped'] as const
const FORECAST_FAULTS = ['none', 'refused', 'unreadable', 'nonsense', 'short', 'slow'] as const
const CUTTER_FAULTS = ['none', 'blade', 'slip', 'lost'] as const

const standInsSchema = z.strictObject({
  sensor: z.enum(SENSOR_FAULTS),
  forecast: z.enum(FORECAST_FAULTS),
  cutter: z.enum(CUTTER_FAULTS),
})

export type StandIns = z.infer<typeof standInsSchema>

/** Everything works. */
export const ALL_WELL: StandIns = { sensor: 'none', forecast: 'none', cutter: 'none' }

/** What is asked for; the others stay as they are. */
export const standInsChangeSchema = standInsSchema.partial()
