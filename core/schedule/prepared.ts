/** A job made ready to be walked backward many times. */
import { freeBefore, type FreeTime } from './freeTime'
import type { Hold, Job, Wait } from './task'

/** A job with what is asked of it again and again. */
export type PreparedJob = {
  readonly job: Job
  readonly after: ReadonlyMap<string, readonly Wait[]>
  readonly before: ReadonlyMap<string, readonly Wait[]>
  readonly begins: ReadonlyMap<string, readonly Hold[]>
  readonly ends: ReadonlyMap<string, readonly Hold[]>
  readonly free: readonly FreeTime[]
}

function grouped<Item>(items: readonly Item[], key: (item: Item) => string): ReadonlyMap<string, readonly Item[]> {
  const groups = new Map<string, Item[]>()
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
  after: grouped(job.waits, ({ before }) => before),
  before: grouped(job.waits, ({ after }) => after),
  begins: grouped(job.holds, ({ from }) => from),
  ends: grouped(job.holds, ({ until }) => until),
  free: job.people.map((person) => freeBefore(person, job.endAt)),
})
