/** From work to hours: the latest timetable, how it has gone so far, and the hour to start with its working. */
import type { Commission, Option } from '../../commission'
import type { Bench } from '../../ledger'
import type { Learned } from '../../learn'
import { derive, ok, parseMoment, refuse, typed, valueOf, type Moment, type Result, type Working } from '../../quantity'
import {
  findTimetable,
  paceWorking,
  timetableSince,
  workFor,
  type FoundTimetable,
  type Happened,
  type Person,
  type Stretch,
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
/** How often a timetable is lived through, when there is time for more than a quick answer. */
const RISK_RUNS = 200

export type ScheduleInputs = {
  readonly brief: Pick<Commission['brief'], 'eventAt' | 'completion' | 'keeping'> & { readonly roadMin: number }
  readonly warmMin: number
  readonly workshop: Pick<Workshop, 'mats' | 'trays' | 'ovenPlaces' | 'hours' | 'pace' | 'moulds' | 'people' | 'busy'>
  readonly tiers: Working
  readonly others: readonly Stretch[]
  readonly pins: Readonly<Record<string, number>>
  readonly walks: number
  readonly making: MakingWork
  readonly hands: Learned['hands']
}

/** What the search asks of brief, option and workshop, and no more: other edits leave the hours as they are. */
export function toSchedule(
  brief: Commission['brief'],
  { cake, pins }: Pick<Option, 'cake' | 'pins'>,
  workshop: Workshop,
): Pick<ScheduleInputs, 'brief' | 'workshop' | 'tiers' | 'pins'> {
  const { eventAt, completion, keeping } = brief
  const { mats, trays, ovenPlaces, moulds, hours, pace, people, busy } = workshop
  return {
    brief: { eventAt, completion, keeping, roadMin: roadWorking(brief).value },
    workshop: { mats, trays, ovenPlaces, moulds, hours, pace, people, busy },
    tiers: typed('tiers', cake.tiers.length, 'count', 'Tiers'),
    pins,
  }
}

export type Scheduled = {
  readonly work: Work
  readonly question: TimetableQuestion | null
  readonly found: Result<FoundTimetable, NoTimetableReason>
}

/** The latest timetable for the work, before anything has happened. */
export function scheduleStage(inputs: ScheduleInputs): Scheduled {
  const { brief, warmMin, workshop, tiers, others, pins, walks, making, hands } = inputs
  const work = workFor(making.making, making.inTurn, brief.completion, workshop.pace, tiers, hands)
  if (making.neverSet.length > 0) return { work, question: null, found: refuse({ code: 'never-sets' }) }
  if (making.making.length === 0) return { work, question: null, found: refuse({ code: 'nothing-to-make' }) }
  const question: TimetableQuestion = {
    eventAt: valueOf(parseMoment(brief.eventAt)),
    driveMin: brief.roadMin,
    warmMin,
    warmedFor: brief.keeping === 'roomTemperature' ? 'placing' : 'showing',
    aheadMin: workshop.pace.aheadMin,
    completion: brief.completion,
    work,
    resources: PLACES.map((place) => ({ id: place, name: PLACE_WORDS[place], count: countOf(place, workshop) })),
    people: peopleOf(workshop, others),
    pins,
  }
  return { work, question, found: findTimetable(question, walks) }
}

export type SinceInputs = {
  readonly scheduled: Scheduled
  readonly walks: number
  readonly tasks: Bench['tasks']
  readonly now: Moment
}

/** The timetable as it has gone so far, and as it goes on from now. */
export function timetableStage({ scheduled, walks, tasks, now }: SinceInputs): Plan['timetable'] {
  const { found: schedule, question } = scheduled
  if (!schedule.ok || !question) return schedule.ok ? refuse({ code: 'nothing-to-make' }) : schedule
  const happened = new Map(
    tasks.map(({ task, begunAt, doneAt }): readonly [string, Happened] => [task, { from: begunAt, to: doneAt }]),
  )
  const runs = walks > QUICK_WALKS ? RISK_RUNS : 0
  return ok(timetableSince(schedule.value, question, walks, runs, happened.size > 0 ? { happened, now } : null))
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
    `the latest beginning found, back from {leave}: {hands} of work in working hours, {carLoad}` +
      `${longest && longest.value > 0 ? ', the longest rest {longest}' : ''}`,
    {
      leave,
      hands: work.total,
      carLoad: paceWorking(pace, 'loadMin'),
      ...(longest && longest.value > 0 && { longest }),
    },
    () => startBy,
  )
}
