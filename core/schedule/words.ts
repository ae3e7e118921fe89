/** Chances and reasons of a timetable in words. */
import { derive, found, starting, type Working } from '../quantity'
import type { TimetableJob } from './job'
import type { TimetableQuestion } from './question'
import { STARTING_STRAYING, type Risk } from './risk'
import type { Timetable, NoTimetable } from './slots'
import { LIVES } from './sure'
import type { NoSchedule } from './task'

const nameIn =
  ({ tasks }: TimetableJob) =>
  (id: string): string =>
    tasks.find((task) => task.id === id)?.name ?? id

/** The share of lives that are ready in time, with its working. */
export const chanceWorking = (label: string, chance: number): Working =>
  derive(
    label,
    'share',
    'lived through by chance',
    'ready for the event in so many of {lives}; late work goes on half an hour past the day, hands stray by {pace}, ' +
      'drying by as much as is not known of this room, one step in {mishap} is half done again',
    {
      lives: found('lives', LIVES, 'count', 'with a seed of their own, the same each time'),
      pace: starting('pace', Math.hypot(STARTING_STRAYING.pace, STARTING_STRAYING.task), 'share', 'guess'),
      mishap: starting('steps', 1 / STARTING_STRAYING.mishap, 'count', 'guess'),
    },
    () => chance,
  )

const HELP = {
  secondPair: 'a second pair of hands at the venue',
  fewerThere: 'fewer pieces placed there',
  handOver: 'handing the decorations over boxed',
  completeHere: 'completing the cake before driving',
} as const

/** What helps where starting earlier does not: what is late at the venue is late behind its doors. */
function helpFor({ causes }: Risk, { tasks }: TimetableJob, { completion }: TimetableQuestion): readonly string[] {
  const there = causes
    .filter(({ task }) => tasks.some(({ id, kind }) => id === task && (kind === 'place' || kind === 'drive')))
    .reduce((sum, { share }) => sum + share, 0)
  if (completion !== 'atVenue' || there < 0.25) return []
  return [HELP.secondPair, HELP.fewerThere, HELP.completeHere, HELP.handOver]
}

/** How likely it is to hold, what makes it late, what helps. */
export function riskInWords(risk: Risk, planned: TimetableJob, question: TimetableQuestion): Timetable['risk'] {
  const nameOf = nameIn(planned)
  const isSure = risk.chance >= question.wantedChance
  return {
    chance: chanceWorking('chance to be ready', risk.chance),
    wanted: question.wantedChance,
    isSure,
    help: isSure ? [] : helpFor(risk, planned, question),
    causes: risk.causes.map(({ task, drying, share }) => ({
      share,
      words: drying ? `drying after “${nameOf(task)}”` : `“${nameOf(task)}” takes longer`,
    })),
  }
}

/** Why there is no timetable, in the words of its tasks. */
export function inWords(problem: NoSchedule, planned: TimetableJob): NoTimetable {
  const nameOf = nameIn(planned)
  switch (problem.code) {
    case 'no-units':
      return {
        code: 'no-formers',
        formers: planned.job.resources.find(({ id }) => id === problem.resource)?.name ?? problem.resource,
      }
    case 'goes-off':
      return { code: 'goes-off', task: nameOf(problem.task), next: nameOf(problem.next) }
    case 'no-time':
      return { code: 'no-working-time', task: nameOf(problem.task) }
    case 'in-circles':
      return { code: 'no-working-time', task: nameOf(problem.task) }
  }
}
