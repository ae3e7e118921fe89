/**
 * From the work of a commission to its timetable: tasks with what each waits for and occupies, laid back from the
 * event, early enough to hold.
 */
import { ok, refuse, type Result } from '../quantity'
import { carriedOn } from './carriedOn'
import type { TimetableQuestion } from './question'
import { livesOf, riskOf, STARTING_STRAYING, type Since } from './risk'
import { timetableOf, type NoTimetable, type Timetable } from './slots'
import { LIVES, LUCK, surePlan, type SurePlan } from './sure'
import { chanceWorking, inWords, riskInWords } from './words'

/**
 * The latest timetable found that holds as often as is wanted.
 *
 * @param walks how many orders of the tasks are tried beyond the first few
 * @returns slots in the order of time and the hour to start; or what could not be placed
 */
export function planTimetable(
  question: TimetableQuestion,
  walks: number,
  since: Since | null = null,
): Result<Timetable, NoTimetable> {
  const found = findTimetable(question, walks)
  return found.ok ? ok(timetableSince(found.value, question, walks, since)) : found
}

/** The plan as it is before anything has happened. */
export function findTimetable(question: TimetableQuestion, walks: number): Result<SurePlan, NoTimetable> {
  const found = surePlan(question, walks)
  return found.ok ? found : refuse(inWords(found.error.problem, found.error.planned))
}

/** A plan as a timetable, moved by what has happened by now. */
export function timetableSince(
  { planned, schedule, risk, last }: SurePlan,
  question: TimetableQuestion,
  walks: number,
  since: Since | null,
): Timetable {
  const known = since && {
    ...since,
    happened: new Map([...since.happened].filter(([task]) => planned.tasks.some(({ id }) => id === task))),
  }
  if (!known || known.happened.size === 0)
    return {
      ...timetableOf(planned, schedule, question),
      last: { startBy: last.startBy, chance: chanceWorking('chance of the last possible start', last.chance) },
      risk: riskInWords(risk, planned, question),
      standing: null,
    }
  const carried = carriedOn(planned.job, schedule, known, walks)
  const allowance = { graceMin: question.aheadMin, since: known }
  const lives = livesOf(planned.job, carried.order, STARTING_STRAYING, LUCK, allowance)
  return {
    ...timetableOf(planned, carried.schedule, question, known.happened),
    last: null,
    risk: riskInWords(riskOf(lives, LIVES), planned, question),
    standing: { readyAt: carried.readyAt, spareMin: planned.job.endAt - carried.readyAt },
  }
}
