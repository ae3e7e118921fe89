import { dayOf, MINUTES_PER_DAY, weekdayOf, type Moment } from '../quantity'
import type { Person } from './task'
import type { Stretch } from './workingHours'

const HORIZON_DAYS = 120
const GRID_MIN = 5
const SMALLEST_PART_MIN = 15
/** Durations are sums of fractions of minutes: less than this is what adding them up leaves over. */
const LEFT_OVER_MIN = 1e-6

/** Stretches in which somebody may be given work: apart, in the order of time. */
export type FreeTime = readonly Stretch[]

/** A stretch taken out of free time. */
export function without(free: FreeTime, { from, to }: Stretch): FreeTime {
  let last = free.length - 1
  while (last >= 0 && free[last]!.from >= to) last -= 1
  let first = last
  while (first >= 0 && free[first]!.to > from) first -= 1
  if (to <= from || first === last) return free
  const [earliest, latest] = [free[first + 1]!, free[last]!]
  return [
    ...free.slice(0, first + 1),
    ...(earliest.from < from ? [{ from: earliest.from, to: from }] : []),
    ...(latest.to > to ? [{ from: to, to: latest.to }] : []),
    ...free.slice(last + 1),
  ]
}

/** When somebody works and is not busy, back from a moment as far as the horizon. */
export function freeBefore({ hours, busy }: Person, before: Moment): FreeTime {
  const stretches: Stretch[] = []
  for (let back = HORIZON_DAYS - 1; back >= 0; back -= 1) {
    const day = dayOf(before) - back * MINUTES_PER_DAY
    if (!hours.days[weekdayOf(day)]) continue
    for (const { fromMin, toMin } of hours.spells) {
      const to = Math.min(day + toMin, before)
      if (to > day + fromMin) stretches.push({ from: day + fromMin, to })
    }
  }
  return busy.reduce(without, stretches as FreeTime)
}

const onGrid = (moment: Moment): Moment => Math.floor(moment / GRID_MIN) * GRID_MIN

/**
 * The latest stretches of free time that hold a task and end by a moment, beginning on the five-minute grid, earliest
 * first; one stretch unless it may be split or no stretch is long enough.
 * A later `before` never gives an earlier beginning.
 */
export function latestIn(
  free: FreeTime,
  durationMin: number,
  before: Moment,
  splits: boolean,
): readonly Stretch[] | null {
  let last = free.length - 1
  while (last >= 0 && free[last]!.from >= before) last -= 1
  if (durationMin <= LEFT_OVER_MIN) {
    const to = last >= 0 ? Math.min(free[last]!.to, before) : null
    return to === null ? null : [{ from: onGrid(to), to: onGrid(to) }]
  }
  if (!splits) {
    for (let at = last; at >= 0; at -= 1) {
      const to = Math.min(free[at]!.to, before)
      const from = onGrid(to - durationMin)
      if (from >= free[at]!.from) return [{ from, to: from + durationMin }]
    }
  }
  const parts: Stretch[] = []
  let left = durationMin
  for (let at = last; at >= 0; at -= 1) {
    const to = Math.min(free[at]!.to, before)
    const from = Math.max(free[at]!.from, onGrid(to - left))
    const end = Math.min(to, from + left)
    if (end - from < Math.min(left, SMALLEST_PART_MIN) - LEFT_OVER_MIN) continue
    parts.unshift({ from, to: end })
    left -= end - from
    if (left <= LEFT_OVER_MIN) return parts
  }
  return null
}

/**
 * The earliest stretches of free time that hold a task and begin at a moment or after, on the five-minute grid,
 * earliest first.
 */
export function earliestIn(
  free: FreeTime,
  durationMin: number,
  after: Moment,
  splits: boolean,
): readonly Stretch[] | null {
  const upToGrid = (moment: Moment): Moment => Math.ceil(moment / GRID_MIN - LEFT_OVER_MIN) * GRID_MIN
  const open = free.flatMap((each) => {
    const from = upToGrid(Math.max(each.from, after))
    return from < each.to ? [{ from, to: each.to }] : []
  })
  const one = open.find(({ from, to }) => to - from >= durationMin)
  if (one || !splits) return one ? [{ from: one.from, to: one.from + durationMin }] : null
  const parts: Stretch[] = []
  let left = durationMin
  for (const { from, to } of open) {
    const end = Math.min(to, from + left)
    if (end - from < Math.min(left, SMALLEST_PART_MIN) - LEFT_OVER_MIN) continue
    parts.push({ from, to: end })
    left -= end - from
    if (left <= LEFT_OVER_MIN) return parts
  }
  return null
}
