/**
 * A sweep: a ribbon of elements that climbs round and up the cake's side, biggest at its heart.
 *
 * Angles are degrees round the cake seen from above, 0 at the front, positive to the viewer's right. Heights are mm
 * above the board.
 */

import { firstPile, type StandingTier } from '../cake'
import { between, derive, found, seededStream, starting, typed, type Working } from '../quantity'
import { chosen, seenWidthAt, type PlacedElement } from '../technique'
import { askedOf, defineComposition, keepingFree, largestAtHeart, placedOf, within } from './define'
import { sweepPath, pointAlong, distanceFromHeart, meanSize, placeAlong, type PathPoint } from './sweepPath'
import { schema, type Sweep } from './sweepPath'

export type SweepCount = { readonly lengthMm: Working; readonly count: Working; readonly countSpread: Working }

/** Free work never repeats exactly: counts of the same sweep by one hand stray by about this share. */
const COUNT_DEVIATION = 0.1

const STARTING = { fromAngleDeg: -50, toAngleDeg: 50, overlap: 0.4, taper: 0.55 } as const
/** How high a sweep begins and ends on tiers so high together. */
const startingEnds = (topMm: number): Pick<Sweep, 'fromHeightMm' | 'toHeightMm'> => ({
  fromHeightMm: Math.round(topMm * 0.1),
  toHeightMm: Math.round(topMm * 0.8),
})

/**
 * How many elements a sweep takes: its length over the visible step from one to the next.
 * @param meanWidth the mean seen width of an element, mm
 */
export function countSweep(stack: readonly StandingTier[], sweep: Sweep, meanWidth: Working): SweepCount {
  const { lengthMm } = sweepPath(stack, sweep)
  const topMm = stack.reduce((sum, { topMm: top, footMm }) => sum + top - footMm, 0)
  const length = derive(
    'sweep length',
    'length',
    'length over sides and ledges',
    'line from {fromHeight}, {fromAngle} to {toHeight}, {toAngle} over {tiers} tiers',
    {
      fromHeight: chosen('height', sweep.fromHeightMm, startingEnds(topMm).fromHeightMm, 'length'),
      fromAngle: chosen('angle', sweep.fromAngleDeg, STARTING.fromAngleDeg, 'angle'),
      toHeight: chosen('height', sweep.toHeightMm, startingEnds(topMm).toHeightMm, 'length'),
      toAngle: chosen('angle', sweep.toAngleDeg, STARTING.toAngleDeg, 'angle'),
      tiers: typed('tiers', firstPile(stack).length, 'count', 'Tiers'),
    },
    () => lengthMm,
  )
  const count = derive(
    'elements',
    'count',
    'elements along a sweep',
    'round( {length} ÷ ( {meanWidth} × (1 − {overlap}) ) ), at least 1',
    { length, meanWidth, overlap: chosen('lushness', sweep.overlap, STARTING.overlap, 'share') },
    (v) => Math.max(1, Math.round(v.length / (v.meanWidth * (1 - v.overlap)))),
  )
  const countSpread = derive(
    'more or fewer',
    'count',
    'free work never repeats',
    '{count} × {deviation}, at least 1',
    { count, deviation: starting('spread of free work', COUNT_DEVIATION, 'share', 'guess') },
    (v) => Math.max(1, Math.round(v.count * v.deviation)),
  )
  return { lengthMm: length, count, countSpread }
}

/** A sweep never climbs above the cake it lies on. */
const onCake = <Values extends Pick<Sweep, 'fromHeightMm' | 'toHeightMm'>>(values: Values, topMm: number): Values => ({
  ...values,
  fromHeightMm: Math.min(values.fromHeightMm, topMm),
  toHeightMm: Math.min(values.toHeightMm, topMm),
})

export const sweep = defineComposition({
  kind: 'sweep',
  name: 'Sweep',
  say: 'A ribbon that climbs across the tiers or winds round them, biggest at its heart.',
  schema,
  starting: ({ tiers, seed }): Sweep => {
    const topMm = tiers.reduce((sum, { heightMm }) => sum + heightMm, 0)
    return {
      kind: 'sweep',
      count: null,
      ...STARTING,
      ...startingEnds(topMm),
      heart: 0.5,
      irregularity: 0.6,
      seed,
    }
  },

  layOut: (values, ground) => {
    const { stack, seen } = ground
    const line: Sweep = onCake(values, firstPile(stack).at(-1)!.topMm)
    const meanWidth = derive(
      'mean seen width',
      'length',
      'size along a sweep',
      seen.footWidthMm ? '{foot} + ( {width} − {foot} ) × ( 1 + {taper} ) ÷ 2' : '{width} × ( 1 + {taper} ) ÷ 2',
      {
        width: found('seen width', seen.widthMm, 'length', 'of the biggest'),
        ...(seen.footWidthMm && { foot: found('of every foot', seen.footWidthMm, 'length', 'as wide for all sizes') }),
        taper: chosen('smallest', values.taper, STARTING.taper, 'share'),
      },
      () => seenWidthAt(seen, meanSize(values)),
    )
    const count = placedOf(countSweep(stack, line, meanWidth).count, askedOf(values, ground))
    return keepingFree(
      {
        count,
        elements: largestAtHeart(
          placeAlong(stack, line, count.value).map(
            ({ index, tier, angleDeg, heightMm, along, size, seed }): PlacedElement => {
              const stream = seededStream(seed)
              const standing = stack[tier]!
              return {
                index,
                tier,
                on: 'side',
                row: 0,
                spanDeg: 0,
                outMm: 0,
                seed,
                angleDeg,
                size,
                heightMm: within(heightMm, standing.footMm, standing.topMm - 1),
                away: distanceFromHeart(values.heart, along),
                rollDeg: (index % 2 === 0 ? 10 : -10) + 22 * values.irregularity * between(stream, -1, 1),
                mirrored: index % 2 === 1,
              }
            },
          ),
        ),
      },
      ground,
    )
  },

  handles: (values, stack) => {
    const line = onCake(values, firstPile(stack).at(-1)!.topMm)
    const { points } = sweepPath(stack, line)
    const at = (id: string, name: string, { tier, angleDeg, heightMm }: PathPoint) => ({
      id,
      name,
      tier,
      on: 'side' as const,
      angleDeg,
      heightMm,
      outMm: 0,
    })
    return [
      at('from', 'Beginning', points[0]!),
      at('heart', 'Heart', pointAlong(points, values.heart)),
      at('to', 'End', points.at(-1)!),
    ]
  },

  pull: (values, handle, { angleDeg, heightMm }, stack): Sweep => {
    // Angles of a sweep may go on round the cake; the turn nearest to where the end was is meant.
    const near = (before: number): number =>
      Math.round((angleDeg + 360 * Math.round((before - angleDeg) / 360)) * 10) / 10
    if (handle === 'from')
      return { ...values, fromAngleDeg: near(values.fromAngleDeg), fromHeightMm: Math.round(heightMm) }
    if (handle === 'to') return { ...values, toAngleDeg: near(values.toAngleDeg), toHeightMm: Math.round(heightMm) }
    const { points } = sweepPath(stack, onCake(values, firstPile(stack).at(-1)!.topMm))
    const nearest = points.reduce((best, point) =>
      Math.hypot(near(point.angleDeg) - point.angleDeg, point.heightMm - heightMm) <
      Math.hypot(near(best.angleDeg) - best.angleDeg, best.heightMm - heightMm)
        ? point
        : best,
    )
    return { ...values, heart: Math.round(nearest.along * 100) / 100 }
  },
})
