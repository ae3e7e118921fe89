/** In which packs things are usually sold, and what a pack costs: guesses until the studio's own are typed. */
import { derive, found, guessIn, starting, type Currency, type Working } from '../quantity'
import { priceOf, type PriceName, type Prices } from './prices'

/** What a pack holds, as the item is measured, and what it costs, euro. */
export type UsualPack = { readonly holds: number; readonly costsEuro: number }

/** How many sheets, how many discs, how much of a dye is bought at once. */
export const SHEETS_IN_A_PACK = 25
export const DISCS_IN_A_PACK = 10
export const DYE_BOTTLE_ML = 20

const PACKS = {
  carrier: { holds: 250, costsEuro: 9 },
  dust: { holds: 5, costsEuro: 5 },
  paint: { holds: 15, costsEuro: 7 },
  mixture: { holds: 250, costsEuro: 4 },
  wire: { holds: 50, costsEuro: 3.5 },
  tape: { holds: 27_000, costsEuro: 3 },
  holder: { holds: 12, costsEuro: 5 },
  covering: { holds: 1000, costsEuro: 9 },
  glue: { holds: 200, costsEuro: 4 },
  support: { holds: 12, costsEuro: 4 },
  middleDowel: { holds: 1, costsEuro: 2 },
  pick: { holds: 50, costsEuro: 3 },
  card: { holds: 10, costsEuro: 4 },
  dummy: { holds: 1, costsEuro: 8 },
  board: { holds: 1, costsEuro: 5 },
  topper: { holds: 1, costsEuro: 12 },
  leaf: { holds: 25, costsEuro: 25 },
  accent: { holds: 100, costsEuro: 4 },
  desiccant: { holds: 20, costsEuro: 5 },
} as const satisfies Readonly<Record<string, UsualPack>>

export type PackName = keyof typeof PACKS

/** What of a need says how it is bought. */
export type Bought = {
  readonly usualPack: number
  readonly usualPackPrice: Working
  /** Whether the studio has one price for each of it, which the lines of a quote count, or only packs have a price. */
  readonly pricedBy: 'each' | 'pack'
}

/** Bought in a pack that costs about so much. */
export const inPacksOf = ({ holds, costsEuro }: UsualPack, currency: Currency): Bought => ({
  usualPack: holds,
  usualPackPrice: { ...starting('a usual pack', guessIn(costsEuro, currency), 'money', 'guess'), currency },
  pricedBy: 'pack',
})

/** Bought in the usual pack of its kind. */
export const inUsualPacks = (pack: PackName, currency: Currency): Bought => inPacksOf(PACKS[pack], currency)

/** Bought in packs of so many, at the studio's own price for each. */
export const pricedEach = (prices: Prices, name: PriceName, usualPack: number, kind: 'count' | 'volume'): Bought => ({
  usualPack,
  usualPackPrice: derive(
    'a usual pack',
    'money',
    'by the price of each',
    '{pack} × {each}',
    { pack: found('in a pack', usualPack, kind, 'as it is usually sold'), each: priceOf(prices, name) },
    (v) => v.pack * v.each,
  ),
  pricedBy: 'each',
})
