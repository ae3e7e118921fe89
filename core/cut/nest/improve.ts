/** Tries that make a layout take less paper. Each changes nothing unless its result can be cut. */
import { crowdOf, lyingIn, type Lying } from './crowd'
import { hullOf, turnedCopy } from './turned'
import { areaOf, type LaidSheet } from './firstLayout'
import { cappedRoom, roomsInRow, type Standing } from './roomsInRow'
import { type Room } from './room'
import { bestSpot, join, put, settling, type Effort } from './settle'

export const LIGHT: Effort = { hopelessAt: 0.06, patience: 5, rounds: 10, evaluations: 90, samples: 50 }
const THOROUGH: Effort = { hopelessAt: Infinity, patience: 12, rounds: 200, evaluations: 30, samples: 50 }
/** Sheets fuller than this share of their free part are left alone. */
const FULLEST = 0.985

/** A try under way: one round at a time, until it says which sheets replace which, or that it came to nothing. */
export type Try = () => 'trying' | 'nothing' | ReadonlyMap<LaidSheet, readonly Lying[]>

type Extent = { readonly left: number; readonly right: number; readonly low: number; readonly high: number }

/** The box round pieces as cut, mm on their sheet. */
function extentOf(pieces: readonly Lying[]): Extent {
  let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity]
  for (const { shape, x, y, turn, face } of pieces) {
    const { hullX, hullY } = hullOf(turnedCopy(shape.faces[face]!, turn))
    for (let at = 0; at < hullX.length; at += 1) {
      left = Math.min(left, x + hullX[at]!)
      right = Math.max(right, x + hullX[at]!)
      low = Math.min(low, y + hullY[at]!)
      high = Math.max(high, y + hullY[at]!)
    }
  }
  return { left, right, low, high }
}

/**
 * Share of a sheet that its pieces take when the rest is cut off straight, the margin kept on both sides; the better
 * of both directions.
 */
export function usedShare({ stock, pieces }: LaidSheet): number {
  if (pieces.length === 0) return 0
  const { room } = stock
  const { left, right, low, high } = extentOf(pieces)
  const marginMm = room.left - (stock.sheet.shape === 'remnant' ? Math.min(...stock.sheet.outline.map(([x]) => x)) : 0)
  return Math.min(
    1,
    (right - left + 2 * marginMm) / (room.right - room.left + 2 * marginMm),
    (high - low + 2 * marginMm) / (room.high - room.low + 2 * marginMm),
  )
}

const freeAreaOf = ({ kind, left, right, low, high }: Room): number =>
  (right - left) * (high - low) * (kind === 'disc' ? Math.PI / 4 : 1)

export const hasRoomFor = ({ stock, pieces }: LaidSheet, moreMm2: number): boolean =>
  areaOf(pieces) + moreMm2 <= FULLEST * freeAreaOf(stock.room)

export const nothing: Try = () => 'nothing'

/**
 * Presses the pieces of a sheet into a smaller part of it; what finds no room there may go to the other sheets given,
 * whose pieces make way.
 * @param byMm how much smaller; all of it when that is more than its pieces take
 */
export function compress(
  sheet: LaidSheet,
  others: readonly LaidSheet[],
  byMm: number,
  along: 'x' | 'y',
  stream: () => number,
): Try {
  const { room } = sheet.stock
  const extent = extentOf(sheet.pieces)
  const limit = (along === 'y' ? extent.high : extent.right) - byMm
  const vanishes = limit <= (along === 'y' ? room.low : room.left)
  const kept = vanishes ? others : [sheet, ...others]
  if (kept.length === 0) return nothing
  const widest = [sheet, ...others].reduce(
    (most, { pieces }) => pieces.reduce((each, { shape }) => Math.max(each, shape.radius), most),
    0,
  )
  const { room: all, standing } = roomsInRow(
    kept.map((each) => (each === sheet ? cappedRoom(room, along, limit) : each.stock.room)),
    6 * widest,
  )
  const stay = kept.flatMap(({ pieces }, at) =>
    pieces.map((piece) => ({ ...piece, x: piece.x + standing[at]!.moveX, y: piece.y + standing[at]!.moveY })),
  )
  const crowd = crowdOf(all, stay, true)
  if (vanishes)
    sheet.pieces.forEach(({ shape }) => {
      join(crowd, shape, bestSpot(crowd, shape, -1, stream, 100))
    })
  else {
    sheet.pieces.forEach(({ x, y, turn, face, shape }, at) => {
      const { hullX, hullY } = hullOf(crowd.turned[at]!)
      const over = along === 'y' ? y + Math.max(...hullY) - limit : x + Math.max(...hullX) - limit
      if (over <= 0) return
      const { moveX, moveY } = standing[0]!
      if (stream() < 0.4)
        put(crowd, at, {
          x: (along === 'x' ? x - over : x) + moveX,
          y: (along === 'y' ? y - over : y) + moveY,
          turn,
          face,
        })
      else put(crowd, at, bestSpot(crowd, shape, at, stream, 100))
    })
  }
  const round = settling(crowd, stream, THOROUGH)
  return () => {
    const outcome = round()
    if (outcome !== 'apart') return outcome === 'stuck' ? 'nothing' : 'trying'
    const changes = new Map<LaidSheet, readonly Lying[]>(vanishes ? [[sheet, []]] : [])
    kept.forEach((each, at) => changes.set(each, onSheet(lyingIn(crowd), standing, at)))
    return changes
  }
}

/** The pieces in one of several rooms in a row, where they lie in it. */
function onSheet(pieces: readonly Lying[], standing: readonly Standing[], at: number): readonly Lying[] {
  const nearest = (x: number): number =>
    standing.reduce(
      (best, { room, moveX }, index) =>
        outOf(room, x - moveX) < outOf(standing[best]!.room, x - standing[best]!.moveX) ? index : best,
      0,
    )
  const { moveX, moveY } = standing[at]!
  return pieces
    .filter(({ x }) => nearest(x) === at)
    .map((piece) => ({ ...piece, x: piece.x - moveX, y: piece.y - moveY }))
}

const outOf = ({ left, right }: Room, x: number): number => Math.max(left - x, x - right)
