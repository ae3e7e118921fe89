import type { Point } from '../../geometry'
import { crossingOf, turnOf } from './ring'

/**
 * An outline with fewer corners that holds all of the first: dents are filled, and short edges are replaced by the
 * corner at which their neighbours meet, whatever adds least, as long as all together add no more than an area.
 *
 * @param ring simple, counter-clockwise
 * @param mostMm2 area that may be added
 * @param fewest corners to stop at
 */
export function outward(ring: readonly Point[], mostMm2: number, fewest: number): readonly Point[] {
  let corners = ring
  let left = mostMm2
  while (corners.length > fewest) {
    const passed = onePass(corners, left, fewest)
    if (passed.corners.length === corners.length) break
    corners = passed.corners
    left -= passed.added
  }
  return crossingOf(corners) ? ring : corners
}

/**
 * A corner that can go: the area that its going adds, mm²; and the corner that stands for it and the next one, if one
 * does.
 */
type Saving = { readonly at: number; readonly cost: number; readonly corner: Point | null }

/** Of what could go, so much goes in one pass: the rest is looked at again, because its neighbours have changed. */
const PASS_SHARE = 0.2

/** Takes out the cheapest corners that are not neighbours of one another. */
function onePass(
  corners: readonly Point[],
  mostMm2: number,
  fewest: number,
): { readonly corners: readonly Point[]; readonly added: number } {
  const count = corners.length
  const savings = corners.flatMap((_, at) => savingAt(corners, at)).sort((one, other) => one.cost - other.cost)
  const touched = new Uint8Array(count)
  const gone = new Set<number>()
  const moved = new Map<number, Point>()
  let added = 0
  for (const { at, cost, corner } of savings.slice(0, Math.max(1, Math.ceil(savings.length * PASS_SHARE)))) {
    if (added + cost > mostMm2 || count - gone.size <= fewest) break
    const around = [-1, 0, 1, 2].map((step) => (at + step + count) % count)
    if (around.some((each) => touched[each] === 1)) continue
    for (const each of around) touched[each] = 1
    if (corner) moved.set((at + 1) % count, corner)
    gone.add(at)
    added += cost
  }
  return { added, corners: corners.flatMap((each, at) => (gone.has(at) ? [] : [moved.get(at) ?? each])) }
}

function savingAt(corners: readonly Point[], at: number): readonly Saving[] {
  const count = corners.length
  const [before, one, two, after] = [-1, 0, 1, 2].map((step) => corners[(at + step + count) % count]!) as [
    Point,
    Point,
    Point,
    Point,
  ]
  const turn = turnOf(before, one, two)
  if (turn <= 0) return [{ at, cost: -turn / 2, corner: null }]
  if (turnOf(one, two, after) <= 0) return []
  const corner = meeting(before, one, two, after)
  return corner ? [{ at, corner, cost: Math.abs(turnOf(one, corner, two)) / 2 }] : []
}

/** Where the edges before and after an edge meet when they are drawn on; none when they part. */
function meeting(before: Point, one: Point, two: Point, after: Point): Point | null {
  const [alongX, alongY, backX, backY] = [one.x - before.x, one.y - before.y, two.x - after.x, two.y - after.y]
  const cross = alongX * backY - alongY * backX
  if (cross >= 0) return null
  const share = ((two.x - one.x) * backY - (two.y - one.y) * backX) / cross
  return share > 0 ? { x: one.x + alongX * share, y: one.y + alongY * share } : null
}
