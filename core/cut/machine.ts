import { z } from 'zod'
import { ok, refuse, type Result } from '../quantity'
import type { CutSheet, SheetSize } from './sheet'
import { knifeLines } from './order'

const MOST_LINES = 6000
const MOST_POINTS = 200_000

/** What a cutting machine is sent: one sheet, as lines for the knife in their order, mm from its lower left. */
const machineJobSchema = z.strictObject({
  name: z.string().min(1).max(120),
  widthMm: z.number().positive().max(2000),
  heightMm: z.number().positive().max(2000),
  mmPerMin: z.number().min(50).max(60_000),
  lines: z
    .array(
      z.strictObject({ piece: z.number().int().min(0), points: z.array(z.tuple([z.number(), z.number()])).min(2) }),
    )
    .min(1)
    .max(MOST_LINES),
})

export type MachineJob = z.infer<typeof machineJobSchema>

const MACHINE_STATUS = ['empty', 'loaded', 'running', 'paused', 'fault', 'done'] as const
const MACHINE_FAULTS = ['blade', 'slip'] as const

/**
 * What a cutting machine reports. Pieces are cut when their last line is; those begun when a fault came are neither
 * cut nor whole.
 */
export const machineReportSchema = z.strictObject({
  status: z.enum(MACHINE_STATUS),
  fault: z.enum(MACHINE_FAULTS).nullable(),
  job: z.string(),
  share: z.number().min(0).max(1),
  leftMin: z.number().min(0),
  cut: z.array(z.number().int()),
  begun: z.array(z.number().int()),
})

export type MachineReport = z.infer<typeof machineReportSchema>
export const MACHINE_ORDERS = ['run', 'pause', 'resume', 'clear'] as const
export type MachineOrder = (typeof MACHINE_ORDERS)[number]

export type MachineProblem =
  | { readonly code: 'not-a-job'; readonly what: string }
  | { readonly code: 'over-edge'; readonly piece: number }
  | { readonly code: 'too-long'; readonly points: number }

/** The job of a sheet; `only` some of its pieces. @param overcutMm how far the knife goes on over its start */
export function machineJob(
  name: string,
  { pieces }: CutSheet,
  { widthMm, heightMm }: SheetSize,
  mmPerMin: number,
  overcutMm: number,
  only: (piece: number) => boolean = () => true,
): MachineJob {
  const lines = knifeLines(
    pieces.filter(({ number }) => only(number)),
    overcutMm,
  ).map(({ piece, points }) => ({ piece, points: points.map(({ x, y }): [number, number] => [x, y]) }))
  return { name: name.slice(0, 120), widthMm, heightMm, mmPerMin, lines }
}

/** A job as the machine takes it, or why it does not: lines over the sheet's edge would cut the mat. */
export function checkMachineJob(input: unknown): Result<MachineJob, MachineProblem> {
  const parsed = machineJobSchema.safeParse(input)
  if (!parsed.success)
    return refuse({
      code: 'not-a-job',
      what: `${parsed.error.issues[0]!.path.join('.')}: ${parsed.error.issues[0]!.message}`,
    })
  const job = parsed.data
  const points = job.lines.reduce((sum, line) => sum + line.points.length, 0)
  if (points > MOST_POINTS) return refuse({ code: 'too-long', points })
  const over = job.lines.find((line) =>
    line.points.some(([x, y]) => x < 0 || y < 0 || x > job.widthMm || y > job.heightMm),
  )
  return over ? refuse({ code: 'over-edge', piece: over.piece }) : ok(job)
}

/** Why a machine does not take a job, and what to do. */
export function machineSentence(problem: MachineProblem): string {
  switch (problem.code) {
    case 'not-a-job':
      return `The machine does not understand the job (${problem.what}).`
    case 'over-edge':
      return `Piece ${problem.piece} goes over the sheet’s edge. Lay it inside, or keep a wider margin.`
    case 'too-long':
      return `The job has ${problem.points} points; the machine takes ${MOST_POINTS}. Send fewer pieces at once.`
  }
}
