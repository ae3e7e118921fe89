/**
 * What happened at the bench and at the door of the venue: hours, counts, timers, troubles, what went in and came out.
 */
import { z } from 'zod'
import { momentSchema } from '../quantity'
import { photoSchema } from './photo'

const id = z.string().min(1).max(160)
const words = z.string().max(400)
const count = z.number().int().min(0).max(5000)
const moment = momentSchema
/** By the world's clock, from 1970 to 2200, ms. */
const worldMs = z.number().min(0).max(7.3e12)
const MOST_RECORDS = 600
/** Room for everything a commission can have of one kind. */
const named = <Value extends z.ZodType>(value: Value) =>
  z.record(id, value).refine((all) => Object.keys(all).length <= MOST_RECORDS, `At most ${MOST_RECORDS} can be kept.`)
/** More minutes than a year has. */
const minutes = z.number().min(0).max(600_000)

/**
 * Work as it was done. `pausedMin` is how long it was put down; `pausedAt` since when it is. Moments by local time, in
 * minutes.
 */
const taskRecordSchema = z.strictObject({
  task: id,
  name: z.string().min(1).max(200),
  begunAt: moment,
  doneAt: moment.nullable(),
  pausedMin: minutes,
  pausedAt: moment.nullable(),
  /** Why it was left out, when it was. */
  skipped: words.nullable(),
})

export type TaskRecord = z.infer<typeof taskRecordSchema>

/** A timer by the clock of the machine, ms, so that it goes on while the page is closed. */
const benchTimerSchema = z.strictObject({
  id,
  name: z.string().min(1).max(200),
  task: id,
  beganMs: worldMs,
  minutes: z.number().min(0.05).max(20_000),
  stopped: z.boolean(),
})
export type BenchTimer = z.infer<typeof benchTimerSchema>

/** Pieces of one kind and size that came out. */
const pieceCountSchema = z.strictObject({ good: count, broken: count })
export type PieceCount = z.infer<typeof pieceCountSchema>

/** Pieces cut again because too many broke. */
const recutSchema = z.strictObject({ id, part: id, many: z.number().int().min(1).max(500), at: moment, from: words })
export type Recut = z.infer<typeof recutSchema>

/** More pieces than these are another job, not pieces cut again. */
export const MOST_AGAIN = 3000
export const againIn = (recuts: readonly Recut[]): number => recuts.reduce((sum, { many }) => sum + many, 0)

/** Something that went wrong: what was seen, what it was put down to, and when. */
const troubleSchema = z.strictObject({
  id,
  at: moment,
  seen: z.string().min(1).max(60),
  cause: z.string().max(60),
  task: z.string().max(160),
})

/** The plan as it was when the first step was begun, to look back at. */
const plannedThenSchema = z.strictObject({
  at: moment,
  startBy: moment.nullable(),
  handsMin: minutes,
  sheets: count,
  pieces: count,
  spares: count,
  cost: z.number().min(0).max(1e12),
})

export const MOST_PHOTOS = 8

export const benchSchema = z.strictObject({
  planned: plannedThenSchema.nullable(),
  tasks: z.array(taskRecordSchema).max(MOST_RECORDS),
  /** By part of the cut list. */
  counts: named(pieceCountSchema),
  recuts: z
    .array(recutSchema)
    .max(MOST_RECORDS)
    .refine((all) => againIn(all) <= MOST_AGAIN, `At most ${MOST_AGAIN} pieces can be cut again.`),
  timers: z.array(benchTimerSchema).max(60),
  troubles: z.array(troubleSchema).max(200),
  /** Things on formers that were felt and were still soft: minutes after they were laid down, by task. */
  felt: named(z.number().min(-600_000).max(600_000)),
  /** When each line of the checklists was ticked. */
  ticks: named(moment),
  /** Things that are not food, by what they are: so many went in, so many came out. */
  wentIn: named(count),
  cameOut: named(count),
  photos: z.array(photoSchema).max(MOST_PHOTOS),
  /** Pictures of how a step came out, by its task. */
  stepPhotos: z.array(z.strictObject({ task: id, photo: photoSchema })).max(MOST_PHOTOS),
  handedOver: z
    .strictObject({ at: moment, by: z.string().max(80), to: z.string().max(80), notes: z.string().max(2000) })
    .nullable(),
  /** What was thought of it after. */
  review: z
    .strictObject({ at: moment, colour: z.enum(['spotOn', 'close', 'off']), change: z.string().max(2000) })
    .nullable(),
})

export type Bench = z.infer<typeof benchSchema>

/** Nothing has been done yet. */
export const freshBench = (): Bench => ({
  planned: null,
  tasks: [],
  counts: {},
  recuts: [],
  timers: [],
  troubles: [],
  felt: {},
  ticks: {},
  wentIn: {},
  cameOut: {},
  photos: [],
  stepPhotos: [],
  handedOver: null,
  review: null,
})
