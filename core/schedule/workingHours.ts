import { z } from 'zod'
import { dayOf, MINUTES_PER_DAY, weekdayOf, type Moment } from '../quantity'

const minuteOfDay = z.number().int().min(0).max(MINUTES_PER_DAY)

/** When the workshop works: which weekdays (Sunday first), and the spells of each working day, minutes after midnight, in order and apart. */
export const workingHoursSchema = z.strictObject({
  days: z.array(z.boolean()).length(7),
  spells: z.array(z.strictObject({ fromMin: minuteOfDay, toMin: minuteOfDay }))
    .min(1).max(4)
    .refine((spells) => spells.every(({ fromMin, toMin }, at) => toMin > fromMin && fromMin >= (spells[at - 1]?.toMin ?? 0)), { message: 'Spells must end after they begin, one after the other.' }),
}).refine(({ days }) => days.some(Boolean), { message: 'Choose at least one working day.' })

export type WorkingHours = z.infer<typeof workingHoursSchema>

/** A stretch of time from one moment to a later one. */
export type Stretch = { readonly from: Moment, readonly to: Moment }

const HORIZON_DAYS = 120
const GRID_MIN = 5

/** Spells of work before a moment, latest first, as far back as the horizon. */
function* spellsBefore(hours: WorkingHours, before: Moment): Generator<Stretch> {
  for (let back = 0; back < HORIZON_DAYS; back += 1) {
    const day = dayOf(before) - back * MINUTES_PER_DAY
    if (!hours.days[weekdayOf(day)]) continue
    for (const { fromMin, toMin } of [...hours.spells].reverse()) {
      const to = Math.min(day + toMin, before)
      if (to > day + fromMin) yield { from: day + fromMin, to }
    }
  }
}

const onGrid = (moment: Moment): Moment => Math.floor(moment / GRID_MIN) * GRID_MIN

/**
 * The latest stretch of working time that ends by a moment, beginning on the five-minute grid. A later `before` never gives an earlier stretch.
 * @returns null when there is none within the horizon
 */
export function latestSlot(hours: WorkingHours, durationMin: number, before: Moment): Stretch | null {
  for (const { from, to } of spellsBefore(hours, before)) {
    const start = onGrid(to - durationMin)
    if (start >= from) return { from: start, to: start + durationMin }
  }
  return null
}

const SMALLEST_PART_MIN = 15
/** Durations are sums of fractions of minutes: less than this is what adding them up leaves over. */
const LEFT_OVER_MIN = 1e-6

/**
 * Like `latestSlot`, for work that may be put down and taken up again: as many stretches as it takes, earliest first.
 * @returns null when the horizon does not hold it
 */
export function latestSlots(hours: WorkingHours, durationMin: number, before: Moment): readonly Stretch[] | null {
  const slots: Stretch[] = []
  let left = durationMin
  for (const { from, to } of spellsBefore(hours, before)) {
    const start = Math.max(from, onGrid(to - left))
    const end = Math.min(to, start + left)
    if (end - start < Math.min(left, SMALLEST_PART_MIN) - LEFT_OVER_MIN) continue
    slots.unshift({ from: start, to: end })
    left -= end - start
    if (left <= LEFT_OVER_MIN) return slots
  }
  return null
}
