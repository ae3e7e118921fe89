/** A plan that holds as often as is wanted: time to spare is put where the doubt is, until enough lives are in time. */
import type { Moment, Result } from '../quantity'
import { timetableJob, type TimetableJob } from './job'
import { luckOf, type Luck } from './luck'
import type { TimetableQuestion } from './question'
import { isReadyAsOften, riskOf, STARTING_STRAYING, type Risk } from './risk'
import { limitsOf, searchFrom, searchLimited } from './search'
import { smoothed } from './smooth'
import type { NoSchedule, Schedule } from './task'

/** The same lives for every plan, so that plans can be compared. */
export const SEED = 1
/** How often a plan is lived through; less often to see which of those that are not sure is the surest. */
export const LIVES = 200
const LIVES_TO_COMPARE = 60

/** A few orders are always tried, so that a thorough answer never begins earlier than a quick one. */
const QUICK_WALKS = 4

/** How much time to spare is tried, as shares of the doubt. */
const LEVELS = [0.1, 0.2, 0.35, 0.5, 0.75, 1, 1.25, 1.5, 2, 2.5, 3.5, 5, 8] as const

/** The work with some time to spare or none, in the latest order that was found. */
type Candidate = { readonly planned: TimetableJob; readonly schedule: Schedule }
/** A plan with how likely it is to hold. */
type Weighed = Candidate & { readonly risk: Risk }

/** The plan for the chance that is wanted, or for the best there is; and the last possible one, with its own chance. */
export type SurePlan = Weighed & { readonly last: { readonly startBy: Moment; readonly chance: number } }

type Refused = { readonly problem: NoSchedule; readonly planned: TimetableJob }

const startOf = ({ schedule }: Candidate): Moment => schedule.startBy
const roomy = ({ planned, schedule }: Candidate): Candidate => ({
  planned,
  schedule: smoothed(planned.job, schedule),
})

function weighed({ planned, schedule }: Candidate, luck: Luck, graceMin: number, lives = LIVES): Weighed {
  return { planned, schedule, risk: riskOf(planned.job, schedule, STARTING_STRAYING, lives, luck, { graceMin }) }
}

/**
 * One way of doing the work: nothing to spare first, then with more and more of it, none of them later than that.
 * @param known when a sure plan begins already: where even nothing to spare is no later, nothing else is tried
 */
function candidatesWith(
  question: TimetableQuestion,
  limit: number,
  walks: number,
  known: Moment,
): Result<readonly Candidate[], Refused> {
  const planned = timetableJob(question)
  const first = searchLimited(planned.job, limit, SEED, walks)
  if (!first.ok) return { ok: false, error: { problem: first.error, planned } }
  const bare = { planned, schedule: first.value.schedule }
  if (startOf(bare) <= known) return { ok: true, value: [bare] }
  const spared = LEVELS.flatMap((level): readonly Candidate[] => {
    const sparing = timetableJob(question, level)
    const found = searchFrom(sparing.job, first.value, SEED, walks)
    return found.ok && found.value.schedule.startBy <= startOf(bare)
      ? [{ planned: sparing, schedule: found.value.schedule }]
      : []
  })
  return { ok: true, value: [bare, ...spared] }
}

/** The latest beginning first; of those that begin together, the one with the most to spare. */
function byBeginning(way: readonly Candidate[]): readonly Candidate[] {
  const most = new Map<Moment, Candidate>()
  for (const each of way) most.set(startOf(each), each)
  return [...most.values()].sort((one, other) => startOf(other) - startOf(one))
}

/**
 * The latest plan that is ready as often as is wanted. Where starting earlier does not buy that, the surest one. Plans
 * with fewer people and with fewer formers in use are among those compared, so that more of either never begins earlier;
 * the ampler ways are tried first, and others only as far as they begin later.
 * @param walks how many orders of the tasks are tried beyond the first few
 */
export function surePlan(question: TimetableQuestion, walks: number): Result<SurePlan, Refused> {
  const { aheadMin, wantedChance } = question
  const luck = luckOf(SEED, LIVES)
  const isSure = ({ planned, schedule }: Candidate): boolean =>
    isReadyAsOften(planned.job, schedule, STARTING_STRAYING, LIVES, luck, { graceMin: aheadMin, wanted: wantedChance })
  let sure: Candidate | null = null
  let tried: readonly Candidate[] = []
  let fewest = Infinity
  const bare: Candidate[] = []
  let refused: Refused | null = null
  for (const { some, limit, effort } of waysOf(question, walks)) {
    const known = sure && fewest === 0 ? startOf(sure) : -Infinity
    const way = candidatesWith(some, limit, effort, known)
    if (!way.ok) {
      refused ??= way.error
      continue
    }
    bare.push(way.value[0]!)
    // What somebody put at an hour stays there first of all, however sure another plan would be.
    const unkept = Math.min(...way.value.map(unkeptPins))
    if (unkept < fewest) [fewest, sure, tried] = [unkept, null, []]
    const since = sure ? startOf(sure) : -Infinity
    const later = byBeginning(way.value.filter((each) => unkeptPins(each) === fewest && startOf(each) > since))
    tried = [...tried, ...later]
    sure = firstOf(later, isSure) ?? sure
  }
  if (bare.length === 0) return { ok: false, error: refused! }
  const last = bare.reduce((one, other) => (startOf(other) > startOf(one) ? other : one))
  const lastChance = weighed(roomy(last), luck, aheadMin).risk.chance
  const best = sure ?? surestOf(tried.map(roomy), luck, aheadMin)
  return { ok: true, value: { ...weighed(best, luck, aheadMin), last: { startBy: startOf(last), chance: lastChance } } }
}

/** Ways of doing the work, the ampler first: with all people or some, all there is of what they have or less. */
function waysOf(question: TimetableQuestion, walks: number) {
  const limits = limitsOf(timetableJob(question).job)
  const efforts = walks > QUICK_WALKS ? [QUICK_WALKS, walks] : [walks]
  const people = question.people.map((_, at) => ({ ...question, people: question.people.slice(0, at + 1) }))
  return [...people]
    .reverse()
    .flatMap((some) => efforts.flatMap((effort) => [...limits].reverse().map((limit) => ({ some, limit, effort }))))
}

/** The first that is sure with room made in it; room is made in no more of them than are looked at. */
function firstOf(candidates: readonly Candidate[], isSure: (each: Candidate) => boolean): Candidate | null {
  for (const each of candidates) {
    const withRoom = roomy(each)
    if (isSure(withRoom)) return withRoom
  }
  return null
}

const unkeptPins = ({ schedule }: Candidate): number => schedule.unkeptPins.length

/** Where none is sure, the surest; of equals the one that begins latest. */
const surestOf = (tried: readonly Candidate[], luck: Luck, graceMin: number): Candidate =>
  tried
    .map((each) => weighed(each, luck, graceMin, LIVES_TO_COMPARE))
    .reduce((one, other) => (other.risk.chance > one.risk.chance ? other : one))
