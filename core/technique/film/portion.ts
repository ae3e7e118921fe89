/** Portions of a disc: a whole, a half, a quarter. */
import { sector, type Outline } from '../../geometry'

export const PORTIONS = ['whole', 'half', 'quarter'] as const
export type Portion = (typeof PORTIONS)[number]

export const PORTION_WORDS: Readonly<Record<Portion, { readonly one: string; readonly many: string }>> = {
  whole: { one: 'whole disc', many: 'whole discs' },
  half: { one: 'half disc', many: 'halves' },
  quarter: { one: 'quarter disc', many: 'quarters' },
}

/** The angle of a portion, degrees. */
export const SWEEP_DEG: Readonly<Record<Portion, number>> = { whole: 360, half: 180, quarter: 90 }

/**
 * Flat width of a portion for each mm of its reach from foot to rim: a disc is as wide as tall, a half twice, a quarter
 * the chord of its corner.
 */
export const WIDTH_PER_REACH: Readonly<Record<Portion, number>> = { whole: 1, half: 2, quarter: Math.SQRT2 }

/** Reach of a portion from foot to rim for each mm of its disc's diameter. */
export const REACH_PER_DIAMETER: Readonly<Record<Portion, number>> = { whole: 1, half: 0.5, quarter: 0.5 }

/** A portion as it is cut, its corner where the disc's middle was. */
export const portionOutline = (portion: Portion, discMm: number): Outline =>
  sector({ x: 0, y: 0 }, discMm / 2, 0, SWEEP_DEG[portion])

/**
 * How many of a count fall to each portion by the mix: whole numbers that add up to the count, and none falls when the
 * count grows.
 * @see Webster's method (Sainte-Laguë 1910): each in turn to the portion with the greatest share ÷ (2 × given + 1)
 */
export function apportion(count: number, mix: Readonly<Record<Portion, number>>): Readonly<Record<Portion, number>> {
  const given: Record<Portion, number> = { whole: 0, half: 0, quarter: 0 }
  for (let each = 0; each < count; each += 1) {
    const claims = PORTIONS.map((portion) => ({ portion, claim: mix[portion] / (2 * given[portion] + 1) }))
    given[claims.reduce((most, next) => (next.claim > most.claim ? next : most)).portion] += 1
  }
  return given
}

/** Which portion each of a row of heights takes: the biggest whole discs, the next halves, the small ones quarters. */
export function portionsByRank(heights: readonly number[], mix: Readonly<Record<Portion, number>>): readonly Portion[] {
  const counts = apportion(heights.length, mix)
  const inOrder = PORTIONS.flatMap((portion) => Array.from({ length: counts[portion] }, () => portion))
  const biggestFirst = [...heights.keys()].sort((one, other) => heights[other]! - heights[one]! || one - other)
  const portions: Portion[] = []
  biggestFirst.forEach((at, rank) => (portions[at] = inOrder[rank]!))
  return portions
}

/**
 * The smallest disc whose portion reaches; where none does as this portion, a whole disc; where even that is short, the
 * largest.
 */
export function smallestReaching(
  portion: Portion,
  flatReachMm: number,
  discsMm: readonly number[],
): { readonly portion: Portion; readonly discMm: number } {
  const smallestFirst = [...discsMm].sort((one, other) => one - other)
  const reaching = (as: Portion): number | undefined =>
    smallestFirst.find((discMm) => discMm * REACH_PER_DIAMETER[as] >= flatReachMm)
  const asWanted = reaching(portion)
  if (asWanted !== undefined) return { portion, discMm: asWanted }
  return { portion: 'whole', discMm: reaching('whole') ?? smallestFirst.at(-1)! }
}
