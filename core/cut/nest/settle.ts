/** Pushing overlapping pieces of a sheet apart until it can be cut, or giving up. */
import { between } from '../../quantity'
import { energyOf, lyingIn, pressAt, raiseWeights, troubleOf, turnedCopy, turnTo, type Crowd, type Trouble, type Turned } from './crowd'
import { minimise } from './minimise'
import type { Shape } from './shape'

/** How long to try: rounds of pushing, and evaluations in each. */
export type Effort = { readonly rounds: number, readonly evaluations: number, readonly samples: number }

const LONGEST_STEP_MM = 8
/** Below this energy per piece the crowd is apart but for clearances. */
const APART_MM2 = 1e-9

/**
 * Moves, turns and at last relocates the pieces of a crowd until none overlap.
 * Each round walks downhill; pairs that still overlap then weigh more, and after some rounds the most pressed piece is put where it is pressed least.
 *
 * @param stop asked between rounds
 * @returns whether the crowd is apart; it is left as far as it came
 */
export function settle(crowd: Crowd, stream: () => number, { rounds, evaluations, samples }: Effort, stop: () => boolean): boolean {
  let best = Infinity
  let stale = 0
  for (let round = 0; round < rounds; round += 1) {
    const { at, energy, write } = energyOf(crowd)
    minimise(energy, at, evaluations, LONGEST_STEP_MM, APART_MM2)
    write(at)
    const trouble = troubleOf(crowd)
    if (trouble.deepest === 0) return true
    if (stop()) return false
    const total = trouble.pressed.reduce((sum, each) => sum + each, 0)
    if (total < best * 0.98) { best = total; stale = 0 } else stale += 1
    raiseWeights(crowd, trouble)
    if (samples > 0 && stale >= 2) {
      relocate(crowd, worstOf(trouble, crowd, stream), stream, samples)
      stale = 0
    }
  }
  return false
}

/** One of the pieces that are pressed most, seldom the same twice in a row. */
function worstOf({ pressed }: Trouble, crowd: Crowd, stream: () => number): number {
  let [most, at] = [-1, 0]
  for (let piece = 0; piece < pressed.length; piece += 1) {
    const score = pressed[piece]! * (0.3 + stream()) / (1 + crowd.shapes[piece]!.areaMm2 / 4000)
    if (score > most) { most = score; at = piece }
  }
  return at
}

/** Allowed turns are drawn evenly; free ones anywhere. */
export const anyTurn = ({ turns, isRound }: Shape, stream: () => number): number =>
  isRound ? 0 : turns ? turns[Math.floor(stream() * turns.length)]! : stream() * 2 * Math.PI

export type Spot = { readonly x: number, readonly y: number, readonly turn: number, readonly face: number, readonly press: number }

/** Of so many random places in a crowd's room, the one where a piece would be pressed least. `except` is the piece itself when it is in the crowd already. */
export function bestSpot(crowd: Crowd, shape: Shape, except: number, stream: () => number, samples: number): Spot {
  const { left, right, low, high } = crowd.room
  const copies: readonly Turned[] = shape.faces.map((face) => turnedCopy(face, 0))
  let best: Spot = { x: (left + right) / 2, y: (low + high) / 2, turn: shape.turns?.[0] ?? 0, face: 0, press: Infinity }
  for (let sample = 0; sample < samples; sample += 1) {
    const face = Math.floor(stream() * copies.length)
    const piece = copies[face]!
    const turn = anyTurn(shape, stream)
    turnTo(piece, turn)
    const { x, y } = placeIn(crowd, piece, stream)
    const press = pressAt(crowd, shape, piece, x, y, except, best.press)
    if (press < best.press) best = { x, y, turn, face, press }
  }
  return best
}

/** A random place at which a turned piece lies within the room's extent. */
function placeIn({ room: { left, right, low, high } }: Crowd, { hullX, hullY }: Turned, stream: () => number): { x: number, y: number } {
  let [least, most, lowest, highest] = [Infinity, -Infinity, Infinity, -Infinity]
  for (let at = 0; at < hullX.length; at += 1) {
    least = Math.min(least, hullX[at]!)
    most = Math.max(most, hullX[at]!)
    lowest = Math.min(lowest, hullY[at]!)
    highest = Math.max(highest, hullY[at]!)
  }
  return { x: between(stream, left - least, Math.max(left - least, right - most)), y: between(stream, low - lowest, Math.max(low - lowest, high - highest)) }
}

function relocate(crowd: Crowd, piece: number, stream: () => number, samples: number): void {
  const shape = crowd.shapes[piece]!
  put(crowd, piece, bestSpot(crowd, shape, piece, stream, samples))
}

export function put(crowd: Crowd, piece: number, { x, y, turn, face }: Omit<Spot, 'press'>): void {
  const shape = crowd.shapes[piece]!
  if (crowd.faces[piece] !== face) {
    crowd.turned[piece] = turnedCopy(shape.faces[face]!, turn)
    crowd.faces[piece] = face
  } else turnTo(crowd.turned[piece]!, turn)
  crowd.x[piece] = x
  crowd.y[piece] = y
}

/** Adds a piece to a crowd at a place. @returns its index */
export function join(crowd: Crowd, shape: Shape, { x, y, turn, face }: Omit<Spot, 'press'>): number {
  crowd.shapes.push(shape)
  crowd.turned.push(turnedCopy(shape.faces[face]!, turn))
  crowd.faces.push(face)
  crowd.x.push(x)
  return crowd.y.push(y) - 1
}

export { lyingIn }
