/** A job made ready to be walked backward many times. */
import { freeBefore, type FreeTime } from './freeTime'
import type { Hold, Job, Task, Wait } from './task'

/** A job with what is asked of it again and again. */
export type PreparedJob = {
  readonly job: Job
  readonly taskOf: ReadonlyMap<string, Task>
  readonly after: ReadonlyMap<string, readonly Wait[]>
  readonly before: ReadonlyMap<string, readonly Wait[]>
  readonly begins: ReadonlyMap<string, readonly Hold[]>
  readonly ends: ReadonlyMap<string, readonly Hold[]>
  /** How many of each resource could be taken at once: no more than there are, nor than all holds ask for. */
  readonly inUse: ReadonlyMap<string, number>
  readonly free: readonly FreeTime[]
}

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
export const prepared = (job: Job): PreparedJob => ({
  job,
  taskOf: new Map(job.tasks.map((task) => [task.id, task])),
  after: grouped(job.waits, ({ before }) => before),
  before: grouped(job.waits, ({ after }) => after),
  begins: grouped(job.holds, ({ from }) => from),
  ends: grouped(job.holds, ({ until }) => until),
  inUse: new Map(
    job.resources.map(({ id, count }) => [
      id,
      Math.min(
        count,
        job.holds.reduce((sum, { resource, units }) => sum + (resource === id ? units : 0), 0),
      ),
    ]),
  ),
  free: job.people.map((person) => freeBefore(person, job.endAt)),
})
