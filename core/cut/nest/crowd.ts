/** The pieces of one sheet, overlapping as they may, and how strongly they push one another apart. */

import type { Room } from './room'
import type { Shape } from './shape'
import { turnedCopy, type Turned } from './turned'

/** Where the middle of a piece lies on a sheet, its turn in radians, and which face is up. */
export type Lying = {
  readonly shape: Shape
  readonly x: number
  readonly y: number
  readonly turn: number
  readonly face: number
}

/**
 * Pieces come no closer than this beyond the gap while they are pushed apart, so that what stops short of it is still
 * apart, mm.
 */
export const CLEARANCE_MM = 0.002
/** Deeper overlaps are overlaps, mm. */
export const TOLERANCE_MM = 2e-4

/** Pieces on a sheet with their weights: what stays in the way for long is pushed harder. */
export type Crowd = {
  readonly room: Room
  readonly shapes: Shape[]
  readonly turned: Turned[]
  readonly x: number[]
  readonly y: number[]
  readonly faces: number[]
  /** Pieces that lie clear of one another where they are: as long as two of them stay, they need not be compared. */
  readonly still: boolean[]
  /** Weight of each pair that overlapped, keyed by its two indexes. */
  readonly weights: Map<number, number>
}

export const MOST_PIECES = 8192
export const pairKey = (one: number, other: number): number =>
  one < other ? one * MOST_PIECES + other : other * MOST_PIECES + one

/** @param still whether the pieces lie clear of one another, as on a sheet that could be cut */
export function crowdOf(room: Room, pieces: readonly Lying[], still = false): Crowd {
  return {
    room,
    shapes: pieces.map(({ shape }) => shape),
    turned: pieces.map(({ shape, face, turn }) => turnedCopy(shape.faces[face]!, turn)),
    x: pieces.map(({ x }) => x),
    y: pieces.map(({ y }) => y),
    faces: pieces.map(({ face }) => face),
    still: pieces.map(() => still),
    weights: new Map(),
  }
}

/** Where its pieces lie now. */
export const lyingIn = ({ shapes, x, y, turned, faces }: Crowd): readonly Lying[] =>
  shapes.map((shape, at) => ({ shape, x: x[at]!, y: y[at]!, turn: turned[at]!.turn, face: faces[at]! }))
