/**
 * How likely it is to be ready: the same timetable lived through many times, with hands, drying and mishaps as they
 * come.
 */
import { MINUTES_PER_DAY, type Moment } from '../quantity'
import { NEAR_MIN, type FreeTime } from './freeTime'
import { freeWithOvertime, lineUp, liveThrough, NO_TURN, type InTurn, type Lived, type Living } from './live'
import type { Luck } from './luck'
import type { Drying, Job, Schedule } from './task'

/** What has happened by which hour. */
export type Since = Pick<Living, 'happened' | 'now'>
const NOTHING_HAPPENED: Since = { happened: new Map(), now: -Infinity }

/** How far things stray, deviations of logarithms and chances. */
export type Straying = {
  /** Hands of the same person are slow or quick all through, and each task for itself. */
  readonly pace: number
  readonly task: number
  /** One drying from the next in the same room; how far off the room is, each drying says. */
  readonly piece: number
  /** Chance that half a task must be done again. */
  readonly mishap: number
}

/** Guesses, but for drying, which is fitted to reported times. */
export const STARTING_STRAYING: Straying = { pace: 0.15, task: 0.2, piece: 0.25, mishap: 0.04 }

export type Risk = {
  /** Share of the runs that were ready in time. */
  readonly chance: number
  /** What made the late runs late, the most frequent first: a task, or the drying after it. */
  readonly causes: readonly { readonly task: string; readonly drying: boolean; readonly share: number }[]
}

const DAYS_AFTER = 3

type Cause = { readonly task: string; readonly drying: boolean }
/** Whether it was too late, and what made it so. */
type Run = { readonly isLate: boolean; readonly cause: Cause | null }

/** What chance has in store for a timetable, life by life, and turn by turn. */
function lotsOf(line: readonly InTurn[], { deviations, shares }: Luck) {
  return {
    room: deviations('room'),
    turns: line.map(({ task: { luck }, planned: { person } }) => ({
      hands: deviations(luck),
      mishap: shares(luck),
      drying: deviations(`drying ${luck}`),
      pace: person === null ? null : deviations(`pace ${person}`),
    })),
  }
}

/** A timetable that is ready to be lived through. */
type Ready = {
  readonly line: readonly InTurn[]
  readonly free: readonly FreeTime[]
  readonly lots: ReturnType<typeof lotsOf>
  readonly lateFrom: Moment
}

/** One life of the timetable, hands, drying and mishaps as they come. */
function oneLife({ line, free, lots, lateFrom }: Ready, straying: Straying, since: Since, life: number): Run {
  const room = lots.room[life]!
  // Drying strays round what is usual, by how far the room is off and from one piece to the next.
  const dried = ({ usuallyMin, deviation: off }: Drying, turn: number): number =>
    usuallyMin * Math.exp(off * room + straying.piece * lots.turns[turn]!.drying[life]!)
  const worked = (minutes: number, turn: number): number => {
    const { hands, mishap, pace } = lots.turns[turn]!
    const quick = pace === null ? 0 : straying.pace * pace[life]!
    return minutes * Math.exp(quick + straying.task * hands[life]!) * (mishap[life]! < straying.mishap ? 1.5 : 1)
  }
  const lived = liveThrough(line, free, {
    ...since,
    minutesOf: ({ task: { byHand, durationMin, drying } }, turn) =>
      byHand ? worked(durationMin, turn) : drying ? dried(drying, turn) : durationMin,
    restOf: ({ wait: { leastMin, drying }, turn }) => (drying ? dried(drying, turn) : leastMin),
  })
  let last = NO_TURN
  let end = -Infinity
  lived.ends.forEach((to, turn) => {
    if (to > end) [last, end] = [turn, to]
  })
  const isLate = end > lateFrom + NEAR_MIN
  return { isLate, cause: isLate ? causeOf(last, line, lived) : null }
}

/** What went furthest over on the way that led to the end. */
function causeOf(last: number, line: readonly InTurn[], { late, over, isDrying }: Lived): Cause | null {
  let worst: { readonly turn: number; readonly drying: boolean; readonly over: number } | null = null
  for (let turn = last; turn !== NO_TURN; turn = late[turn]!) {
    const drying = isDrying[turn] === 1
    if (over[turn]! > (worst?.over ?? 0))
      worst = { turn: drying && late[turn] !== NO_TURN ? late[turn]! : turn, drying, over: over[turn]! }
  }
  return worst && { task: line[worst.turn]!.task.id, drying: worst.drying }
}

/** A timetable lived through as far as is asked; a life that was lived is not lived again. */
export type Lives = (life: number) => Run

/** How much later than planned is still in time, and what has happened by now. */
type Allowance = { readonly graceMin?: number; readonly since?: Since }

/**
 * A timetable that can be lived through, life by life.
 * @param luck what chance brings, of as many lives as will be asked for at least
 */
export function livesOf(
  job: Job,
  schedule: Schedule,
  straying: Straying,
  luck: Luck,
  { graceMin = 0, since = NOTHING_HAPPENED }: Allowance = {},
): Lives {
  const line = lineUp(job, schedule)
  const begin = schedule.startBy - MINUTES_PER_DAY
  const free = job.people.map((person) =>
    freeWithOvertime(person, job.endAt + DAYS_AFTER * MINUTES_PER_DAY).filter(({ to }) => to > begin),
  )
  const ready = { line, free, lots: lotsOf(line, luck), lateFrom: job.endAt + graceMin }
  const lived = new Map<number, Run>()
  return (life) => {
    const run = lived.get(life) ?? oneLife(ready, straying, since, life)
    lived.set(life, run)
    return run
  }
}

/** The chance that a timetable holds, of so many lives. */
export const riskOf = (lives: Lives, runs: number): Risk =>
  riskIfReady(
    lives,
    Array.from({ length: runs }, (_, life) => life),
    0,
  ).risk!

/**
 * The chance of a timetable, where it holds as often as is wanted; null, and given up, once too many lives were late.
 * What was late in a life mostly is again: with those first, what does not hold is soon known.
 * @param order the lives, in the order in which they are lived
 * @returns the chance; and the lives with those first that were late, and those last that were not
 */
export function riskIfReady(
  lives: Lives,
  order: readonly number[],
  wanted: number,
): { readonly risk: Risk | null; readonly order: readonly number[] } {
  const late: number[] = []
  const inTime: number[] = []
  const isReady = (): boolean => chanceOf(late.length, order.length) >= wanted
  for (const life of order) {
    if (!isReady()) break
    if (lives(life).isLate) late.push(life)
    else inTime.push(life)
  }
  const again = [...late, ...order.slice(late.length + inTime.length), ...inTime]
  if (!isReady()) return { risk: null, order: again }
  const causes = causesOf([...late].sort((one, other) => one - other).map(lives))
  return { risk: { chance: chanceOf(late.length, order.length), causes }, order: again }
}

function causesOf(late: readonly Run[]): Risk['causes'] {
  const byCause = new Map<string, number>()
  for (const { cause } of late)
    if (cause) {
      const key = `${cause.drying ? 1 : 0} ${cause.task}`
      byCause.set(key, (byCause.get(key) ?? 0) + 1)
    }
  return [...byCause]
    .map(([key, count]) => ({ task: key.slice(2), drying: key.startsWith('1'), share: count / late.length }))
    .sort((one, other) => other.share - one.share)
}

const chanceOf = (late: number, runs: number): number => (runs - late) / runs
