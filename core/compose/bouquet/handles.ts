import { leastReach, type StandingTier } from '../../cake'
import { tierOf, turned, within, type Handle, type Spot } from '../define'
import { isOnTop, type Bouquet } from './define'

const LEAST_SPAN_DEG = 10

/** Where on the cake an angle of a bouquet's line is taken hold of. */
function spotOf(bouquet: Bouquet, tier: StandingTier, angleDeg: number): Spot {
  const onSide = bouquet.place === 'side' || bouquet.place === 'garland'
  if (onSide)
    return {
      tier: tier.index,
      on: 'side',
      angleDeg,
      heightMm: Math.min(tier.topMm, tier.footMm + bouquet.upMm),
      outMm: 0,
    }
  const outMm = isOnTop(bouquet)
    ? bouquet.reach * leastReach(tier)
    : leastReach(tier) - (bouquet.place === 'ledge' ? tier.ledge.leastMm / 2 : 0)
  return { tier: tier.index, on: 'top', angleDeg, heightMm: tier.topMm, outMm }
}

/** The handles of a bouquet: its middle, and its ends when it runs along a line that has them. */
export function bouquetHandles(bouquet: Bouquet, stack: readonly StandingTier[]): readonly Handle[] {
  const tier = tierOf(stack, bouquet.tier)
  const middle: Handle = { id: 'middle', name: 'Middle', ...spotOf(bouquet, tier, bouquet.middleDeg) }
  if (bouquet.place === 'top') return [middle]
  return [middle, { id: 'end', name: 'End', ...spotOf(bouquet, tier, turned(bouquet.middleDeg + bouquet.spanDeg / 2)) }]
}

/**
 * The same bouquet with a handle pulled to another place: the middle moves it, also to another tier, the end makes it
 * longer.
 */
export function pullBouquet(bouquet: Bouquet, handle: string, to: Spot, stack: readonly StandingTier[]): Bouquet {
  if (handle === 'end')
    return {
      ...bouquet,
      spanDeg: Math.round(within(2 * Math.abs(turned(to.angleDeg - bouquet.middleDeg)), LEAST_SPAN_DEG, 360)),
    }
  const tier = tierOf(stack, to.tier)
  const moved = { ...bouquet, tier: tier.index, middleDeg: turned(to.angleDeg) }
  if (isOnTop(bouquet))
    return { ...moved, reach: Math.round(within(to.on === 'top' ? to.outMm / leastReach(tier) : 1, 0, 1) * 100) / 100 }
  if ((bouquet.place === 'side' || bouquet.place === 'garland') && to.on === 'side')
    return { ...moved, upMm: Math.round(within(to.heightMm - tier.footMm, 0, 600)) }
  return moved
}
