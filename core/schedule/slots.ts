/** A timetable as it is read: slots by the clock, lanes for what stands beside each other. */
import type { Moment, Working } from '../quantity'
import type { Happened } from './live'
import type { PlannedTask, SlotKind, TaskOf } from './collected'
import type { TimetableJob } from './job'
import type { TimetableQuestion } from './question'
import type { Hold, PlacedTask, Reason, Schedule } from './task'
import type { Stretch } from './workingHours'

/**
 * Something that has its hours. `lane` is what it occupies: the hands, a mat, a tray, a place in the oven, nothing where it
 * only rests, the road, the cake itself.
 */
export type Slot = Stretch & {
  readonly id: string
  readonly kind: SlotKind
  readonly name: string
  readonly lane: string
  readonly hands: boolean
  /** What it is a step of; none for work at the cake and on the road. */
  readonly of: TaskOf | null
  /** Tiers it is done to, the lowest 0. */
  readonly tiers: readonly number[]
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
  /** How likely it is to hold, and what makes it late, in words; what helps where starting earlier does not. */
  readonly risk: {
    readonly chance: Working
    readonly wanted: number
    readonly isSure: boolean
    readonly help: readonly string[]
    readonly causes: readonly { readonly words: string; readonly share: number }[]
  }
  /** The last possible hour, and how likely that is to be in time; none once work was begun. */
  readonly last: { readonly startBy: Moment; readonly chance: Working } | null
}

/** Whether one could begin later than planned, so much that it shows on a clock. */
export const couldBeginLater = ({ startBy, last }: Pick<Timetable, 'startBy' | 'last'>): boolean =>
  last !== null && last.startBy >= startBy + 1

const HANDS = 'hands'
/** The lane of what rests and takes up nothing. */
export const RESTING = 'resting'
/** What goes on by itself at the cake. */
const ON_CAKE: readonly SlotKind[] = ['chill', 'ready', 'warm', 'set']

/** A schedule as slots: work in its parts, what lies on mats and trays, what goes on setting. */
export function timetableOf(
  { tasks, job, lying }: TimetableJob,
  schedule: Schedule,
  { eventAt, people }: TimetableQuestion,
  happened: ReadonlyMap<string, Happened> = new Map(),
): Omit<Timetable, 'risk' | 'last' | 'standing'> {
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
    if (ON_CAKE.includes(task.kind)) return 'cake'
    return laneOn(task.id, schedule, !task.byHand) ?? (task.byHand ? handsLane(placed.get(task.id)!) : RESTING)
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
      tiers: task.tiers,
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
    const lane = place ? laneAfter(from, place, schedule) : RESTING
    const nobody = { hands: false, tiers: [], task: null, person: null }
    return [{ id, kind, name, of, lane, state, ...nobody, from: laid, to: taken }]
  })
  const event: Slot = {
    id: 'event',
    kind: 'event',
    name: 'Event',
    lane: 'road',
    hands: false,
    of: null,
    tiers: [],
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
  }
}

/** Places of which pieces hold one by one are lanes of their own, numbered. */
const NUMBERED: readonly string[] = ['mat', 'tray', 'oven', 'rack']

/** What is held by a task or until it, as a lane; none where nothing is, or where hands are at it. */
function laneOn(task: string, { held }: Schedule, isAlone = false): string | null {
  // What a task has to itself tells more than what it takes up, and that more than what it lays down.
  const rank = ({ from, until }: Hold): number => (from === until ? 0 : until === task ? 1 : 2)
  const own = held
    .filter(({ hold }) => hold.from === task || hold.until === task)
    .sort((one, other) => rank(one.hold) - rank(other.hold))
  const numbered = own.find(({ hold }) => NUMBERED.includes(hold.resource))
  if (numbered) return `${numbered.hold.resource} ${numbered.unit}`
  const other = own.find(({ hold }) => hold.until === task)
  return other && (isAlone || other.hold.from !== task) ? other.hold.resource : null
}

/** What lies at a place after a task, as a lane. */
function laneAfter(task: string, place: string, { held }: Schedule): string {
  const at = held.find(({ hold }) => hold.from === task && hold.resource === place)!
  return NUMBERED.includes(place) ? `${place} ${at.unit}` : place
}

export type NoTimetable =
  | { readonly code: 'no-working-time'; readonly task: string }
  | { readonly code: 'no-formers'; readonly formers: string }
  | { readonly code: 'goes-off'; readonly task: string; readonly next: string }
