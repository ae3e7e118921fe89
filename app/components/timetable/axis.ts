import { dayOf, MINUTES_PER_DAY, weekdayOf, type Moment } from '#core/quantity'
import { inOneBreath, RESTING, type Breath, type Slot, type WorkingHours } from '#core/schedule'
import { PLACE_WORDS, PLACES } from '#core/technique'

/** Days shown, and how a moment lies across them, as a share of the width. */
export type TimeAxis = {
  readonly from: Moment
  readonly to: Moment
  readonly days: readonly Moment[]
  readonly shareAt: (moment: Moment) => number
  readonly momentAt: (share: number) => Moment
}

/** Whole days from the first slot's to the last's. */
export function axisFor(slots: readonly Slot[]): TimeAxis {
  const from = dayOf(Math.min(...slots.map((slot) => slot.from)))
  const to = dayOf(Math.max(...slots.map((slot) => slot.to))) + MINUTES_PER_DAY
  return {
    from,
    to,
    days: Array.from({ length: (to - from) / MINUTES_PER_DAY }, (_, day) => from + day * MINUTES_PER_DAY),
    shareAt: (moment) => (moment - from) / (to - from),
    momentAt: (share) => from + share * (to - from),
  }
}

/** Where a stretch of time lies across the days, as style. */
export const placeAlong = ({ shareAt }: TimeAxis, from: Moment, to: Moment) => ({
  left: `${shareAt(from) * 100}%`,
  width: `${(shareAt(to) - shareAt(from)) * 100}%`,
})

/** Minutes in so many pixels of a lane. */
export const minutesAlong = (px: number, { from, to }: TimeAxis, lanePx: number): number =>
  lanePx > 0 ? (px / lanePx) * (to - from) : 0

/** Work is put on quarters of an hour. */
export const GRID_MIN = 15
export const onGrid = (moment: Moment): Moment => Math.round(moment / GRID_MIN) * GRID_MIN

/** What lanes of formers and moulds are called. */
const LANE_WORDS: Readonly<Record<string, string>> = PLACE_WORDS
export const laneName = (lane: string): string => {
  const words = LANE_WORDS[lane] ?? lane
  return words.charAt(0).toUpperCase() + words.slice(1)
}

/** Lanes in the order they are read: the hands, the formers, the oven, moulds, what rests, the cake, the road. */
export function lanesOf(slots: readonly Slot[]): readonly string[] {
  const order = ['hands', ...PLACES, RESTING, 'cake', 'road']
  const rank = (lane: string): number => order.findIndex((each) => lane.startsWith(each))
  const people = [
    ...new Set(slots.filter(({ hands, lane }) => hands && lane.startsWith('hands')).map(({ lane }) => lane)),
  ]
  return [...new Set([...(people.length > 0 ? people : ['hands']), ...slots.map(({ lane }) => lane)])].sort(
    (one, other) => rank(one) - rank(other) || one.localeCompare(other),
  )
}

/** What a lane shows: the hands show all work by hand, a former what lies on it. */
export const slotsOn = (lane: string, slots: readonly Slot[]): readonly Slot[] =>
  lane.startsWith('hands')
    ? slots.filter(
        (slot) =>
          slot.hands &&
          slot.lane !== 'road' &&
          (lane === 'hands' || slot.lane === lane || `hands ${slot.person?.split('-')[1]}` === lane),
      )
    : slots.filter((slot) => slot.lane === lane)

/** Spells of work on a day, as moments. */
export const spellsOn = (
  day: Moment,
  hours: WorkingHours,
): readonly { readonly from: Moment; readonly to: Moment }[] =>
  hours.days[weekdayOf(day)] ? hours.spells.map(({ fromMin, toMin }) => ({ from: day + fromMin, to: day + toMin })) : []

/** Work by hand and the event, day by day, what is done in one breath in one line. */
export function agendaOf(
  slots: readonly Slot[],
): readonly { readonly day: Moment; readonly slots: readonly Breath[] }[] {
  const listed = inOneBreath(slots).filter(({ hands, kind }) => hands || kind === 'event')
  return [...new Set(listed.map(({ from }) => dayOf(from)))].map((day) => ({
    day,
    slots: listed.filter(({ from }) => dayOf(from) === day),
  }))
}
