/** The start that is right nine times in ten. */
import { derive, found, starting } from '../quantity'
import { riskOf, STARTING_STRAYING, type Risk } from './risk'
import { latestSchedule } from './search'
import { smoothed } from './smooth'
import { timetableJob, type TimetableJob, type TimetableQuestion } from './job'
import type { NoSchedule } from './task'
import { SEED, type Timetable, type NoTimetable, type SureStart } from './slots'

const SURE = 0.9
/** How much earlier than asked is tried, minutes. */
const EARLIER_MIN = [30, 60, 120, 180, 240, 360, 720, 1440] as const

/**
 * The least that one has to be ready earlier to be ready for the event nine times in ten; none where even a day does
 * not do.
 */
export function sureStart(question: TimetableQuestion, runs: number): SureStart | null {
  for (const earlierMin of EARLIER_MIN) {
    const { job } = timetableJob({ ...question, aheadMin: question.aheadMin + earlierMin })
    const schedule = latestSchedule(job, SEED, 0)
    if (!schedule.ok) continue
    const { chance } = riskOf(
      job,
      smoothed(job, schedule.value),
      STARTING_STRAYING,
      runs,
      SEED,
      question.aheadMin + earlierMin,
    )
    if (chance >= SURE) return { earlierMin, startBy: schedule.value.startBy, chance }
  }
  return null
}

/** What makes it late, in words. */
export function riskInWords(
  { chance, causes }: Risk,
  runs: number,
  { tasks }: TimetableJob,
  sure: () => SureStart | null,
): Timetable['risk'] {
  const nameOf = (id: string): string => tasks.find((task) => task.id === id)?.name ?? id
  return {
    sure: chance >= SURE ? null : sure(),
    causes: causes.map(({ task, drying, share }) => ({
      share,
      words: drying ? `drying after “${nameOf(task)}”` : `“${nameOf(task)}” takes longer`,
    })),
    chance: derive(
      'chance to be ready',
      'share',
      'lived through by chance',
      'ready for the event in so many of {runs}; late work goes on half an hour past the day, hands ' +
        'stray by {pace}, drying by {drying}, one step in {mishap} is half done again',
      {
        runs: found('runs', runs, 'count', 'with a seed of their own, the same each time'),
        pace: starting('pace', Math.hypot(STARTING_STRAYING.pace, STARTING_STRAYING.task), 'share', 'guess'),
        drying: starting('drying', Math.hypot(STARTING_STRAYING.room, STARTING_STRAYING.piece), 'share', 'usual'),
        mishap: starting('steps', 1 / STARTING_STRAYING.mishap, 'count', 'guess'),
      },
      () => chance,
    ),
  }
}

/** Why there is no timetable, in the words of its tasks. */
export function inWords(problem: NoSchedule, { job, tasks }: TimetableJob): NoTimetable {
  const nameOf = (id: string): string => tasks.find((task) => task.id === id)?.name ?? id
  switch (problem.code) {
    case 'no-units':
      return {
        code: 'no-formers',
        formers: job.resources.find(({ id }) => id === problem.resource)?.name ?? problem.resource,
      }
    case 'goes-off':
      return { code: 'goes-off', task: nameOf(problem.task), next: nameOf(problem.next) }
    case 'no-time':
      return { code: 'no-working-time', task: nameOf(problem.task) }
    case 'in-circles':
      return { code: 'no-working-time', task: nameOf(problem.task) }
  }
}
