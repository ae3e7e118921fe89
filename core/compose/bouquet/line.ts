import { leastReach, tierOn, wallPoint, type StandingTier } from '../../cake'
import { add, outward, scale, unit, type Point3 } from '../../geometry'
import { tierOf } from '../define'
import { sweepPath } from '../sweepPath'
import type { Bouquet } from './define'

/** A point of the line along which a bouquet is bound: where it is, out of the cake, and on along the line. */
export type LinePoint = { readonly at: Point3; readonly out: Point3; readonly along: Point3; readonly tier: number }

/** The line, its length, and whether it comes back to where it began. */
export type Line = { readonly points: readonly LinePoint[]; readonly lengthMm: number; readonly closed: boolean }

const STEPS = 64
const WHOLE_DEG = 359

/**
 * Between the wall of what stands on a tier and its rim, in the middle of the ledge; half way out where nothing stands
 * on it.
 */
function ledgePoint(stack: readonly StandingTier[], tier: StandingTier, angleDeg: number): Point3 {
  const rim = wallPoint(tier, angleDeg, tier.topMm).point
  const above = tierOn(stack, tier)
  const wall: Point3 = above
    ? wallPoint(above, angleDeg, above.footMm).point
    : [tier.middle.x, tier.middle.y, tier.topMm]
  return [(rim[0] + wall[0]) / 2, (rim[1] + wall[1]) / 2, tier.topMm]
}

/** Where a bouquet is bound to the cake. A dome is bound at one point. */
export function lineOf(bouquet: Bouquet, stack: readonly StandingTier[]): Line {
  const tier = tierOf(stack, bouquet.tier)
  const middle: Point3 = [tier.middle.x, tier.middle.y, tier.topMm]
  if (bouquet.place === 'top') {
    const foot = add(middle, scale(outward(bouquet.middleDeg), bouquet.reach * leastReach(tier)))
    return {
      points: [{ at: foot, out: outward(bouquet.middleDeg), along: outward(bouquet.middleDeg + 90), tier: tier.index }],
      lengthMm: 0,
      closed: false,
    }
  }
  const angles = Array.from(
    { length: STEPS + 1 },
    (_, step) => bouquet.middleDeg + (step / STEPS - 0.5) * bouquet.spanDeg,
  )
  const places =
    bouquet.place === 'garland'
      ? sweepPath(stack, {
          fromAngleDeg: angles[0]!,
          toAngleDeg: angles.at(-1)!,
          fromHeightMm: tier.footMm + bouquet.upMm,
          toHeightMm: bouquet.toMm,
        })
          .points.filter((_, at) => at % 5 === 0)
          .map(({ point, facingDeg, tier: on }) => ({ at: point, out: outward(facingDeg), tier: on }))
      : angles.map((angleDeg) => {
          if (bouquet.place === 'crescent')
            return {
              at: add(middle, scale(outward(angleDeg), bouquet.reach * leastReach(tier))),
              out: outward(angleDeg),
              tier: tier.index,
            }
          if (bouquet.place === 'ledge')
            return { at: ledgePoint(stack, tier, angleDeg), out: outward(angleDeg), tier: tier.index }
          const { point, facingDeg } = wallPoint(
            tier,
            angleDeg,
            bouquet.place === 'shoulder' ? tier.topMm : Math.min(tier.topMm, tier.footMm + bouquet.upMm),
          )
          return { at: point, out: outward(facingDeg), tier: tier.index }
        })
  let lengthMm = 0
  const points = places.map((place, at): LinePoint => {
    const [before, after] = [places[Math.max(0, at - 1)]!.at, places[Math.min(places.length - 1, at + 1)]!.at]
    if (at > 0) lengthMm += Math.hypot(...[0, 1, 2].map((axis) => place.at[axis as 0] - before[axis as 0]))
    const step: Point3 = [after[0] - before[0], after[1] - before[1], after[2] - before[2]]
    return { ...place, along: Math.hypot(...step) > 1e-6 ? unit(step) : outward(bouquet.middleDeg + 90) }
  })
  return { points, lengthMm, closed: bouquet.place !== 'garland' && bouquet.spanDeg > WHOLE_DEG }
}
