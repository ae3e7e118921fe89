/**
 * From the work of a commission to its timetable: tasks with what each waits for and occupies, laid back from the
 * event.
 */
import { ok, refuse, type Result } from '../quantity'
import { riskOf, STARTING_STRAYING, type Since } from './risk'
import { latestSchedule } from './search'
import { smoothed } from './smooth'
import { timetableJob, type TimetableJob, type TimetableQuestion } from './job'
import type { Schedule } from './task'
import { timetableOf, SEED, type Timetable, type NoTimetable } from './slots'
import { carriedOn } from './carriedOn'
import { sureStart, riskInWords, inWords } from './sureStart'

/**
 * The latest timetable found.
 *
 * @param walks how many orders of the tasks are tried beyond the first few
 * @param runs how often it is lived through to know its risk; 0 for not at all
 * @returns slots in the order of time and the hour to start; or what could not be placed
 */
export function planTimetable(
  question: TimetableQuestion,
  walks: number,
  runs = 0,
  since: Since | null = null,
): Result<Timetable, NoTimetable> {
  const found = findTimetable(question, walks)
  return found.ok ? ok(timetableSince(found.value, question, walks, runs, since)) : found
}

/** A schedule that was found, with the job it is for. */
export type FoundTimetable = { readonly planned: TimetableJob; readonly schedule: Schedule }

/** The latest schedule found, made roomy; nothing has happened yet. */
export function findTimetable(question: TimetableQuestion, walks: number): Result<FoundTimetable, NoTimetable> {
  const planned = timetableJob(question)
  const schedule = latestSchedule(planned.job, SEED, walks)
  return schedule.ok
    ? ok({ planned, schedule: smoothed(planned.job, schedule.value) })
    : refuse(inWords(schedule.error, planned))
}

/** A schedule as a timetable, moved by what has happened by now. */
export function timetableSince(
  { planned, schedule }: FoundTimetable,
  question: TimetableQuestion,
  walks: number,
  runs: number,
  since: Since | null,
): Timetable {
  const known = since && {
    ...since,
    happened: new Map([...since.happened].filter(([task]) => planned.tasks.some(({ id }) => id === task))),
  }
  const carried = known && known.happened.size > 0 ? carriedOn(planned.job, schedule, known, walks) : null
  const timetable = timetableOf(planned, carried?.schedule ?? schedule, question, known?.happened)
  const risk =
    runs > 0
      ? riskOf(
          planned.job,
          carried?.order ?? schedule,
          STARTING_STRAYING,
          runs,
          SEED,
          question.aheadMin,
          known ?? undefined,
        )
      : null
  return {
    ...timetable,
    standing: carried && { readyAt: carried.readyAt, spareMin: planned.job.endAt - carried.readyAt },
    risk: risk && riskInWords(risk, runs, planned, () => (carried ? null : sureStart(question, runs))),
  }
}
