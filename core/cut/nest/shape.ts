import { area as areaOfPath, EndType, inflatePathsD, JoinType, type PathD } from 'clipper2-ts'
import { convexHull, type Point } from '../../geometry'
import { convexOf, discOf, type Convex } from './convex'
import { convexParts } from './convexParts'
import type { NestJob, NestPart } from './job'
import { outward } from './outward'
import { ringAreaMm2, ringMiddle } from './ring'

/**
 * What the search knows of a part: convexes grown by half the gap (no two of different pieces may overlap), and the
 * true hull, which must stay within the margin.
 * All are measured from the part's middle, about which it turns; `face` 1 is the part turned over (x to -x in its own
 * coordinates).
 */
export type Shape = {
  readonly part: number
  readonly areaMm2: number
  /** A circle round the grown convexes, from the middle. */
  readonly radius: number
  readonly faces: readonly ShapeFace[]
  /** Allowed turns, radians; none when any is. One is enough for what is round. */
  readonly turns: readonly number[] | null
  /** Turns that change nothing: a disc has no direction. */
  readonly isRound: boolean
  /** A rectangle along the axes of the part at a turn of 0, mm; else none. */
  readonly box: readonly [number, number] | null
}

export type ShapeFace = {
  readonly mirrored: boolean
  readonly middle: Point
  readonly convexes: readonly Convex[]
  readonly hullX: Float64Array
  readonly hullY: Float64Array
  readonly hullRadius: number
  readonly flushTurns: readonly number[]
}

/** Clipper's round joins cut inside the true arc by up to this, mm; parts are grown by twice as much more. */
const ARC_MM = 0.004
/**
 * Outlines may be drawn larger by these shares of their area to have fewer corners, which makes the search much
 * quicker: by the first, and by more only while they have too many.
 */
const LOOSE_SHARES = [0.004, 0.008, 0.016, 0.03, 0.06, 0.12]
const MOST_CORNERS = 64
const MOST_CONVEXES = 12
const FEWEST_CORNERS = 8

/** Shapes of a job's parts, in its order. */
export const shapesOf = (job: NestJob): readonly Shape[] => job.parts.map((part, at) => shapeOf(part, at, job.gap))

const toPoints = (ring: NestPart['outline']): readonly Point[] => ring.map(([x, y]) => ({ x, y }))
const counterClockwise = (ring: readonly Point[]): readonly Point[] =>
  ringAreaMm2(ring) < 0 ? [...ring].reverse() : ring

function shapeOf(part: NestPart, at: number, gapMm: number): Shape {
  const outline = counterClockwise(withoutRepeats(toPoints(part.outline)))
  const holes = (part.holes ?? []).map((hole) => counterClockwise(toPoints(hole)))
  const round = holes.length === 0 ? roundOf(outline) : null
  const faces = [false, ...(part.mirror ? [true] : [])].map((mirrored) =>
    faceOf(
      mirrored ? mirror(outline) : outline,
      holes.map((hole) => (mirrored ? mirror(hole) : hole)),
      mirrored,
      gapMm,
    ),
  )
  const isRound = round !== null
  const allowed = part.rotations === 'free' ? null : [...new Set(part.rotations.map(radiansOf))]
  const areaMm2 = Math.abs(ringAreaMm2(outline)) - holes.reduce((sum, hole) => sum + Math.abs(ringAreaMm2(hole)), 0)
  return {
    part: at,
    areaMm2,
    isRound,
    box: boxOf(outline, holes),
    faces: isRound ? faces.slice(0, 1) : faces,
    turns: isRound ? (allowed?.slice(0, 1) ?? [0]) : allowed,
    radius: Math.max(
      ...faces.flatMap(({ convexes }) =>
        convexes.map(({ middleX, middleY, radius }) => Math.hypot(middleX, middleY) + radius),
      ),
    ),
  }
}

const radiansOf = (degrees: number): number => ((((degrees % 360) + 360) % 360) * Math.PI) / 180

const withoutRepeats = (ring: readonly Point[]): readonly Point[] =>
  ring.filter(({ x, y }, at) => {
    const next = ring[(at + 1) % ring.length]!
    return next.x !== x || next.y !== y
  })
const mirror = (ring: readonly Point[]): readonly Point[] => ring.map(({ x, y }) => ({ x: -x, y })).reverse()

/** Middle and radius of an outline that is a circle: all its corners lie on one, close together. */
function roundOf(outline: readonly Point[]): { readonly middle: Point; readonly radius: number } | null {
  if (outline.length < 16) return null
  const middle = ringMiddle(outline)
  const away = outline.map(({ x, y }) => Math.hypot(x - middle.x, y - middle.y))
  const radius = Math.max(...away)
  return radius - Math.min(...away) < radius * 0.002 && Math.abs(ringAreaMm2(outline)) > 0.95 * Math.PI * radius ** 2
    ? { middle, radius }
    : null
}

function boxOf(outline: readonly Point[], holes: readonly unknown[]): readonly [number, number] | null {
  if (outline.length !== 4 || holes.length > 0) return null
  const [xs, ys] = [outline.map(({ x }) => x), outline.map(({ y }) => y)]
  const [widthMm, heightMm] = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)]
  return Math.abs(ringAreaMm2(outline)) > widthMm * heightMm - 1e-6 ? [widthMm, heightMm] : null
}

function faceOf(
  outline: readonly Point[],
  holes: readonly (readonly Point[])[],
  mirrored: boolean,
  gapMm: number,
): ShapeFace {
  const round = holes.length === 0 ? roundOf(outline) : null
  if (round) {
    const { middle, radius } = round
    return { mirrored, middle, convexes: [discOf(0, 0, radius + gapMm / 2)], ...hullArrays(outline, middle) }
  }
  const middle = ringMiddle(outline)
  const convexes = simpleParts(grown(outline, holes, gapMm)).map((corners) =>
    convexOf(corners.map(({ x, y }) => [x - middle.x, y - middle.y] as const)),
  )
  return { mirrored, middle, convexes, ...hullArrays(outline, middle) }
}

function hullArrays(
  outline: readonly Point[],
  { x: middleX, y: middleY }: Point,
): Pick<ShapeFace, 'hullX' | 'hullY' | 'hullRadius' | 'flushTurns'> {
  const hull = convexHull(outline)
  return {
    hullX: Float64Array.from(hull, ({ x }) => x - middleX),
    hullY: Float64Array.from(hull, ({ y }) => y - middleY),
    hullRadius: hull.reduce((most, { x, y }) => Math.max(most, Math.hypot(x - middleX, y - middleY)), 0),
    flushTurns: flushTurnsOf(hull),
  }
}

/** Edges shorter than this share of the way round a hull are not worth laying along a sheet's edge. */
const LONG_EDGE_SHARE = 0.08

/** Turns at which a long edge of a hull lies along an edge of an upright sheet, radians. */
function flushTurnsOf(hull: readonly Point[]): readonly number[] {
  const edges = hull.map((one, at) => {
    const next = hull[(at + 1) % hull.length]!
    return { length: Math.hypot(next.x - one.x, next.y - one.y), angle: Math.atan2(next.y - one.y, next.x - one.x) }
  })
  const round = edges.reduce((sum, { length }) => sum + length, 0)
  return edges
    .filter(({ length }) => length > LONG_EDGE_SHARE * round)
    .flatMap(({ angle }) => [0, 1, 2, 3].map((quarter) => (quarter * Math.PI) / 2 - angle))
}

/** Convexes of rings, few enough to be compared quickly: the outline is drawn larger, holes as they are. */
function simpleParts([rim, ...holes]: readonly (readonly Point[])[]): readonly (readonly Point[])[] {
  const area = Math.abs(ringAreaMm2(rim!))
  let parts: readonly (readonly Point[])[] = []
  for (const share of LOOSE_SHARES) {
    const few = rim!.length > FEWEST_CORNERS ? outward(rim!, share * area, FEWEST_CORNERS) : rim!
    if (few.length > MOST_CORNERS && share !== LOOSE_SHARES.at(-1)) continue
    parts = convexParts([few, ...holes])
    if (parts.length <= MOST_CONVEXES || holes.length > 0) break
  }
  return parts
}

/** The outline and its holes with half the gap around. The first ring is the outline. */
function grown(
  outline: readonly Point[],
  holes: readonly (readonly Point[])[],
  gapMm: number,
): readonly (readonly Point[])[] {
  const offset = (ring: readonly Point[], byMm: number): readonly (readonly Point[])[] =>
    inflatePathsD([ring.map(({ x, y }) => ({ x, y }))], byMm, JoinType.Round, EndType.Polygon, 2, 5, ARC_MM)
      .filter((path: PathD) => Math.abs(areaOfPath(path)) > 1e-6)
      .map((path: PathD) => counterClockwise(path.map(({ x, y }) => ({ x, y }))))
  const growMm = gapMm / 2 + (gapMm > 0 ? 2 * ARC_MM : 0)
  const rim = gapMm > 0 ? largest(offset(outline, growMm)) : outline
  const inner = gapMm > 0 ? holes.flatMap((hole) => offset(hole, -growMm)) : holes
  return [rim, ...inner]
}

const largest = (rings: readonly (readonly Point[])[]): readonly Point[] =>
  rings.reduce((best, each) => (Math.abs(ringAreaMm2(each)) > Math.abs(ringAreaMm2(best)) ? each : best))
