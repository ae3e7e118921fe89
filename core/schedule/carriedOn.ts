/** A timetable that goes on from what has been done. */
import { MINUTES_PER_DAY, type Moment } from '../quantity'
import { freeWithOvertime, lineUp, liveThrough } from './live'
import type { Since } from './risk'
import { latestSchedule } from './search'
import type { Job, Schedule } from './task'
import type { Stretch } from './workingHours'
import { SEED } from './sure'

/**
 * So far past the event work is put where hands are free; beyond, at any hour, so that a timetable always has an end.
 */
const DAYS_AFTER = 60

/** A schedule as it goes on from what has happened; `order` is the schedule whose order it follows. */
type Carried = { readonly schedule: Schedule; readonly order: Schedule; readonly readyAt: Moment }

/**
 * Everything goes on in its planned order, later where it must. Where that is too late, the rest is put in another
 * order if one is ready sooner.
 */
export function carriedOn(job: Job, schedule: Schedule, since: Since, walks: number): Carried {
  const asPlanned = carriedIn(job, schedule, since)
  if (asPlanned.readyAt <= job.endAt) return asPlanned
  const isDone = (task: string): boolean => (since.happened.get(task)?.to ?? null) !== null
  const rest: Job = {
    ...job,
    tasks: job.tasks.filter(({ id }) => !isDone(id)),
    // Time to spare is what is given up first.
    waits: job.waits
      .filter(({ before, after }) => !isDone(before) && !isDone(after))
      .map((wait) => ({ ...wait, spareMin: 0 })),
    holds: job.holds
      .filter(({ until }) => !isDone(until))
      .map((hold) => (isDone(hold.from) ? { ...hold, from: hold.until } : hold)),
  }
  const other = latestSchedule(rest, SEED, walks)
  if (!other.ok) return asPlanned
  const merged: Schedule = {
    ...other.value,
    placed: schedule.placed.map((each) => other.value.placed.find(({ task }) => task === each.task) ?? each),
    held: schedule.held.map(
      (each) =>
        other.value.held.find(
          ({ hold }) =>
            hold.resource === each.hold.resource && hold.until === each.hold.until && !isDone(each.hold.from),
        ) ?? each,
    ),
  }
  const inOther = carriedIn(job, merged, since)
  return inOther.readyAt < asPlanned.readyAt ? inOther : asPlanned
}

function carriedIn(job: Job, schedule: Schedule, since: Since): Carried {
  const begin = Math.min(schedule.startBy, since.now) - MINUTES_PER_DAY
  const free = job.people.map((person) =>
    freeWithOvertime(person, Math.max(job.endAt, since.now) + DAYS_AFTER * MINUTES_PER_DAY).filter(
      ({ to }) => to > begin,
    ),
  )
  const line = lineUp(job, schedule)
  const lived = liveThrough(line, free, {
    ...since,
    minutesOf: ({ task }) => task.durationMin,
    restOf: ({ wait }) => wait.leastMin,
  })
  const last = Math.max(job.endAt, since.now) + DAYS_AFTER * MINUTES_PER_DAY
  const upToLast = ({ from, to }: Stretch): Stretch => ({ from: Math.min(from, last), to: Math.min(to, last) })
  const partsOf = new Map(line.map(({ task }, turn) => [task.id, lived.spells[turn]!.map(upToLast)]))
  const placed = schedule.placed.map((each) => ({ ...each, parts: partsOf.get(each.task)! }))
  return {
    schedule: { ...schedule, placed },
    order: schedule,
    readyAt: Math.max(...placed.map(({ parts }) => parts.at(-1)!.to)),
  }
}
