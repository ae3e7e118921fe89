/**
 * One walk back from the end: every task as late as those after it, what it occupies and whose hands it takes allow.
 */
import { ok, refuse, type Moment, type Result } from '../quantity'
import { latestIn, NEAR_MIN, takeOut, type FreeTime } from './freeTime'
import type { HeldUnit, Hold, NoSchedule, PlacedTask, Reason, Schedule, Task, Wait } from './task'
import type { Stretch } from './workingHours'
import type { PreparedJob, PreparedTask } from './prepared'

/** A unit of a resource: from when on it is taken, and whether what takes it has not begun yet in this walk. */
type Unit = { takenFrom: Moment; by: string | null; open: Hold | null }

/** What one walk has placed so far. */
type Walk = {
  /** By the place of the task in the list of tasks. */
  readonly placed: (PlacedTask | null)[]
  /** What somebody does, in the order in which it was placed. */
  readonly byHand: PlacedTask[]
  readonly units: readonly (readonly Unit[])[]
  readonly held: HeldUnit[]
  readonly free: readonly Stretch[][]
  readonly unkeptPins: string[]
}

const startOf = ({ parts }: PlacedTask): Moment => parts[0]!.from

/** Of so many units that nothing holds, the ones that are taken again latest, the one that is taken first. */
function takenLatest(units: readonly Unit[], wanted: number): Unit | null {
  if (wanted > 1) {
    const closed = units.filter(({ open }) => !open)
    return closed.sort((one, other) => other.takenFrom - one.takenFrom)[wanted - 1] ?? null
  }
  let latest: Unit | null = null
  for (const unit of units) if (!unit.open && (!latest || unit.takenFrom > latest.takenFrom)) latest = unit
  return latest
}

/**
 * The latest end of a task, and what sets it; null while every unit it needs is taken by something that has not begun.
 */
function latestEnd(
  { task, after, ends }: PreparedTask,
  endAt: Moment,
  { placed, units }: Walk,
  startsBy: StartsBy,
): { readonly to: Moment; readonly reason: Reason } | null {
  let to = task.endsBy ?? endAt
  let reason: Reason = { kind: 'end' }
  for (const { wait, other } of after) {
    const latest = startOf(placed[other]!) - wait.leastMin - wait.spareMin
    if (latest < to) {
      to = latest
      reason = { kind: 'next', task: wait.after, waitMin: wait.leastMin }
    }
  }
  for (const { hold, resource } of ends) {
    const last = takenLatest(units[resource]!, hold.units)
    if (!last) return null
    if (last.takenFrom < to) {
      to = last.takenFrom
      reason = { kind: 'unit', resource: hold.resource, task: last.by! }
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
function occupy({ task, begins, ends }: PreparedTask, { units, held }: Walk, { from, to }: Stretch): void {
  for (const { hold, resource } of ends) {
    for (const unit of takenSoonest(units[resource]!, hold.units, to)) {
      held.push({ hold, unit: units[resource]!.indexOf(unit) + 1 })
      unit.open = hold
    }
  }
  for (const { hold, resource } of begins)
    for (const unit of units[resource]!)
      if (unit.open === hold) {
        unit.open = null
        unit.takenFrom = from
        unit.by = task.id
      }
}

/** Units that are needed again soonest after a moment: they leave the others for what ends later. */
const takenSoonest = (units: readonly Unit[], wanted: number, after: Moment): readonly Unit[] =>
  units
    .filter(({ open, takenFrom }) => !open && takenFrom >= after)
    .sort((one, other) => one.takenFrom - other.takenFrom)
    .slice(0, wanted)

/** The rank of each task, by its place in the list of tasks. */
export type Ranks = Int32Array

/** A beginning that a task must not miss, or what it waits for has gone off. */
type StartsBy = Map<string, { readonly at: Moment; readonly because: string }>

/** One walk; gives back the first wait that became too long instead of going on. */
function walk(
  job: PreparedJob,
  rank: Ranks,
  startsBy: StartsBy,
): Result<Schedule, NoSchedule | { readonly code: 'too-long'; readonly wait: Wait; readonly end: Moment }> {
  const { people, endAt } = job.job
  const { tasks } = job
  const state: Walk = {
    placed: tasks.map(() => null),
    byHand: [],
    units: job.inUse.map((count) =>
      Array.from({ length: count }, (): Unit => ({ takenFrom: Infinity, by: null, open: null })),
    ),
    held: [],
    free: job.free.map((each) => [...each]),
    unkeptPins: [],
  }
  const waiting = tasks.map(({ after }) => after.length)
  const ready = readyTasks(rank)
  waiting.forEach((many, place) => {
    if (many === 0) ready.add(place)
  })
  while (ready.places.length > 0) {
    let chosen: { readonly at: number; readonly to: Moment; readonly reason: Reason } | null = null
    for (let at = 0; at < ready.places.length && !chosen; at += 1) {
      const latest = latestEnd(tasks[ready.places[at]!]!, endAt, state, startsBy)
      if (latest) chosen = { at, ...latest }
    }
    if (!chosen) return refuse({ code: 'no-units', resource: tasks[ready.places[0]!]!.ends[0]!.hold.resource })
    const [place] = ready.places.splice(chosen.at, 1)
    const prepared = tasks[place!]!
    const { task, after } = prepared
    const { to } = chosen
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
    for (const { wait, other } of after)
      if (wait.mostMin !== null && startOf(state.placed[other]!) - end > wait.mostMin + NEAR_MIN)
        return refuse({ code: 'too-long', wait, end })
    state.placed[place!] = placed
    if (found.person !== null) {
      state.byHand.push(placed)
      for (const part of found.parts) takeOut(state.free[found.person]!, part)
    }
    occupy(prepared, state, { from: startOf(placed), to: end })
    for (const { other } of prepared.before) {
      waiting[other]! -= 1
      if (waiting[other] === 0) ready.add(other)
    }
  }
  const missing = state.placed.indexOf(null)
  if (missing >= 0) return refuse({ code: 'in-circles', task: tasks[missing]!.task.id })
  const placed = state.placed as readonly PlacedTask[]
  const byHand = tasks.flatMap(({ task }, place) => (task.byHand ? { placed: placed[place]!, group: task.group } : []))
  return ok({
    placed,
    held: state.held,
    startBy: byHand.reduce(
      (least, each) => Math.min(least, startOf(each.placed)),
      byHand.length > 0 ? Infinity : endAt,
    ),
    switches: switchesIn(byHand),
    unkeptPins: state.unkeptPins,
  })
}

/** Tasks that nothing placed later waits for any more, the one that is placed first in front. */
function readyTasks(rank: Ranks) {
  const places: number[] = []
  return {
    places,
    add(place: number): void {
      let at = places.length
      while (at > 0 && rank[places[at - 1]!]! > rank[place]!) at -= 1
      places.splice(at, 0, place)
    },
  }
}

/** Which task keeps the hands from a later hour, if one does. */
function busyAfter({ byHand }: Walk, from: Moment, to: Moment): string | null {
  let first: PlacedTask | null = null
  for (const each of byHand) {
    const start = startOf(each)
    if (start >= from - NEAR_MIN && start <= to && (!first || start < startOf(first))) first = each
  }
  return first?.task ?? null
}

/** Work that somebody does, and the group it belongs to. */
type Grouped = { readonly placed: PlacedTask; readonly group: string }

/** How often somebody turns from one thing to another. */
function switchesIn(byHand: readonly Grouped[]): number {
  const inTime = [...byHand].sort((one, other) => startOf(one.placed) - startOf(other.placed))
  const lastOf = new Map<string | null, string>()
  let switches = 0
  for (const { placed, group } of inTime) {
    const last = lastOf.get(placed.person)
    if (last !== undefined && last !== group) switches += 1
    lastOf.set(placed.person, group)
  }
  return switches
}

const MOST_PULLS = 24

/**
 * The schedule of one order of tasks. Where a wait would grow too long, what comes after is pulled forward and the
 * walk begins again.
 *
 * @param rank which of several tasks that could be placed is placed first, so latest: the lowest
 */
export function walkBackward(job: PreparedJob, rank: Ranks): Result<Schedule, NoSchedule> {
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
