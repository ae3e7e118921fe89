import { roundTier, type Cake, type Tier } from './tier'

/** How many tiers a cake is begun with at a touch. */
export const TIER_COUNTS = [1, 2, 3] as const
export type TierCount = (typeof TIER_COUNTS)[number]

/** Across and high, mm, from the bottom up: usual tins, ledges of 30 mm and more. */
const SIZES: Readonly<Record<TierCount, readonly (readonly [acrossMm: number, heightMm: number])[]>> = {
  1: [[200, 120]],
  2: [
    [220, 120],
    [150, 110],
  ],
  3: [
    [250, 120],
    [190, 110],
    [130, 100],
  ],
}
const BOARD_WIDER_MM = 50
const CORNER_MM = 3

/** A cake to begin with: so many tiers, all round or all square, on a board of their outline. */
export function startingCake(count: TierCount, outline: Cake['board']['outline']): Cake {
  const tiers = SIZES[count].map(([acrossMm, heightMm], at): Tier => {
    const round = roundTier(`tier-${at + 1}`, acrossMm, heightMm)
    return outline === 'round' ? round : { ...round, shape: { kind: 'square', sideMm: acrossMm, cornerMm: CORNER_MM } }
  })
  return { board: { outline, acrossMm: SIZES[count][0]![0] + BOARD_WIDER_MM, thicknessMm: 12 }, tiers }
}
