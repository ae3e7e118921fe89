/** What a schedule is made of: tasks, waits between them, what they occupy, who does them. */
import type { Moment } from '../quantity'
import type { Stretch, WorkingHours } from './workingHours'

/** What drying usually takes, minutes, and how far the room may be off from that, deviation of its logarithm. */
export type Drying = { readonly usuallyMin: number; readonly deviation: number }

/** Something to do, or something that happens by itself: an oven spell, a drive, warming through. Minutes. */
export type Task = {
  readonly id: string
  readonly name: string
  readonly durationMin: number
  /** Takes a pair of hands; else it goes on by itself. */
  readonly byHand: boolean
  /** May be put down and taken up again. */
  readonly splits: boolean
  /** Does not mind the working hours: the day of the event itself, an oven. */
  readonly anyHour: boolean
  /** Must be over by then. */
  readonly endsBy: Moment | null
  /** Whether what it makes keeps, so that it may be done before it must: for days, till the end of its day, not at all. */
  readonly keeps: 'days' | 'day' | 'no'
  /** What keeps for days is still not done before. */
  readonly notBefore: Moment | null
  /** Tasks of one group are better done one after the other. */
  readonly group: string
  /** The hour it was put at by hand. */
  readonly pinnedAt: Moment | null
  /** What goes on by itself may be drying, which strays. */
  readonly drying: Drying | null
  /** What its luck hangs on: what is done, so that the same cake entered twice, under other ids, has the same luck. */
  readonly luck: string
}

/**
 * Between the end of one task and the beginning of another: no less, and no more where something goes off. Drying
 * strays; a plan that is to hold leaves time to spare on top.
 */
export type Wait = {
  readonly before: string
  readonly after: string
  readonly leastMin: number
  readonly mostMin: number | null
  readonly drying: Drying | null
  readonly spareMin: number
}

/**
 * Formers, foam holes, places in the oven: so many units are held from the beginning of a task to the end of another
 * or the same.
 */
export type Hold = { readonly resource: string; readonly units: number; readonly from: string; readonly until: string }

export type Resource = { readonly id: string; readonly name: string; readonly count: number }

/** Somebody who works, and when they cannot. */
export type Person = {
  readonly id: string
  readonly name: string
  readonly hours: WorkingHours
  readonly busy: readonly Stretch[]
}

export type Job = {
  readonly tasks: readonly Task[]
  readonly waits: readonly Wait[]
  readonly holds: readonly Hold[]
  readonly resources: readonly Resource[]
  readonly people: readonly Person[]
  /** Everything is over by then. */
  readonly endAt: Moment
}

/** Why a task is no later than it is. */
export type Reason =
  | { readonly kind: 'end' }
  | { readonly kind: 'next'; readonly task: string; readonly waitMin: number }
  | { readonly kind: 'unit'; readonly resource: string; readonly task: string }
  | { readonly kind: 'hands'; readonly task: string | null }
  | { readonly kind: 'goesOff'; readonly task: string }
  | { readonly kind: 'pinned' }

/** A task with its hours: in parts, earliest first, and who does it. */
export type PlacedTask = {
  readonly task: string
  readonly person: string | null
  readonly parts: readonly Stretch[]
  readonly reason: Reason
  /** Begun later than that, something after it is late. */
  readonly latestFrom: Moment
}

/** Which unit of a resource, from 1, a hold has. */
export type HeldUnit = { readonly hold: Hold; readonly unit: number }

/** All tasks with their hours; `startBy` is when the first hand must begin. */
export type Schedule = {
  readonly placed: readonly PlacedTask[]
  readonly held: readonly HeldUnit[]
  readonly startBy: Moment
  readonly switches: number
  readonly unkeptPins: readonly string[]
}

/** Why there is no schedule. */
export type NoSchedule =
  | { readonly code: 'no-units'; readonly resource: string }
  | { readonly code: 'no-time'; readonly task: string }
  | { readonly code: 'goes-off'; readonly task: string; readonly next: string }
  | { readonly code: 'in-circles'; readonly task: string }
