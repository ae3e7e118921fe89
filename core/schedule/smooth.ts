/**
 * A schedule with room to breathe: what keeps is done as soon as there is time, and a day is begun early rather than
 * ended late, so that damp and mishaps find hours to spare before the event.
 */
import { earliestIn, freeBefore, withoutAll, type FreeTime } from './freeTime'
import { dayOf } from '../quantity'
import type { Job, PlacedTask, Schedule, Task } from './task'
import type { Stretch } from './workingHours'

/** What moves makes room for others: gone over again until nothing moves, or so often. */
const MOST_PASSES = 8
const NEAR_MIN = 1e-6

const startOf = ({ parts }: PlacedTask): number => parts[0]!.from
const endOf = ({ parts }: PlacedTask): number => parts.at(-1)!.to

/**
 * The same schedule with every task that keeps as early as free hands and formers allow, and none before the first
 * hand has to begin. Nothing becomes later, so that every rule that held still holds.
 */
export function smoothed(job: Job, schedule: Schedule): Schedule {
  const taskOf = new Map(job.tasks.map((task) => [task.id, task]))
  const placed = new Map(schedule.placed.map((each) => [each.task, each]))
  const begin = dayOf(schedule.startBy)
  const whole = new Map(
    job.people.map((person) => [person.id, freeBefore(person, job.endAt).filter(({ to }) => to > begin)]),
  )
  const opens = openings([...whole.values()])
  for (let pass = 0; pass < MOST_PASSES; pass += 1) {
    let hasMoved = false
    const order = [...placed.values()]
      .filter(({ task }) => {
        const { keeps, pinnedAt } = taskOf.get(task)!
        return keeps !== 'no' && pinnedAt === null
      })
      .sort((one, other) => startOf(one) - startOf(other))
    for (const each of order) {
      const moved = earlier(taskOf.get(each.task)!, each, job, schedule, placed, whole, opens)
      if (moved) placed.set(each.task, moved)
      hasMoved ||= moved !== null
    }
    if (!hasMoved) break
  }
  return { ...schedule, placed: schedule.placed.map(({ task }) => placed.get(task)!) }
}

/** When somebody begins to work, day by day. */
function openings(whole: readonly FreeTime[]): ReadonlyMap<number, number> {
  const opens = new Map<number, number>()
  for (const { from } of whole.flat()) opens.set(dayOf(from), Math.min(from, opens.get(dayOf(from)) ?? Infinity))
  return opens
}

/** No task is done before: what keeps till the end of its day only on that day, other things as long as they keep. */
function earliestOf({ keeps, notBefore }: Task, start: number, opens: ReadonlyMap<number, number>): number {
  const today = Math.min(start, opens.get(dayOf(start)) ?? start)
  return Math.max(keeps === 'day' ? today : -Infinity, notBefore ?? -Infinity)
}

/** A task at its earliest, if that is earlier than it is. */
function earlier(
  task: Task,
  now: PlacedTask,
  job: Job,
  schedule: Schedule,
  placed: ReadonlyMap<string, PlacedTask>,
  whole: ReadonlyMap<string, FreeTime>,
  opens: ReadonlyMap<number, number>,
): PlacedTask | null {
  const after = job.waits
    .filter((wait) => wait.after === task.id)
    .map(({ before, leastMin }) => endOf(placed.get(before)!) + leastMin)
  const units = schedule.held
    .filter(({ hold }) => hold.from === task.id)
    .flatMap(({ hold, unit }) =>
      schedule.held
        .filter(
          (other) =>
            other.hold !== hold &&
            other.hold.resource === hold.resource &&
            other.unit === unit &&
            endOf(placed.get(other.hold.until)!) <= startOf(now) + NEAR_MIN,
        )
        .map((other) => endOf(placed.get(other.hold.until)!)),
    )
  // What does not keep long moves as near to what follows as it must; that follows in its turn.
  const near = job.waits.flatMap((wait) =>
    wait.before === task.id && wait.mostMin !== null
      ? [startOf(placed.get(wait.after)!) - wait.mostMin - task.durationMin]
      : [],
  )
  const from = Math.max(schedule.startBy, earliestOf(task, startOf(now), opens), ...after, ...units, ...near)
  if (from >= startOf(now) - NEAR_MIN) return null
  const parts = task.byHand ? freeParts(task, now, from, placed, whole) : [{ from, to: from + task.durationMin }]
  if (!parts || parts[0]!.from >= startOf(now) - NEAR_MIN || (!task.byHand && !task.anyHour)) return null
  const next = { ...now, parts }
  if (endOf(next) > endOf(now) + NEAR_MIN) return null
  return job.waits.every(
    (wait) =>
      wait.before !== task.id ||
      wait.mostMin === null ||
      startOf(placed.get(wait.after)!) - endOf(next) <= wait.mostMin + NEAR_MIN,
  )
    ? next
    : null
}

/** The earliest free time of whoever does it, all else staying where it is. */
function freeParts(
  task: Task,
  now: PlacedTask,
  from: number,
  placed: ReadonlyMap<string, PlacedTask>,
  whole: ReadonlyMap<string, FreeTime>,
): readonly Stretch[] | null {
  const taken = [...placed.values()]
    .flatMap((other) => (other !== now && other.person === now.person ? other.parts : []))
    .sort((one, other) => one.from - other.from)
  const free = withoutAll(whole.get(now.person!)!, taken)
  return earliestIn(free, task.durationMin, from, task.splits, whole.get(now.person!)!)
}
