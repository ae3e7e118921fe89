import type { Ingredient } from '../technique'

/** Part of a mixture: its share of the volume, or grams to a millilitre of the whole. */
type Part = {
  readonly name: string
  readonly share: number
  readonly gramsPerMl?: number
  /** From the tap or the bench, never bought. */
  readonly isAtHand?: true
  /** Keeps paper supple. */
  readonly isGlycerin?: true
}

/** What is used instead when a client wants none of something in it, and what that costs. */
export type Swap = {
  readonly without: Ingredient
  readonly parts: readonly Part[]
  readonly name: string
  readonly costs: string
  /** How many times as long what is made with it dries. Usual practice. */
  readonly driesTimes: number
}

/** A liquid made up for a job: what is in it, how it is made, how long it keeps and in what. */
export type Mixture = {
  readonly id: string
  readonly name: string
  readonly parts: readonly Part[]
  readonly make: string
  readonly keeps: string
  readonly container: string
  readonly contains: readonly Ingredient[]
  readonly swaps: readonly Swap[]
}

/**
 * Liquids that paper is worked with, besides colour. Parts by volume unless grams are named; usual practice, to be
 * tried first.
 */
export const MIXTURES = [
  {
    id: 'edibleGlue',
    name: 'Edible glue from offcuts',
    parts: [
      { name: 'boiled, cooled water', share: 1, isAtHand: true },
      { name: 'torn wafer offcuts', share: 0, gramsPerMl: 0.08, isAtHand: true },
    ],
    make: 'Tear small, pour the water over, stir after ten minutes till smooth; thin with drops. Tacky, not wet.',
    keeps: 'three days, covered and cold',
    container: 'a small lidded jar',
    contains: [],
    swaps: [],
  },
  {
    id: 'damping',
    name: 'Damping mix',
    parts: [
      { name: 'strong clear alcohol', share: 0.75 },
      { name: 'boiled, cooled water', share: 0.25, isAtHand: true },
    ],
    make: 'Mix in a fine mister or a dish with a brush. No flame, no hot pan near.',
    keeps: 'the job, closed',
    container: 'a small mister',
    contains: ['alcohol'],
    swaps: [
      {
        without: 'alcohol',
        name: 'Damping with water alone',
        parts: [{ name: 'boiled, cooled water', share: 1, isAtHand: true }],
        costs: 'half as much at a time, dries three times as slowly, and paper softens sooner',
        driesTimes: 3,
      },
    ],
  },
  {
    id: 'conditioner',
    name: 'Glycerin conditioner',
    parts: [
      { name: 'boiled, cooled water', share: 0.87, isAtHand: true },
      { name: 'glycerin', share: 0.13, isGlycerin: true },
    ],
    make: 'Stir, add colour if it is to be coloured. Brush on thinly; it stays supple and never sets hard.',
    keeps: 'a week, cold',
    container: 'a lidded jar',
    contains: [],
    swaps: [],
  },
  {
    id: 'gelatineFilm',
    name: 'Gelatine film',
    parts: [
      { name: 'gelatine powder', share: 0.25 },
      { name: 'glycerin', share: 0.25, isGlycerin: true },
      { name: 'cold water', share: 0.5, isAtHand: true },
    ],
    make: 'Bloom the gelatine in the water, warm in short bursts till clear, stir in the glycerin, let bubbles rise. Hot: do not boil.',
    keeps: 'two days, cold; warm again once',
    container: 'a wide heatproof bowl',
    contains: ['gelatine'],
    swaps: [
      {
        without: 'gelatine',
        name: 'Strong glycerin conditioner',
        parts: [
          { name: 'boiled, cooled water', share: 0.75, isAtHand: true },
          { name: 'glycerin', share: 0.25, isGlycerin: true },
        ],
        costs: 'loops hold less: make them shorter, pad them while they dry, and allow a day',
        driesTimes: 8,
      },
    ],
  },
  {
    id: 'slurry',
    name: 'Paper slurry',
    parts: [
      { name: 'boiled, cooled water', share: 1, isAtHand: true },
      { name: 'torn wafer offcuts', share: 0, gramsPerMl: 0.14, isAtHand: true },
    ],
    make: 'Blend till smooth, add powder colour, let the froth settle. It runs like cream.',
    keeps: 'the day',
    container: 'a jug',
    contains: [],
    swaps: [],
  },
] as const satisfies readonly Mixture[]

export const mixtureOf = (id: string): Mixture => MIXTURES.find((each) => each.id === id)!

/** What is taken of a mixture when something is not wanted in it: itself, or its swap, or nothing that would do. */
export function withoutAny(
  mixture: Mixture,
  unwanted: readonly Ingredient[],
): { readonly name: string; readonly parts: readonly Part[]; readonly swap: Swap | null } {
  const swap =
    mixture.swaps.find(({ without }) => unwanted.includes(without) && mixture.contains.includes(without)) ?? null
  return { name: swap?.name ?? mixture.name, parts: swap?.parts ?? mixture.parts, swap }
}

/** Share of a mixture's volume that is glycerin. */
export const glycerinShare = ({ parts }: Pick<Mixture, 'parts'>): number =>
  parts.reduce((sum, { share, isGlycerin }) => sum + (isGlycerin ? share : 0), 0)
