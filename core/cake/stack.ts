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

/** The tiers in place, each pile bottom up from the board. */
export function stackTiers({ tiers }: { readonly tiers: readonly Tier[] }): readonly StandingTier[] {
  let [reachedMm, pile] = [0, 0]
  const standing = tiers.map((tier, index): PlacedTier => {
    if (index > 0 && tier.stands === 'loose') [reachedMm, pile] = [0, pile + 1]
    const footMm = reachedMm + (tier.spacer?.heightMm ?? 0)
    const spacer = tier.spacer ? { acrossMm: tier.spacer.acrossMm, footMm: reachedMm } : null
    reachedMm = footMm + tier.heightMm
    return {
      id: tier.id,
      index,
      pile,
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
  return standing.map((tier, index) => {
    const next = standing[index + 1]
    const above = next?.pile === tier.pile ? next : null
    return { ...tier, carries: above !== null, ledge: ledgeAbove(tier, above) }
  })
}

/** Height of the highest pile, mm above the board's top. */
export const stackHeightMm = (stack: readonly Pick<StandingTier, 'topMm'>[]): number =>
  Math.max(0, ...stack.map(({ topMm }) => topMm))

/** The tier that stands on another, if any. */
export const tierOn = (stack: readonly StandingTier[], { index, carries }: StandingTier): StandingTier | null =>
  carries ? stack[index + 1]! : null

type InPile = Pick<StandingTier, 'pile'>

/** The tiers of a pile, bottom up. */
const pileOf = <Each extends InPile>(stack: readonly Each[], number: number): readonly Each[] =>
  stack.filter(({ pile }) => pile === number)

/** The tiers of the first pile: what climbs from tier to tier climbs there. */
export const firstPile = (stack: readonly StandingTier[]): readonly StandingTier[] => pileOf(stack, 0)

/** How many piles stand on the board. */
export const pilesIn = (stack: readonly InPile[]): number => (stack.at(-1)?.pile ?? -1) + 1

/** The piles, each bottom up. */
export const pilesOf = (stack: readonly StandingTier[]): readonly (readonly StandingTier[])[] =>
  Array.from({ length: pilesIn(stack) }, (_, number) => pileOf(stack, number))

/** What a tier is called: bottom, top and numbers in one pile; cakes by their number where several stand loose. */
export function tierWords(stack: readonly Pick<StandingTier, 'pile' | 'index'>[], index: number): string {
  const { pile } = stack[index]!
  const own = pileOf(stack, pile)
  const at = own.findIndex((tier) => tier.index === index)
  const inPile = at === 0 ? 'bottom tier' : at === own.length - 1 ? 'top tier' : `tier ${at + 1}`
  if (pilesIn(stack) === 1) return own.length === 1 ? 'the tier' : inPile
  return own.length === 1 ? `cake ${pile + 1}` : `cake ${pile + 1}, ${inPile}`
}

/**
 * The tier whose side is at a height above the board, of the first pile.
 * A height on a joint or a spacer belongs to the tier above it; below the board to the lowest, above the top to the
 * highest.
 */
export function tierAt(stack: readonly StandingTier[], heightMm: number): StandingTier {
  const pile = firstPile(stack)
  const found = pile.find(({ topMm }) => heightMm < topMm) ?? pile.at(-1)
  if (!found) throw new Error('Expected a stack of at least one tier, got none.')
  return found
}
