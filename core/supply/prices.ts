/** What things cost this studio, in its own money. */
import { z } from 'zod'
import { CURRENCIES, guessIn, setting, type Currency, type Working } from '../quantity'

const price = (label: string): z.ZodNumber => z.number().min(0).max(10_000_000).meta({ label, kind: 'money' })

export const pricesSchema = z.strictObject({
  currency: z.enum(CURRENCIES),
  discEach: price('A disc of film'),
  sheetEach: price('A sheet of paper'),
  colourMl: price('Colour, each ml'),
  hour: price('An hour of your work'),
})

export type Prices = z.infer<typeof pricesSchema>

/** The prices that a studio types for everything of a kind; what is bought in packs has the price of its pack. */
export type PriceName = Exclude<keyof Prices, 'currency'>
export const PRICE_NAMES: readonly PriceName[] = ['discEach', 'sheetEach', 'colourMl', 'hour']

/** Guesses to replace, in euro. */
const IN_EURO: Readonly<Record<PriceName, number>> = { discEach: 0.6, sheetEach: 0.5, colourMl: 0.5, hour: 25 }

/** What a new studio begins with in its currency. */
export const startingPrices = (currency: Currency): Prices => ({
  currency,
  discEach: guessIn(IN_EURO.discEach, currency),
  sheetEach: guessIn(IN_EURO.sheetEach, currency),
  colourMl: guessIn(IN_EURO.colourMl, currency),
  hour: guessIn(IN_EURO.hour, currency),
})

export const STARTING_PRICES: Prices = startingPrices('EUR')

/** A price of the studio, as a starting value until it is changed. */
export const priceOf = (prices: Prices, name: PriceName): Working => ({
  ...setting(
    pricesSchema.shape[name].meta()!.label as string,
    prices[name],
    startingPrices(prices.currency)[name],
    'money',
    'guess',
    'Supply',
  ),
  currency: prices.currency,
})

/** Prices in another currency: starting values become those of it, what was typed stays the number it is. */
export function inCurrency(prices: Prices, currency: Currency): Prices {
  if (currency === prices.currency) return prices
  const [before, after] = [startingPrices(prices.currency), startingPrices(currency)]
  const kept = (name: PriceName): number => (prices[name] === before[name] ? after[name] : prices[name])
  return {
    currency,
    discEach: kept('discEach'),
    sheetEach: kept('sheetEach'),
    colourMl: kept('colourMl'),
    hour: kept('hour'),
  }
}
