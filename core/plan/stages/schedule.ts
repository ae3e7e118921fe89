/** From work to hours: the latest timetable, how it has gone so far, and the hour to start with its working. */
import type { Commission, Option } from '../../commission'
import type { Bench } from '../../ledger'
import type { Learned } from '../../learn'
import {
  dayOf,
  derive,
  found,
  ok,
  parseMoment,
  refuse,
  typed,
  valueOf,
  type Moment,
  type Result,
  type Working,
} from '../../quantity'
import { coveringOf } from '../../material'
import type { Tier } from '../../cake'
import { setMinOf, type PlannedDecoration } from '../../decoration'
import {
  findTimetable,
  paceWorking,
  timetableSince,
  workFor,
  type CakeCounts,
  type Happened,
  type Person,
  type Stretch,
  type SurePlan,
  type TierToDress,
  type TimetableQuestion,
  type Work,
} from '../../schedule'
import { PLACES, PLACE_WORDS } from '../../technique'
import type { Workshop } from '../../workshop'
import type { NoTimetableReason, Plan } from '../plan'
import { roadWorking } from './road'
import { countOf, type MakingWork } from './work'

/** Orders of work tried for an answer at once. */
export const QUICK_WALKS = 4

export type ScheduleInputs = {
  readonly brief: Pick<Commission['brief'], 'eventAt' | 'completion' | 'keeping' | 'venueOpensMin'> & {
    readonly roadMin: number
  }
  readonly warmMin: TimetableQuestion['warmMin']
  readonly workshop: Pick<
    Workshop,
    'mats' | 'trays' | 'ovenPlaces' | 'hours' | 'pace' | 'moulds' | 'people' | 'busy' | 'readyChance'
  >
  readonly tiers: readonly TierToDress[]
  /** Picks that come out again. */
  readonly picks: number
  /** Till what is placed together holds. */
  readonly setMin: number
  readonly others: readonly Stretch[]
  readonly pins: Readonly<Record<string, number>>
  readonly making: MakingWork
  readonly hands: Learned['hands']
}

/** What the search asks of brief, option and workshop, and no more: other edits leave the hours as they are. */
export function toSchedule(
  brief: Commission['brief'],
  { cake, pins }: Pick<Option, 'cake' | 'pins'>,
  workshop: Workshop,
): Pick<ScheduleInputs, 'brief' | 'workshop' | 'tiers' | 'pins'> {
  const { eventAt, completion, keeping, venueOpensMin } = brief
  const { mats, trays, ovenPlaces, moulds, hours, pace, people, busy, readyChance } = workshop
  return {
    brief: { eventAt, completion, keeping, venueOpensMin, roadMin: roadWorking(brief).value },
    workshop: { mats, trays, ovenPlaces, moulds, hours, pace, people, busy, readyChance },
    tiers: cake.tiers.map(tierToDress),
    pins,
  }
}

/** A tier as the search needs it. A dummy is covered, but neither filled nor chilled. */
export function tierToDress({ id, inside, covering, chilled, stands }: Tier, at: number): TierToDress {
  const { name, readyMin, readyWhen, keepsMin, thicknessMm } = coveringOf(covering)
  const isFilled = inside === 'cake' && covering !== 'dummy'
  return {
    id,
    isFilled,
    isChilled: isFilled && chilled,
    isStacked: at > 0 && stands === 'stacked',
    covering: thicknessMm > 0 ? { id: covering, name, readyMin, readyWhen, keepsMin } : null,
  }
}

/** What is counted of the cake, for the work on it. */
function countsOf(tiers: readonly TierToDress[], picks: number): CakeCounts {
  const count = (label: string, many: number): Working => typed(label, many, 'count', 'Tiers')
  return {
    stacked: count('tiers that stand on another', tiers.filter(({ isStacked }) => isStacked).length),
    filled: count('tiers to fill', tiers.filter(({ isFilled }) => isFilled).length),
    covered: count('tiers to cover', tiers.filter(({ covering }) => covering).length),
    picks: found('picks', picks, 'count', 'of all decorations, those that do not stay in'),
  }
}

/** Picks that come out again, of all decorations. */
export const picksIn = (decorations: readonly Pick<PlannedDecoration, 'removals'>[]): number =>
  decorations.reduce(
    (sum, { removals }) => sum + removals.reduce((all, { count, stays }) => all + (stays ? 0 : count), 0),
    0,
  )

/** Minutes until the slowest glue holds of what is placed together. */
export const placedSetMin = (decorations: readonly Pick<PlannedDecoration, 'skin' | 'gluings'>[]): number =>
  setMinOf(decorations.filter(({ skin }) => !skin).flatMap(({ gluings }) => gluings))

/** All that is to be done, and when it is to be done as a question; where there is nothing to ask, why. */
export type ToDo = {
  readonly work: Work
  readonly question: Result<TimetableQuestion, NoTimetableReason>
}

/** All work, and what is asked of the search for hours. */
export function toDoStage(inputs: ScheduleInputs): ToDo {
  const { brief, warmMin, workshop, tiers, picks, setMin, others, pins, making, hands } = inputs
  const counts = countsOf(tiers, picks)
  const work = workFor(making.making, making.inTurn, brief.completion, workshop.pace, counts, hands)
  if (making.neverSet.length > 0) return { work, question: refuse({ code: 'never-sets' }) }
  if (making.making.length === 0) return { work, question: refuse({ code: 'nothing-to-make' }) }
  const eventAt = valueOf(parseMoment(brief.eventAt))
  const question: TimetableQuestion = {
    eventAt,
    driveMin: brief.roadMin,
    tiers,
    isKeptChilled: brief.keeping === 'chilledSealed',
    warmMin,
    setMin,
    aheadMin: workshop.pace.aheadMin,
    venueOpensAt: dayOf(eventAt) + brief.venueOpensMin,
    wantedChance: workshop.readyChance,
    completion: brief.completion,
    work,
    resources: PLACES.map((place) => ({ id: place, name: PLACE_WORDS[place], count: countOf(place, workshop) })),
    people: peopleOf(workshop, others),
    pins,
  }
  return { work, question: ok(question) }
}

type SearchInputs = { readonly toDo: ToDo; readonly walks: number }

/** The latest timetable for the work, before anything has happened. */
export const scheduleStage = ({ toDo: { question }, walks }: SearchInputs): Result<SurePlan, NoTimetableReason> =>
  question.ok ? findTimetable(question.value, walks) : question

type SinceInputs = SearchInputs & {
  readonly scheduled: Result<SurePlan, NoTimetableReason>
  readonly tasks: Bench['tasks']
  readonly now: Moment
}

/** The timetable as it has gone so far, and as it goes on from now. */
export function timetableStage({ toDo: { question }, scheduled, walks, tasks, now }: SinceInputs): Plan['timetable'] {
  if (!scheduled.ok) return scheduled
  if (!question.ok) return question
  const happened = new Map(
    tasks.map(({ task, begunAt, doneAt }): readonly [string, Happened] => [task, { from: begunAt, to: doneAt }]),
  )
  return ok(timetableSince(scheduled.value, question.value, walks, happened.size > 0 ? { happened, now } : null))
}

/**
 * Everybody works the studio's hours; the first of them is the one whose calendar is known, and who does what other
 * commissions ask.
 */
const peopleOf = (
  { people, hours, busy }: Pick<Workshop, 'people' | 'hours' | 'busy'>,
  others: readonly Stretch[],
): readonly Person[] =>
  Array.from({ length: people }, (_, at) => ({
    id: `hands-${at + 1}`,
    name: people === 1 ? 'hands' : `hands ${at + 1}`,
    hours,
    busy: at === 0 ? [...busy, ...others] : [],
  }))

/** The hour to start with its working, down to the event, the drive and the longest rest. */
export function startByWorking(
  brief: Commission['brief'],
  pace: Workshop['pace'],
  timetable: Plan['timetable'],
  work: Work,
): Working | null {
  if (!timetable.ok) return null
  const { leaveAt, startBy } = timetable.value
  const atVenue = brief.completion === 'atVenue'
  const leave = derive(
    'leave by',
    'moment',
    'back from the event',
    `{event} − {before}${atVenue ? ' − {place}' : ''} − {drive}`,
    {
      event: typed('event', valueOf(parseMoment(brief.eventAt)), 'moment', 'Brief'),
      before: paceWorking(pace, 'aheadMin'),
      drive: roadWorking(brief),
      ...(atVenue ? { place: work.place } : {}),
    },
    () => leaveAt,
  )
  const rests = work.making.flatMap(({ name, steps }) =>
    steps.flatMap(({ rest, ovenMin }) => [{ ...(ovenMin ?? rest), label: `${name.toLowerCase()}, ${rest.label}` }]),
  )
  const longest = rests.reduce<Working | null>((most, rest) => (!most || rest.value > most.value ? rest : most), null)
  return derive(
    'start by',
    'moment',
    'walked back in working hours',
    `the latest beginning found that is ready with {chance}, back from {leave}: {hands} of work in working hours, ` +
      `{carLoad}${longest && longest.value > 0 ? ', the longest rest {longest}' : ''}`,
    {
      chance: timetable.value.risk.chance,
      leave,
      hands: work.total,
      carLoad: paceWorking(pace, 'loadMin'),
      ...(longest && longest.value > 0 && { longest }),
    },
    () => startBy,
  )
}

/** How likely it is to be ready, where that is less than what is wanted. */
export function unsureOf(timetable: Plan['timetable']) {
  if (!timetable.ok || timetable.value.risk.isSure) return null
  const { chance, wanted, help } = timetable.value.risk
  return { chance: chance.value, wanted, help }
}
