/**
 * The latest schedule over many orders of the tasks: a quick first answer, then better ones, the same for the same
 * seed.
 */
import { ok, refuse, seededStream, type Result } from '../quantity'
import { prepared, type PreparedJob } from './prepared'
import { walkBackward } from './backward'
import type { Job, NoSchedule, Schedule, Task } from './task'

/**
 * Whether one schedule is better than another: it keeps more pins, begins later, or has fewer turns from one thing to
 * another.
 */
const isBetter = (one: Schedule, other: Schedule): boolean =>
  one.unkeptPins.length !== other.unkeptPins.length
    ? one.unkeptPins.length < other.unkeptPins.length
    : one.startBy !== other.startBy
      ? one.startBy > other.startBy
      : one.switches < other.switches

/** Minutes that must go before each task at least: those with a long way behind them are placed latest. */
function leadTimes({ job: { tasks }, before }: PreparedJob): ReadonlyMap<string, number> {
  const known = new Map<string, number>()
  const taskOf = new Map(tasks.map((task) => [task.id, task]))
  const leadOf = ({ id, durationMin }: Task, above: ReadonlySet<string>): number => {
    const kept = known.get(id)
    if (kept !== undefined) return kept
    const chain = new Set([...above, id])
    const lead =
      durationMin +
      Math.max(
        0,
        ...(before.get(id) ?? [])
          .filter((wait) => !chain.has(wait.before))
          .map((wait) => wait.leastMin + leadOf(taskOf.get(wait.before)!, chain)),
      )
    known.set(id, lead)
    return lead
  }
  tasks.forEach((task) => leadOf(task, new Set()))
  return known
}

const ranked = (ids: readonly string[]): ReadonlyMap<string, number> => new Map(ids.map((id, at) => [id, at]))

/**
 * Orders to begin with: by what must go before, as the tasks are listed back to front, group by group, those first
 * that take units or that give them free, and the short ones first.
 */
function firstOrders(job: PreparedJob): readonly (readonly string[])[] {
  const lead = leadTimes(job)
  const { tasks } = job.job
  const byLead = [...tasks].sort((one, other) => lead.get(other.id)! - lead.get(one.id)!)
  const groups = [...new Set(tasks.map(({ group }) => group))].sort(
    (one, other) =>
      Math.max(...tasks.filter(({ group }) => group === other).map(({ id }) => lead.get(id)!)) -
      Math.max(...tasks.filter(({ group }) => group === one).map(({ id }) => lead.get(id)!)),
  )
  const byGroup = groups.flatMap((group) => tasks.filter((task) => task.group === group).reverse())
  const ends = (task: Task): number => job.ends.get(task.id)?.length ?? 0
  const begins = (task: Task): number => job.begins.get(task.id)?.length ?? 0
  const byUnits = (sign: number): readonly Task[] =>
    [...byLead].sort((one, other) => sign * (begins(other) - ends(other) - begins(one) + ends(one)))
  return [
    byLead,
    [...tasks].reverse(),
    byGroup,
    byUnits(1),
    byUnits(-1),
    [...tasks].sort((one, other) => one.durationMin - other.durationMin),
  ].map((order) => order.map(({ id }) => id))
}

/** A schedule with the order of tasks that it came of, and how many units of one former were used at most. */
export type FoundSchedule = { readonly schedule: Schedule; readonly order: readonly string[]; readonly limit: number }

/** A search that can be gone on with: the best schedule so far, and its order. */
export type ScheduleSearch = {
  readonly best: () => Result<Schedule, NoSchedule>
  readonly order: () => readonly string[]
  readonly improve: (walks: number) => boolean
}

/** One task of an order put before or after others, or two changed over. */
function changed(order: readonly string[], stream: () => number): readonly string[] {
  const next = [...order]
  const at = (): number => Math.min(next.length - 1, Math.floor(stream() * next.length))
  const [one, other] = [at(), at()]
  if (stream() < 0.4) [next[one], next[other]] = [next[other]!, next[one]!]
  else next.splice(other, 0, next.splice(one, 1)[0]!)
  return next
}

/**
 * Begins a search with the best of a few simple orders, or with an order that is known to be good.
 *
 * @param seed the same seed gives the same schedules
 */
export function searchSchedule(job: Job, seed: number, known: readonly string[] | null = null): ScheduleSearch {
  const ready = prepared(job)
  const without = job.holds.find(
    ({ resource, units }) => !job.resources.some(({ id, count }) => id === resource && count >= units),
  )
  if (without)
    return {
      best: () => refuse({ code: 'no-units', resource: without.resource }),
      order: () => [],
      improve: () => false,
    }
  const stream = seededStream(seed)
  let order: readonly string[] = []
  let best: Result<Schedule, NoSchedule> | null = null
  for (const each of known ? [known] : firstOrders(ready)) {
    const result = walkBackward(ready, ranked(each))
    if (best === null || (result.ok && (!best.ok || isBetter(result.value, best.value)))) {
      best = result
      order = each
    }
  }
  return {
    best: () => best ?? ok({ placed: [], held: [], startBy: job.endAt, switches: 0, unkeptPins: [] }),
    order: () => order,
    improve: (walks) => {
      let improved = false
      for (let walk = 0; walk < walks && order.length > 1; walk += 1) {
        const next = changed(order, stream)
        const result = walkBackward(ready, ranked(next))
        if (!result.ok) continue
        if (!best!.ok || isBetter(result.value, best!.value)) {
          best = result
          order = next
          improved = true
        } else if (!isBetter(best!.value, result.value)) order = next
      }
      return improved
    },
  }
}

/** Limits on how many units are used at once that are tried: fewer in use sometimes save a trip to the bench. */
const MOST_LIMITS = 5

/** What is taken one by one: what is taken several at once is divided into turns already. */
const singles = (job: Job): Job['resources'] =>
  job.resources.filter(
    ({ id }) =>
      job.holds.some(({ resource }) => resource === id) &&
      job.holds.every(({ resource, units }) => resource !== id || units === 1),
  )

/** The job with no more than so many units of each former in use. */
function limited(job: Job, limit: number): Job {
  const single = singles(job)
  return {
    ...job,
    resources: job.resources.map((resource) =>
      single.includes(resource) ? { ...resource, count: Math.min(resource.count, limit) } : resource,
    ),
  }
}

/** Limits on the units in use that are worth a search. */
export function limitsOf(job: Job): readonly number[] {
  const most = Math.max(
    1,
    ...singles(job).map(({ id, count }) => Math.min(count, job.holds.filter(({ resource }) => resource === id).length)),
  )
  return [...new Set([...Array.from({ length: MOST_LIMITS }, (_, at) => Math.min(most, 1 + at)), most])]
}

/** The latest schedule found with so many walks and no more than so many units of each former in use. */
export const searchLimited = (
  job: Job,
  limit: number,
  seed: number,
  walks: number,
): Result<FoundSchedule, NoSchedule> => found(searchSchedule(limited(job, limit), seed), walks, limit)

/** The latest schedule of a job that is like another: from the order that was good there. */
export const searchFrom = (
  job: Job,
  { order, limit }: Pick<FoundSchedule, 'order' | 'limit'>,
  seed: number,
  walks: number,
): Result<FoundSchedule, NoSchedule> => found(searchSchedule(limited(job, limit), seed, order), walks, limit)

function found(search: ScheduleSearch, walks: number, limit: number): Result<FoundSchedule, NoSchedule> {
  search.improve(walks)
  const best = search.best()
  return best.ok ? ok({ schedule: best.value, order: search.order(), limit }) : best
}

/**
 * The latest schedule found with so many walks for each limit on the units in use, so that more of one former never
 * makes it begin earlier.
 */
export function latestSchedule(job: Job, seed: number, walks: number): Result<Schedule, NoSchedule> {
  const best = limitsOf(job)
    .map((limit) => searchLimited(job, limit, seed, walks))
    .reduce((one, other) => (!one.ok || (other.ok && isBetter(other.value.schedule, one.value.schedule)) ? other : one))
  return best.ok ? ok(best.value.schedule) : best
}
