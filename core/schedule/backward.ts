/**
 * One walk back from the end: every task as late as those after it, what it occupies and whose hands it takes allow.
 */
import { ok, refuse, type Moment, type Result } from '../quantity'
import { latestIn, NEAR_MIN, takeOut, type FreeTime } from './freeTime'
import type { HeldUnit, Hold, NoSchedule, PlacedTask, Reason, Schedule, Task, Wait } from './task'
import type { Stretch } from './workingHours'
import type { PreparedJob } from './prepared'

/** A unit of a resource: from when on it is taken, and whether what takes it has not begun yet in this walk. */
type Unit = { takenFrom: Moment; by: string | null; open: Hold | null }

/** What one walk has placed so far. */
type Walk = {
  readonly placed: Map<string, PlacedTask>
  readonly units: ReadonlyMap<string, Unit[]>
  readonly held: HeldUnit[]
  readonly free: readonly Stretch[][]
  readonly unkeptPins: string[]
}

const none: readonly never[] = []
const startOf = ({ parts }: PlacedTask): Moment => parts[0]!.from
const endOf = ({ parts }: PlacedTask): Moment => parts.at(-1)!.to

/**
 * The latest end of a task, and what sets it; null while every unit it needs is taken by something that has not begun.
 */
function latestEnd(
  task: Task,
  { job, after, ends }: PreparedJob,
  { placed, units }: Walk,
  startsBy: ReadonlyMap<string, { readonly at: Moment; readonly because: string }>,
): { readonly to: Moment; readonly reason: Reason } | null {
  let to = task.endsBy ?? job.endAt
  let reason: Reason = { kind: 'end' }
  for (const { after: next, leastMin, spareMin } of after.get(task.id) ?? none) {
    const latest = startOf(placed.get(next)!) - leastMin - spareMin
    if (latest < to) {
      to = latest
      reason = { kind: 'next', task: next, waitMin: leastMin }
    }
  }
  for (const { resource, units: wanted } of ends.get(task.id) ?? none) {
    const closed = units
      .get(resource)!
      .filter(({ open }) => !open)
      .sort((one, other) => other.takenFrom - one.takenFrom)
    if (closed.length < wanted) return null
    const last = closed[wanted - 1]!
    if (last.takenFrom < to) {
      to = last.takenFrom
      reason = { kind: 'unit', resource, task: last.by! }
    }
  }
  const capped = startsBy.get(task.id)
  if (capped && capped.at + task.durationMin < to) {
    to = capped.at + task.durationMin
    reason = { kind: 'goesOff', task: capped.because }
  }
  if (task.pinnedAt !== null && task.pinnedAt + task.durationMin < to) {
    to = task.pinnedAt + task.durationMin
    reason = { kind: 'pinned' }
  }
  return { to, reason }
}

/** Whose hands: those that are free for it latest. */
function handsFor(
  task: Task,
  to: Moment,
  free: readonly FreeTime[],
  whole: readonly FreeTime[],
): { readonly person: number; readonly parts: readonly Stretch[] } | null {
  if (task.anyHour) return { person: 0, parts: [{ from: to - task.durationMin, to }] }
  let best: { readonly person: number; readonly parts: readonly Stretch[] } | null = null
  free.forEach((each, person) => {
    const parts = latestIn(each, task.durationMin, to, task.splits, whole[person]!)
    if (parts && (!best || parts[0]!.from > best.parts[0]!.from)) best = { person, parts }
  })
  return best
}

/** What goes on by itself: at any hour, or while somebody is there, as an oven must be. */
function watched(
  task: Task,
  to: Moment,
  free: readonly FreeTime[],
): { readonly person: null; readonly parts: readonly Stretch[] } | null {
  if (task.anyHour) return { person: null, parts: [{ from: to - task.durationMin, to }] }
  const spells = free.flatMap((each) => {
    const parts = latestIn(each, task.durationMin, to, false, each)
    return parts?.length === 1 ? parts : []
  })
  return spells.length === 0
    ? null
    : { person: null, parts: [spells.reduce((one, other) => (other.from > one.from ? other : one))] }
}

/** Takes units for the holds that end with a task, and gives free those that begin with it. */
function occupy(task: Task, { begins, ends }: PreparedJob, { units, held }: Walk, { from, to }: Stretch): void {
  for (const hold of ends.get(task.id) ?? none) {
    const fitting = units
      .get(hold.resource)!
      .map((unit, at) => ({ unit, at }))
      .filter(({ unit }) => !unit.open && unit.takenFrom >= to)
    // Those that are needed again soonest after it leave the others for what ends later.
    for (const { unit, at } of fitting
      .sort((one, other) => one.unit.takenFrom - other.unit.takenFrom)
      .slice(0, hold.units)) {
      held.push({ hold, unit: at + 1 })
      Object.assign(unit, { open: hold })
    }
  }
  for (const hold of begins.get(task.id) ?? none) {
    for (const unit of units.get(hold.resource)!.filter(({ open }) => open === hold))
      Object.assign(unit, { open: null, takenFrom: from, by: task.id })
  }
}

/** A beginning that a task must not miss, or what it waits for has gone off. */
type StartsBy = Map<string, { readonly at: Moment; readonly because: string }>

/** One walk; gives back the first wait that became too long instead of going on. */
function walk(
  job: PreparedJob,
  rank: ReadonlyMap<string, number>,
  startsBy: StartsBy,
): Result<Schedule, NoSchedule | { readonly code: 'too-long'; readonly wait: Wait; readonly end: Moment }> {
  const { tasks, resources, people, endAt } = job.job
  const state: Walk = {
    placed: new Map(),
    units: new Map(
      resources.map(({ id }) => [
        id,
        Array.from({ length: job.inUse.get(id)! }, (): Unit => ({ takenFrom: Infinity, by: null, open: null })),
      ]),
    ),
    held: [],
    free: job.free.map((each) => [...each]),
    unkeptPins: [],
  }
  const waiting = new Map(tasks.map((task) => [task.id, (job.after.get(task.id) ?? none).length]))
  let ready = tasks.filter(({ id }) => waiting.get(id) === 0)
  const byRank = (one: Task, other: Task): number => rank.get(one.id)! - rank.get(other.id)!
  while (ready.length > 0) {
    ready.sort(byRank)
    let chosen: { readonly task: Task; readonly to: Moment; readonly reason: Reason } | null = null
    for (const task of ready) {
      const latest = latestEnd(task, job, state, startsBy)
      if (latest) {
        chosen = { task, ...latest }
        break
      }
    }
    if (!chosen) return refuse({ code: 'no-units', resource: job.ends.get(ready[0]!.id)![0]!.resource })
    const { task, to } = chosen
    const found = task.byHand ? handsFor(task, to, state.free, job.free) : watched(task, to, job.free)
    if (!found) return refuse({ code: 'no-time', task: task.id })
    const end = found.parts.at(-1)!.to
    const reason: Reason = end < to - NEAR_MIN ? { kind: 'hands', task: busyAfter(state, end, to) } : chosen.reason
    const placed: PlacedTask = {
      task: task.id,
      person: found.person === null ? null : people[found.person]!.id,
      parts: found.parts,
      reason,
      latestFrom: found.parts[0]!.from,
    }
    if (task.pinnedAt !== null && Math.abs(startOf(placed) - task.pinnedAt) > NEAR_MIN) state.unkeptPins.push(task.id)
    for (const wait of job.after.get(task.id) ?? none) {
      if (wait.mostMin !== null && startOf(state.placed.get(wait.after)!) - endOf(placed) > wait.mostMin + NEAR_MIN)
        return refuse({ code: 'too-long', wait, end: endOf(placed) })
    }
    state.placed.set(task.id, placed)
    if (found.person !== null) for (const part of found.parts) takeOut(state.free[found.person]!, part)
    occupy(task, job, state, { from: startOf(placed), to: endOf(placed) })
    ready = ready.filter((each) => each !== task)
    for (const { before } of job.before.get(task.id) ?? none) {
      const left = waiting.get(before)! - 1
      waiting.set(before, left)
      if (left === 0) ready.push(job.taskOf.get(before)!)
    }
  }
  const missing = tasks.find(({ id }) => !state.placed.has(id))
  if (missing) return refuse({ code: 'in-circles', task: missing.id })
  const byHand = tasks.filter((task) => task.byHand).map(({ id }) => state.placed.get(id)!)
  const startBy = byHand.length > 0 ? Math.min(...byHand.map(startOf)) : endAt
  return ok({
    placed: tasks.map(({ id }) => state.placed.get(id)!),
    held: state.held,
    startBy,
    switches: switchesIn(tasks, byHand),
    unkeptPins: state.unkeptPins,
  })
}

/** Which task keeps the hands from a later hour, if one does. */
function busyAfter({ placed }: Walk, from: Moment, to: Moment): string | null {
  const later = [...placed.values()].filter(
    (each) => each.person !== null && startOf(each) >= from - NEAR_MIN && startOf(each) <= to,
  )
  return later.length === 0 ? null : later.reduce((one, other) => (startOf(other) < startOf(one) ? other : one)).task
}

/** How often somebody turns from one thing to another. */
function switchesIn(tasks: readonly Task[], byHand: readonly PlacedTask[]): number {
  const groupOf = new Map(tasks.map(({ id, group }) => [id, group]))
  const people = [...new Set(byHand.map(({ person }) => person))]
  return people.reduce((sum, person) => {
    const own = byHand.filter((each) => each.person === person).sort((one, other) => startOf(one) - startOf(other))
    return sum + own.filter((each, at) => at > 0 && groupOf.get(each.task) !== groupOf.get(own[at - 1]!.task)).length
  }, 0)
}

const MOST_PULLS = 24

/**
 * The schedule of one order of tasks. Where a wait would grow too long, what comes after is pulled forward and the
 * walk begins again.
 *
 * @param rank which of several tasks that could be placed is placed first, so latest: the lowest
 */
export function walkBackward(job: PreparedJob, rank: ReadonlyMap<string, number>): Result<Schedule, NoSchedule> {
  const startsBy: StartsBy = new Map()
  for (let pull = 0; ; pull += 1) {
    const result = walk(job, rank, startsBy)
    if (result.ok) return result
    if (result.error.code !== 'too-long') return refuse(result.error)
    const { wait, end } = result.error
    if (pull === MOST_PULLS) return refuse({ code: 'goes-off', task: wait.before, next: wait.after })
    startsBy.set(wait.after, {
      at: Math.min(startsBy.get(wait.after)?.at ?? Infinity, end + wait.mostMin!),
      because: wait.before,
    })
  }
}
