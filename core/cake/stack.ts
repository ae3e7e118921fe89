import { ledgeAbove } from './ledge'
import { leastReachMm, perimeterMm } from './shape'
import type { PlacedTier, StandingTier } from './standing'
import type { Tier } from './tier'

/** Of a leaning side at least this share of the foot's size is left at the top, so that no tier comes to a point. */
const LEAST_TOP = 0.3

/** The lean as built, degrees: what was asked, as far as a top is left. */
export function leanDeg({ shape, heightMm, taperDeg }: Pick<Tier, 'shape' | 'heightMm' | 'taperDeg'>): number {
  const most = (Math.atan((leastReachMm(shape) * (1 - LEAST_TOP)) / heightMm) * 180) / Math.PI
  return Math.min(taperDeg, most)
}

/** The tiers in place, bottom up. */
export function stackTiers({ tiers }: { readonly tiers: readonly Tier[] }): readonly StandingTier[] {
  let reachedMm = 0
  const standing = tiers.map((tier, index): PlacedTier => {
    const footMm = reachedMm + (tier.spacer?.heightMm ?? 0)
    const spacer = tier.spacer ? { acrossMm: tier.spacer.acrossMm, footMm: reachedMm } : null
    reachedMm = footMm + tier.heightMm
    return {
      id: tier.id,
      index,
      covering: tier.covering,
      isDummy: tier.inside === 'dummy' || tier.covering === 'dummy',
      colour: tier.colour,
      shape: tier.shape,
      turnDeg: tier.turnDeg,
      taperDeg: leanDeg(tier),
      middle: { x: tier.offset.rightMm, y: tier.offset.backMm },
      footMm,
      topMm: reachedMm,
      spacer,
      perimeterMm: perimeterMm(tier.shape),
    }
  })
  return standing.map((tier, index) => ({ ...tier, ledge: ledgeAbove(tier, standing[index + 1] ?? null) }))
}

/** Height of the tiers together, mm above the board's top. */
export const stackHeightMm = (stack: readonly Pick<StandingTier, 'topMm'>[]): number => stack.at(-1)?.topMm ?? 0

/**
 * The tier whose side is at a height above the board.
 * A height on a joint or a spacer belongs to the tier above it; below the board to the lowest, above the top to the
 * highest.
 */
export function tierAt(stack: readonly StandingTier[], heightMm: number): StandingTier {
  const found = stack.find(({ topMm }) => heightMm < topMm) ?? stack.at(-1)
  if (!found) throw new Error('Expected a stack of at least one tier, got none.')
  return found
}
