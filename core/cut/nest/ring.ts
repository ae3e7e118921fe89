import type { Point } from '../../geometry'

/** Area inside a closed line through points, mm²; positive when it runs counter-clockwise. */
export const ringAreaMm2 = (ring: readonly Point[]): number =>
  ring.reduce((sum, one, at) => {
    const next = ring[(at + 1) % ring.length]!
    return sum + one.x * next.y - next.x * one.y
  }, 0) / 2

/** The middle of the area inside a closed line. */
export function ringMiddle(ring: readonly Point[]): Point {
  const { x: originX, y: originY } = ring[0]!
  let [area, x, y] = [0, 0, 0]
  ring.forEach((corner, at) => {
    const next = ring[(at + 1) % ring.length]!
    const [oneX, oneY, otherX, otherY] = [corner.x - originX, corner.y - originY, next.x - originX, next.y - originY]
    const twice = oneX * otherY - otherX * oneY
    area += twice
    x += twice * (oneX + otherX)
    y += twice * (oneY + otherY)
  })
  return { x: originX + x / (3 * area), y: originY + y / (3 * area) }
}

/** Above 0 when three points turn to the left: twice the area between them. */
export const turnOf = (one: Point, two: Point, three: Point): number =>
  (two.x - one.x) * (three.y - one.y) - (two.y - one.y) * (three.x - one.x)

const isBetween = (one: Point, other: Point, point: Point): boolean =>
  point.x >= Math.min(one.x, other.x) &&
  point.x <= Math.max(one.x, other.x) &&
  point.y >= Math.min(one.y, other.y) &&
  point.y <= Math.max(one.y, other.y)

function crosses(one: Point, two: Point, three: Point, four: Point): boolean {
  const [a, b, c, d] = [
    turnOf(one, two, three),
    turnOf(one, two, four),
    turnOf(three, four, one),
    turnOf(three, four, two),
  ]
  if (((a > 0 && b < 0) || (a < 0 && b > 0)) && ((c > 0 && d < 0) || (c < 0 && d > 0))) return true
  return (
    (a === 0 && isBetween(one, two, three)) ||
    (b === 0 && isBetween(one, two, four)) ||
    (c === 0 && isBetween(three, four, one)) ||
    (d === 0 && isBetween(three, four, two))
  )
}

/**
 * Where a closed line meets itself, other than at the corners of neighbouring edges; none when it is simple. Edges are
 * swept from left to right.
 */
export function crossingOf(ring: readonly Point[]): Point | null {
  const edges = ring
    .map((from, at) => {
      const to = ring[(at + 1) % ring.length]!
      return {
        from,
        to,
        at,
        left: Math.min(from.x, to.x),
        right: Math.max(from.x, to.x),
        low: Math.min(from.y, to.y),
        high: Math.max(from.y, to.y),
      }
    })
    .sort((one, other) => one.left - other.left)
  let open: typeof edges = []
  for (const edge of edges) {
    open = open.filter(({ right }) => right >= edge.left)
    for (const other of open) {
      if (other.low > edge.high || other.high < edge.low) continue
      if (meets(edge, other, ring.length)) return edge.from
    }
    open.push(edge)
  }
  return null
}

type Edge = { readonly from: Point; readonly to: Point; readonly at: number }

function meets(one: Edge, other: Edge, count: number): boolean {
  const apart = (one.at - other.at + count) % count
  if (apart !== 1 && apart !== count - 1) return crosses(one.from, one.to, other.from, other.to)
  const [first, second] = apart === 1 ? [other, one] : [one, other]
  const isBack =
    turnOf(first.from, first.to, second.to) === 0 &&
    (first.to.x - first.from.x) * (second.to.x - second.from.x) +
      (first.to.y - first.from.y) * (second.to.y - second.from.y) <
      0
  return isBack || (first.to.x === first.from.x && first.to.y === first.from.y)
}
