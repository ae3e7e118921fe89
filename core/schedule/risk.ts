/**
 * How likely it is to be ready: the same timetable lived through many times, with hands, drying and mishaps as they
 * come.
 */
import { seededStream, type Moment } from '../quantity'
import type { FreeTime } from './freeTime'
import { freeWithOvertime, lineUp, liveThrough, type InTurn, type Lived, type Living } from './live'
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
const MINUTES_PER_DAY = 1440

/** A deviation by chance, standard normal. @see Box & Muller 1958 */
const deviation = (stream: () => number): number =>
  Math.sqrt(-2 * Math.log(Math.max(stream(), 1e-12))) * Math.cos(2 * Math.PI * stream())

type Run = { readonly end: Moment; readonly cause: { readonly task: string; readonly drying: boolean } | null }

/** One life of the timetable, hands, drying and mishaps as they come. */
function oneLife(
  job: Job,
  line: readonly InTurn[],
  free: ReadonlyMap<string, FreeTime>,
  straying: Straying,
  since: Since,
  stream: () => number,
): Run {
  const paces = new Map(job.people.map(({ id }) => [id, straying.pace * deviation(stream)]))
  const room = deviation(stream)
  // Drying strays round what is usual, by how far the room is off and from one piece to the next.
  const dried = ({ usuallyMin, deviation: off }: Drying): number =>
    usuallyMin * Math.exp(off * room + straying.piece * deviation(stream))
  const worked = (minutes: number, person: string | null): number =>
    minutes *
    Math.exp((person === null ? 0 : paces.get(person)!) + straying.task * deviation(stream)) *
    (stream() < straying.mishap ? 1.5 : 1)
  const lived = liveThrough(line, free, {
    ...since,
    minutesOf: ({ byHand, durationMin, drying }, person) =>
      byHand ? worked(durationMin, person) : drying ? dried(drying) : durationMin,
    restOf: ({ leastMin, drying }) => (drying ? dried(drying) : leastMin),
  })
  const ends = [...lived].map(([task, { parts }]) => ({ task, to: parts.at(-1)!.to }))
  const last = ends.reduce((one, other) => (other.to > one.to ? other : one))
  return { end: last.to, cause: causeOf(last.task, lived) }
}

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
  const line = lineUp(job, schedule)
  const begin = schedule.startBy - MINUTES_PER_DAY
  const free = new Map(
    job.people.map((person) => [
      person.id,
      freeWithOvertime(person, job.endAt + DAYS_AFTER * MINUTES_PER_DAY).filter(({ to }) => to > begin),
    ]),
  )
  const lived = Array.from({ length: runs }, () => oneLife(job, line, free, straying, since, stream))
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
