import type { Point, Point3 } from '../geometry'

/** From where the stand is looked at. */
export type Viewpoint = {
  /** How far the stand is turned; 0 shows the front. */
  readonly turnDeg: number
  /** How steeply it is looked down upon: 0 level, 90 from above. */
  readonly downDeg: number
  /** The height above the board that is looked at, mm. */
  readonly aimMm: number
  /** How far away the eye is, mm; none for a drawing to scale, where what is far is no smaller. */
  readonly awayMm: number | null
}

/** Steepness from which the front is seen as one stands before it. */
export const FRONT_DOWN_DEG = 10
/** A long look over a table: near enough for depth, far enough to keep sizes true. */
export const AWAY_MM = 2600

/** A point as the viewer sees it: x to the right, y up from what is aimed at, mm; `near` grows towards the viewer. */
type Seen = Point & { readonly near: number }

export type View = (point: Point3) => Seen

const RADIANS = Math.PI / 180

/** Sines and cosines of a look: asked for thousands of points, worked out once. */
const turnsOf = ({ turnDeg, downDeg }: Pick<Viewpoint, 'turnDeg' | 'downDeg'>) => ({
  c: Math.cos(turnDeg * RADIANS),
  s: Math.sin(turnDeg * RADIANS),
  level: Math.cos(downDeg * RADIANS),
  steep: Math.sin(downDeg * RADIANS),
})

/** The view of the stand from a look. What is aimed at is seen at its true size, what is nearer a little larger. */
export function viewAt(look: Viewpoint): View {
  const { c, s, level, steep } = turnsOf(look)
  const { aimMm, awayMm } = look
  return ([x, y, z]) => {
    const away = x * s + y * c
    const near = (z - aimMm) * steep - away * level
    const larger = awayMm === null ? 1 : awayMm / (awayMm - near)
    return { x: (x * c - y * s) * larger, y: ((z - aimMm) * level + away * steep) * larger, near }
  }
}

/** Sixteen numbers, column after column, as drawing libraries take them. */
export type Matrix = readonly number[]

/** From the cake to the viewer: x right, y up, z towards the viewer, mm, what is aimed at in the middle. */
export function viewMatrix(look: Viewpoint): Matrix {
  const { c, s, level, steep } = turnsOf(look)
  const { aimMm } = look
  // prettier-ignore
  return [
    c, s * steep, -s * level, 0,
    -s, c * steep, -c * level, 0,
    0, level, steep, 0,
    0, -aimMm * level, -aimMm * steep, 1,
  ]
}

/** A part of what is seen, mm, y down from what is aimed at. */
export type Window = { readonly left: number; readonly top: number; readonly width: number; readonly height: number }

/**
 * From the viewer's space to a picture that shows a window of it, -1 to 1 each way, as drawing libraries take it.
 * @param reachMm everything lies nearer to what is aimed at than this
 */
export function projectionMatrix({ awayMm }: Pick<Viewpoint, 'awayMm'>, window: Window, reachMm: number): Matrix {
  const [right, up] = [window.left + window.width / 2, -(window.top + window.height / 2)]
  // Divided by this, what is near grows.
  const [shrinks, whole] = awayMm === null ? [0, 1] : [-1 / awayMm, 1]
  const [near, far] = [whole + shrinks * reachMm, whole - shrinks * reachMm]
  const perMm = -(near + far) / (2 * reachMm)
  const depth = -near - perMm * reachMm
  const [x, y] = [2 / window.width, 2 / window.height]
  // prettier-ignore
  return [
    x, 0, 0, 0,
    0, y, 0, 0,
    -right * shrinks * x, -up * shrinks * y, perMm, shrinks,
    -right * x, -up * y, depth, whole,
  ]
}

/** A straight line of sight in the space of the cake. */
export type Sight = { readonly from: Point3; readonly along: Point3 }

/** From the viewer's space back to the cake's. */
function backTurned([right, up, near]: Point3, look: Viewpoint): Point3 {
  const { c, s, level, steep } = turnsOf(look)
  const away = up * steep - near * level
  return [right * c + away * s, away * c - right * s, up * level + near * steep]
}

/** The line of sight through a seen place, from the eye on; from far before the cake where the eye is nowhere. */
export function sightLine({ x, y }: Point, look: Viewpoint): Sight {
  const farMm = look.awayMm ?? AWAY_MM
  const from: Point3 = look.awayMm === null ? [x, y, farMm] : [0, 0, farMm]
  const long = look.awayMm === null ? farMm : Math.hypot(x, y, farMm)
  const along: Point3 = look.awayMm === null ? [0, 0, -1] : [x / long, y / long, -farMm / long]
  const [px, py, pz] = backTurned(from, look)
  return { from: [px, py, pz + look.aimMm], along: backTurned(along, look) }
}

/** How far what stands on the stand reaches: from its middle, above and below the board's top, mm. */
export type Room = { readonly outMm: number; readonly upMm: number; readonly belowMm: number }

const ROUND_STEPS = 24

/** The window that shows all that takes up so much room, however the stand is turned. @param marginMm room round it */
export function windowOf(look: Viewpoint, { outMm, upMm, belowMm }: Room, marginMm: number): Window {
  const view = viewAt({ ...look, turnDeg: 0 })
  const seen = [-belowMm, upMm].flatMap((height) =>
    Array.from({ length: ROUND_STEPS }, (_, step) => {
      const angle = (step * 2 * Math.PI) / ROUND_STEPS
      return view([outMm * Math.cos(angle), outMm * Math.sin(angle), height])
    }),
  )
  const half = Math.max(...seen.map(({ x }) => Math.abs(x))) + marginMm
  const top = -Math.max(...seen.map(({ y }) => y)) - marginMm
  const bottom = -Math.min(...seen.map(({ y }) => y)) + marginMm
  return { left: -half, top, width: 2 * half, height: bottom - top }
}

/** A window on the same seen so many times nearer. @param moved how far it is moved aside, mm, y down */
export const nearer = ({ left, top, width, height }: Window, times: number, moved: Point): Window => ({
  left: moved.x + left / times,
  top: moved.y + top / times,
  width: width / times,
  height: height / times,
})

/** A window on something alone: all its corners, as they are seen. */
export function windowAround(look: Viewpoint, positions: readonly Float32Array[], marginShare: number): Window {
  const view = viewAt(look)
  let [left, right, top, bottom] = [Infinity, -Infinity, Infinity, -Infinity]
  for (const part of positions)
    for (let at = 0; at < part.length; at += 3) {
      const { x, y } = view([part[at]!, part[at + 1]!, part[at + 2]!])
      left = Math.min(left, x)
      right = Math.max(right, x)
      top = Math.min(top, -y)
      bottom = Math.max(bottom, -y)
    }
  const margin = Math.max(right - left, bottom - top) * marginShare
  return { left: left - margin, top: top - margin, width: right - left + 2 * margin, height: bottom - top + 2 * margin }
}

/** A window widened about its middle to the proportions of what it is shown in. */
export function fitted({ left, top, width, height }: Window, across: number, down: number): Window {
  const mmPerPixel = Math.max(width / across, height / down)
  return {
    left: left + width / 2 - (mmPerPixel * across) / 2,
    top: top + height / 2 - (mmPerPixel * down) / 2,
    width: mmPerPixel * across,
    height: mmPerPixel * down,
  }
}
