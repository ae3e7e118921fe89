/**
 * A sweep: a ribbon of elements that climbs round and up the cake's side, biggest at its heart.
 *
 * Angles are degrees round the cake seen from above, 0 at the front, positive to the viewer's right. Heights are mm
 * above the board.
 */
import { z } from 'zod'
import { tierAt, wallPoint, type StandingTier } from '../cake'
import { add, scale, type Point3 } from '../geometry'
import { between, derive, found, seededStream, seedFor, starting, typed, type Working } from '../quantity'
import { seenWidthAt, type PlacedElement } from '../technique'
import { defineComposition, keepingFree, within } from './define'

const schema = z.strictObject({
  kind: z.literal('sweep'),
  fromAngleDeg: z
    .number()
    .min(-720)
    .max(720)
    .meta({ label: 'Begins at', kind: 'angle', help: 'Degrees from the front; left is negative' }),
  fromHeightMm: z.number().min(0).max(2000).meta({ label: 'Begins', kind: 'length', help: 'Above the board' }),
  toAngleDeg: z
    .number()
    .min(-720)
    .max(720)
    .meta({ label: 'Ends at', kind: 'angle', help: 'Degrees from the front; right is positive' }),
  toHeightMm: z.number().min(0).max(2000).meta({ label: 'Ends', kind: 'length', help: 'Above the board' }),
  overlap: z.number().min(0).max(0.75).meta({ label: 'Lushness', kind: 'share', help: 'How far neighbours overlap' }),
  taper: z.number().min(0.3).max(1).meta({ label: 'Smallest', kind: 'share', help: 'Of the biggest, at the ends' }),
  heart: z
    .number()
    .min(0)
    .max(1)
    .meta({ label: 'Heart', kind: 'share', help: 'Where along the sweep the biggest stands' }),
  irregularity: z
    .number()
    .min(0)
    .max(1)
    .meta({ label: 'Irregular', kind: 'share', help: 'How far size and place stray' }),
  seed: z.number().int().min(0).max(999999),
})

export type Sweep = z.infer<typeof schema>

/**
 * A point on the cake's side: where it lies and which way the side faces there. `along` runs from 0 at the sweep's
 * beginning to 1 at its end, by length.
 */
export type PathPoint = {
  readonly along: number
  readonly angleDeg: number
  readonly heightMm: number
  readonly point: Point3
  readonly facingDeg: number
  readonly tier: number
}

/** A place on the cake for one element, and how big it is seen there. */
export type Place = PathPoint & { readonly index: number; readonly size: number; readonly seed: number }

const SAMPLES = 400

/** The sweep's line, evenly stepped in angle and height, and its length over sides and ledges, mm. */
export function sweepPath(
  stack: readonly StandingTier[],
  sweep: Pick<Sweep, 'fromAngleDeg' | 'fromHeightMm' | 'toAngleDeg' | 'toHeightMm'>,
): { readonly points: readonly PathPoint[]; readonly lengthMm: number } {
  const raw = Array.from({ length: SAMPLES + 1 }, (_, step) => {
    const share = step / SAMPLES
    const heightMm = sweep.fromHeightMm + (sweep.toHeightMm - sweep.fromHeightMm) * share
    const angleDeg = sweep.fromAngleDeg + (sweep.toAngleDeg - sweep.fromAngleDeg) * share
    const tier = tierAt(stack, heightMm)
    return { angleDeg, heightMm, tier: tier.index, ...wallPoint(tier, angleDeg, heightMm) }
  })
  const reached = [0]
  for (let step = 1; step < raw.length; step += 1) {
    const [here, before] = [raw[step]!, raw[step - 1]!]
    const level = Math.hypot(here.point[0] - before.point[0], here.point[1] - before.point[1])
    const rise = Math.abs(here.heightMm - before.heightMm)
    reached.push(reached[step - 1]! + (here.tier === before.tier ? Math.hypot(level, rise) : level + rise))
  }
  const lengthMm = reached.at(-1)!
  return {
    points: raw.map((point, step) => ({ ...point, along: lengthMm > 0 ? reached[step]! / lengthMm : 0 })),
    lengthMm,
  }
}

/** The point of a path that lies a share of its length along it. */
export function pointAlong(points: readonly PathPoint[], along: number): PathPoint {
  const after = points.findIndex((point) => point.along >= along)
  if (after <= 0) return points[after === 0 ? 0 : points.length - 1]!
  const [low, high] = [points[after - 1]!, points[after]!]
  const share = high.along > low.along ? (along - low.along) / (high.along - low.along) : 0
  return {
    along,
    angleDeg: low.angleDeg + (high.angleDeg - low.angleDeg) * share,
    heightMm: low.heightMm + (high.heightMm - low.heightMm) * share,
    point: low.tier === high.tier ? add(scale(low.point, 1 - share), scale(high.point, share)) : high.point,
    facingDeg: high.facingDeg,
    tier: high.tier,
  }
}

/**
 * Size of an element at a place along the sweep, as a share of the biggest: 1 at the heart, falling smoothly to the
 * taper at the farther end.
 */
export function sizeAlong({ heart, taper }: Pick<Sweep, 'heart' | 'taper'>, along: number): number {
  const away = distanceFromHeart(heart, along)
  return taper + (1 - taper) * (0.5 + 0.5 * Math.cos(Math.PI * away))
}

/** 0 at the heart, 1 at the end of the sweep on that side. */
export function distanceFromHeart(heart: number, along: number): number {
  const reach = along < heart ? heart : 1 - heart
  return reach > 0 ? Math.min(1, Math.abs(along - heart) / reach) : 0
}

/**
 * Mean size along a sweep as a share of the biggest. The cosine fall averages to one half on both sides, wherever the
 * heart is.
 */
export const meanSize = ({ taper }: Pick<Sweep, 'taper'>): number => (1 + taper) / 2

export type SweepCount = { readonly lengthMm: Working; readonly count: Working; readonly countSpread: Working }

/** Free work never repeats exactly: counts of the same sweep by one hand stray by about this share. */
const COUNT_DEVIATION = 0.1

/**
 * How many elements a sweep takes: its length over the visible step from one to the next.
 * @param meanWidth the mean seen width of an element, mm
 */
export function countSweep(stack: readonly StandingTier[], sweep: Sweep, meanWidth: Working): SweepCount {
  const { lengthMm } = sweepPath(stack, sweep)
  const length = derive(
    'sweep length',
    'length',
    'length over sides and ledges',
    'line from {fromHeight}, {fromAngle} to {toHeight}, {toAngle} over {tiers} tiers',
    {
      fromHeight: typed('height', sweep.fromHeightMm, 'length', 'Arrange'),
      fromAngle: typed('angle', sweep.fromAngleDeg, 'angle', 'Arrange'),
      toHeight: typed('height', sweep.toHeightMm, 'length', 'Arrange'),
      toAngle: typed('angle', sweep.toAngleDeg, 'angle', 'Arrange'),
      tiers: typed('tiers', stack.length, 'count', 'Tiers'),
    },
    () => lengthMm,
  )
  const count = derive(
    'elements',
    'count',
    'elements along a sweep',
    'round( {length} ÷ ( {meanWidth} × (1 − {overlap}) ) ), at least 1',
    { length, meanWidth, overlap: typed('lushness', sweep.overlap, 'share', 'Arrange') },
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

/**
 * Places for a number of elements: bigger ones further apart, each strayed a little from its even place by its own
 * seed.
 * The same sweep and count give the same places; an element keeps its own straying when others come and go.
 */
export function placeAlong(stack: readonly StandingTier[], sweep: Sweep, count: number): readonly Place[] {
  const { points } = sweepPath(stack, sweep)
  const evenly = Array.from({ length: count }, (_, index) => (index + 0.5) / count)
  const steps = evenly.map((along) => sizeAlong(sweep, along))
  const total = steps.reduce((sum, step) => sum + step, 0)
  let reached = 0
  return steps.map((step, index) => {
    const stream = seededStream(seedFor(sweep.seed, index))
    const stray = (sweep.irregularity * between(stream, -0.3, 0.3) * step) / total
    const along = Math.min(1, Math.max(0, (reached + step / 2) / total + stray))
    reached += step
    const size = sizeAlong(sweep, along) * (1 - sweep.irregularity * between(stream, 0, 0.14))
    return { ...pointAlong(points, along), index, size, seed: seedFor(sweep.seed, index + 1000) }
  })
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
      fromAngleDeg: -50,
      fromHeightMm: Math.round(topMm * 0.1),
      toAngleDeg: 50,
      toHeightMm: Math.round(topMm * 0.8),
      overlap: 0.4,
      taper: 0.55,
      heart: 0.5,
      irregularity: 0.6,
      seed,
    }
  },

  layOut: (values, ground) => {
    const { stack, seen } = ground
    const line: Sweep = onCake(values, stack.at(-1)!.topMm)
    const meanWidth = derive(
      'mean seen width',
      'length',
      'size along a sweep',
      seen.footWidthMm ? '{foot} + ( {width} − {foot} ) × ( 1 + {taper} ) ÷ 2' : '{width} × ( 1 + {taper} ) ÷ 2',
      {
        width: found('seen width', seen.widthMm, 'length', 'of the biggest'),
        ...(seen.footWidthMm && { foot: found('of every foot', seen.footWidthMm, 'length', 'as wide for all sizes') }),
        taper: typed('smallest', values.taper, 'share', 'Arrange'),
      },
      () => seenWidthAt(seen, meanSize(values)),
    )
    const { count } = countSweep(stack, line, meanWidth)
    return keepingFree(
      {
        count,
        elements: placeAlong(stack, line, count.value).map(
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
      },
      ground,
    )
  },

  handles: (values, stack) => {
    const line = onCake(values, stack.at(-1)!.topMm)
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
    const { points } = sweepPath(stack, onCake(values, stack.at(-1)!.topMm))
    const nearest = points.reduce((best, point) =>
      Math.hypot(near(point.angleDeg) - point.angleDeg, point.heightMm - heightMm) <
      Math.hypot(near(best.angleDeg) - best.angleDeg, best.heightMm - heightMm)
        ? point
        : best,
    )
    return { ...values, heart: Math.round(nearest.along * 100) / 100 }
  },
})
