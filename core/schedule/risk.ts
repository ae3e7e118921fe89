/**
 * How likely it is to be ready: the same timetable lived through many times, with hands, drying and mishaps as they
 * come.
 */
import { MINUTES_PER_DAY, type Moment } from '../quantity'
import { NEAR_MIN, type FreeTime } from './freeTime'
import { freeWithOvertime, lineUp, liveThrough, type InTurn, type Lived, type Living } from './live'
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

/** What chance has in store for a job, life by life. */
function lotsOf({ tasks, people }: Job, { deviations, shares }: Luck) {
  const ofTasks = tasks.map(({ id }) => ({
    id,
    hands: deviations(id),
    mishap: shares(id),
    drying: deviations(`drying ${id}`),
  }))
  return {
    room: deviations('room'),
    paces: new Map(people.map(({ id }) => [id, deviations(`pace ${id}`)])),
    tasks: new Map(ofTasks.map(({ id, ...lot }) => [id, lot])),
  }
}

/** One life of the timetable, hands, drying and mishaps as they come. */
function oneLife(
  line: readonly InTurn[],
  free: ReadonlyMap<string, FreeTime>,
  straying: Straying,
  since: Since,
  lots: ReturnType<typeof lotsOf>,
  life: number,
  lateFrom: Moment,
): Run {
  const room = lots.room[life]!
  // Drying strays round what is usual, by how far the room is off and from one piece to the next.
  const dried = ({ usuallyMin, deviation: off }: Drying, after: string): number =>
    usuallyMin * Math.exp(off * room + straying.piece * lots.tasks.get(after)!.drying[life]!)
  const worked = (minutes: number, task: string, person: string | null): number => {
    const { hands, mishap } = lots.tasks.get(task)!
    const pace = person === null ? 0 : straying.pace * lots.paces.get(person)![life]!
    return minutes * Math.exp(pace + straying.task * hands[life]!) * (mishap[life]! < straying.mishap ? 1.5 : 1)
  }
  const lived = liveThrough(line, free, {
    ...since,
    minutesOf: ({ id, byHand, durationMin, drying }, person) =>
      byHand ? worked(durationMin, id, person) : drying ? dried(drying, id) : durationMin,
    restOf: ({ before, leastMin, drying }) => (drying ? dried(drying, before) : leastMin),
  })
  let end = -Infinity
  let last: string | null = null
  for (const [task, { parts }] of lived) {
    const { to } = parts.at(-1)!
    if (to <= end) continue
    end = to
    last = task
  }
  const isLate = end > lateFrom + NEAR_MIN
  return { isLate, cause: isLate && last !== null ? causeOf(last, lived) : null }
}

/** What went furthest over on the way that led to the end. */
function causeOf(last: string, lived: ReadonlyMap<string, Lived>): Cause | null {
  let worst: { readonly task: string; readonly drying: boolean; readonly over: number } | null = null
  const seen = new Set<string>()
  for (let at: string | null = last; at !== null && !seen.has(at); at = lived.get(at)!.late) {
    seen.add(at)
    const { over, drying, late } = lived.get(at)!
    if (over > (worst?.over ?? 0)) worst = { task: drying && late !== null ? late : at, drying, over }
  }
  return worst && { task: worst.task, drying: worst.drying }
}

/** A timetable that is ready to be lived through, life by life. */
function livesOf(
  job: Job,
  schedule: Schedule,
  straying: Straying,
  luck: Luck,
  { graceMin = 0, since = NOTHING_HAPPENED }: Allowance,
): (life: number) => Run {
  const lateFrom = job.endAt + graceMin
  const line = lineUp(job, schedule)
  const lots = lotsOf(job, luck)
  const begin = schedule.startBy - MINUTES_PER_DAY
  const free = new Map(
    job.people.map((person) => [
      person.id,
      freeWithOvertime(person, job.endAt + DAYS_AFTER * MINUTES_PER_DAY).filter(({ to }) => to > begin),
    ]),
  )
  return (life) => oneLife(line, free, straying, since, lots, life, lateFrom)
}

/** How much later than planned is still in time, and what has happened by now. */
type Allowance = { readonly graceMin?: number; readonly since?: Since }

/**
 * The chance that a timetable holds.
 *
 * @param runs how often it is lived through
 * @param luck what chance brings, of as many lives at least
 */
export function riskOf(
  job: Job,
  schedule: Schedule,
  straying: Straying,
  runs: number,
  luck: Luck,
  allowance: Allowance = {},
): Risk {
  return riskIfReady(job, schedule, straying, runs, luck, { ...allowance, wanted: 0, hardest: [] }).risk!
}

/** How often a timetable must hold, and the lives that are lived first: those in which another was late. */
type Wanted = Allowance & { readonly wanted: number; readonly hardest: readonly number[] }

/**
 * The chance of a timetable, where it holds as often as is wanted; null, and given up, once too many lives were late.
 * What was late in a life mostly is again: with those first, what does not hold is soon known.
 * @returns the chance, and the lives that were late
 */
export function riskIfReady(
  job: Job,
  schedule: Schedule,
  straying: Straying,
  runs: number,
  luck: Luck,
  { wanted, hardest, ...allowance }: Wanted,
): { readonly risk: Risk | null; readonly late: readonly number[] } {
  const live = livesOf(job, schedule, straying, luck, allowance)
  const late = new Map<number, Run>()
  for (const life of new Set([...hardest, ...Array(runs).keys()])) {
    const run = live(life)
    if (run.isLate) late.set(life, run)
    if (chanceOf(late.size, runs) < wanted) return { risk: null, late: [...late.keys()] }
  }
  const inOrder = [...late].sort(([one], [other]) => one - other).map(([, run]) => run)
  return { risk: { chance: chanceOf(late.size, runs), causes: causesOf(inOrder) }, late: [...late.keys()] }
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
