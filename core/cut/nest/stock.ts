import { differenceD, EndType, FillRule, inflatePathsD, JoinType } from 'clipper2-ts'
import type { Point } from '../../geometry'
import { convexOf } from './convex'
import { convexParts } from './convexParts'
import type { NestJob, NestSheet } from './job'
import { ringAreaMm2 } from './ring'
import { discRoom, rectangleRoom, type Room } from './room'

/** A kind of sheet in stock: its free part, its paper, and how many there are. */
export type Stock = {
  readonly sheet: NestSheet
  readonly room: Room
  readonly paperMm2: number
  readonly count: number
  readonly isRemnant: boolean
}

/** Clipper's round joins cut inside the true arc by up to this, mm. */
const ARC_MM = 0.004

/** Whether anything is left of a sheet within its margin. */
function hasRoom(sheet: NestSheet, marginMm: number): boolean {
  if (sheet.shape === 'rect') return Math.min(sheet.width, sheet.height) > 2 * marginMm
  return sheet.shape === 'remnant' || sheet.diameter > 2 * marginMm
}

/** Kinds of sheets of a job that there are any of and that have room, in its order. */
export const stocksOf = (job: NestJob): readonly Stock[] =>
  job.sheets
    .filter((sheet) => sheet.count !== 0 && hasRoom(sheet, job.margin))
    .map((sheet) => ({
      sheet,
      room: roomOf(sheet, job),
      paperMm2: paperOf(sheet),
      count: sheet.count ?? Infinity,
      isRemnant: sheet.shape === 'remnant',
    }))

const toPoints = (ring: readonly (readonly [number, number])[]): Point[] => ring.map(([x, y]) => ({ x, y }))

function paperOf(sheet: NestSheet): number {
  if (sheet.shape === 'rect') return sheet.width * sheet.height
  if (sheet.shape === 'disc') return Math.PI * (sheet.diameter / 2) ** 2
  return (
    Math.abs(ringAreaMm2(toPoints(sheet.outline))) -
    (sheet.holes ?? []).reduce((sum, hole) => sum + Math.abs(ringAreaMm2(toPoints(hole))), 0)
  )
}

function roomOf(sheet: NestSheet, { margin, gap }: NestJob): Room {
  if (sheet.shape === 'rect') return rectangleRoom(margin, margin, sheet.width - margin, sheet.height - margin)
  if (sheet.shape === 'disc') return discRoom(sheet.diameter / 2, sheet.diameter / 2, sheet.diameter / 2 - margin)
  return remnantRoom(sheet, margin, gap)
}

/**
 * The box round a remnant, in which what is not remnant is in the way. Pieces bring half the gap themselves, so that
 * only the rest of the margin is kept here.
 */
function remnantRoom({ outline, holes = [] }: NestSheet & { shape: 'remnant' }, margin: number, gap: number): Room {
  const points = toPoints(outline)
  const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)]
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  const keepMm = Math.max(0, margin - gap / 2) + ARC_MM
  const around = 20
  const box = [
    { x: left - around, y: low - around },
    { x: right + around, y: low - around },
    { x: right + around, y: high + around },
    { x: left - around, y: high + around },
  ]
  const grow = (rings: Point[][], byMm: number): Point[][] =>
    inflatePathsD(rings, byMm, JoinType.Round, EndType.Polygon, 2, 5, ARC_MM) as Point[][]
  const outside = differenceD([box], grow([points], -keepMm), FillRule.NonZero, 5) as Point[][]
  const inWay = grow(holes.map(toPoints), keepMm)
  const rims = outside.filter((ring) => ringAreaMm2(ring) > 0)
  const voids = outside.filter((ring) => ringAreaMm2(ring) < 0)
  const obstacles = [
    ...rims.flatMap((rim) => convexParts([rim, ...voids])),
    ...inWay.flatMap((ring) => convexParts([ringAreaMm2(ring) > 0 ? ring : [...ring].reverse()])),
  ]
  return rectangleRoom(
    left + margin,
    low + margin,
    right - margin,
    high - margin,
    obstacles.map((corners) => convexOf(corners.map(({ x, y }) => [x, y] as const))),
  )
}
