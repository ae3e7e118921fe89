/** Pieces drawn from a sheet and put back otherwise. */
import { crowdOf, lyingIn, type Crowd, type Lying } from './crowd'
import { areaOf, type LaidSheet } from './firstLayout'
import { bestSpot, join, settling, type Spot } from './settle'
import { LIGHT, hasRoomFor, nothing, type Try } from './improve'

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
