/** Flat shapes made of straight lines and arcs, mm, x to the right and y up. */
export type Point = { readonly x: number; readonly y: number }

/**
 * From where the last segment ended to a point: straight, or along an arc counter-clockwise (turn above 0) or
 * clockwise, turn in degrees up to 360.
 */
export type Segment =
  | { readonly kind: 'line'; readonly to: Point }
  | { readonly kind: 'arc'; readonly to: Point; readonly radius: number; readonly turnDeg: number }

export type Outline = { readonly start: Point; readonly segments: readonly Segment[] }

const RADIANS = Math.PI / 180

/** A point at an angle (degrees counter-clockwise from the right) and a distance from another. */
export const pointAt = (centre: Point, angleDeg: number, distance: number): Point => ({
  x: centre.x + distance * Math.cos(angleDeg * RADIANS),
  y: centre.y + distance * Math.sin(angleDeg * RADIANS),
})

/** A whole circle, as two half arcs. */
export function circle(centre: Point, radius: number): Outline {
  const right = pointAt(centre, 0, radius)
  const left = pointAt(centre, 180, radius)
  return {
    start: right,
    segments: [
      { kind: 'arc', to: left, radius, turnDeg: 180 },
      { kind: 'arc', to: right, radius, turnDeg: 180 },
    ],
  }
}

/** A sector of a circle, from its centre; a circle when the sweep is whole. */
export function sector(centre: Point, radius: number, fromDeg: number, sweepDeg: number): Outline {
  if (sweepDeg >= 360) return circle(centre, radius)
  return {
    start: centre,
    segments: [
      { kind: 'line', to: pointAt(centre, fromDeg, radius) },
      { kind: 'arc', to: pointAt(centre, fromDeg + sweepDeg, radius), radius, turnDeg: sweepDeg },
      { kind: 'line', to: centre },
    ],
  }
}

/** Straight lines through points; closed when the last goes back to the first. */
export const polyline = ([start, ...rest]: readonly [Point, ...Point[]], closed = false): Outline => ({
  start,
  segments: [...rest, ...(closed ? [start] : [])].map((to) => ({ kind: 'line', to })),
})

/** An upright rectangle from its lower left corner. */
export const rectangle = (x: number, y: number, width: number, height: number): Outline =>
  polyline(
    [
      { x, y },
      { x: x + width, y },
      { x: x + width, y: y + height },
      { x, y: y + height },
    ],
    true,
  )

/**
 * Area inside a closed outline, mm²; positive when it runs counter-clockwise. Shoelace for the chords, circular
 * segments for the arcs.
 */
export function outlineAreaMm2({ start, segments }: Outline): number {
  let from = start
  let area = 0
  for (const segment of segments) {
    area += (from.x * segment.to.y - segment.to.x * from.y) / 2
    if (segment.kind === 'arc') {
      const turn = Math.abs(segment.turnDeg) * RADIANS
      area += (Math.sign(segment.turnDeg) * segment.radius ** 2 * (turn - Math.sin(turn))) / 2
    }
    from = segment.to
  }
  return area
}

/** Length of an outline, mm. */
export function outlineLengthMm({ start, segments }: Outline): number {
  let from = start
  let length = 0
  for (const segment of segments) {
    length +=
      segment.kind === 'arc'
        ? segment.radius * Math.abs(segment.turnDeg) * RADIANS
        : Math.hypot(segment.to.x - from.x, segment.to.y - from.y)
    from = segment.to
  }
  return length
}

/** Whether a point lies within a closed line through points (even-odd). */
export function isInside({ x, y }: Point, ring: readonly Point[]): boolean {
  let inside = false
  ring.forEach((one, at) => {
    const other = ring[(at + ring.length - 1) % ring.length]!
    if (one.y > y !== other.y > y && x < ((other.x - one.x) * (y - one.y)) / (other.y - one.y) + one.x) inside = !inside
  })
  return inside
}

/** The outline moved, and mirrored top to bottom for drawings whose y runs down. */
export function flipMove({ start, segments }: Outline, moveX: number, moveY: number): Outline {
  const put = ({ x, y }: Point): Point => ({ x: x + moveX, y: moveY - y })
  return {
    start: put(start),
    segments: segments.map((segment) =>
      segment.kind === 'arc'
        ? { ...segment, to: put(segment.to), turnDeg: -segment.turnDeg }
        : { kind: 'line', to: put(segment.to) },
    ),
  }
}

/** How something lies: mirrored (x to -x) if wanted, turned about the origin counter-clockwise, then moved. */
type Lying = { readonly x: number; readonly y: number; readonly rotationDeg: number; readonly mirrored: boolean }

/** Where a point comes to lie. */
export function laidPoint(point: Point, { x, y, rotationDeg, mirrored }: Lying): Point {
  const [cos, sin] = [Math.cos(rotationDeg * RADIANS), Math.sin(rotationDeg * RADIANS)]
  const ownX = mirrored ? -point.x : point.x
  return { x: x + ownX * cos - point.y * sin, y: y + ownX * sin + point.y * cos }
}

/** Where an outline comes to lie. */
export function laidOut({ start, segments }: Outline, lying: Lying): Outline {
  const put = (point: Point): Point => laidPoint(point, lying)
  return {
    start: put(start),
    segments: segments.map((segment) =>
      segment.kind === 'arc'
        ? { ...segment, to: put(segment.to), turnDeg: lying.mirrored ? -segment.turnDeg : segment.turnDeg }
        : { kind: 'line', to: put(segment.to) },
    ),
  }
}

/** The corners of the tightest convex outline round points, counter-clockwise. @see Andrew's monotone chain */
export function convexHull<Corner extends Point>(points: readonly Corner[]): readonly Corner[] {
  const sorted = points.length > MANY_POINTS ? outerPoints(points) : [...points]
  sorted.sort((one, other) => one.x - other.x || one.y - other.y)
  const half = (ordered: readonly Corner[]): Corner[] => {
    const chain: Corner[] = []
    for (const point of ordered) {
      while (chain.length >= 2 && turn(chain.at(-2)!, chain.at(-1)!, point) <= 0) chain.pop()
      chain.push(point)
    }
    return chain.slice(0, -1)
  }
  return [...half(sorted), ...half(sorted.reverse())]
}

/** With more, it is quicker to leave out first what lies well inside. */
const MANY_POINTS = 40

/** Eight directions, counter-clockwise. */
const DIRECTIONS = [
  { x: 1, y: 0 },
  { x: 1, y: 1 },
  { x: 0, y: 1 },
  { x: -1, y: 1 },
  { x: -1, y: 0 },
  { x: -1, y: -1 },
  { x: 0, y: -1 },
  { x: 1, y: -1 },
] as const

/** Points without those that lie inside the outermost ones of eight directions. @see Akl & Toussaint 1978 */
function outerPoints<Corner extends Point>(points: readonly Corner[]): Corner[] {
  const outermost: Point[] = []
  for (const { x, y } of DIRECTIONS) {
    let [furthest, most] = [points[0]!, -Infinity]
    for (const point of points) {
      const along = x * point.x + y * point.y
      if (along > most) [furthest, most] = [point, along]
    }
    outermost.push(furthest)
  }
  const edges = outermost
    .map((from, at) => ({ from, to: outermost[(at + 1) % outermost.length]! }))
    .filter(({ from, to }) => from !== to)
  if (edges.length < 3) return [...points]
  return points.filter((point) => !edges.every(({ from, to }) => turn(from, to, point) > 0))
}

/** Above 0 when three points turn to the left. */
const turn = (one: Point, two: Point, three: Point): number =>
  (two.x - one.x) * (three.y - one.y) - (two.y - one.y) * (three.x - one.x)

/** The middle of the circle that an arc is of. */
function centreOf(from: Point, { to, turnDeg }: Extract<Segment, { kind: 'arc' }>): Point {
  const off = (Math.tan(((180 - Math.abs(turnDeg)) / 2) * RADIANS) / 2) * Math.sign(turnDeg)
  return {
    x: from.x + (to.x - from.x) / 2 - (to.y - from.y) * off,
    y: from.y + (to.y - from.y) / 2 + (to.x - from.x) * off,
  }
}

/** Points that part an arc into equal steps, its end left out. */
function alongArc(from: Point, segment: Extract<Segment, { kind: 'arc' }>, steps: number): readonly Point[] {
  const centre = centreOf(from, segment)
  const beginDeg = Math.atan2(from.y - centre.y, from.x - centre.x) / RADIANS
  return Array.from({ length: steps - 1 }, (_, step) =>
    pointAt(centre, beginDeg + (segment.turnDeg * (step + 1)) / steps, segment.radius),
  )
}

/** The same outline with no arc of more than an angle: long arcs are badly told by their ends alone. */
export function withShortArcs({ start, segments }: Outline, mostDeg: number): Outline {
  let from = start
  return {
    start,
    segments: segments.flatMap((segment): readonly Segment[] => {
      const begin = from
      from = segment.to
      const steps = segment.kind === 'arc' ? Math.ceil(Math.abs(segment.turnDeg) / mostDeg) : 1
      if (segment.kind === 'line' || steps <= 1) return [segment]
      return [...alongArc(begin, segment, steps), segment.to].map((to) => ({
        ...segment,
        to,
        turnDeg: segment.turnDeg / steps,
      }))
    }),
  }
}

/**
 * Corners along a closed outline, arcs as chords that stay within a tolerance of them; the first point is not
 * repeated.
 */
export function cornersAlong({ start, segments }: Outline, toleranceMm: number): readonly Point[] {
  const corners: Point[] = []
  let from = start
  for (const segment of segments) {
    corners.push(from)
    if (segment.kind === 'arc')
      corners.push(
        ...alongArc(
          from,
          segment,
          Math.max(
            1,
            Math.ceil(
              (Math.abs(segment.turnDeg) * RADIANS) / (2 * Math.acos(1 - Math.min(1, toleranceMm / segment.radius))),
            ),
          ),
        ),
      )
    from = segment.to
  }
  const last = corners.at(-1)
  return last && Math.hypot(from.x - start.x, from.y - start.y) > 1e-9 ? [...corners, from] : corners
}
