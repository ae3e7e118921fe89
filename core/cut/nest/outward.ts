import type { Point } from '../../geometry'
import { crossingOf, turnOf } from './ring'

/**
 * An outline with fewer corners that holds all of the first: dents shallower than the tolerance are filled, short edges are replaced by the corner at which their neighbours meet, if that is no farther out than the tolerance.
 *
 * @param ring simple, counter-clockwise
 * @param fewest corners to stop at
 */
export function outward(ring: readonly Point[], tolerance: number, fewest: number): readonly Point[] {
  let corners = [...ring]
  while (corners.length > fewest) {
    const best = cheapest(corners)
    if (!best || best.cost > tolerance) break
    corners = best.corners
  }
  return crossingOf(corners) ? ring : corners
}

type Saving = { readonly cost: number, readonly corners: Point[] }

function cheapest(corners: readonly Point[]): Saving | null {
  let best: { cost: number, at: number, corner: Point | null } | null = null
  for (let at = 0; at < corners.length; at += 1) {
    const [before, one, two, after] = [0, 1, 2, 3].map((step) => corners[(at + step) % corners.length]!) as [Point, Point, Point, Point]
    if (turnOf(before, one, two) <= 0) {
      const cost = distanceTo(one, before, two)
      if (!best || cost < best.cost) best = { cost, at, corner: null }
    } else if (turnOf(one, two, after) > 0) {
      const corner = meeting(before, one, two, after)
      const cost = corner ? distanceTo(corner, one, two) : Infinity
      if (corner && (!best || cost < best.cost)) best = { cost, at, corner }
    }
  }
  if (!best) return null
  const { at, corner, cost } = best
  const [first, second] = [(at + 1) % corners.length, (at + 2) % corners.length]
  const kept = corners.flatMap((each, index) => index === first ? corner ? [corner] : [] : index === second && corner ? [] : [each])
  return { cost, corners: kept }
}

function distanceTo(point: Point, one: Point, other: Point): number {
  const length = Math.hypot(other.x - one.x, other.y - one.y)
  return length > 0 ? Math.abs(turnOf(one, other, point)) / length : Math.hypot(point.x - one.x, point.y - one.y)
}

/** Where the edges before and after an edge meet when they are drawn on; none when they part. */
function meeting(before: Point, one: Point, two: Point, after: Point): Point | null {
  const [alongX, alongY, backX, backY] = [one.x - before.x, one.y - before.y, two.x - after.x, two.y - after.y]
  const cross = alongX * backY - alongY * backX
  if (cross >= 0) return null
  const share = ((two.x - one.x) * backY - (two.y - one.y) * backX) / cross
  return share > 0 ? { x: one.x + alongX * share, y: one.y + alongY * share } : null
}
