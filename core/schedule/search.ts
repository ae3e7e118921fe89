/**
 * The latest schedule over many orders of the tasks: a quick first answer, then better ones, the same for the same
 * seed.
 */
import { ok, refuse, seededStream, type Result } from '../quantity'
import { walkBackward, type Ranks } from './backward'
import { grouped, prepared, type PreparedJob } from './prepared'
import type { Job, NoSchedule, Schedule } from './task'

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
function leadTimes({ tasks }: PreparedJob): readonly number[] {
  const known: (number | undefined)[] = tasks.map(() => undefined)
  /** Those on the way to the one that is asked for: what waits for itself is not gone round for ever. */
  const chain = new Set<number>()
  const leadOf = (place: number): number => {
    const kept = known[place]
    if (kept !== undefined) return kept
    chain.add(place)
    const { task, before } = tasks[place]!
    const lead =
      task.durationMin +
      Math.max(
        0,
        ...before.filter(({ other }) => !chain.has(other)).map(({ wait, other }) => wait.leastMin + leadOf(other)),
      )
    chain.delete(place)
    known[place] = lead
    return lead
  }
  return tasks.map((_, place) => leadOf(place))
}

/** The rank of each task of a job in an order. */
function ranked({ placeOf }: PreparedJob, order: readonly string[]): Ranks {
  const ranks = new Int32Array(placeOf.size)
  order.forEach((id, rank) => {
    ranks[placeOf.get(id)!] = rank
  })
  return ranks
}

/**
 * Orders to begin with: by what must go before, as the tasks are listed back to front, group by group, those first
 * that take units or that give them free, and the short ones first.
 */
function firstOrders(job: PreparedJob): readonly (readonly string[])[] {
  const lead = leadTimes(job)
  const listed = job.tasks.map(({ task, begins, ends }, place) => ({
    task,
    lead: lead[place]!,
    units: begins.length - ends.length,
  }))
  const byLead = [...listed].sort((one, other) => other.lead - one.lead)
  const groups = grouped(listed, ({ task }) => task.group)
  const longest = (of: readonly { readonly lead: number }[]): number => Math.max(...of.map((each) => each.lead))
  const byGroup = [...groups.values()]
    .sort((one, other) => longest(other) - longest(one))
    .flatMap((group) => [...group].reverse())
  const byUnits = (sign: number): typeof listed => [...byLead].sort((one, other) => sign * (other.units - one.units))
  return [
    byLead,
    [...listed].reverse(),
    byGroup,
    byUnits(1),
    byUnits(-1),
    [...listed].sort((one, other) => one.task.durationMin - other.task.durationMin),
  ].map((order) => order.map(({ task }) => task.id))
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
    const result = walkBackward(ready, ranked(ready, each))
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
        const result = walkBackward(ready, ranked(ready, next))
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
