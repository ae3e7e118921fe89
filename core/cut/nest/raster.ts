/**
 * A sheet as a grid of small cells, for finding a free place for a piece at once. Cells are blocked when anything
 * touches them, so that what is free is surely free.
 */
import { isDisc, type Convex } from './convex'
import type { Lying } from './crowd'
import { cosSin, turnedCopy, type Turned } from './turned'
import type { Room } from './room'
import type { Shape } from './shape'

const BITS = 32

type Mask = { readonly rows: number; readonly words: number; readonly bits: Uint32Array; readonly columns: number }

/** A shape at one turn, as cells from the lower left of its grown outline. */
export type Stamp = {
  readonly shape: Shape
  readonly face: number
  readonly turn: number
  readonly piece: Turned
  readonly mask: Mask
  readonly leftMm: number
  readonly lowMm: number
}

export type Raster = {
  readonly room: Room
  readonly cellMm: number
  readonly left: number
  readonly low: number
  readonly rows: number
  readonly columns: number
  readonly words: number
  readonly bits: Uint32Array
  /** Where the search for a stamp goes on: what lay before it is taken for good. */
  readonly scanned: Map<Stamp, number>
}

/**
 * An empty grid over a room. It reaches beyond the room by `overMm`, because only true outlines must stay within;
 * grown ones may stick out.
 */
export function rasterOf(room: Room, cellMm: number, overMm: number): Raster {
  const [left, low] = [room.left - overMm, room.low - overMm]
  const columns = Math.ceil((room.right + overMm - left) / cellMm - 1e-9)
  const rows = Math.ceil((room.high + overMm - low) / cellMm - 1e-9)
  const words = Math.ceil(columns / BITS) + 1
  const bits = new Uint32Array(rows * words)
  const raster = { room, cellMm, left, low, rows, columns, words, bits, scanned: new Map<Stamp, number>() }
  for (const obstacle of room.obstacles) blockWithin(raster, obstacle)
  return raster
}

/** Blocks the cells that lie within an obstacle altogether; places near its edge are looked at one by one. */
function blockWithin({ cellMm, left, low, rows, columns, words, bits }: Raster, obstacle: Convex): void {
  const [under, over] = reachOf(obstacle)
  const last = Math.min(rows, Math.floor((over - low) / cellMm))
  for (let row = Math.max(0, Math.ceil((under - low) / cellMm)); row < last; row += 1) {
    const below = spanWithin(obstacle, low + row * cellMm, low + row * cellMm)
    const above = spanWithin(obstacle, low + (row + 1) * cellMm, low + (row + 1) * cellMm)
    if (!below || !above) continue
    const from = Math.max(0, Math.ceil((Math.max(below[0], above[0]) - left) / cellMm))
    const to = Math.min(columns, Math.floor((Math.min(below[1], above[1]) - left) / cellMm))
    for (let column = from; column < to; column += 1) bits[row * words + (column >>> 5)]! |= 1 << (column & 31)
  }
}

/** Leftmost and rightmost of a convex within a level strip; none where it does not reach. */
function spanWithin(convex: Convex, from: number, to: number): readonly [number, number] | null {
  if (isDisc(convex)) {
    const near = Math.max(from, Math.min(to, convex.middleY)) - convex.middleY
    if (Math.abs(near) >= convex.radius) return null
    const half = Math.sqrt(convex.radius ** 2 - near ** 2)
    return [convex.middleX - half, convex.middleX + half]
  }
  const { x, y } = convex
  let [least, most] = [Infinity, -Infinity]
  const reach = (at: number): void => {
    if (at < least) least = at
    if (at > most) most = at
  }
  for (let at = 0; at < x.length; at += 1) {
    const next = at + 1 === x.length ? 0 : at + 1
    const [oneX, oneY, otherX, otherY] = [x[at]!, y[at]!, x[next]!, y[next]!]
    if (oneY >= from && oneY <= to) reach(oneX)
    for (const level of [from, to])
      if (oneY < level !== otherY < level) reach(oneX + ((level - oneY) / (otherY - oneY)) * (otherX - oneX))
  }
  return least <= most ? [least, most] : null
}

const TOUCH_MM = 1e-6

export function stampOf(shape: Shape, face: number, turn: number, cellMm: number): Stamp {
  const piece = turnedCopy(shape.faces[face]!, turn)
  let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity]
  for (const convex of piece.convexes) {
    const [xs, ys] = isDisc(convex)
      ? [
          [convex.middleX - convex.radius, convex.middleX + convex.radius],
          [convex.middleY - convex.radius, convex.middleY + convex.radius],
        ]
      : [convex.x, convex.y]
    for (const at of xs) {
      left = Math.min(left, at)
      right = Math.max(right, at)
    }
    for (const at of ys) {
      low = Math.min(low, at)
      high = Math.max(high, at)
    }
  }
  const columns = Math.max(1, Math.ceil((right - left) / cellMm - TOUCH_MM))
  const rows = Math.max(1, Math.ceil((high - low) / cellMm - TOUCH_MM))
  const words = Math.ceil(columns / BITS)
  const bits = new Uint32Array(rows * words)
  for (let row = 0; row < rows; row += 1) {
    for (const convex of piece.convexes) {
      const span = spanWithin(convex, low + row * cellMm, low + (row + 1) * cellMm)
      if (!span) continue
      const first = Math.max(0, Math.floor((span[0] - left) / cellMm + TOUCH_MM))
      const last = Math.min(columns - 1, Math.ceil((span[1] - left) / cellMm - TOUCH_MM) - 1)
      for (let column = first; column <= last; column += 1) bits[row * words + (column >>> 5)]! |= 1 << (column & 31)
    }
  }
  return { shape, face, turn, piece, mask: { rows, words, bits, columns }, leftMm: left, lowMm: low }
}

function isBlocked({ bits, words }: Raster, { mask }: Stamp, column: number, row: number): boolean {
  const [shift, first] = [column & 31, column >>> 5]
  for (let line = 0; line < mask.rows; line += 1) {
    const base = (row + line) * words + first
    let carry = 0
    for (let word = 0; word < mask.words; word += 1) {
      const piece = mask.bits[line * mask.words + word]!
      if (bits[base + word]! & ((piece << shift) | carry)) return true
      carry = shift === 0 ? 0 : piece >>> (BITS - shift)
    }
    if (carry !== 0 && bits[base + mask.words]! & carry) return true
  }
  return false
}

/** A free place, and how high the piece reaches there. */
export type FreePlace = Lying & { readonly top: number; readonly column: number; readonly row: number }

const EDGE_MM2 = 1e-14

/**
 * The lowest free place of a stamp, leftmost of those. Searching goes on where it stopped the last time: pieces only
 * ever block more.
 */
export function lowestPlace(raster: Raster, stamp: Stamp): FreePlace | null {
  const { room, cellMm, left, low, rows, columns, scanned } = raster
  const { mask, piece, shape, face, turn } = stamp
  const [acrossCells, upCells] = [columns - mask.columns + 1, rows - mask.rows + 1]
  if (acrossCells <= 0 || upCells <= 0) return null
  for (let at = scanned.get(stamp) ?? 0; at < acrossCells * upCells; at += 1) {
    const row = Math.floor(at / acrossCells)
    const column = at - row * acrossCells
    if (isBlocked(raster, stamp, column, row)) continue
    const x = left + column * cellMm - stamp.leftMm
    const y = low + row * cellMm - stamp.lowMm
    if (room.press(piece, x, y) > EDGE_MM2 || room.pressOfObstacles(piece, shape.radius, x, y, 0) > 0) continue
    scanned.set(stamp, at)
    return { shape, x, y, turn, face, top: low + (row + mask.rows) * cellMm, column, row }
  }
  scanned.set(stamp, acrossCells * upCells)
  return null
}

/** Blocks the cells of a stamp. */
export function block({ bits, words }: Raster, { mask }: Stamp, column: number, row: number): void {
  const [shift, first] = [column & 31, column >>> 5]
  for (let line = 0; line < mask.rows; line += 1) {
    const base = (row + line) * words + first
    for (let word = 0; word < mask.words; word += 1) {
      const piece = mask.bits[line * mask.words + word]!
      bits[base + word]! |= piece << shift
      if (shift > 0) bits[base + word + 1]! |= piece >>> (BITS - shift)
    }
  }
}

/** Blocks what pieces that lie anywhere cover. */
export function blockLying(raster: Raster, pieces: readonly Lying[]): void {
  const { cellMm, left, low, rows, columns, words, bits } = raster
  for (const { shape, face, turn, x, y } of pieces) {
    for (const convex of turnedCopy(shape.faces[face]!, turn).convexes) {
      const [under, over] = reachOf(convex)
      const [first, last] = [
        Math.max(0, Math.floor((y + under - low) / cellMm)),
        Math.min(rows - 1, Math.floor((y + over - low) / cellMm)),
      ]
      for (let row = first; row <= last; row += 1) {
        const span = spanWithin(convex, low + row * cellMm - y, low + (row + 1) * cellMm - y)
        if (!span) continue
        const [from, to] = [
          Math.max(0, Math.floor((span[0] + x - left) / cellMm)),
          Math.min(columns - 1, Math.floor((span[1] + x - left) / cellMm)),
        ]
        for (let column = from; column <= to; column += 1) bits[row * words + (column >>> 5)]! |= 1 << (column & 31)
      }
    }
  }
}

function reachOf(convex: Convex): readonly [number, number] {
  if (isDisc(convex)) return [convex.middleY - convex.radius, convex.middleY + convex.radius]
  return [
    convex.y.reduce((least, at) => Math.min(least, at), Infinity),
    convex.y.reduce((most, at) => Math.max(most, at), -Infinity),
  ]
}

/**
 * Turns worth trying for a shape: with each long edge of its hull on the table, and an even round; or those that are
 * allowed.
 */
export function usefulTurns({ turns, isRound, faces, box }: Shape, most: number): readonly number[] {
  if (isRound) return [0]
  if (turns) return turns.length <= most ? turns : turns.filter((_, at) => at % Math.ceil(turns.length / most) === 0)
  if (box) return [0, Math.PI / 2]
  const { hullX, hullY } = faces[0]!
  const edges = [...hullX]
    .map((x, at) => {
      const next = (at + 1) % hullX.length
      return {
        angle: -Math.atan2(hullY[next]! - hullY[at]!, hullX[next]! - x),
        length: Math.hypot(hullX[next]! - x, hullY[next]! - hullY[at]!),
      }
    })
    .sort((one, other) => other.length - one.length)
  const flat = edges.slice(0, Math.max(1, Math.floor(most / 4))).flatMap(({ angle }) => [angle, angle + Math.PI])
  const round = Array.from(
    { length: most - flat.length },
    (_, at) => flat[0]! + Math.PI / 2 + (at * 2 * Math.PI) / (most - flat.length),
  )
  return [...flat, ...round].map((turn) => snapped(turn))
}

const snapped = (turn: number): number => {
  const [cos, sin] = cosSin(turn)
  return Math.abs(cos) === 1 || Math.abs(sin) === 1 ? Math.atan2(sin, cos) : turn
}
