/**
 * A convex polygon, or a disc when it has no corners. Corners counter-clockwise in mm; edge `at` runs from corner
 * `at` to the next,
 * with its outward unit normal and how far out it lies along that. `middle` and `radius` are of a circle round it,
 * `inner` the radius of one inside it about the same middle.
 * Typed arrays and numbers in place: millions of these are compared in a run.
 */
export type Convex = {
  readonly x: Float64Array
  readonly y: Float64Array
  readonly normalX: Float64Array
  readonly normalY: Float64Array
  readonly offset: Float64Array
  middleX: number
  middleY: number
  readonly radius: number
  readonly inner: number
}

/** @param corners x and y of a convex polygon, counter-clockwise */
export function convexOf(corners: readonly (readonly [number, number])[]): Convex {
  const count = corners.length
  const made: Convex = {
    x: new Float64Array(count),
    y: new Float64Array(count),
    normalX: new Float64Array(count),
    normalY: new Float64Array(count),
    offset: new Float64Array(count),
    middleX: corners.reduce((sum, [x]) => sum + x, 0) / count,
    middleY: corners.reduce((sum, [, y]) => sum + y, 0) / count,
    radius: 0,
    inner: 0,
  }
  corners.forEach(([x, y], at) => {
    const [nextX, nextY] = corners[(at + 1) % count]!
    const length = Math.hypot(nextX - x, nextY - y)
    made.x[at] = x
    made.y[at] = y
    made.normalX[at] = (nextY - y) / length
    made.normalY[at] = (x - nextX) / length
    made.offset[at] = (x * (nextY - y) + y * (x - nextX)) / length
  })
  return {
    ...made,
    radius: corners.reduce((most, [x, y]) => Math.max(most, Math.hypot(x - made.middleX, y - made.middleY)), 0),
    inner: made.offset.reduce(
      (least, out, at) => Math.min(least, out - made.normalX[at]! * made.middleX - made.normalY[at]! * made.middleY),
      Infinity,
    ),
  }
}

export const discOf = (x: number, y: number, radius: number): Convex => ({
  x: NONE,
  y: NONE,
  normalX: NONE,
  normalY: NONE,
  offset: NONE,
  middleX: x,
  middleY: y,
  radius,
  inner: radius,
})

const NONE = new Float64Array(0)

export const isDisc = ({ x }: Convex): boolean => x.length === 0

/** Room for a turned copy. */
export const emptyCopy = ({ x, middleX, middleY, radius, inner }: Convex): Convex =>
  x.length === 0
    ? discOf(middleX, middleY, radius)
    : {
        x: new Float64Array(x.length),
        y: new Float64Array(x.length),
        normalX: new Float64Array(x.length),
        normalY: new Float64Array(x.length),
        offset: new Float64Array(x.length),
        middleX,
        middleY,
        radius,
        inner,
      }

/** Writes a convex turned about its part's middle into a copy. Offsets stay: they are measured from that middle. */
export function turnInto(from: Convex, cos: number, sin: number, into: Convex): void {
  const { x, y, normalX, normalY, offset } = from
  for (let at = 0; at < x.length; at += 1) {
    into.x[at] = x[at]! * cos - y[at]! * sin
    into.y[at] = x[at]! * sin + y[at]! * cos
    into.normalX[at] = normalX[at]! * cos - normalY[at]! * sin
    into.normalY[at] = normalX[at]! * sin + normalY[at]! * cos
    into.offset[at] = offset[at]!
  }
  into.middleX = from.middleX * cos - from.middleY * sin
  into.middleY = from.middleX * sin + from.middleY * cos
}
