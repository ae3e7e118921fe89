import { z } from 'zod'
import { convexHull, type Point } from '../../geometry'
import { ok, refuse, type Result } from '../../quantity'
import { crossingOf, ringAreaMm2 } from './ring'
import { fitsOn } from './fitsOn'

/** Lengths in mm, x to the right, y up, angles in degrees counter-clockwise. */
export const JOB_LIMITS = { parts: 2000, pieces: 5000, points: 4000, allPoints: 200_000, sheets: 50, mm: 20_000 } as const

const lengthMm = z.number().positive().max(JOB_LIMITS.mm)
const count = z.number().int().min(0).max(JOB_LIMITS.pieces).nullable()
const ring = z.array(z.tuple([z.number(), z.number()])).min(3)

const sheetSchema = z.discriminatedUnion('shape', [
  z.strictObject({ id: z.string().min(1), shape: z.literal('rect'), width: lengthMm, height: lengthMm, count }),
  z.strictObject({ id: z.string().min(1), shape: z.literal('disc'), diameter: lengthMm, count }),
  z.strictObject({ id: z.string().min(1), shape: z.literal('remnant'), outline: ring, holes: z.array(ring).optional(), count }),
])

const partSchema = z.strictObject({
  id: z.string().min(1),
  outline: ring,
  holes: z.array(ring).optional(),
  quantity: z.number().int().min(1).max(JOB_LIMITS.pieces),
  rotations: z.union([z.literal('free'), z.array(z.number()).min(1).max(360)]),
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

const placementSchema = z.strictObject({
  part: z.string(), sheetIndex: z.number().int().min(0), sheetId: z.string(), x: z.number(), y: z.number(), rotationDeg: z.number(), mirrored: z.boolean(),
})

/** Where each piece lies: mirrored (x to -x), turned about its own origin, then moved. */
export const nestLayoutSchema = z.strictObject({ placements: z.array(placementSchema) })
export type NestLayout = z.infer<typeof nestLayoutSchema>
export type NestPlacement = NestLayout['placements'][number]

/** Why a job cannot be laid out; the numbers are those of the job. */
export type JobProblem =
  | { readonly code: 'not-a-job', readonly field: string, readonly what: string }
  | { readonly code: 'twice', readonly field: string, readonly id: string }
  | { readonly code: 'too-many-points', readonly part: string, readonly points: number, readonly most: number }
  | { readonly code: 'too-many-pieces', readonly pieces: number, readonly most: number }
  | { readonly code: 'crosses-itself', readonly part: string, readonly at: Point }
  | { readonly code: 'no-area', readonly part: string }
  | { readonly code: 'hole-outside', readonly part: string }
  | { readonly code: 'too-large', readonly part: string, readonly widthMm: number, readonly heightMm: number }
  | { readonly code: 'too-few-sheets', readonly part: string, readonly left: number }

/** What is wrong with a job and what to do, in the user's words. */
export function jobSentence(problem: JobProblem): string {
  switch (problem.code) {
    case 'not-a-job': return `${problem.field || 'The job'}: ${problem.what}.`
    case 'twice': return `${problem.field}: “${problem.id}” is used twice. Give each its own id.`
    case 'too-many-points': return `“${problem.part}” has ${problem.points} points; at most ${problem.most} can be laid out. Simplify its outline.`
    case 'too-many-pieces': return `The job asks for ${problem.pieces} pieces; at most ${problem.most} can be laid out at once. Split it.`
    case 'crosses-itself': return `The outline of “${problem.part}” crosses itself near ${problem.at.x.toFixed(1)}, ${problem.at.y.toFixed(1)}. Draw it as one line that does not cross.`
    case 'no-area': return `“${problem.part}” has no area. Draw it as a closed outline with something inside.`
    case 'hole-outside': return `A hole of “${problem.part}” is not inside its outline. Move the hole inside, or leave it out.`
    case 'too-large': return `“${problem.part}” (${problem.widthMm.toFixed(1)} × ${problem.heightMm.toFixed(1)} mm) is larger than every sheet within its margin, however it may be turned. Take larger paper, or split the piece.`
    case 'too-few-sheets': return `${problem.left} pieces found no place, “${problem.part}” among them: there are too few sheets. Add sheets, or take pieces out.`
  }
}

type Ring = NestPart['outline']
const toPoint = ([x, y]: Ring[number]): Point => ({ x, y })

function firstTwice(ids: readonly string[]): string | undefined {
  return ids.find((id, at) => ids.indexOf(id) !== at)
}

function problemOfRings(part: string, rings: readonly Ring[]): JobProblem | null {
  for (const each of rings) {
    if (each.length > JOB_LIMITS.points) return { code: 'too-many-points', part, points: each.length, most: JOB_LIMITS.points }
    const points = each.map(toPoint)
    const box = extentOf(points)
    if (Math.abs(ringAreaMm2(points)) <= 1e-9 * Math.max(1e-6, box.widthMm ** 2 + box.heightMm ** 2)) return { code: 'no-area', part }
    const at = crossingOf(points)
    if (at) return { code: 'crosses-itself', part, at }
  }
  return null
}

const extentOf = (points: readonly Point[]): { readonly widthMm: number, readonly heightMm: number } => ({
  widthMm: points.reduce((most, { x }) => Math.max(most, x), -Infinity) - points.reduce((least, { x }) => Math.min(least, x), Infinity),
  heightMm: points.reduce((most, { y }) => Math.max(most, y), -Infinity) - points.reduce((least, { y }) => Math.min(least, y), Infinity),
})

function problemOfPart(part: NestPart, job: NestJob): JobProblem | null {
  const problem = problemOfRings(part.id, [part.outline, ...part.holes ?? []])
  if (problem) return problem
  if ((part.holes ?? []).some((hole) => hole.some((corner) => !insideRing(toPoint(corner), part.outline)))) return { code: 'hole-outside', part: part.id }
  const outline = part.outline.map(toPoint)
  const sheets = job.sheets.filter(({ count }) => count !== 0)
  return sheets.some((sheet) => fitsOn(convexHull(outline), part, sheet, job.margin)) ? null : { code: 'too-large', part: part.id, ...extentOf(outline) }
}

function insideRing({ x, y }: Point, corners: Ring): boolean {
  let inside = false
  corners.forEach(([oneX, oneY], at) => {
    const [otherX, otherY] = corners[(at + corners.length - 1) % corners.length]!
    if ((oneY > y) !== (otherY > y) && x < (otherX - oneX) * (y - oneY) / (otherY - oneY) + oneX) inside = !inside
  })
  return inside
}

/**
 * A job that can be laid out, from what a file or a caller gives.
 * @returns the job, or the first problem, naming the part or field; nothing is repaired silently
 */
export function readNestJob(input: unknown): Result<NestJob, JobProblem> {
  const crowded = crowdedOutline(input)
  if (crowded) return refuse(crowded)
  const parsed = nestJobSchema.safeParse(input)
  if (!parsed.success) {
    const [issue] = parsed.error.issues
    return refuse({ code: 'not-a-job', field: issue!.path.join('.'), what: issue!.message.replace(/\.$/, '') })
  }
  const job = parsed.data
  for (const [field, ids] of [['sheets', job.sheets.map(({ id }) => id)], ['parts', job.parts.map(({ id }) => id)]] as const) {
    const id = firstTwice(ids)
    if (id !== undefined) return refuse({ code: 'twice', field, id })
  }
  const pieces = job.parts.reduce((sum, { quantity }) => sum + quantity, 0)
  if (pieces > JOB_LIMITS.pieces) return refuse({ code: 'too-many-pieces', pieces, most: JOB_LIMITS.pieces })
  for (const sheet of job.sheets) {
    const problem = sheet.shape === 'remnant' ? problemOfRings(sheet.id, [sheet.outline, ...sheet.holes ?? []]) : null
    if (problem) return refuse(problem)
  }
  for (const part of job.parts) {
    const problem = problemOfPart(part, job)
    if (problem) return refuse(problem)
  }
  return ok(job)
}

/** Looks for outlines with far too many points before each of them is checked, so that the answer comes fast. */
function crowdedOutline(input: unknown): JobProblem | null {
  const parts = typeof input === 'object' && input !== null && 'parts' in input && Array.isArray(input.parts) ? input.parts as unknown[] : []
  let all = 0
  for (const [at, part] of parts.entries()) {
    const { outline, id = `parts.${at}` } = typeof part === 'object' && part !== null ? part as { outline?: unknown, id?: unknown } : {}
    if (!Array.isArray(outline)) continue
    all += outline.length
    if (outline.length > JOB_LIMITS.points) return { code: 'too-many-points', part: String(id), points: outline.length, most: JOB_LIMITS.points }
    if (all > JOB_LIMITS.allPoints) return { code: 'too-many-points', part: 'all parts together', points: all, most: JOB_LIMITS.allPoints }
  }
  return null
}
