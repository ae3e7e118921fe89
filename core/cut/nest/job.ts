import { z } from 'zod'
import type { Point } from '../../geometry'

/** Lengths in mm, x to the right, y up, angles in degrees counter-clockwise. */
export const JOB_LIMITS = {
  parts: 2000,
  pieces: 5000,
  points: 4000,
  allPoints: 200_000,
  sheets: 50,
  mm: 20_000,
} as const

const lengthMm = z.number().positive().max(JOB_LIMITS.mm)
const count = z.number().int().min(0).max(JOB_LIMITS.pieces).nullable()
const placeMm = z.number().min(-JOB_LIMITS.mm).max(JOB_LIMITS.mm)
const ring = z.array(z.tuple([placeMm, placeMm])).min(3)
/** More than ten turns either way is nobody's wish. */
const turnDeg = z.number().min(-3600).max(3600)

const sheetSchema = z.discriminatedUnion('shape', [
  z.strictObject({ id: z.string().min(1), shape: z.literal('rect'), width: lengthMm, height: lengthMm, count }),
  z.strictObject({ id: z.string().min(1), shape: z.literal('disc'), diameter: lengthMm, count }),
  z.strictObject({
    id: z.string().min(1),
    shape: z.literal('remnant'),
    outline: ring,
    holes: z.array(ring).optional(),
    count,
  }),
])

const partSchema = z.strictObject({
  id: z.string().min(1),
  outline: ring,
  holes: z.array(ring).optional(),
  quantity: z.number().int().min(1).max(JOB_LIMITS.pieces),
  rotations: z.union([z.literal('free'), z.array(turnDeg).min(1).max(360)]),
  mirror: z.boolean(),
})

/** A nesting job: stock, and the outlines to be cut from it. `docs/nesting.md` describes the file. */
export const nestJobSchema = z.strictObject({
  name: z.string(),
  unit: z.literal('mm'),
  gap: z.number().min(0).max(100),
  margin: z.number().min(0).max(1000),
  sheets: z.array(sheetSchema).min(1).max(JOB_LIMITS.sheets),
  parts: z.array(partSchema).min(1).max(JOB_LIMITS.parts),
})

export type NestJob = z.infer<typeof nestJobSchema>
export type NestSheet = NestJob['sheets'][number]
export type NestPart = NestJob['parts'][number]

/** Where a piece lies: mirrored (x to -x), turned about its own origin, then moved. */
export type NestPlacement = {
  readonly part: string
  readonly sheetIndex: number
  readonly sheetId: string
  readonly x: number
  readonly y: number
  readonly rotationDeg: number
  readonly mirrored: boolean
}

export type NestLayout = { readonly placements: readonly NestPlacement[] }

/** Why a job cannot be laid out; the numbers are those of the job. */
export type JobProblem =
  | { readonly code: 'not-a-job'; readonly field: string; readonly what: string }
  | { readonly code: 'twice'; readonly field: string; readonly id: string }
  | { readonly code: 'too-many-points'; readonly part: string; readonly points: number; readonly most: number }
  | { readonly code: 'too-many-pieces'; readonly pieces: number; readonly most: number }
  | { readonly code: 'crosses-itself'; readonly part: string; readonly at: Point }
  | { readonly code: 'no-area'; readonly part: string }
  | { readonly code: 'hole-outside'; readonly part: string }
  | { readonly code: 'too-large'; readonly part: string; readonly widthMm: number; readonly heightMm: number }
  | { readonly code: 'too-few-sheets'; readonly part: string; readonly left: number }

/** What is wrong with a job and what to do, in the user's words. */
export function jobSentence(problem: JobProblem): string {
  switch (problem.code) {
    case 'not-a-job':
      return `${problem.field || 'The job'}: ${problem.what}.`
    case 'twice':
      return `${problem.field}: “${problem.id}” is used twice. Give each its own id.`
    case 'too-many-points':
      return `“${problem.part}” has ${problem.points} points; at most ${problem.most} can be laid out. Simplify its outline.`
    case 'too-many-pieces':
      return `The job asks for ${problem.pieces} pieces; at most ${problem.most} can be laid out at once. Split it.`
    case 'crosses-itself':
      return (
        `The outline of “${problem.part}” crosses itself near ${problem.at.x.toFixed(1)}, ` +
        `${problem.at.y.toFixed(1)}. Draw it as one line that does not cross.`
      )
    case 'no-area':
      return `“${problem.part}” has no area. Draw it as a closed outline with something inside.`
    case 'hole-outside':
      return `A hole of “${problem.part}” is not inside its outline. Move the hole inside, or leave it out.`
    case 'too-large':
      return (
        `“${problem.part}” (${problem.widthMm.toFixed(1)} × ${problem.heightMm.toFixed(1)} mm) is larger ` +
        `than every sheet within its margin, however it may be turned. Take larger paper, or split the piece.`
      )
    case 'too-few-sheets':
      return (
        `${problem.left} pieces found no place, “${problem.part}” among them: ` +
        `there are too few sheets. Add sheets, or take pieces out.`
      )
  }
}
