/**
 * A cutting machine that is not there: it takes a job, runs it at the job's speed, and stops where it is told to or
 * breaks. Time is passed in.
 */
import type { MachineJob, MachineOrder, MachineReport } from '#core/cut'

/** The raised knife goes faster. */
const TRAVEL_FACTOR = 4

/** A stretch of the machine's run: the way to a line, or the line itself. */
type Stretch = {
  readonly piece: number
  readonly minutes: number
  readonly isLast: boolean
  readonly isCutting: boolean
}

export type Cutter = {
  readonly job: MachineJob | null
  readonly status: MachineReport['status']
  readonly fault: MachineReport['fault']
  /** Minutes of the run that are done. */
  readonly doneMin: number
  readonly atMs: number
}

export const EMPTY_CUTTER: Cutter = { job: null, status: 'empty', fault: null, doneMin: 0, atMs: 0 }

const MINUTE_MS = 60_000

function stretchesOf({ lines, mmPerMin }: MachineJob): readonly Stretch[] {
  let [x, y] = [0, 0]
  return lines.flatMap(({ piece, points }, at): readonly Stretch[] => {
    const [first] = points
    const way = Math.hypot(first![0] - x, first![1] - y)
    let length = 0
    ;[x, y] = first!
    for (const [nextX, nextY] of points) {
      length += Math.hypot(nextX - x, nextY - y)
      ;[x, y] = [nextX, nextY]
    }
    const isLast = lines.findLastIndex((line) => line.piece === piece) === at
    return [
      { piece, minutes: way / mmPerMin / TRAVEL_FACTOR, isLast: false, isCutting: false },
      { piece, minutes: length / mmPerMin, isLast, isCutting: true },
    ]
  })
}

const wholeMin = (job: MachineJob): number => stretchesOf(job).reduce((sum, { minutes }) => sum + minutes, 0)

/** The machine at a later moment; a fault that is switched on stops it where it is. */
export function cutterAt(cutter: Cutter, nowMs: number, fault: MachineReport['fault']): Cutter {
  const { job, status, doneMin, atMs } = cutter
  if (status !== 'running' || !job) return { ...cutter, atMs: nowMs }
  const reached = Math.min(wholeMin(job), doneMin + (nowMs - atMs) / MINUTE_MS)
  if (reached >= wholeMin(job)) return { ...cutter, status: 'done', doneMin: reached, atMs: nowMs }
  return fault
    ? { ...cutter, status: 'fault', fault, doneMin: reached, atMs: nowMs }
    : { ...cutter, doneMin: reached, atMs: nowMs }
}

/** A machine that took a job; null when it is at work and takes none. */
export const loaded = ({ status }: Cutter, job: MachineJob, nowMs: number): Cutter | null =>
  status === 'running' || status === 'paused' ? null : { job, status: 'loaded', fault: null, doneMin: 0, atMs: nowMs }

/** A machine after an order; null when it makes no sense now. */
export function ordered(cutter: Cutter, order: MachineOrder, nowMs: number): Cutter | null {
  const { status } = cutter
  if (order === 'run' && status === 'loaded') return { ...cutter, status: 'running', atMs: nowMs }
  if (order === 'pause' && status === 'running') return { ...cutter, status: 'paused', atMs: nowMs }
  if (order === 'resume' && status === 'paused') return { ...cutter, status: 'running', atMs: nowMs }
  if (order === 'clear' && status !== 'running') return EMPTY_CUTTER
  return null
}

/** What the machine says of itself. */
export function reportOf({ job, status, fault, doneMin }: Cutter): MachineReport {
  if (!job) return { status, fault, job: '', share: 0, leftMin: 0, cut: [], begun: [] }
  const cut = new Set<number>()
  const begun = new Set<number>()
  let at = 0
  for (const { piece, minutes, isLast, isCutting } of stretchesOf(job)) {
    if (isCutting && doneMin > at + 1e-9) begun.add(piece)
    at += minutes
    if (isLast && doneMin >= at - 1e-9) cut.add(piece)
  }
  return {
    status,
    fault,
    job: job.name,
    share: at > 0 ? Math.min(1, doneMin / at) : 1,
    leftMin: Math.max(0, at - doneMin),
    cut: [...cut],
    begun: [...begun].filter((piece) => !cut.has(piece)),
  }
}
