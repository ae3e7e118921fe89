/** A plan that holds as often as is wanted: time to spare is put where the doubt is, until enough lives are in time. */
import type { Moment, Result } from '../quantity'
import { timetableJob, type TimetableJob } from './job'
import type { TimetableQuestion } from './question'
import { riskOf, STARTING_STRAYING, type Risk } from './risk'
import { limitsOf, searchFrom, searchLimited, type FoundSchedule } from './search'
import { smoothed } from './smooth'
import type { NoSchedule, Schedule } from './task'

/** The same lives for every plan, so that plans can be compared. */
export const SEED = 1
/** How often a plan is lived through; less often while it is looked for how much time to spare it needs. */
export const LIVES = 200
const TRIAL_LIVES = 50

/** A few orders are always tried, so that a thorough answer never begins earlier than a quick one. */
const QUICK_WALKS = 4

/** How much time to spare is tried, as shares of the doubt. */
const LEVELS = [0.05, 0.1, 0.17, 0.25, 0.4, 0.55, 0.7, 0.85, 1, 1.25, 1.5, 2, 3, 5, 8] as const

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

type Refused = { readonly problem: NoSchedule; readonly planned: TimetableJob }

/**
 * The sure plan for some of the people and of what they have; none where the work does not go with that.
 * @param known when a sure plan begins that was found already
 */
function sureWith(question: TimetableQuestion, limit: number, walks: number, known: Moment): Result<SurePlan, Refused> {
  const planned = timetableJob(question)
  const first = searchLimited(planned.job, limit, SEED, walks)
  if (!first.ok) return { ok: false, error: { problem: first.error, planned } }
  const bare = weighed(question, planned, first.value, LIVES)
  const last = { startBy: first.value.schedule.startBy, chance: bare.risk.chance }
  const isSure = ({ risk }: Weighed): boolean => risk.chance >= question.wantedChance
  // With time to spare it begins earlier still: where that is no better than what is known, it is not tried.
  if (isSure(bare) || last.startBy <= known) return { ok: true, value: { ...bare, last } }
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

/** Whether one plan is better: it keeps more pins, is as sure as is wanted, begins later; or else is surer. */
function isBetterPlan(one: SurePlan, other: SurePlan, wanted: number): boolean {
  const unkept = (plan: SurePlan): number => plan.schedule.unkeptPins.length
  if (unkept(one) !== unkept(other)) return unkept(one) < unkept(other)
  const [sure, otherSure] = [one.risk.chance >= wanted, other.risk.chance >= wanted]
  if (sure !== otherSure) return sure
  return sure ? one.schedule.startBy > other.schedule.startBy : one.risk.chance > other.risk.chance
}

/**
 * The latest plan that is ready as often as is wanted. Where starting earlier does not buy that, the surest one. Plans
 * with fewer people and with fewer formers in use are among those compared, so that more of either never begins earlier.
 * @param walks how many orders of the tasks are tried beyond the first few
 */
export function surePlan(question: TimetableQuestion, walks: number): Result<SurePlan, Refused> {
  const limits = limitsOf(timetableJob(question).job)
  let known: Moment = -Infinity
  const plans = question.people.flatMap((_, at) => {
    const some = { ...question, people: question.people.slice(0, at + 1) }
    const efforts = walks > QUICK_WALKS ? [QUICK_WALKS, walks] : [walks]
    const ways = efforts.flatMap((effort) => [...limits].reverse().map((limit) => ({ effort, limit })))
    return ways.map(({ effort, limit }) => {
      const plan = sureWith(some, limit, effort, known)
      if (plan.ok && plan.value.risk.chance >= question.wantedChance)
        known = Math.max(known, plan.value.schedule.startBy)
      return plan
    })
  })
  const found = plans.flatMap((plan) => (plan.ok ? [plan.value] : []))
  if (found.length === 0) return plans.at(-1)!
  const best = found.reduce((one, other) => (isBetterPlan(other, one, question.wantedChance) ? other : one))
  const last = found.map((plan) => plan.last).reduce((one, other) => (other.startBy > one.startBy ? other : one))
  return { ok: true, value: { ...best, last } }
}
