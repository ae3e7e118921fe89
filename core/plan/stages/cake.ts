import {
  coveringAmount,
  lobesMeet,
  pilesOf,
  supportsOf,
  surfacesOf,
  warmThrough,
  type Cake,
  type CoveringAmount,
  type StandingTier,
  type Support,
  type Surfaces,
  type Warming,
} from '../../cake'
import { dewPointC, saturationPa, type Climate } from '../../dry'
import { coveringOf, type CoveringId } from '../../material'
import { found, sumOf, type Working } from '../../quantity'

/** What follows from one tier alone. */
type TierFacts = {
  readonly surfaces: Surfaces
  readonly covering: CoveringAmount | null
  /** Dowels or straws, the lower half of a tier built of two first. */
  readonly supports: readonly Support[]
  readonly warming: Warming | null
  /** For a scalloped tier, whether its lobes meet. */
  readonly lobesMeet: boolean
}

export type CakeFacts = {
  readonly tiers: readonly TierFacts[]
  /** All sides and tops. */
  readonly surface: Working
  /** What all tiers together take of each covering, g. */
  readonly coverings: readonly { readonly name: string; readonly total: Working }[]
  /** Length of the middle dowel for a tall stack, mm; null when none is asked. */
  readonly middleDowel: Working | null
  /** The longest any chilled tier takes to warm through, by the cautious answer; null when nothing is chilled. */
  readonly slowest: Warming | null
  /** Minutes that are planned for it in the workroom and at the venue; 0 when nothing is chilled. */
  readonly warmMin: { readonly here: number; readonly there: number }
}

type CakeInputs = {
  readonly cake: Cake
  readonly stack: readonly StandingTier[]
  /** The air in which it warms through before paper goes on. */
  readonly air: Climate
  readonly workroom: Climate
  readonly venue: Climate
  readonly fridgeC: number
}

/** From so many tiers a dowel goes down the middle; it ends below the top. */
const MIDDLE_DOWEL_FROM = 3
const BELOW_TOP_MM = 20

/** Where the surface is never above the dew point within a day, a day is planned; a caution says so. */
const NEVER_WARM_MIN = 24 * 60

/** The longest of some warmings, by the cautious answer. */
const slowestOf = (warmings: readonly Warming[]): Warming | null =>
  warmings.reduce<Warming | null>(
    (slow, each) =>
      slow === null || (each.cautious?.value ?? Infinity) > (slow.cautious?.value ?? Infinity) ? each : slow,
    null,
  )

/** Surfaces, amounts, supports and warming of a cake. */
export function cakeStage({ cake, stack, air, workroom, venue, fridgeC }: CakeInputs): CakeFacts {
  const dummies = new Set(
    cake.tiers.flatMap(({ inside, covering }, at) => (inside === 'dummy' || covering === 'dummy' ? [at] : [])),
  )
  const halved = new Set(cake.tiers.flatMap(({ builtOfTwo }, at) => (builtOfTwo ? [at] : [])))
  const supports = supportsOf(stack, dummies, halved)
  const isChilled = (at: number): boolean => cake.tiers[at]!.chilled && !dummies.has(at)
  const warmingIn = (climate: Climate, tier: StandingTier): Warming =>
    warmThrough(tier, { ...climate, dewC: dewPointC(climate) }, fridgeC, saturationPa)
  const warmMinIn = (climate: Climate): number => {
    const slowest = slowestOf(stack.filter((_, at) => isChilled(at)).map((tier) => warmingIn(climate, tier)))
    return slowest ? Math.ceil(slowest.cautious?.value ?? NEVER_WARM_MIN) : 0
  }
  const tiers = stack.map((tier, at): TierFacts => ({
    surfaces: surfacesOf(tier),
    covering: coveringAmount(tier),
    supports: supports.filter(({ tier: index }) => index === at),
    warming: isChilled(at) ? warmingIn(air, tier) : null,
    lobesMeet: tier.shape.kind !== 'scalloped' || lobesMeet(tier.shape),
  }))
  const tallPile = pilesOf(stack).reduce((most, pile) => (pile.length > most.length ? pile : most), [])
  const coatOf = (id: CoveringId): readonly Working[] =>
    stack.flatMap((tier, at) => (tier.covering === id && tiers[at]!.covering ? [tiers[at]!.covering.coat] : []))
  return {
    tiers,
    surface: sumOf(
      'surface',
      'area',
      'sides and tops added up',
      tiers.flatMap(({ surfaces }) => [surfaces.side, surfaces.top]),
    ),
    coverings: [...new Set(stack.map(({ covering }) => covering))].flatMap((id) =>
      coatOf(id).length > 0
        ? [
            {
              name: coveringOf(id).name,
              total: sumOf(coveringOf(id).name.toLowerCase(), 'mass', 'tiers added up', coatOf(id)),
            },
          ]
        : [],
    ),
    middleDowel:
      tallPile.length >= MIDDLE_DOWEL_FROM
        ? found(
            'middle dowel',
            tallPile.at(-1)!.topMm - BELOW_TOP_MM,
            'length',
            'height of the tiers less a little, so that it stays hidden',
          )
        : null,
    slowest: slowestOf(tiers.flatMap(({ warming }) => (warming ? [warming] : []))),
    warmMin: { here: warmMinIn(workroom), there: warmMinIn(venue) },
  }
}
