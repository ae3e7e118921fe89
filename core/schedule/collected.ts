/** Tasks as they are collected, with what each waits for. */
import type { Drying, Hold, Task, Wait } from './task'
import type { Making, Turn } from './work'

export type SlotKind =
  | 'fill'
  | 'chill'
  | 'cover'
  | 'ready'
  | 'stack'
  | 'warm'
  | 'make'
  | 'dry'
  | 'oven'
  | 'rest'
  | 'place'
  | 'set'
  | 'picksOut'
  | 'photograph'
  | 'pack'
  | 'loadCar'
  | 'drive'
  | 'handOver'
  | 'event'

/** Which step of which decoration a task is, and which turn of how many. */
export type TaskOf = {
  readonly decoration: string
  readonly step: string
  readonly turn: number
  readonly turns: number
}

/** A task with what it is shown as, and what it is a step of. */
export type PlannedTask = Task & {
  readonly kind: SlotKind
  readonly of: TaskOf | null
  /** Tiers it is done to, the lowest 0; none for work at the bench. */
  readonly tiers: readonly number[]
}

/** What lies somewhere after a task until another: what it is called, and on what. */
export type Lying = {
  readonly id: string
  readonly kind: 'dry' | 'rest'
  readonly name: string
  readonly of: TaskOf
  readonly from: string
  /** Taken up by that task; or so many minutes after it was laid down. */
  readonly until: { readonly task: string } | { readonly afterMin: number; readonly since: string }
  /** The place it holds; none where it lies anywhere. */
  readonly place: string | null
}

/** Trays cool so long before anything is lifted off. */
export const COOLING_MIN = 10

/** Collects tasks, waits and holds. */
export class Collected {
  readonly tasks: PlannedTask[] = []
  readonly waits: Wait[] = []
  readonly holds: Hold[] = []
  readonly lying: Lying[] = []

  constructor(private readonly pins: Readonly<Record<string, number>>) {}

  add(id: string, kind: SlotKind, name: string, durationMin: number, change: Partial<PlannedTask> = {}): string {
    this.tasks.push({
      id,
      kind,
      name,
      durationMin,
      byHand: true,
      splits: false,
      anyHour: false,
      endsBy: null,
      keeps: 'no',
      notBefore: null,
      group: kind,
      of: null,
      tiers: [],
      pinnedAt: this.pins[id] ?? null,
      drying: null,
      luck: id,
      ...change,
    })
    return id
  }

  then(before: string | null, after: string | null, leastMin = 0, more: Partial<Wait> = {}): void {
    if (before && after) this.waits.push({ before, after, leastMin, mostMin: null, drying: null, spareMin: 0, ...more })
  }
}

/** A task that must be over, and how long after it work may go on. */
export type Done = { readonly task: string; readonly restMin: number; readonly drying?: Drying | null }

/** What the luck of a turn hangs on. */
export const turnLuck = ({ luck }: Making, { step, turn }: TaskOf): string => `${luck} ${step} ${turn}`

/** What a turn is called after its step. */
export function turnWords({ load }: Turn, { turn, turns }: TaskOf): string {
  if (load) return `, load ${load.number}${load.again ? ', cut again' : ''}`
  return turns > 1 ? `, turn ${turn} of ${turns}` : ''
}
