/** Pushing overlapping pieces of a sheet apart until it can be cut, or giving up. */
import { between } from '../../quantity'
import { energyOf, pressAt, raiseWeights, troubleOf, type Trouble } from './energy'
import { type Crowd } from './crowd'
import { turnedCopy, turnTo, type Turned } from './turned'
import { minimise } from './minimise'
import type { Shape } from './shape'

/**
 * How long to try: rounds without progress before giving up, rounds in all, evaluations in each, random places looked
 * at for a piece that is in the way; how deep overlaps may be after the first round, as a share of the mean radius,
 * for it to be worth going on.
 */
export type Effort = {
  readonly hopelessAt: number
  readonly patience: number
  readonly rounds: number
  readonly evaluations: number
  readonly samples: number
}

const LONGEST_STEP_MM = 8
/** Below this energy the crowd is apart but for clearances. */
const APART_MM2 = 1e-9
const MOVED_A_ROUND = 3

/** One round of pushing apart: `apart` when nothing overlaps any more, `stuck` when it is not worth going on. */
export type Round = () => 'apart' | 'trying' | 'stuck'

/**
 * Pushes the pieces of a crowd apart, round by round, until none overlap or patience ends.
 * Each round walks downhill together; pairs that still overlap weigh more from then on, and pieces that are pressed
 * most move to places where they are pressed less.
 *
 * @see Voudouris and Tsang 1999 (weights), Imamichi, Yagiura and Nagamochi 2009 (walking together), Umetani and
 * others 2009 (moving one by one)
 */
export function settling(
  crowd: Crowd,
  stream: () => number,
  { hopelessAt, patience, rounds, evaluations, samples }: Effort,
): Round {
  const hopelessMm = (hopelessAt * crowd.shapes.reduce((sum, { radius }) => sum + radius, 0)) / crowd.shapes.length
  let least = Infinity
  let stale = 0
  let round = 0
  return () => {
    const { at, energy, write } = energyOf(crowd)
    minimise(energy, at, evaluations, LONGEST_STEP_MM, APART_MM2)
    write(at)
    const trouble = troubleOf(crowd)
    if (trouble.deepest === 0) return 'apart'
    const total = trouble.pressed.reduce((sum, each) => sum + each, 0)
    if (total < least * 0.98) {
      least = total
      stale = 0
    } else stale += 1
    round += 1
    if (stale > patience || round >= rounds || Math.sqrt(total) > hopelessMm) return 'stuck'
    raiseWeights(crowd, trouble)
    for (const piece of worstOf(trouble, stream)) makeWay(crowd, piece, stream, samples)
    return 'trying'
  }
}

/** Some of the pieces that are pressed most, seldom the same twice in a row. */
function worstOf({ pressed }: Trouble, stream: () => number): readonly number[] {
  return [...pressed.keys()]
    .filter((piece) => pressed[piece]! > 0)
    .map((piece) => ({ piece, score: pressed[piece]! * stream() }))
    .sort((one, other) => other.score - one.score)
    .slice(0, MOVED_A_ROUND)
    .map(({ piece }) => piece)
}

/** Moves a piece to a place where it is pressed less than where it is, if one is found. */
function makeWay(crowd: Crowd, piece: number, stream: () => number, samples: number): void {
  const shape = crowd.shapes[piece]!
  const here = pressAt(crowd, shape, crowd.turned[piece]!, crowd.x[piece]!, crowd.y[piece]!, piece, Infinity)
  const spot = refined(crowd, shape, piece, bestSpot(crowd, shape, piece, stream, samples), stream)
  if (spot.press < here) put(crowd, piece, spot)
}

const REFINEMENTS = 36

/** A spot bettered by small moves and turns, smaller and smaller. */
function refined(crowd: Crowd, shape: Shape, piece: number, spot: Spot, stream: () => number): Spot {
  const copy = turnedCopy(shape.faces[spot.face]!, spot.turn)
  let best = spot
  let wide = shape.radius * 0.25
  for (let step = 0; step < REFINEMENTS && best.press > 0; step += 1) {
    const turn = shape.turns ? best.turn : best.turn + (between(stream, -1, 1) * wide) / shape.radius
    const [x, y] = [best.x + between(stream, -1, 1) * wide, best.y + between(stream, -1, 1) * wide]
    turnTo(copy, turn)
    const press = pressAt(crowd, shape, copy, x, y, piece, best.press)
    if (press < best.press) best = { ...best, x, y, turn, press }
    else wide *= 0.9
  }
  return best
}

/** Allowed turns are drawn evenly; of free ones, half lay an edge along the sheet's. */
function anyTurn({ turns, isRound, faces }: Shape, face: number, stream: () => number): number {
  if (isRound) return 0
  if (turns) return turns[Math.floor(stream() * turns.length)]!
  const { flushTurns } = faces[face]!
  return flushTurns.length > 0 && stream() < 0.5
    ? flushTurns[Math.floor(stream() * flushTurns.length)]!
    : stream() * 2 * Math.PI
}

export type Spot = {
  readonly x: number
  readonly y: number
  readonly turn: number
  readonly face: number
  readonly press: number
}

/**
 * Of so many random places in a crowd's room, the one where a piece would be pressed least. `except` is the piece
 * itself when it is in the crowd already.
 */
export function bestSpot(crowd: Crowd, shape: Shape, except: number, stream: () => number, samples: number): Spot {
  const copies: readonly Turned[] = shape.faces.map((face) => turnedCopy(face, 0))
  let best: Spot | null = null
  for (let sample = 0; sample < samples; sample += 1) {
    const face = Math.floor(stream() * copies.length)
    const piece = copies[face]!
    const turn = anyTurn(shape, face, stream)
    turnTo(piece, turn)
    const { x, y } = crowd.room.anyPlace(piece, stream)
    const press = pressAt(crowd, shape, piece, x, y, except, best?.press ?? Infinity)
    if (!best || press < best.press) best = { x, y, turn, face, press }
  }
  return best!
}

export function put(crowd: Crowd, piece: number, { x, y, turn, face }: Omit<Spot, 'press'>): void {
  const shape = crowd.shapes[piece]!
  if (crowd.faces[piece] !== face) {
    crowd.turned[piece] = turnedCopy(shape.faces[face]!, turn)
    crowd.faces[piece] = face
  } else turnTo(crowd.turned[piece]!, turn)
  crowd.x[piece] = x
  crowd.y[piece] = y
  crowd.still[piece] = false
}

/** Adds a piece to a crowd at a place. @returns its index */
export function join(crowd: Crowd, shape: Shape, { x, y, turn, face }: Omit<Spot, 'press'>): number {
  crowd.shapes.push(shape)
  crowd.turned.push(turnedCopy(shape.faces[face]!, turn))
  crowd.faces.push(face)
  crowd.still.push(false)
  crowd.x.push(x)
  return crowd.y.push(y) - 1
}
