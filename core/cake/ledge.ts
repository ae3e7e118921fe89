import type { Point } from '../geometry'
import { outlineAngles, reachMm, roundShape, type Shape } from './shape'
import { RADIANS } from './shape/define'
import { sectionAt, type Ledge, type PlacedTier } from './standing'
import type { Board } from './tier'

/** A foot keeps this far from the rim and from the wall above, mm (usual practice). */
const FROM_RIM_MM = 5
const FROM_WALL_MM = 2
const STEPS = 90

/**
 * Points of a shape's edge in its place, seen from above: x to the right, y to the back, mm; counted from the front to
 * the right.
 */
export function edgePoints(shape: Shape, turnDeg: number, middle: Point, steps = STEPS): readonly Point[] {
  return outlineAngles(shape, steps).map((angle) => {
    const reach = reachMm(shape, angle)
    return {
      x: middle.x + reach * Math.sin((angle + turnDeg) * RADIANS),
      y: middle.y - reach * Math.cos((angle + turnDeg) * RADIANS),
    }
  })
}

/** How far from the middle of its board a tier reaches at its foot, corners counted, mm. */
export const boardReachMm = (
  outline: Board['outline'],
  { shape, turnDeg, middle }: Pick<PlacedTier, 'shape' | 'turnDeg' | 'middle'>,
): number =>
  Math.max(
    ...edgePoints(shape, turnDeg, middle).map(({ x, y }) =>
      outline === 'round' ? Math.hypot(x, y) : Math.max(Math.abs(x), Math.abs(y)),
    ),
  )

/** Distance from a point to a closed line through points, mm. */
function distanceToEdge(point: Point, edge: readonly Point[]): number {
  // Compared as squares: many points are measured against many edges.
  let leastSquared = Infinity
  let from = edge.at(-1)!
  for (const to of edge) {
    const [dx, dy] = [to.x - from.x, to.y - from.y]
    const lengthSquared = dx * dx + dy * dy
    const share =
      lengthSquared > 0
        ? Math.min(1, Math.max(0, ((point.x - from.x) * dx + (point.y - from.y) * dy) / lengthSquared))
        : 0
    const [offX, offY] = [point.x - from.x - share * dx, point.y - from.y - share * dy]
    leastSquared = Math.min(leastSquared, offX * offX + offY * offY)
    from = to
  }
  return Math.sqrt(leastSquared)
}

/** Whether a point lies within a shape in its place. */
export function isWithin(point: Point, shape: Shape, turnDeg: number, middle: Point): boolean {
  const [dx, dy] = [point.x - middle.x, point.y - middle.y]
  return Math.hypot(dx, dy) <= reachMm(shape, Math.atan2(dx, -dy) / RADIANS - turnDeg)
}

/** The ledge that a tier offers below the next one, or the whole top when nothing stands on it. */
export function ledgeAbove(below: PlacedTier, above: PlacedTier | null): Ledge {
  const top = sectionAt(below, below.topMm)
  const rim = edgePoints(top, below.turnDeg, below.middle)
  if (!above) {
    const reaches = rim.map(({ x, y }) => Math.hypot(x - below.middle.x, y - below.middle.y))
    const leastMm = Math.min(...reaches)
    return { leastMm, mostMm: Math.max(...reaches), overhangMm: 0, lipMm: Math.max(0, leastMm - FROM_RIM_MM) }
  }
  const foot = above.spacer
    ? edgePoints(roundShape(above.spacer.acrossMm), 0, above.middle)
    : edgePoints(above.shape, above.turnDeg, above.middle)
  const free = foot.map(
    (point) => distanceToEdge(point, rim) * (isWithin(point, top, below.turnDeg, below.middle) ? 1 : -1),
  )
  const least = Math.min(...free)
  const leastMm = Math.max(0, least)
  return {
    leastMm,
    mostMm: Math.max(0, ...free),
    overhangMm: Math.max(0, -least),
    lipMm: Math.max(0, leastMm - FROM_RIM_MM - FROM_WALL_MM),
  }
}
