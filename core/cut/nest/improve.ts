/** Moves that make a layout take less paper. Each tries one thing on one or two sheets, and changes nothing unless the result can be cut. */
import { crowdOf, lyingIn, turnedCopy, type Crowd, type Lying } from './crowd'
import { areaOf, type LaidSheet } from './firstLayout'
import { cappedRoom, type Room } from './room'
import { bestSpot, join, put, settle, type Effort } from './settle'
import type { Shape } from './shape'

const LIGHT: Effort = { rounds: 5, evaluations: 90, samples: 80 }
/** Sheets fuller than this share of their free part, gaps included, are left alone. */
const FULLEST = 0.985

export type Extent = { readonly left: number, readonly right: number, readonly low: number, readonly high: number }

/** The box round pieces as cut, mm on their sheet. */
export function extentOf(pieces: readonly Lying[]): Extent {
  let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity]
  for (const { shape, x, y, turn, face } of pieces) {
    const { hullX, hullY } = turnedCopy(shape.faces[face]!, turn)
    for (let at = 0; at < hullX.length; at += 1) {
      left = Math.min(left, x + hullX[at]!)
      right = Math.max(right, x + hullX[at]!)
      low = Math.min(low, y + hullY[at]!)
      high = Math.max(high, y + hullY[at]!)
    }
  }
  return { left, right, low, high }
}

/** Share of a sheet that its pieces take when the rest is cut off straight, the margin kept on both sides; the better of both directions. */
export function usedShare({ stock, pieces }: LaidSheet): number {
  if (pieces.length === 0) return 0
  const { room } = stock
  const { left, right, low, high } = extentOf(pieces)
  const marginX = room.left - sheetLeft(stock)
  const [across, up] = [(right - left + 2 * marginX) / (room.right - room.left + 2 * marginX), (high - low + 2 * marginX) / (room.high - room.low + 2 * marginX)]
  return Math.min(1, across, up)
}

const sheetLeft = ({ sheet }: LaidSheet['stock']): number => sheet.shape === 'remnant' ? Math.min(...sheet.outline.map(([x]) => x)) : 0

const freeAreaOf = ({ kind, left, right, low, high }: Room): number => (right - left) * (high - low) * (kind === 'disc' ? Math.PI / 4 : 1)

/** Puts one more piece on a sheet and pushes the others aside for it. @returns the pieces as they lie then, or null */
export function insert(sheet: LaidSheet, shape: Shape, stream: () => number, stop: () => boolean): readonly Lying[] | null {
  if (areaOf(sheet.pieces) + shape.areaMm2 > FULLEST * freeAreaOf(sheet.stock.room)) return null
  const crowd = crowdOf(sheet.stock.room, sheet.pieces)
  join(crowd, shape, bestSpot(crowd, shape, -1, stream, 150))
  return settle(crowd, stream, LIGHT, stop) ? lyingIn(crowd) : null
}

/** Takes a piece off a sheet and puts another, larger one there instead. */
export function exchange(sheet: LaidSheet, out: number, shape: Shape, stream: () => number, stop: () => boolean): readonly Lying[] | null {
  if (areaOf(sheet.pieces) + shape.areaMm2 - sheet.pieces[out]!.shape.areaMm2 > FULLEST * freeAreaOf(sheet.stock.room)) return null
  const gone = sheet.pieces[out]!
  const crowd = crowdOf(sheet.stock.room, sheet.pieces.filter((_, at) => at !== out))
  const spot = bestSpot(crowd, shape, -1, stream, 40)
  const face = Math.min(gone.face, shape.faces.length - 1)
  const inPlace = { x: gone.x, y: gone.y, turn: shape.turns ? spot.turn : gone.turn, face }
  join(crowd, shape, stream() < 0.7 ? inPlace : spot)
  return settle(crowd, stream, LIGHT, stop) ? lyingIn(crowd) : null
}

/** Pushes the pieces of a sheet into a smaller part of it. */
export function compress(sheet: LaidSheet, byMm: number, along: 'x' | 'y', stream: () => number, stop: () => boolean): readonly Lying[] | null {
  const { room } = sheet.stock
  const extent = extentOf(sheet.pieces)
  const limit = (along === 'y' ? extent.high : extent.right) - byMm
  const crowd: Crowd = crowdOf(cappedRoom(room, along, limit), sheet.pieces)
  sheet.pieces.forEach(({ x, y, turn, face, shape }, at) => {
    const { hullX, hullY } = crowd.turned[at]!
    const over = along === 'y' ? y + Math.max(...hullY) - limit : x + Math.max(...hullX) - limit
    if (over <= 0) return
    if (stream() < 0.5) put(crowd, at, { x: along === 'x' ? x - over : x, y: along === 'y' ? y - over : y, turn, face })
    else put(crowd, at, bestSpot(crowd, shape, at, stream, 80))
  })
  return settle(crowd, stream, LIGHT, stop) ? lyingIn(crowd) : null
}
