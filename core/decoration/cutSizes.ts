/** In which sizes elements are made: those that were told, or a few that are nearest to what is seen, as templates have it. */

import { MOST_SIZES } from '../cut'
import type { PlacedElement } from '../technique'

/** Sizes are told in tenths of the biggest. */
const inSteps = (size: number): number => Math.max(1, Math.round(size * MOST_SIZES)) / MOST_SIZES

/** How far sizes are from one of them that all are cut in, added up, and that one. */
type Together = { readonly cost: number; readonly as: number }

/** The size for some that lie next to each other; the biggest of all keeps its own. */
function together(sizes: readonly number[], isTop: boolean): Together {
  const costOf = (as: number): number => sizes.reduce((sum, each) => sum + Math.abs(each - as), 0)
  const choices = (isTop ? sizes.slice(0, 1) : [...new Set(sizes)]).map((as) => ({ as, cost: costOf(as) }))
  return choices.reduce((one, other) => (other.cost < one.cost - 1e-9 ? other : one))
}

/**
 * In which size each of some elements is cut: at most so many sizes, chosen so that what elements change by is least in
 * all; the biggest stays as it is. An exact search over all ways of parting them in order.
 *
 * @param sizes of the elements, as shares of the biggest; the result is in the same order, in tenths
 */
export function cutSizes(sizes: readonly number[], most: number): readonly number[] {
  const stepped = sizes.map(inSteps)
  const sorted = [...stepped].sort((one, other) => other - one)
  const distinct = [...new Set(sorted)]
  if (distinct.length <= most) return stepped
  const upTo = distinct.map((size) => sorted.lastIndexOf(size) + 1)
  const from = (at: number): number => (at === 0 ? 0 : upTo[at - 1]!)
  type Parting = { readonly cost: number; readonly begins: number; readonly as: number }
  // For so many parts, and all down to each distinct size: the cheapest parting, where its last part begins, and its size.
  const best: Parting[][] = []
  for (let parts = 0; parts < most; parts += 1) {
    best.push(
      distinct.map((_, last): Parting => {
        const begins = parts === 0 ? [0] : Array.from({ length: last + 1 }, (__, at) => at).slice(parts)
        return begins
          .map((at): Parting => {
            const { cost, as } = together(sorted.slice(from(at), upTo[last]), at === 0)
            return { begins: at, as, cost: cost + (at === 0 ? 0 : best[parts - 1]![at - 1]!.cost) }
          })
          .reduce((one, other) => (other.cost < one.cost - 1e-9 ? other : one), {
            begins: 0,
            as: distinct[0]!,
            cost: Infinity,
          })
      }),
    )
  }
  const cutAs = new Map<number, number>()
  for (let parts = most - 1, last = distinct.length - 1; parts >= 0; parts -= 1) {
    const { begins, as } = best[parts]![last]!
    for (let at = begins; at <= last; at += 1) cutAs.set(distinct[at]!, as)
    last = begins - 1
  }
  return stepped.map((size) => cutAs.get(size)!)
}

/** How many are made in a size, as a share of the biggest. */
type Told = { readonly share: number; readonly many: number }

/**
 * The sizes that were told, dealt out to elements by how large they would be: the largest to the largest. What was put
 * by hand keeps its own; elements beyond those that were told take the smallest.
 * @returns shares of the biggest, in the order of the elements
 */
export function toldSizes(
  elements: readonly PlacedElement[],
  told: readonly Told[],
  isPut: (element: PlacedElement) => boolean,
): readonly number[] {
  const dealt = [...told]
    .sort((one, other) => other.share - one.share)
    .flatMap(({ share, many }) => Array.from({ length: many }, () => share))
  const free = [...elements.keys()].filter((at) => !isPut(elements[at]!))
  const largestFirst = free.sort((one, other) => elements[other]!.size - elements[one]!.size || one - other)
  const sizes = elements.map(({ size }) => size)
  largestFirst.forEach((at, rank) => (sizes[at] = dealt[Math.min(rank, dealt.length - 1)]!))
  return sizes
}

/**
 * Each size as the punch that is nearest to it makes it.
 * @param acrossMm how wide the circle of an element of size 1 is
 * @param punchesMm diameters of the punches there are, at least one
 */
export const punchSizes = (
  sizes: readonly number[],
  acrossMm: number,
  punchesMm: readonly number[],
): readonly number[] =>
  sizes.map((size) => {
    const away = (punch: number): number => Math.abs(punch - size * acrossMm)
    return punchesMm.reduce((near, punch) => (away(punch) < away(near) ? punch : near)) / acrossMm
  })
