/** A job made ready to be walked backward many times. */
import { freeBefore, type FreeTime } from './freeTime'
import type { Hold, Job, Task, Wait } from './task'

/** A wait with the place of the other task in the list of tasks. */
type WaitFor = { readonly wait: Wait; readonly other: number }
/** A hold with the place of what is held in the list of resources. */
type HoldOf = { readonly hold: Hold; readonly resource: number }

/** A task with what waits for it, what it waits for, and the holds that begin and end with it. */
export type PreparedTask = {
  readonly task: Task
  readonly after: readonly WaitFor[]
  readonly before: readonly WaitFor[]
  readonly begins: readonly HoldOf[]
  readonly ends: readonly HoldOf[]
}

/** A job with what is asked of it again and again; tasks and resources are told by their places in its lists. */
export type PreparedJob = {
  readonly job: Job
  readonly tasks: readonly PreparedTask[]
  readonly placeOf: ReadonlyMap<string, number>
  /** How many of each resource could be taken at once: no more than there are, nor than all holds ask for. */
  readonly inUse: readonly number[]
  readonly free: readonly FreeTime[]
}

const none: readonly never[] = []

/** Items by a key, in the order they came in. */
export function grouped<Item, Key>(
  items: readonly Item[],
  key: (item: Item) => Key,
): ReadonlyMap<Key, readonly Item[]> {
  const groups = new Map<Key, Item[]>()
  for (const item of items) {
    const group = groups.get(key(item))
    if (group) group.push(item)
    else groups.set(key(item), [item])
  }
  return groups
}

/** Looks up once what every walk needs. */
export function prepared(job: Job): PreparedJob {
  const { tasks, waits, holds, resources, people, endAt } = job
  const placeOf = new Map(tasks.map(({ id }, place) => [id, place]))
  const resourceOf = new Map(resources.map(({ id }, place) => [id, place]))
  const holdsOf = holds.map((hold): HoldOf => ({ hold, resource: resourceOf.get(hold.resource)! }))
  const after = grouped(
    waits.map((wait): WaitFor => ({ wait, other: placeOf.get(wait.after)! })),
    ({ wait }) => wait.before,
  )
  const before = grouped(
    waits.map((wait): WaitFor => ({ wait, other: placeOf.get(wait.before)! })),
    ({ wait }) => wait.after,
  )
  const begins = grouped(holdsOf, ({ hold }) => hold.from)
  const ends = grouped(holdsOf, ({ hold }) => hold.until)
  return {
    job,
    tasks: tasks.map((task) => ({
      task,
      after: after.get(task.id) ?? none,
      before: before.get(task.id) ?? none,
      begins: begins.get(task.id) ?? none,
      ends: ends.get(task.id) ?? none,
    })),
    placeOf,
    inUse: resources.map(({ id, count }) =>
      Math.min(
        count,
        holds.reduce((sum, { resource, units }) => sum + (resource === id ? units : 0), 0),
      ),
    ),
    free: people.map((person) => freeBefore(person, endAt)),
  }
}
