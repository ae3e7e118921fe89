import { stackHeightMm, wallPoint, type StandingTier } from '../cake'
import {
  countSweep,
  distanceFromHeart,
  freePatches,
  keepingFree,
  meanSize,
  placeAlong,
  sweepPath,
  withByHand,
  type PathPoint,
  type Place,
} from '../compose'
import { plannedShrink, type Learned } from '../learn'
import { derive, found, typed, type Working } from '../quantity'
import { sailNet, soakedSail, type PlacedElement, type SailNet, type SizedElement } from '../technique'
import type { SailSweep } from './commission'

/** A sail in its place: where it stands, what it is cut from, its shade (0 the palest) and its shape. */
type PlacedSail = {
  readonly place: Place
  readonly element: PlacedElement
  readonly sized: SizedElement
  readonly shade: number
  readonly net: SailNet
}

export type Arrangement = {
  readonly stack: readonly StandingTier[]
  readonly path: readonly PathPoint[]
  readonly sweepLength: Working
  readonly count: Working
  readonly countSpread: Working
  readonly sails: readonly PlacedSail[]
  /** How far the sweep's higher end lies above the cake, mm; 0 when it does not. */
  readonly aboveTopMm: number
}

const NONE = found('sails', 0, 'count', 'no sweep is on the cake, or no disc size is in use')
const NO_LENGTH = found('sweep length', 0, 'length', 'no sweep is on the cake')

/** Places, sizes and shades of all sails of a decoration on a cake. */
export function arrange({
  stack,
  decoration,
  discsMm,
  shrinks = {},
}: {
  stack: readonly StandingTier[]
  decoration: SailSweep | null
  discsMm: readonly number[]
  shrinks?: Learned['shrink']
}): Arrangement {
  if (!decoration || discsMm.length === 0)
    return { stack, path: [], sweepLength: NO_LENGTH, count: NONE, countSpread: NONE, sails: [], aboveTopMm: 0 }
  const topMm = stackHeightMm(stack)
  const sweep = {
    ...decoration.sweep,
    fromHeightMm: Math.min(decoration.sweep.fromHeightMm, topMm),
    toHeightMm: Math.min(decoration.sweep.toHeightMm, topMm),
  }
  const shrink = plannedShrink(decoration.drying.way, shrinks[decoration.drying.way] ?? null)
  const meanHeight = derive(
    'mean seen height',
    'length',
    'size along a sweep',
    '{tallest} × ( 1 + {taper} ) ÷ 2',
    {
      tallest: typed('seen height', sweep.seenHeightMm, 'length', 'Arrange'),
      taper: typed('smallest', sweep.taper, 'share', 'Arrange'),
    },
    (v) => v.tallest * meanSize(v),
  )
  const meanWidth = soakedSail.meanSeenWidth(decoration.sail, meanHeight, shrink)
  const { lengthMm, count: composed, countSpread } = countSweep(stack, sweep, meanWidth)
  const places = placeAlong(stack, sweep, composed.value)
  const elements = places.map(({ index, tier, angleDeg, heightMm, size, seed, along }): PlacedElement => ({
    index,
    tier,
    on: 'side',
    angleDeg,
    spanDeg: 0,
    heightMm,
    outMm: 0,
    size,
    rollDeg: 0,
    row: 0,
    away: distanceFromHeart(sweep.heart, along),
    mirrored: false,
    seed,
  }))
  const seen = { widthMm: meanWidth.value / meanSize(sweep), heightMm: sweep.seenHeightMm }
  const standing = keepingFree(
    { elements, count: composed },
    { stack, seen, free: freePatches(decoration.quiet, [], stack), mostTopMm: null },
  )
  const { elements: placed, count: changed } = withByHand(standing, decoration.byHand, stack)
  const count = { ...changed, label: 'sails' }
  const sized = soakedSail.size(
    decoration.sail,
    placed.map(({ size }, at) => ({ index: at, seenHeightMm: size * sweep.seenHeightMm })),
    shrink,
    discsMm,
  )
  const sails = placed.map((element, at): PlacedSail => {
    const place = placeOf(element, stack, places)
    return {
      place,
      element,
      sized: sized[at]!,
      shade: Math.round((1 - element.away) * (decoration.colour.steps - 1)),
      net: sailNet(sized[at]!, place),
    }
  })
  const aboveTopMm = Math.max(0, Math.max(decoration.sweep.fromHeightMm, decoration.sweep.toHeightMm) - topMm)
  return { stack, path: sweepPath(stack, sweep).points, sweepLength: lengthMm, count, countSpread, sails, aboveTopMm }
}

/** The place of a sail on the wall: where the sweep put it, or where it was put by hand. */
function placeOf(
  { index, tier, angleDeg, heightMm, size, seed }: PlacedElement,
  stack: readonly StandingTier[],
  places: readonly Place[],
): Place {
  const own = places[index]
  if (own && own.angleDeg === angleDeg && own.heightMm === heightMm && own.seed === seed) return own
  return {
    ...wallPoint(stack[tier]!, angleDeg, heightMm),
    along: own?.along ?? 0.5,
    angleDeg,
    heightMm,
    tier,
    index,
    size,
    seed,
  }
}
