/** Tries that make a layout take less paper. Each changes nothing unless its result can be cut. */
import { crowdOf, lyingIn, type Crowd, type Lying } from './crowd'
import { hullOf, turnedCopy } from './turned'
import { areaOf, type LaidSheet } from './firstLayout'
import { cappedRoom, roomsInRow, type Room, type Standing } from './room'
import { bestSpot, join, put, settling, type Effort, type Spot } from './settle'

const LIGHT: Effort = { hopelessAt: 0.06, patience: 5, rounds: 10, evaluations: 90, samples: 50 }
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

const hasRoomFor = ({ stock, pieces }: LaidSheet, moreMm2: number): boolean =>
  areaOf(pieces) + moreMm2 <= FULLEST * freeAreaOf(stock.room)

const nothing: Try = () => 'nothing'

/** Pairs of a piece and a sheet that are looked at before one is tried. */
const PAIRS = 6

/**
 * Puts a piece of one sheet on one of some others, and pushes the pieces there aside for it: of some pairs by chance,
 * the one that is in the way least for its size.
 */
export function hand(from: LaidSheet, targets: readonly LaidSheet[], stream: () => number): Try {
  const crowds = new Map<LaidSheet, Crowd>()
  let best: { readonly at: number; readonly target: LaidSheet; readonly spot: Spot; readonly score: number } | null =
    null
  for (let pair = 0; pair < PAIRS; pair += 1) {
    const at = Math.floor(stream() * from.pieces.length)
    const target = targets[Math.floor(stream() * targets.length)]!
    const { shape } = from.pieces[at]!
    if (!hasRoomFor(target, shape.areaMm2)) continue
    const crowd = crowds.get(target) ?? crowdOf(target.stock.room, target.pieces, true)
    crowds.set(target, crowd)
    const spot = bestSpot(crowd, shape, -1, stream, 80)
    const score = spot.press / shape.areaMm2
    if (!best || score < best.score) best = { at, target, spot, score }
  }
  if (!best) return nothing
  const { at, target, spot } = best
  const crowd = crowds.get(target)!
  join(crowd, from.pieces[at]!.shape, spot)
  const round = settling(crowd, stream, LIGHT)
  return () => {
    const outcome = round()
    return outcome === 'apart'
      ? new Map([
          [target, lyingIn(crowd)],
          [from, without(from.pieces, [at])],
        ])
      : outcome === 'stuck'
        ? 'nothing'
        : 'trying'
  }
}

/** Draws of pieces that are looked at before some are exchanged: many for the least gain, few for any. */
const MANY_DRAWS = 16
const FEW_DRAWS = 3
const MOST_OUT = 3
const MOST_IN = 4

/** Some pieces by chance, each at most once. */
function drawn(pieces: readonly Lying[], count: number, stream: () => number): readonly number[] {
  const chosen = new Set<number>()
  while (chosen.size < Math.min(count, pieces.length)) chosen.add(Math.floor(stream() * pieces.length))
  return [...chosen]
}

/** A piece by chance and those nearest to it. */
function neighbours(pieces: readonly Lying[], count: number, stream: () => number): readonly number[] {
  const middle = pieces[Math.floor(stream() * pieces.length)]!
  return pieces
    .map(({ x, y }, at) => ({ at, far: (x - middle.x) ** 2 + (y - middle.y) ** 2 }))
    .sort((one, other) => one.far - other.far)
    .slice(0, count)
    .map(({ at }) => at)
}

const those = (pieces: readonly Lying[], at: readonly number[]): readonly Lying[] => at.map((index) => pieces[index]!)
const without = (pieces: readonly Lying[], at: readonly number[]): readonly Lying[] =>
  pieces.filter((_, index) => !at.includes(index))

/**
 * Lets a few neighbours on one sheet and a few pieces of the emptiest change places, so that a little more lies on
 * the one and a little less on the emptiest.
 * Small gains are the rule: where hardly a piece more would fit, three small ones for a large one still may.
 */
export function exchange(from: LaidSheet, target: LaidSheet, stream: () => number): Try {
  const going = neighbours(target.pieces, 1 + Math.floor(stream() * MOST_OUT), stream)
  const goingMm2 = areaOf(those(target.pieces, going))
  let coming: readonly number[] | null = null
  let leastMm2 = Infinity
  const draws = stream() < 0.5 ? FEW_DRAWS : MANY_DRAWS
  for (let draw = 0; draw < draws; draw += 1) {
    const some = drawn(from.pieces, 1 + Math.floor(stream() * MOST_IN), stream)
    const moreMm2 = areaOf(those(from.pieces, some)) - goingMm2
    if (moreMm2 > 0.002 * goingMm2 && moreMm2 < leastMm2) {
      coming = some
      leastMm2 = moreMm2
    }
  }
  if (!coming || !hasRoomFor(target, leastMm2)) return nothing
  const crowd = crowdOf(target.stock.room, without(target.pieces, going), true)
  const places = those(target.pieces, going)
  for (const [at, { shape }] of those(from.pieces, coming).entries()) {
    const place = places[at]
    const spot = bestSpot(crowd, shape, -1, stream, 60)
    join(
      crowd,
      shape,
      place && stream() < 0.7
        ? {
            x: place.x,
            y: place.y,
            turn: shape.turns ? spot.turn : place.turn,
            face: Math.min(place.face, shape.faces.length - 1),
          }
        : spot,
    )
  }
  const back: Crowd = crowdOf(from.stock.room, without(from.pieces, coming), true)
  for (const { shape } of places) join(back, shape, bestSpot(back, shape, -1, stream, 150))
  let round = settling(crowd, stream, LIGHT)
  let isSecond = false
  return () => {
    const outcome = round()
    if (outcome !== 'apart') return outcome === 'stuck' ? 'nothing' : 'trying'
    if (isSecond)
      return new Map([
        [target, lyingIn(crowd)],
        [from, lyingIn(back)],
      ])
    isSecond = true
    round = settling(back, stream, LIGHT)
    return 'trying'
  }
}

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
