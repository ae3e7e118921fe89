/** Time to spare where the doubt is: a plan that is to hold nine times in ten leaves so much of it. */
import type { Working } from '../quantity'
import { STARTING_STRAYING } from './risk'
import type { Drying } from './task'
import type { Making } from './work'

/** Hands take longer by such a share, now and then: what a person strays and what a task does, and mishaps. */
const HANDS_DOUBT = 0.3
const GRID_MIN = 5
/** Nobody waits longer for what may go wrong. */
const MOST_MIN = 3 * 24 * 60

/** So much time as a share of the doubt: nothing to spare at 0. Minutes on the five-minute grid. */
export const spareOf = (doubtMin: number, level: number): number =>
  Math.ceil(Math.min(MOST_MIN, doubtMin * level) / GRID_MIN) * GRID_MIN

/** What hands may take longer. */
export const handsDoubt = (...hands: readonly Working[]): number =>
  hands.reduce((sum, { value }) => sum + value, 0) * HANDS_DOUBT

/** Drying that strays by so many deviations is what spoils plans that hold otherwise: one in fifty does. */
const BAD_LUCK = 2

/** What drying may take longer than is planned for it, with bad luck. */
const dryingDoubt = (drying: Drying | null, plannedMin: number): number =>
  drying
    ? Math.max(
        0,
        drying.usuallyMin * Math.exp(BAD_LUCK * Math.hypot(drying.deviation, STARTING_STRAYING.piece)) - plannedMin,
      )
    : 0

/** What making a decoration may take longer: its hands, and its drying. */
export const makingDoubt = ({ steps }: Making): number =>
  steps.reduce(
    (sum, { turns, rest, drying }) =>
      sum + handsDoubt(...turns.map(({ hands }) => hands)) + dryingDoubt(drying, rest.value),
    0,
  )
