/** Changes to what happened at the bench; each gives a new record and leaves the old one as it was. */
import type { Moment } from '../quantity'
import { againIn, MOST_AGAIN, type Bench, type PieceCount, type Recut, type TaskRecord } from './bench'

const withTask = (bench: Bench, task: string, change: (record: TaskRecord) => TaskRecord): Bench => ({
  ...bench,
  tasks: bench.tasks.map((record) => (record.task === task ? change(record) : record)),
})

export const recordOf = (bench: Bench, task: string): TaskRecord | null =>
  bench.tasks.find((record) => record.task === task) ?? null

/** Work begun now; what was put down is taken up again. */
export function begun(bench: Bench, { task, name }: Pick<TaskRecord, 'task' | 'name'>, at: Moment): Bench {
  const record = recordOf(bench, task)
  if (!record)
    return {
      ...bench,
      tasks: [...bench.tasks, { task, name, begunAt: at, doneAt: null, pausedMin: 0, pausedAt: null, skipped: null }],
    }
  return withTask(bench, task, (each) =>
    each.pausedAt === null ? each : { ...each, pausedMin: each.pausedMin + at - each.pausedAt, pausedAt: null },
  )
}

/** Work put down for now. */
export const paused = (bench: Bench, task: string, at: Moment): Bench =>
  withTask(bench, task, (each) => (each.pausedAt === null && each.doneAt === null ? { ...each, pausedAt: at } : each))

/** Work done now. */
export function done(bench: Bench, task: Pick<TaskRecord, 'task' | 'name'>, at: Moment): Bench {
  const taken = begun(bench, task, at)
  return withTask(taken, task.task, (each) => ({ ...each, doneAt: Math.max(each.begunAt, at) }))
}

/** Work left out, and why. */
export const skipped = (bench: Bench, task: Pick<TaskRecord, 'task' | 'name'>, at: Moment, why: string): Bench =>
  withTask(done(bench, task, at), task.task, (each) => ({ ...each, skipped: why }))

/** Work that was ticked by mistake is open again, as if it had been put down. */
export const reopened = (bench: Bench, task: string, at: Moment): Bench =>
  withTask(bench, task, (each) =>
    each.doneAt === null
      ? each
      : {
          ...each,
          doneAt: null,
          skipped: null,
          pausedAt: null,
          pausedMin: each.pausedMin + Math.max(0, at - each.doneAt),
        },
  )

/** Minutes that hands were at it, up to now while they still are. */
export const workedMin = ({ begunAt, doneAt, pausedMin, pausedAt }: TaskRecord, now: Moment): number =>
  Math.max(0, (doneAt ?? pausedAt ?? now) - begunAt - pausedMin)

const NONE: PieceCount = { good: 0, broken: 0 }

/** A piece more, or fewer, that came out good or broken; never fewer than none. */
export function counted(bench: Bench, part: string, what: keyof PieceCount, by: number): Bench {
  const before = bench.counts[part] ?? NONE
  return { ...bench, counts: { ...bench.counts, [part]: { ...before, [what]: Math.max(0, before[what] + by) } } }
}

/** Minutes left on a timer; less than none when it has run out. */
export const minutesLeft = (
  { beganMs, minutes }: { readonly beganMs: number; readonly minutes: number },
  nowMs: number,
): number => minutes - (nowMs - beganMs) / 60_000

/** So many pieces of a part cut again, as far as there is room for them. */
export function recut(bench: Bench, wanted: Recut): Bench {
  const many = Math.min(wanted.many, MOST_AGAIN - againIn(bench.recuts))
  return many > 0 ? { ...bench, recuts: [...bench.recuts, { ...wanted, many }] } : bench
}
