import { convexHull, type Point } from '../../geometry'
import { ok, refuse, type Result } from '../../quantity'
import { fitsOn } from './fitsOn'
import { JOB_LIMITS, nestJobSchema, type JobProblem, type NestJob, type NestPart } from './job'
import { crossingOf, ringAreaMm2 } from './ring'

type Ring = NestPart['outline']
const toPoint = ([x, y]: Ring[number]): Point => ({ x, y })

function firstTwice(ids: readonly string[]): string | undefined {
  return ids.find((id, at) => ids.indexOf(id) !== at)
}

function problemOfRings(part: string, rings: readonly Ring[]): JobProblem | null {
  for (const each of rings) {
    if (each.length > JOB_LIMITS.points)
      return { code: 'too-many-points', part, points: each.length, most: JOB_LIMITS.points }
    const points = each.map(toPoint)
    const box = extentOf(points)
    if (Math.abs(ringAreaMm2(points)) <= 1e-9 * Math.max(1e-6, box.widthMm ** 2 + box.heightMm ** 2))
      return { code: 'no-area', part }
    const at = crossingOf(points)
    if (at) return { code: 'crosses-itself', part, at }
  }
  return null
}

const extentOf = (points: readonly Point[]): { readonly widthMm: number; readonly heightMm: number } => ({
  widthMm:
    points.reduce((most, { x }) => Math.max(most, x), -Infinity) -
    points.reduce((least, { x }) => Math.min(least, x), Infinity),
  heightMm:
    points.reduce((most, { y }) => Math.max(most, y), -Infinity) -
    points.reduce((least, { y }) => Math.min(least, y), Infinity),
})

function problemOfPart(part: NestPart, job: NestJob): JobProblem | null {
  const problem = problemOfRings(part.id, [part.outline, ...(part.holes ?? [])])
  if (problem) return problem
  if ((part.holes ?? []).some((hole) => hole.some((corner) => !insideRing(toPoint(corner), part.outline))))
    return { code: 'hole-outside', part: part.id }
  const outline = part.outline.map(toPoint)
  const sheets = job.sheets.filter(({ count }) => count !== 0)
  return sheets.some((sheet) => fitsOn(convexHull(outline), part, sheet, job.margin))
    ? null
    : { code: 'too-large', part: part.id, ...extentOf(outline) }
}

function insideRing({ x, y }: Point, corners: Ring): boolean {
  let inside = false
  corners.forEach(([oneX, oneY], at) => {
    const [otherX, otherY] = corners[(at + corners.length - 1) % corners.length]!
    if (oneY > y !== otherY > y && x < ((otherX - oneX) * (y - oneY)) / (otherY - oneY) + oneX) inside = !inside
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
  for (const [field, ids] of [
    ['sheets', job.sheets.map(({ id }) => id)],
    ['parts', job.parts.map(({ id }) => id)],
  ] as const) {
    const id = firstTwice(ids)
    if (id !== undefined) return refuse({ code: 'twice', field, id })
  }
  const pieces = job.parts.reduce((sum, { quantity }) => sum + quantity, 0)
  if (pieces > JOB_LIMITS.pieces) return refuse({ code: 'too-many-pieces', pieces, most: JOB_LIMITS.pieces })
  for (const sheet of job.sheets) {
    const problem = sheet.shape === 'remnant' ? problemOfRings(sheet.id, [sheet.outline, ...(sheet.holes ?? [])]) : null
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
  const parts =
    typeof input === 'object' && input !== null && 'parts' in input && Array.isArray(input.parts)
      ? (input.parts as unknown[])
      : []
  let all = 0
  for (const [at, part] of parts.entries()) {
    const { outline, id = `parts.${at}` } =
      typeof part === 'object' && part !== null ? (part as { outline?: unknown; id?: unknown }) : {}
    if (!Array.isArray(outline)) continue
    all += outline.length
    if (outline.length > JOB_LIMITS.points)
      return { code: 'too-many-points', part: String(id), points: outline.length, most: JOB_LIMITS.points }
    if (all > JOB_LIMITS.allPoints)
      return { code: 'too-many-points', part: 'all parts together', points: all, most: JOB_LIMITS.allPoints }
  }
  return null
}
