/** How likely it is to be ready: the same timetable lived through many times, with hands, drying and mishaps as they come. */
import { seededStream, type Moment } from '../quantity'
import { earliestIn, freeBefore, without, type FreeTime } from './freeTime'
import type { Job, Schedule, Task, Wait } from './task'
import type { Stretch } from './workingHours'

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
  readonly causes: readonly { readonly task: string, readonly drying: boolean, readonly share: number }[]
}

/** Rests from here on are drying, and stray as drying does. Minutes. */
const DRYING_FROM_MIN = 60
/** Planned drying is what nine in ten take. */
const NINETY_DEVIATIONS = 1.2816
const DAYS_AFTER = 3
const MINUTES_PER_DAY = 1440

/** A deviation by chance, standard normal. @see Box & Muller 1958 */
const deviation = (stream: () => number): number => Math.sqrt(-2 * Math.log(Math.max(stream(), 1e-12))) * Math.cos(2 * Math.PI * stream())

type Run = { readonly end: Moment, readonly cause: { readonly task: string, readonly drying: boolean } | null }

/** One life of the timetable: everything in its planned order, no earlier than planned, later where it must. */
function liveThrough(job: Job, schedule: Schedule, order: readonly Task[], free: ReadonlyMap<string, FreeTime>, straying: Straying, stream: () => number): Run {
  const paces = new Map(job.people.map(({ id }) => [id, straying.pace * deviation(stream)]))
  const room = straying.room * deviation(stream)
  const spread = Math.hypot(straying.room, straying.piece)
  const planned = new Map(schedule.placed.map((each) => [each.task, each]))
  const done = new Map<string, { readonly from: Moment, readonly to: Moment, readonly late: string | null, readonly over: number, readonly drying: boolean }>()
  const left = new Map(free)
  for (const task of order) {
    const { parts, person } = planned.get(task.id)!
    let [from, late, drying, dried] = [parts[0]!.from, null as string | null, false, 0]
    const push = (to: Moment, by: string, byDrying: boolean, over: number): void => { if (to > from + 1e-6) { from = to; late = by; drying = byDrying; dried = over } }
    for (const wait of job.waits.filter(({ after }) => after === task.id)) {
      const rest = restOf(wait, straying, room, spread, stream)
      push(done.get(wait.before)!.to + rest, wait.before, rest > wait.leastMin, rest - wait.leastMin)
    }
    for (const { hold, unit } of schedule.held.filter(({ hold: { from: first } }) => first === task.id)) {
      const before = schedule.held.filter((other) => other.hold !== hold && other.hold.resource === hold.resource && other.unit === unit && done.has(other.hold.until))
      for (const other of before) push(done.get(other.hold.until)!.to, other.hold.until, false, 0)
    }
    const strays = task.byHand ? Math.exp((person === null ? 0 : paces.get(person)!) + straying.task * deviation(stream)) * (stream() < straying.mishap ? 1.5 : 1) : 1
    const minutes = task.durationMin * strays
    const spells = task.byHand && !task.anyHour && person !== null ? spellsFrom(parts, minutes, from, left.get(person)!) : [{ from, to: from + minutes }]
    if (task.byHand && person !== null) for (const spell of spells) left.set(person, without(left.get(person)!, spell))
    const [begins, ends] = [spells[0]!.from, spells.at(-1)!.to]
    done.set(task.id, { from: begins, to: ends, late, over: Math.max(dried, minutes - task.durationMin), drying: drying && dried > minutes - task.durationMin })
  }
  const ends = [...done.values()].map(({ to }) => to)
  const last = [...done].reduce((one, other) => other[1].to > one[1].to ? other : one)
  return { end: Math.max(...ends), cause: causeOf(last[0], done) }
}

/** When hands really are at it: as planned while it began as planned, longer where it takes longer; else whenever they are free. */
function spellsFrom(planned: readonly Stretch[], minutes: number, from: Moment, free: FreeTime): readonly Stretch[] {
  const never: readonly Stretch[] = [{ from, to: Infinity }]
  if (from > planned[0]!.from + 1e-6) return earliestIn(free, minutes, from, true) ?? never
  const spells: Stretch[] = []
  let left = minutes
  for (const part of planned) {
    if (left <= 1e-6) break
    const to = Math.min(part.to, part.from + left)
    spells.push({ from: part.from, to })
    left -= to - part.from
  }
  return left <= 1e-6 ? spells : [...spells, ...earliestIn(free, left, planned.at(-1)!.to, true) ?? never]
}

/** How long a rest really takes: drying strays round what is usual, which is less than what is planned. */
const restOf = ({ leastMin }: Wait, { piece }: Straying, room: number, spread: number, stream: () => number): number =>
  leastMin < DRYING_FROM_MIN ? leastMin : leastMin * Math.exp(room + piece * deviation(stream) - NINETY_DEVIATIONS * spread)

/** What went furthest over on the way that led to the end. */
function causeOf(last: string, done: ReadonlyMap<string, { readonly late: string | null, readonly over: number, readonly drying: boolean }>): Run['cause'] {
  let worst: { readonly task: string, readonly drying: boolean, readonly over: number } | null = null
  const seen = new Set<string>()
  for (let at: string | null = last; at !== null && !seen.has(at); at = done.get(at)!.late) {
    seen.add(at)
    const { over, drying, late } = done.get(at)!
    if (over > (worst?.over ?? 0)) worst = { task: drying && late !== null ? late : at, drying, over }
  }
  return worst && { task: worst.task, drying: worst.drying }
}

/**
 * The chance that a timetable holds.
 *
 * @param runs how often it is lived through
 * @param graceMin how much later than planned is still in time
 */
export function riskOf(job: Job, schedule: Schedule, straying: Straying, runs: number, seed: number, graceMin = 0): Risk {
  const lateFrom = job.endAt + graceMin
  const stream = seededStream(seed)
  const taskOf = new Map(job.tasks.map((task) => [task.id, task]))
  const order = inOrder(job, schedule).map((id) => taskOf.get(id)!)
  const begin = schedule.startBy - MINUTES_PER_DAY
  const free = new Map(job.people.map((person) => [person.id, freeBefore(person, job.endAt + DAYS_AFTER * MINUTES_PER_DAY).filter(({ to }) => to > begin)]))
  const lived = Array.from({ length: runs }, () => liveThrough(job, schedule, order, free, straying, stream))
  const late = lived.filter(({ end }) => end > lateFrom + 1e-6)
  const byCause = new Map<string, number>()
  for (const { cause } of late) if (cause) { const key = `${cause.drying ? 1 : 0} ${cause.task}`; byCause.set(key, (byCause.get(key) ?? 0) + 1) }
  return {
    chance: 1 - late.length / runs,
    causes: [...byCause].map(([key, count]) => ({ task: key.slice(2), drying: key.startsWith('1'), share: count / late.length })).sort((one, other) => other.share - one.share),
  }
}

/** Tasks as they were planned, each after all that it waits for. */
function inOrder({ waits }: Job, { placed }: Schedule): readonly string[] {
  const planned = [...placed].sort((one, other) => one.parts[0]!.from - other.parts[0]!.from || one.parts.at(-1)!.to - other.parts.at(-1)!.to).map(({ task }) => task)
  const order: string[] = []
  const taken = new Set<string>()
  while (order.length < planned.length) {
    const next = planned.find((id) => !taken.has(id) && waits.every(({ before, after }) => after !== id || taken.has(before)))!
    taken.add(next)
    order.push(next)
  }
  return order
}
