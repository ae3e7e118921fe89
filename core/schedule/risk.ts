/**
 * How likely it is to be ready: the same timetable lived through many times, with hands, drying and mishaps as they
 * come.
 */
import { seededStream, type Moment } from '../quantity'
import type { FreeTime } from './freeTime'
import { freeWithOvertime, inOrder, liveThrough, type Lived, type Living } from './live'
import type { Job, Schedule, Task, Wait } from './task'

/** What has happened by which hour. */
export type Since = Pick<Living, 'happened' | 'now'>
const NOTHING_HAPPENED: Since = { happened: new Map(), now: -Infinity }

/** How far things stray, deviations of logarithms and chances. */
export type Straying = {
  /** Hands of the same person are slow or quick all through, and each task for itself. */
  readonly pace: number
  readonly task: number
  /** Drying: the room for all of it, and each piece for itself. */
  readonly room: number
  readonly piece: number
  /** Chance that half a task must be done again. */
  readonly mishap: number
}

/** Guesses, but for drying, which is fitted to reported times (0.55 in all). */
export const STARTING_STRAYING: Straying = { pace: 0.15, task: 0.2, room: 0.4, piece: 0.38, mishap: 0.04 }

export type Risk = {
  /** Share of the runs that were ready in time. */
  readonly chance: number
  /** What made the late runs late, the most frequent first: a task, or the drying after it. */
  readonly causes: readonly { readonly task: string; readonly drying: boolean; readonly share: number }[]
}

/** Rests from here on are drying, and stray as drying does. Minutes. */
const DRYING_FROM_MIN = 60
/** Planned drying is what nine in ten take. */
const NINETY_DEVIATIONS = 1.2816
const DAYS_AFTER = 3
const MINUTES_PER_DAY = 1440

/** A deviation by chance, standard normal. @see Box & Muller 1958 */
const deviation = (stream: () => number): number =>
  Math.sqrt(-2 * Math.log(Math.max(stream(), 1e-12))) * Math.cos(2 * Math.PI * stream())

type Run = { readonly end: Moment; readonly cause: { readonly task: string; readonly drying: boolean } | null }

/** One life of the timetable, hands, drying and mishaps as they come. */
function oneLife(
  job: Job,
  schedule: Schedule,
  order: readonly Task[],
  free: ReadonlyMap<string, FreeTime>,
  straying: Straying,
  since: Since,
  stream: () => number,
): Run {
  const paces = new Map(job.people.map(({ id }) => [id, straying.pace * deviation(stream)]))
  const room = straying.room * deviation(stream)
  const spread = Math.hypot(straying.room, straying.piece)
  const lived = liveThrough(job, schedule, order, free, {
    ...since,
    minutesOf: (task, person) =>
      task.byHand
        ? task.durationMin *
          Math.exp((person === null ? 0 : paces.get(person)!) + straying.task * deviation(stream)) *
          (stream() < straying.mishap ? 1.5 : 1)
        : task.durationMin,
    restOf: (wait) => restOf(wait, straying, room, spread, stream),
  })
  const ends = [...lived].map(([task, { parts }]) => ({ task, to: parts.at(-1)!.to }))
  const last = ends.reduce((one, other) => (other.to > one.to ? other : one))
  return { end: last.to, cause: causeOf(last.task, lived) }
}

/** How long a rest really takes: drying strays round what is usual, which is less than what is planned. */
const restOf = ({ leastMin }: Wait, { piece }: Straying, room: number, spread: number, stream: () => number): number =>
  leastMin < DRYING_FROM_MIN
    ? leastMin
    : leastMin * Math.exp(room + piece * deviation(stream) - NINETY_DEVIATIONS * spread)

/** What went furthest over on the way that led to the end. */
function causeOf(last: string, lived: ReadonlyMap<string, Lived>): Run['cause'] {
  let worst: { readonly task: string; readonly drying: boolean; readonly over: number } | null = null
  const seen = new Set<string>()
  for (let at: string | null = last; at !== null && !seen.has(at); at = lived.get(at)!.late) {
    seen.add(at)
    const { over, drying, late } = lived.get(at)!
    if (over > (worst?.over ?? 0)) worst = { task: drying && late !== null ? late : at, drying, over }
  }
  return worst && { task: worst.task, drying: worst.drying }
}

/**
 * The chance that a timetable holds.
 *
 * @param runs how often it is lived through
 * @param graceMin how much later than planned is still in time
 * @param since what has happened by now
 */
export function riskOf(
  job: Job,
  schedule: Schedule,
  straying: Straying,
  runs: number,
  seed: number,
  graceMin = 0,
  since: Since = NOTHING_HAPPENED,
): Risk {
  const lateFrom = job.endAt + graceMin
  const stream = seededStream(seed)
  const order = inOrder(job, schedule)
  const begin = schedule.startBy - MINUTES_PER_DAY
  const free = new Map(
    job.people.map((person) => [
      person.id,
      freeWithOvertime(person, job.endAt + DAYS_AFTER * MINUTES_PER_DAY).filter(({ to }) => to > begin),
    ]),
  )
  const lived = Array.from({ length: runs }, () => oneLife(job, schedule, order, free, straying, since, stream))
  const late = lived.filter(({ end }) => end > lateFrom + 1e-6)
  const byCause = new Map<string, number>()
  for (const { cause } of late)
    if (cause) {
      const key = `${cause.drying ? 1 : 0} ${cause.task}`
      byCause.set(key, (byCause.get(key) ?? 0) + 1)
    }
  return {
    chance: 1 - late.length / runs,
    causes: [...byCause]
      .map(([key, count]) => ({ task: key.slice(2), drying: key.startsWith('1'), share: count / late.length }))
      .sort((one, other) => other.share - one.share),
  }
}
