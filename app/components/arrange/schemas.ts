/** Schemas of fields that no technique or composition declares, for the sliders of this leaf. */
import { z } from 'zod'

export const RUN_STEPS = z
  .number()
  .int()
  .min(1)
  .max(6)
  .meta({ label: 'Shades from heart to tail', kind: 'count', help: '1 is one colour for all' })
export const FINISH_SHARE = z.number().min(0.05).max(1).meta({ label: 'How much', kind: 'share' })
export const QUIET_SPAN = z.number().min(5).max(300).meta({ label: 'Quiet over', kind: 'angle' })
export const QUIET_MIDDLE = z.number().min(-180).max(180).meta({ label: 'Middle at', kind: 'angle' })
