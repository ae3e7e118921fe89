/**
 * From the work of a commission to its timetable: tasks with what each waits for and occupies, laid back from the
 * event.
 */
import { derive, found, ok, refuse, starting, type Moment, type Result, type Working } from '../quantity'
import { freeWithOvertime, inOrder, liveThrough, type Happened } from './live'
import { riskOf, STARTING_STRAYING, type Risk, type Since } from './risk'
import { latestSchedule } from './search'
import { smoothed } from './smooth'
import {
  timetableJob,
  type PlannedTask,
  type SlotKind,
  type TaskOf,
  type TimetableJob,
  type TimetableQuestion,
} from './job'
import type { Job, NoSchedule, PlacedTask, Reason, Schedule } from './task'
import type { Stretch } from './workingHours'

/**
 * Something that has its hours. `lane` is what it occupies: the hands, a mat, a tray, a place in the oven, the rack,
 * the road, the cake itself.
 */
export type Slot = Stretch & {
  readonly id: string
  readonly kind: SlotKind
  readonly name: string
  readonly lane: string
  readonly hands: boolean
  /** What it is a step of; none for work at the cake and on the road. */
  readonly of: TaskOf | null
  /** The task it is all or part of; none for what only lies and waits. */
  readonly task: string | null
  readonly person: string | null
  /** Whether it is over, or somebody is at it. */
  readonly state: 'toDo' | 'underWay' | 'done'
}

/** Why a task is no later. */
type SlotReason = { readonly task: string; readonly reason: Reason }

export type Timetable = {
  readonly slots: readonly Slot[]
  readonly startBy: Moment
  readonly atVenueBy: Moment
  readonly leaveAt: Moment
  readonly reasons: readonly SlotReason[]
  readonly unkeptPins: readonly string[]
  /**
   * When all is ready if work goes on as planned from here, and how long before it must be; none before anything was
   * begun.
   */
  readonly standing: { readonly readyAt: Moment; readonly spareMin: number } | null
  /** How likely it is to hold, once that was worked out; what makes it late, in words. */
  readonly risk: {
    readonly chance: Working
    readonly sure: SureStart | null
    readonly causes: readonly { readonly words: string; readonly share: number }[]
  } | null
}

/** What it takes to be ready nine times in ten: ready so much earlier than asked, and begun then. */
type SureStart = { readonly earlierMin: number; readonly startBy: Moment; readonly chance: number }

export type NoTimetable =
  | { readonly code: 'no-working-time'; readonly task: string }
  | { readonly code: 'no-formers'; readonly formers: string }
  | { readonly code: 'goes-off'; readonly task: string; readonly next: string }

const HANDS = 'hands'
const SEED = 1

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

/**
 * So far past the event work is put where hands are free; beyond, at any hour, so that a timetable always has an end.
 */
const DAYS_AFTER = 60
const MINUTES_PER_DAY = 1440

/** A schedule as it goes on from what has happened; `order` is the schedule whose order it follows. */
type Carried = { readonly schedule: Schedule; readonly order: Schedule; readonly readyAt: Moment }

/**
 * Everything goes on in its planned order, later where it must. Where that is too late, the rest is put in another
 * order if one is ready sooner.
 */
function carriedOn(job: Job, schedule: Schedule, since: Since, walks: number): Carried {
  const asPlanned = carriedIn(job, schedule, since)
  if (asPlanned.readyAt <= job.endAt) return asPlanned
  const isDone = (task: string): boolean => (since.happened.get(task)?.to ?? null) !== null
  const rest: Job = {
    ...job,
    tasks: job.tasks.filter(({ id }) => !isDone(id)),
    waits: job.waits.filter(({ before, after }) => !isDone(before) && !isDone(after)),
    holds: job.holds
      .filter(({ until }) => !isDone(until))
      .map((hold) => (isDone(hold.from) ? { ...hold, from: hold.until } : hold)),
  }
  const other = latestSchedule(rest, SEED, walks)
  if (!other.ok) return asPlanned
  const merged: Schedule = {
    ...other.value,
    placed: schedule.placed.map((each) => other.value.placed.find(({ task }) => task === each.task) ?? each),
    held: schedule.held.map(
      (each) =>
        other.value.held.find(
          ({ hold }) =>
            hold.resource === each.hold.resource && hold.until === each.hold.until && !isDone(each.hold.from),
        ) ?? each,
    ),
  }
  const inOther = carriedIn(job, merged, since)
  return inOther.readyAt < asPlanned.readyAt ? inOther : asPlanned
}

function carriedIn(job: Job, schedule: Schedule, since: Since): Carried {
  const begin = Math.min(schedule.startBy, since.now) - MINUTES_PER_DAY
  const free = new Map(
    job.people.map((person) => [
      person.id,
      freeWithOvertime(person, Math.max(job.endAt, since.now) + DAYS_AFTER * MINUTES_PER_DAY).filter(
        ({ to }) => to > begin,
      ),
    ]),
  )
  const lived = liveThrough(job, schedule, inOrder(job, schedule), free, {
    ...since,
    minutesOf: ({ durationMin }) => durationMin,
    restOf: ({ leastMin }) => leastMin,
  })
  const last = Math.max(job.endAt, since.now) + DAYS_AFTER * MINUTES_PER_DAY
  const partsOf = (task: string): readonly Stretch[] =>
    lived.get(task)!.parts.map(({ from, to }) => ({ from: Math.min(from, last), to: Math.min(to, last) }))
  const placed = schedule.placed.map((each) => ({ ...each, parts: partsOf(each.task) }))
  return {
    schedule: { ...schedule, placed },
    order: schedule,
    readyAt: Math.max(...placed.map(({ parts }) => parts.at(-1)!.to)),
  }
}

const SURE = 0.9
/** How much earlier than asked is tried, minutes. */
const EARLIER_MIN = [30, 60, 120, 180, 240, 360, 720, 1440] as const

/**
 * The least that one has to be ready earlier to be ready for the event nine times in ten; none where even a day does
 * not do.
 */
function sureStart(question: TimetableQuestion, runs: number): SureStart | null {
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

function riskInWords(
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

function inWords(problem: NoSchedule, { job, tasks }: TimetableJob): NoTimetable {
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

/** A schedule as slots: work in its parts, what lies on mats and trays, what sets on the rack. */
function timetableOf(
  { tasks, job, lying }: TimetableJob,
  schedule: Schedule,
  { eventAt, people }: TimetableQuestion,
  happened: ReadonlyMap<string, Happened> = new Map(),
): Timetable {
  const stateOf = (task: string): Slot['state'] => {
    const has = happened.get(task)
    return !has ? 'toDo' : has.to === null ? 'underWay' : 'done'
  }
  const placed = new Map(schedule.placed.map((each) => [each.task, each]))
  const stretchOf = (id: string): Stretch => {
    const { parts } = placed.get(id)!
    return { from: parts[0]!.from, to: parts.at(-1)!.to }
  }
  const handsLane = ({ person }: PlacedTask): string =>
    people.length > 1 ? (people.find(({ id }) => id === person)?.name ?? HANDS) : HANDS
  const laneOf = (task: PlannedTask): string => {
    if (task.kind === 'drive') return 'road'
    if (task.kind === 'warm') return 'cake'
    return laneOn(task.id, schedule) ?? (task.byHand ? handsLane(placed.get(task.id)!) : 'rack')
  }
  const slots = tasks.flatMap((task): readonly Slot[] => {
    const here = placed.get(task.id)!
    const many = here.parts.length
    return here.parts.map((part, at): Slot => ({
      ...part,
      id: many > 1 ? `${task.id}-${at + 1}` : task.id,
      kind: task.kind,
      hands: task.byHand,
      of: task.of,
      task: task.id,
      person: here.person,
      state: stateOf(task.id),
      lane: laneOf(task),
      name: many > 1 ? `${task.name}, part ${at + 1} of ${many}` : task.name,
    }))
  })
  const lies = lying.flatMap(({ id, kind, name, of, from, until, place }): readonly Slot[] => {
    const laid = stretchOf(from).to
    const taken = 'task' in until ? stretchOf(until.task).from : stretchOf(until.since).to + until.afterMin
    if (taken <= laid) return []
    const isOver = 'task' in until && stateOf(until.task) === 'done'
    const state = isOver ? 'done' : stateOf(from) === 'done' ? 'underWay' : 'toDo'
    const lane = place ? laneOn(from, schedule)! : 'rack'
    return [{ id, kind, name, of, lane, state, hands: false, task: null, person: null, from: laid, to: taken }]
  })
  const event: Slot = {
    id: 'event',
    kind: 'event',
    name: 'Event',
    lane: 'road',
    hands: false,
    of: null,
    task: null,
    person: null,
    state: 'toDo',
    from: eventAt,
    to: eventAt,
  }
  const drive = stretchOf('drive')
  const atVenue = job.waits.filter(({ before }) => before === 'drive').map(({ after }) => stretchOf(after).from)
  return {
    slots: [...slots, ...lies, event].sort((one, other) => one.from - other.from || one.to - other.to),
    startBy: schedule.startBy,
    leaveAt: drive.from,
    atVenueBy: Math.min(job.endAt, ...atVenue),
    reasons: schedule.placed.map(({ task, reason }) => ({ task, reason })),
    unkeptPins: schedule.unkeptPins,
    risk: null,
    standing: null,
  }
}

/** Places of which pieces hold one by one are lanes of their own, numbered. */
const NUMBERED: readonly string[] = ['mat', 'tray', 'oven']

/** What is held by a task or until it, as a lane; none where nothing is. */
function laneOn(task: string, { held }: Schedule): string | null {
  const at = held.find(
    ({ hold }) =>
      hold.from === task || (hold.until === task && (NUMBERED.includes(hold.resource) || hold.from !== task)),
  )
  if (!at) return null
  if (NUMBERED.includes(at.hold.resource)) return `${at.hold.resource} ${at.unit}`
  return at.hold.until === task && at.hold.from !== task ? at.hold.resource : null
}
