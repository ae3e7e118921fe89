/** Shapes turned to lie as their pieces do. */
import { emptyCopy, turnInto, type Convex } from './convex'
import type { ShapeFace } from './shape'

/** A shape turned to lie as its piece does. Its hull is turned only when it is near an edge: ask `hullOf`. */
export type Turned = {
  readonly face: ShapeFace
  readonly convexes: readonly Convex[]
  readonly hullX: Float64Array
  readonly hullY: Float64Array
  readonly hullRadius: number
  turn: number
  hullTurn: number
}

export function turnedCopy(face: ShapeFace, turn: number): Turned {
  const copy: Turned = {
    face,
    convexes: face.convexes.map(emptyCopy),
    hullX: new Float64Array(face.hullX.length),
    hullY: new Float64Array(face.hullY.length),
    hullRadius: face.hullRadius,
    turn: NaN,
    hullTurn: NaN,
  }
  turnTo(copy, turn)
  return copy
}

/** Exact at quarter turns, so that what fits square on a sheet still does. */
export function cosSin(turn: number): readonly [number, number] {
  const quarters = turn / (Math.PI / 2)
  const whole = Math.round(quarters)
  if (Math.abs(quarters - whole) > 1e-12) return [Math.cos(turn), Math.sin(turn)]
  return (
    [
      [1, 0],
      [0, 1],
      [-1, 0],
      [0, -1],
    ] as const
  )[((whole % 4) + 4) % 4]!
}

export function turnTo(turned: Turned, turn: number): void {
  if (turned.turn === turn) return
  const [cos, sin] = cosSin(turn)
  turned.face.convexes.forEach((convex, at) => {
    turnInto(convex, cos, sin, turned.convexes[at]!)
  })
  turned.turn = turn
}

/** The corners of a turned piece's true hull, from its middle. */
export function hullOf(turned: Turned): { readonly hullX: Float64Array; readonly hullY: Float64Array } {
  const { face, hullX, hullY, turn } = turned
  if (turned.hullTurn === turn) return turned
  const [cos, sin] = cosSin(turn)
  for (let at = 0; at < hullX.length; at += 1) {
    hullX[at] = face.hullX[at]! * cos - face.hullY[at]! * sin
    hullY[at] = face.hullX[at]! * sin + face.hullY[at]! * cos
  }
  turned.hullTurn = turn
  return turned
}

/** The box round a turned piece's true hull, from its middle, mm. */
export type Span = { readonly left: number; readonly right: number; readonly low: number; readonly high: number }

export function spanOf(piece: Turned): Span {
  const { hullX, hullY } = hullOf(piece)
  let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity]
  for (let at = 0; at < hullX.length; at += 1) {
    left = Math.min(left, hullX[at]!)
    right = Math.max(right, hullX[at]!)
    low = Math.min(low, hullY[at]!)
    high = Math.max(high, hullY[at]!)
  }
  return { left, right, low, high }
}
