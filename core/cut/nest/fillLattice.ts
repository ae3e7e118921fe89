/** A sheet filled along a lattice. */
import type { Lying } from './crowd'
import { spanOf, turnedCopy, type Turned } from './turned'
import type { Room } from './room'
import { HALF_ROUND, type Lattice } from './lattice'

const EDGE_MM2 = 1e-12
const PHASES = 6

/**
 * Pieces of a lattice that lie in a room, row after row from below (or from the left), at most so many; the starts of
 * rows are chosen so that most fit.
 */
export function fillLattice(
  { shape, turn, partner, pitchMm, riseMm, shiftMm }: Lattice,
  room: Room,
  most: number,
): readonly Lying[] {
  const one = turnedCopy(shape.faces[0]!, turn)
  const other = turnedCopy(shape.faces[0]!, turn + HALF_ROUND)
  const members = [
    { piece: one, x: 0, y: 0, turn },
    ...(partner ? [{ piece: other, x: partner.x, y: partner.y, turn: turn + HALF_ROUND }] : []),
  ]
  const spans = members.map(({ piece, x, y }) => {
    const span = spanOf(piece)
    return { left: span.left + x, right: span.right + x, low: span.low + y, high: span.high + y }
  })
  const lowest = Math.min(...spans.map(({ low }) => low))
  const rowHigh = Math.max(...spans.map(({ high }) => high)) - lowest
  const rows = Math.floor((room.high - room.low - rowHigh) / riseMm + 1e-9) + 1
  const isFree = (piece: Turned, x: number, y: number): boolean =>
    room.press(piece, x, y) <= EDGE_MM2 && room.pressOfObstacles(piece, shape.radius, x, y, 0) === 0
  let best: readonly Lying[] = []
  const lifts = room.kind === 'disc' || room.obstacles.length > 0 ? PHASES : 1
  for (let lift = 0; lift < lifts; lift += 1) {
    for (let phase = 0; phase < PHASES; phase += 1) {
      const pieces: Lying[] = []
      for (let row = 0; row < rows && pieces.length < most; row += 1) {
        const y = room.low - lowest + row * riseMm + (lift / lifts) * riseMm
        const offset = row * shiftMm + (phase / PHASES) * pitchMm
        const line: Lying[] = []
        for (const [at, member] of members.entries()) {
          const start = room.left - spans[at]!.left
          const base = (((offset - start) % pitchMm) + pitchMm) % pitchMm
          const count =
            Math.floor((room.right - room.left - (spans[at]!.right - spans[at]!.left) - base) / pitchMm + 1e-9) + 1
          for (let step = 0; step < count; step += 1) {
            const [x, up] = [start + base + step * pitchMm + member.x, y + member.y]
            if (isFree(member.piece, x, up)) line.push({ shape, x, y: up, turn: member.turn, face: 0 })
          }
        }
        pieces.push(...line.sort((first, second) => first.x - second.x))
      }
      if (pieces.length > best.length) best = pieces.slice(0, most)
    }
  }
  return best
}
