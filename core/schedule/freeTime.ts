import { dayOf, MINUTES_PER_DAY, weekdayOf, type Moment } from '../quantity'
import type { Person } from './task'
import type { Stretch } from './workingHours'

const HORIZON_DAYS = 120
const GRID_MIN = 5
const SMALLEST_PART_MIN = 15
/** Hours and durations are sums of fractions of minutes: less than this is no difference. */
export const NEAR_MIN = 1e-6

/** Stretches in which somebody may be given work: apart, in the order of time. */
export type FreeTime = readonly Stretch[]

/**
 * Takes a stretch out of free time where it lies: a walk does it once for every task, and a copy each time would be
 * most of its work.
 */
export function takeOut(free: Stretch[], { from, to }: Stretch): void {
  if (to <= from) return
  const first = firstEndingAfter(free, from)
  let end = first
  while (end < free.length && free[end]!.from < to) end += 1
  if (end === first) return
  const before = free[first]!.from < from ? { from: free[first]!.from, to: from } : null
  const after = free[end - 1]!.to > to ? { from: to, to: free[end - 1]!.to } : null
  const left = before ?? after
  if (!left) free.splice(first, end - first)
  else {
    free[first] = left
    // Mostly one stretch is shortened, and the list stays as long as it is.
    if (before && after) free.splice(first + 1, end - first - 1, after)
    else if (end - first > 1) free.splice(first + 1, end - first - 1)
  }
}

/** Many stretches taken out of free time at once. @param taken apart, in the order of time */
export function withoutAll(free: FreeTime, taken: readonly Stretch[]): FreeTime {
  if (taken.length === 0) return free
  const left: Stretch[] = []
  let next = 0
  for (const { from, to } of free) {
    let start = from
    while (next < taken.length && taken[next]!.to <= start) next += 1
    for (let at = next; at < taken.length && taken[at]!.from < to; at += 1) {
      if (taken[at]!.from > start) left.push({ from: start, to: taken[at]!.from })
      start = Math.max(start, taken[at]!.to)
    }
    if (start < to) left.push(start === from ? { from, to } : { from: start, to })
  }
  return left
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
  for (const stretch of busy) takeOut(stretches, stretch)
  return stretches
}

const onGrid = (moment: Moment): Moment => Math.floor(moment / GRID_MIN) * GRID_MIN

/**
 * How far free time goes on without other work between: from the end of a spell to the beginning of the next, over a
 * break or a night. `whole` is free time before any work was put into it.
 */
function goesOn(earlier: Stretch, later: Stretch, whole: FreeTime): boolean {
  let [low, high] = [0, whole.length - 1]
  while (low < high) {
    const middle = (low + high) >> 1
    if (whole[middle]!.from < later.from) low = middle + 1
    else high = middle
  }
  return low > 0 && whole[low]!.from === later.from && whole[low - 1]!.to === earlier.to
}

/**
 * The latest stretches of free time that hold a task and end by a moment, beginning on the five-minute grid, earliest
 * first; one stretch unless it may be split or no stretch is long enough. What is split goes on over breaks and nights,
 * never round other work. A later `before` never gives an earlier beginning.
 * @param whole free time before any work was put into it
 */
export function latestIn(
  free: FreeTime,
  durationMin: number,
  before: Moment,
  splits: boolean,
  whole: FreeTime,
): readonly Stretch[] | null {
  let last = free.length - 1
  while (last >= 0 && free[last]!.from >= before) last -= 1
  if (durationMin <= NEAR_MIN) {
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
  for (let at = last; at >= 0; at -= 1) {
    const parts = partsEndingIn(free, at, durationMin, before, whole)
    if (parts) return parts
  }
  return null
}

/** Parts of a task that ends in a stretch, back over breaks and nights; none where other work is in the way. */
function partsEndingIn(
  free: FreeTime,
  last: number,
  durationMin: number,
  before: Moment,
  whole: FreeTime,
): readonly Stretch[] | null {
  const parts: Stretch[] = []
  let left = durationMin
  for (let at = last; at >= 0; at -= 1) {
    if (at < last && !goesOn(free[at]!, free[at + 1]!, whole)) return null
    const to = Math.min(free[at]!.to, before)
    const from = Math.max(free[at]!.from, onGrid(to - left))
    const end = Math.min(to, from + left)
    if (end - from < Math.min(left, SMALLEST_PART_MIN) - NEAR_MIN) return null
    parts.unshift({ from, to: end })
    left -= end - from
    if (left <= NEAR_MIN) return parts
  }
  return null
}

/** The first of stretches in the order of time that ends after a moment. */
export function firstEndingAfter(stretches: readonly Stretch[], moment: Moment): number {
  let [low, high] = [0, stretches.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (stretches[middle]!.to <= moment) low = middle + 1
    else high = middle
  }
  return low
}

const upToGrid = (moment: Moment): Moment => Math.ceil(moment / GRID_MIN - NEAR_MIN) * GRID_MIN

/**
 * The earliest stretches of free time that hold a task and begin at a moment or after, on the five-minute grid,
 * earliest first; split as the latest ones are.
 * @param whole free time before any work was put into it
 */
export function earliestIn(
  free: FreeTime,
  durationMin: number,
  after: Moment,
  splits: boolean,
  whole: FreeTime,
): readonly Stretch[] | null {
  const first = firstEndingAfter(free, after)
  for (let at = first; at < free.length; at += 1) {
    const { from: opens, to } = free[at]!
    const from = upToGrid(Math.max(opens, after))
    if (to - from >= durationMin && from < to) return [{ from, to: from + durationMin }]
  }
  if (!splits) return null
  for (let at = first; at < free.length; at += 1) {
    const parts = partsBeginningIn(free, at, upToGrid(Math.max(free[at]!.from, after)), durationMin, whole)
    if (parts) return parts
  }
  return null
}

/** Parts of a task that begins in a stretch, on over breaks and nights; none where other work is in the way. */
function partsBeginningIn(
  free: FreeTime,
  first: number,
  begin: Moment,
  durationMin: number,
  whole: FreeTime,
): readonly Stretch[] | null {
  const parts: Stretch[] = []
  let left = durationMin
  for (let at = first; at < free.length; at += 1) {
    const from = at === first ? begin : upToGrid(free[at]!.from)
    const { to } = free[at]!
    if (at > first && !goesOn(free[at - 1]!, free[at]!, whole)) return null
    const end = Math.min(to, from + left)
    if (end - from < Math.min(left, SMALLEST_PART_MIN) - NEAR_MIN) return null
    parts.push({ from, to: end })
    left -= end - from
    if (left <= NEAR_MIN) return parts
  }
  return null
}
