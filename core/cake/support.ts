import { coveringOf } from '../material'
import { derive, found, starting, typed, type Working } from '../quantity'
import { areaMm2, roundShape } from './shape'
import { volumeMm3 } from './side'
import { tierOn } from './stack'
import type { StandingTier } from './standing'

/**
 * What holds weight up inside a tier: how many dowels or straws, how long, for what weight. `half` is the lower half
 * of a tier built of two. Guidance, not a statement of strength.
 */
export type Support = {
  readonly tier: number
  readonly half: boolean
  readonly count: Working
  readonly length: Working
  readonly carried: Working
}

/** A cubic centimetre of filled cake with its covering weighs about this, g; a dummy hardly anything. */
const CAKE_G_PER_ML = 0.75
const DUMMY_G_PER_ML = 0.03
/** One dowel to so much of the foot above, and to so much weight. */
const FOOT_CM2_EACH = 45
const LOAD_G_EACH = 900
const LEAST = 3

/** Dowels or straws under a foot that carries a weight, g. */
function supportUnder(tier: number, half: boolean, footMm2: number, carriedG: number, length: Working): Support {
  const carried = found('weight above', carriedG, 'mass', 'estimated from the volumes above')
  const foot = found('foot that stands on them', footMm2 / 10000, 'area', 'drawn from its shape')
  const count = derive(
    'dowels or straws',
    'count',
    'by foot and weight above',
    `most of ${LEAST}, round up( {foot} ÷ {each} ), round up( {carried} ÷ {load} )`,
    {
      foot,
      carried,
      each: starting('foot for each', FOOT_CM2_EACH / 100, 'area', 'guess'),
      load: starting('weight for each', LOAD_G_EACH, 'mass', 'guess'),
    },
    (v) => Math.max(LEAST, Math.ceil(v.foot / v.each), Math.ceil(v.carried / v.load)),
  )
  return { tier, half, count, carried, length }
}

/**
 * Supports of every tier that carries another, and of the lower half of every tier built of two.
 * @param dummies which tiers are not cake, by index
 * @param builtOfTwo which tiers have a card half way up
 */
export function supportsOf(
  stack: readonly StandingTier[],
  dummies: ReadonlySet<number>,
  builtOfTwo: ReadonlySet<number>,
): readonly Support[] {
  const weights = stack.map(
    (tier) =>
      (volumeMm3(tier) / 1000) *
      (dummies.has(tier.index) || coveringOf(tier.covering).id === 'dummy' ? DUMMY_G_PER_ML : CAKE_G_PER_ML),
  )
  const above = (index: number): number =>
    stack.reduce((sum, { pile }, at) => sum + (at > index && pile === stack[index]!.pile ? weights[at]! : 0), 0)
  return stack.flatMap((tier, index): readonly Support[] => {
    if (dummies.has(index)) return []
    const height = typed('height of the tier', tier.topMm - tier.footMm, 'length', 'Tiers')
    const halfHeight = derive(
      'half its height',
      'length',
      'a card half way',
      '{height} ÷ 2',
      { height },
      (v) => v.height / 2,
    )
    const next = tierOn(stack, tier)
    const isHalved = builtOfTwo.has(index)
    return [
      ...(isHalved
        ? [supportUnder(index, true, areaMm2(tier.shape), above(index) + weights[index]! / 2, halfHeight)]
        : []),
      ...(next
        ? [
            supportUnder(
              index,
              false,
              areaMm2(next.spacer ? roundShape(next.spacer.acrossMm) : next.shape),
              above(index),
              isHalved ? halfHeight : height,
            ),
          ]
        : []),
    ]
  })
}
