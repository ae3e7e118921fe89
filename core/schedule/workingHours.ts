import { z } from 'zod'
import { MINUTES_PER_DAY, type Moment } from '../quantity'

const minuteOfDay = z.number().int().min(0).max(MINUTES_PER_DAY)

/**
 * When the workshop works: which weekdays (Sunday first), and the spells of each working day, minutes after midnight,
 * in order and apart.
 */
export const workingHoursSchema = z
  .strictObject({
    days: z.array(z.boolean()).length(7),
    spells: z
      .array(z.strictObject({ fromMin: minuteOfDay, toMin: minuteOfDay }))
      .min(1)
      .max(4)
      .refine(
        (spells) =>
          spells.every(({ fromMin, toMin }, at) => toMin > fromMin && fromMin >= (spells[at - 1]?.toMin ?? 0)),
        { message: 'Spells must end after they begin, one after the other.' },
      ),
  })
  .refine(({ days }) => days.some(Boolean), { message: 'Choose at least one working day.' })

export type WorkingHours = z.infer<typeof workingHoursSchema>

/** A stretch of time from one moment to a later one. */
export type Stretch = { readonly from: Moment; readonly to: Moment }
