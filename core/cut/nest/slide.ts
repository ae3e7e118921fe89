/**
 * How far one piece must slide along a line until it is clear of another: exact for convexes, because each of their
 * normals gives one bound.
 */
import { isDisc, type Convex } from './convex'
import { lowest } from './depth'
import type { Turned } from './turned'

/** Where along the line two convexes overlap, as shares of the direction; none when they never do. */
type Stretch = readonly [number, number]

const CLEAR_MM = 1e-4

/** @param after stretches that end before this are of no interest, and count as none */
function overlapAlong(
  one: Convex,
  other: Convex,
  fromX: number,
  fromY: number,
  alongX: number,
  alongY: number,
  after: number,
): Stretch | null {
  const around = discOverlap(one, other, fromX, fromY, alongX, alongY)
  if (isDisc(one) || isDisc(other) || !around || around[1] <= after) return around
  const bounds: [number, number] = [-Infinity, Infinity]
  return bind(one, other, 1, fromX, fromY, alongX, alongY, after, bounds) &&
    bind(other, one, -1, fromX, fromY, alongX, alongY, after, bounds)
    ? bounds
    : null
}

/**
 * Narrows the stretch by the normals of one convex. Its edges go round, and so does the corner of the other that
 * reaches least far along each: it is looked for from where it was last. @returns whether a stretch is left
 */
function bind(
  of: Convex,
  against: Convex,
  sign: 1 | -1,
  fromX: number,
  fromY: number,
  alongX: number,
  alongY: number,
  after: number,
  bounds: [number, number],
): boolean {
  const { x, y } = against
  let corner = lowest(against, of.normalX[0]!, of.normalY[0]!)
  for (let at = 0; at < of.x.length; at += 1) {
    const [normalX, normalY] = [of.normalX[at]!, of.normalY[at]!]
    let low = normalX * x[corner]! + normalY * y[corner]!
    for (let left = x.length; left > 0; left -= 1) {
      const next = corner + 1 === x.length ? 0 : corner + 1
      const reach = normalX * x[next]! + normalY * y[next]!
      if (reach > low) break
      low = reach
      corner = next
    }
    const room = of.offset[at]! - low - sign * (normalX * fromX + normalY * fromY)
    const rate = sign * (normalX * alongX + normalY * alongY)
    if (rate > 1e-12) bounds[1] = Math.min(bounds[1], room / rate)
    else if (rate < -1e-12) bounds[0] = Math.max(bounds[0], room / rate)
    else if (room <= CLEAR_MM) return false
    if (bounds[0] >= bounds[1] || bounds[1] <= after) return false
  }
  return true
}

/** Discs by their circle; a disc and a polygon by the polygon's circle too, which is never too near. */
function discOverlap(
  one: Convex,
  other: Convex,
  fromX: number,
  fromY: number,
  alongX: number,
  alongY: number,
): Stretch | null {
  const [x, y] = [fromX + other.middleX - one.middleX, fromY + other.middleY - one.middleY]
  const reach = one.radius + other.radius
  const [a, b, c] = [alongX ** 2 + alongY ** 2, x * alongX + y * alongY, x ** 2 + y ** 2 - reach ** 2]
  const inner = b * b - a * c
  if (inner <= 0) return null
  const root = Math.sqrt(inner)
  return [(-b - root) / a, (-b + root) / a]
}

/**
 * The least distance, at least `from`, along a direction at which a piece lies clear of another, mm when the
 * direction has length 1.
 * @param startX where the second starts, from the first
 */
export function clearAfter(
  one: Turned,
  other: Turned,
  startX: number,
  startY: number,
  alongX: number,
  alongY: number,
  from: number,
): number {
  const stretches: Stretch[] = []
  for (const convex of one.convexes) {
    for (const against of other.convexes) {
      const stretch = overlapAlong(convex, against, startX, startY, alongX, alongY, from)
      if (stretch && stretch[1] > from) stretches.push(stretch)
    }
  }
  stretches.sort(([first], [second]) => first - second)
  let at = from
  for (const [enter, leave] of stretches) if (enter < at + CLEAR_MM && leave > at - CLEAR_MM) at = leave + CLEAR_MM
  return at
}
