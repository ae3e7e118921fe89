import type { Point } from '../../geometry'
import { crossingOf, turnOf } from './ring'

/**
 * An outline with fewer corners that holds all of the first: dents are filled, and short edges are replaced by the corner at which their neighbours meet, whatever adds least, as long as all together add no more than an area.
 *
 * @param ring simple, counter-clockwise
 * @param mostMm2 area that may be added
 * @param fewest corners to stop at
 */
export function outward(ring: readonly Point[], mostMm2: number, fewest: number): readonly Point[] {
  let corners = [...ring]
  let added = 0
  while (corners.length > fewest) {
    const best = cheapest(corners)
    if (!best || added + best.cost > mostMm2) break
    corners = best.corners
    added += best.cost
  }
  return crossingOf(corners) ? ring : corners
}

/** Corners after a change, and the area that it adds, mm². */
type Saving = { readonly cost: number, readonly corners: Point[] }

function cheapest(corners: readonly Point[]): Saving | null {
  let best: { cost: number, at: number, corner: Point | null } | null = null
  for (let at = 0; at < corners.length; at += 1) {
    const [before, one, two, after] = [0, 1, 2, 3].map((step) => corners[(at + step) % corners.length]!) as [Point, Point, Point, Point]
    if (turnOf(before, one, two) <= 0) {
      const cost = -turnOf(before, one, two) / 2
      if (!best || cost < best.cost) best = { cost, at, corner: null }
    } else if (turnOf(one, two, after) > 0) {
      const corner = meeting(before, one, two, after)
      const cost = corner ? Math.abs(turnOf(one, corner, two)) / 2 : Infinity
      if (corner && (!best || cost < best.cost)) best = { cost, at, corner }
    }
  }
  if (!best) return null
  const { at, corner, cost } = best
  const [first, second] = [(at + 1) % corners.length, (at + 2) % corners.length]
  const kept = corners.flatMap((each, index) => index === first ? corner ? [corner] : [] : index === second && corner ? [] : [each])
  return { cost, corners: kept }
}

/** Where the edges before and after an edge meet when they are drawn on; none when they part. */
function meeting(before: Point, one: Point, two: Point, after: Point): Point | null {
  const [alongX, alongY, backX, backY] = [one.x - before.x, one.y - before.y, two.x - after.x, two.y - after.y]
  const cross = alongX * backY - alongY * backX
  if (cross >= 0) return null
  const share = ((two.x - one.x) * backY - (two.y - one.y) * backX) / cross
  return share > 0 ? { x: one.x + alongX * share, y: one.y + alongY * share } : null
}
