/** A plan that holds as often as is wanted: time to spare is put where the doubt is, until enough lives are in time. */
import type { Moment, Result } from '../quantity'
import { timetableJob, type TimetableJob, type TimetableQuestion } from './job'
import { riskOf, STARTING_STRAYING, type Risk } from './risk'
import { searchFrom, searchLatest, type FoundSchedule } from './search'
import { smoothed } from './smooth'
import type { NoSchedule, Schedule } from './task'

/** The same lives for every plan, so that plans can be compared. */
export const SEED = 1
/** How often a plan is lived through; less often while it is looked for how much time to spare it needs. */
export const LIVES = 200
const TRIAL_LIVES = 80

/** How much time to spare is tried, as shares of the doubt. */
const LEVELS = [0.25, 0.4, 0.55, 0.7, 0.85, 1, 1.25, 1.5, 2, 3, 5, 8] as const

/** A plan with how likely it is to hold. */
type Weighed = { readonly planned: TimetableJob; readonly schedule: Schedule; readonly risk: Risk }

/** The plan for the chance that is wanted, or for the best there is; and the last possible one, with its own chance. */
export type SurePlan = Weighed & { readonly last: { readonly startBy: Moment; readonly chance: number } }

function weighed(
  { aheadMin }: TimetableQuestion,
  planned: TimetableJob,
  { schedule }: FoundSchedule,
  lives: number,
): Weighed {
  const roomy = smoothed(planned.job, schedule)
  return { planned, schedule: roomy, risk: riskOf(planned.job, roomy, STARTING_STRAYING, lives, SEED, aheadMin) }
}

/** The same work with so much time to spare; none where it then does not go. */
function sparing(
  question: TimetableQuestion,
  first: FoundSchedule,
  level: number,
  walks: number,
  lives: number,
): Weighed | null {
  const planned = timetableJob(question, level)
  const found = searchFrom(planned.job, first, SEED, walks)
  return found.ok ? weighed(question, planned, found.value, lives) : null
}

/**
 * The latest plan that is ready as often as is wanted. Where starting earlier does not buy that, the surest one.
 * @param walks how many orders of the tasks are tried beyond the first few
 */
export function surePlan(
  question: TimetableQuestion,
  walks: number,
): Result<SurePlan, { readonly problem: NoSchedule; readonly planned: TimetableJob }> {
  const planned = timetableJob(question)
  const first = searchLatest(planned.job, SEED, walks)
  if (!first.ok) return { ok: false, error: { problem: first.error, planned } }
  const bare = weighed(question, planned, first.value, LIVES)
  const last = { startBy: first.value.schedule.startBy, chance: bare.risk.chance }
  const isSure = ({ risk }: Weighed): boolean => risk.chance >= question.wantedChance
  if (isSure(bare)) return { ok: true, value: { ...bare, last } }
  const at = (level: number, lives: number): Weighed | null =>
    sparing(question, first.value, LEVELS[level]!, walks, lives)
  // A few lives say about how much it takes; all of them whether it is enough.
  let [low, high]: [number, number] = [0, LEVELS.length]
  while (low < high) {
    const middle = Math.floor((low + high) / 2)
    const tried = at(middle, TRIAL_LIVES)
    // With so much to spare it may not go at all: less is tried.
    if (!tried || isSure(tried)) high = middle
    else low = middle + 1
  }
  let surest: Weighed = bare
  for (let level: number = Math.min(low, LEVELS.length - 1); level < LEVELS.length; level += 1) {
    const tried = at(level, LIVES)
    if (tried && isSure(tried)) return { ok: true, value: { ...tried, last } }
    if (tried && tried.risk.chance > surest.risk.chance) surest = tried
    if (!tried) break
  }
  return { ok: true, value: { ...surest, last } }
}
