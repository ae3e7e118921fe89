/** A plan that holds as often as is wanted: time to spare is put where the doubt is, until enough lives are in time. */
import { ok, refuse, type Moment, type Result } from '../quantity'
import { timetableJob, type TimetableJob } from './job'
import { luckOf } from './luck'
import type { TimetableQuestion } from './question'
import { livesOf, riskIfReady, riskOf, STARTING_STRAYING, type Lives, type Risk } from './risk'
import { limitsOf, searchFrom, searchLimited, type FoundSchedule } from './search'
import { smoothed } from './smooth'
import type { NoSchedule, Schedule } from './task'

export const SEED = 1
/** How often a plan is lived through; less often to see which of those that are not sure is the surest. */
export const LIVES = 200
const LIVES_TO_COMPARE = 60
/** The same lives for every plan, so that plans can be compared. */
export const LUCK = luckOf(SEED, LIVES)

/** A few orders are always tried, so that a thorough answer never begins earlier than a quick one. */
const QUICK_WALKS = 4

/** How much time to spare is tried, as shares of the doubt. */
const LEVELS = [0.1, 0.2, 0.35, 0.5, 0.75, 1, 1.25, 1.5, 2, 2.5, 3.5, 5, 8] as const

/** The work with some time to spare or none, in the latest order that was found. */
type Candidate = { readonly planned: TimetableJob; readonly schedule: Schedule }
/** A candidate with room to breathe, and its lives. */
type Roomy = Candidate & { readonly lives: Lives }
/** A plan with how likely it is to hold. */
type Weighed = Candidate & { readonly risk: Risk }

/** The plan for the chance that is wanted, or for the best there is; and the last possible one, with its own chance. */
export type SurePlan = Weighed & { readonly last: { readonly startBy: Moment; readonly chance: number } }

type Refused = { readonly problem: NoSchedule; readonly planned: TimetableJob }

/** A way of doing the work: with some people, no more than so many formers in use, in the best of so many orders. */
type Way = { readonly some: TimetableQuestion; readonly limit: number; readonly effort: number }

const startOf = ({ schedule }: Candidate): Moment => schedule.startBy
const isNoLater = (each: Candidate, than: Candidate | null): boolean => than !== null && startOf(each) <= startOf(than)

/** Gives candidates room to breathe; one that is asked for again keeps the lives that it has lived. */
function givingRoom(graceMin: number): (candidate: Candidate) => Roomy {
  const given = new Map<Candidate, Roomy>()
  return (candidate) => {
    const known = given.get(candidate)
    if (known) return known
    const { planned } = candidate
    const schedule = smoothed(planned.job, candidate.schedule)
    const lives = livesOf(planned.job, schedule, STARTING_STRAYING, LUCK, { graceMin })
    const roomy = { planned, schedule, lives }
    given.set(candidate, roomy)
    return roomy
  }
}

const weighed = ({ planned, schedule, lives }: Roomy): Weighed => ({ planned, schedule, risk: riskOf(lives, LIVES) })

/** One way of doing the work, with nothing to spare. */
function bareOf({ some, limit, effort }: Way): Result<FoundSchedule & Candidate, Refused> {
  const planned = timetableJob(some)
  const found = searchLimited(planned.job, limit, SEED, effort)
  return found.ok ? ok({ ...found.value, planned }) : refuse({ problem: found.error, planned })
}

/**
 * One way of doing the work: with nothing to spare, then with more and more of it, each beginning earlier than the one
 * before; of those that begin together, the one with the most to spare. Worked out one by one, as far as it is asked.
 */
function* withMoreToSpare({ some, effort }: Way, bare: FoundSchedule & Candidate): Generator<Candidate> {
  let latest: Candidate = bare
  for (const level of LEVELS) {
    const planned = timetableJob(some, level)
    const found = searchFrom(planned.job, bare, SEED, effort)
    if (!found.ok || found.value.schedule.startBy > startOf(latest)) continue
    const next = { planned, schedule: found.value.schedule }
    if (startOf(next) < startOf(latest)) yield latest
    latest = next
  }
  yield latest
}

/**
 * The latest plan that is ready as often as is wanted. Where starting earlier does not buy that, the surest one. Plans
 * with fewer people and with fewer formers in use are among those compared, so that more of either never begins earlier;
 * the ampler ways are tried first, and others only as far as they begin later.
 * @param walks how many orders of the tasks are tried beyond the first few
 */
export function surePlan(question: TimetableQuestion, walks: number): Result<SurePlan, Refused> {
  const { aheadMin, wantedChance } = question
  const roomy = givingRoom(aheadMin)
  let likelyFirst: readonly number[] = Array.from({ length: LIVES }, (_, life) => life)
  let sure: Weighed | null = null
  let tried: Roomy[] = []
  let fewest = Infinity
  let last: Candidate | null = null
  let refused: Refused | null = null
  for (const way of waysOf(question, walks)) {
    const bare = bareOf(way)
    if (!bare.ok) {
      refused ??= bare.error
      continue
    }
    if (!last || startOf(bare.value) > startOf(last)) last = bare.value
    if (isNoLater(bare.value, sure) && fewest === 0) continue
    for (const each of withMoreToSpare(way, bare.value)) {
      // What somebody put at an hour stays there first of all, however sure another plan would be.
      if (unkeptPins(each) < fewest) [fewest, sure, tried] = [unkeptPins(each), null, []]
      if (isNoLater(each, sure)) {
        if (fewest === 0) break
      } else if (unkeptPins(each) === fewest) {
        const { planned, schedule, lives } = roomy(each)
        tried.push({ planned, schedule, lives })
        const { risk, order } = riskIfReady(lives, likelyFirst, wantedChance)
        likelyFirst = order
        if (risk) sure = { planned, schedule, risk }
      }
    }
  }
  if (!last) return refuse(refused!)
  const best = sure ?? weighed(surestOf(tried))
  // Of plans that begin together, the one with more to spare says how likely that hour is.
  const latest = isNoLater(last, best) ? best : weighed(roomy(last))
  return ok({ ...best, last: { startBy: startOf(latest), chance: latest.risk.chance } })
}

/** Ways of doing the work, the ampler first: with all people or some, all there is of what they have or less. */
function waysOf(question: TimetableQuestion, walks: number): readonly Way[] {
  const limits = limitsOf(timetableJob(question).job)
  const efforts = walks > QUICK_WALKS ? [QUICK_WALKS, walks] : [walks]
  const people = question.people.map((_, at) => ({ ...question, people: question.people.slice(0, at + 1) }))
  return [...people]
    .reverse()
    .flatMap((some) => efforts.flatMap((effort) => [...limits].reverse().map((limit) => ({ some, limit, effort }))))
}

const unkeptPins = ({ schedule }: Candidate): number => schedule.unkeptPins.length

/** Where none is sure, the surest; of equals the one that begins latest. */
const surestOf = (tried: readonly Roomy[]): Roomy =>
  tried
    .map((roomy) => ({ roomy, chance: riskOf(roomy.lives, LIVES_TO_COMPARE).chance }))
    .reduce((one, other) => (other.chance > one.chance ? other : one)).roomy
