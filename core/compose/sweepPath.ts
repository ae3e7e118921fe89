/** The path that a sweep takes round the cake. */
import { tierAt, wallPoint, type StandingTier } from '../cake'
import { add, scale, type Point3 } from '../geometry'
import { between, seededStream, seedFor } from '../quantity'
import { z } from 'zod'
import { fields } from './fields'

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

export const schema = z.strictObject({
  kind: z.literal('sweep'),
  count: fields.count,
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
