/**
 * Currencies that prices can be kept in. `perEuro` is rough: starting prices are guesses, and it only brings a guess to
 * the right order. Nothing that was typed is ever changed by it.
 */
type Money = {
  readonly code: string
  readonly name: string
  /** What stands before an amount. */
  readonly sign: string
  readonly decimals: 0 | 2
  readonly perEuro: number
  /** Where it is used, as the ends of language tags. */
  readonly regions: readonly string[]
}

const EURO_REGIONS = 'AD AT BE BG CY DE EE ES FI FR GR HR IE IT LT LU LV ME MC MT NL PT SI SK SM XK'

const moneys = [
  { code: 'EUR', name: 'euro', sign: '€', decimals: 2, perEuro: 1, regions: EURO_REGIONS.split(' ') },
  { code: 'USD', name: 'US dollars', sign: '$', decimals: 2, perEuro: 1.1, regions: ['US', 'PR', 'EC', 'SV'] },
  { code: 'GBP', name: 'pounds', sign: '£', decimals: 2, perEuro: 0.85, regions: ['GB', 'GG', 'IM', 'JE'] },
  { code: 'AUD', name: 'Australian dollars', sign: 'A$', decimals: 2, perEuro: 1.7, regions: ['AU'] },
  { code: 'BRL', name: 'Brazilian reais', sign: 'R$', decimals: 2, perEuro: 6, regions: ['BR'] },
  { code: 'CAD', name: 'Canadian dollars', sign: 'C$', decimals: 2, perEuro: 1.5, regions: ['CA'] },
  { code: 'CHF', name: 'Swiss francs', sign: 'CHF ', decimals: 2, perEuro: 1, regions: ['CH', 'LI'] },
  { code: 'CNY', name: 'yuan', sign: 'CNY ', decimals: 2, perEuro: 8, regions: ['CN'] },
  { code: 'CZK', name: 'Czech crowns', sign: 'CZK ', decimals: 0, perEuro: 25, regions: ['CZ'] },
  { code: 'DKK', name: 'Danish crowns', sign: 'DKK ', decimals: 2, perEuro: 7.5, regions: ['DK', 'GL', 'FO'] },
  { code: 'HUF', name: 'forints', sign: 'HUF ', decimals: 0, perEuro: 400, regions: ['HU'] },
  { code: 'IDR', name: 'rupiah', sign: 'IDR ', decimals: 0, perEuro: 17_500, regions: ['ID'] },
  { code: 'INR', name: 'Indian rupees', sign: 'INR ', decimals: 0, perEuro: 95, regions: ['IN'] },
  { code: 'JPY', name: 'yen', sign: '¥', decimals: 0, perEuro: 165, regions: ['JP'] },
  { code: 'KRW', name: 'won', sign: 'KRW ', decimals: 0, perEuro: 1500, regions: ['KR'] },
  { code: 'MXN', name: 'Mexican pesos', sign: 'MXN ', decimals: 2, perEuro: 20, regions: ['MX'] },
  { code: 'MYR', name: 'ringgit', sign: 'RM ', decimals: 2, perEuro: 5, regions: ['MY'] },
  { code: 'NOK', name: 'Norwegian crowns', sign: 'NOK ', decimals: 2, perEuro: 12, regions: ['NO'] },
  { code: 'NZD', name: 'New Zealand dollars', sign: 'NZ$', decimals: 2, perEuro: 1.8, regions: ['NZ'] },
  { code: 'PHP', name: 'Philippine pesos', sign: 'PHP ', decimals: 0, perEuro: 63, regions: ['PH'] },
  { code: 'PLN', name: 'zloty', sign: 'PLN ', decimals: 2, perEuro: 4.3, regions: ['PL'] },
  { code: 'RON', name: 'Romanian lei', sign: 'RON ', decimals: 2, perEuro: 5, regions: ['RO'] },
  { code: 'SEK', name: 'Swedish crowns', sign: 'SEK ', decimals: 2, perEuro: 11, regions: ['SE'] },
  { code: 'SGD', name: 'Singapore dollars', sign: 'S$', decimals: 2, perEuro: 1.5, regions: ['SG'] },
  { code: 'THB', name: 'baht', sign: 'THB ', decimals: 0, perEuro: 38, regions: ['TH'] },
  { code: 'TRY', name: 'lira', sign: 'TRY ', decimals: 0, perEuro: 45, regions: ['TR'] },
  { code: 'UAH', name: 'hryvnia', sign: 'UAH ', decimals: 0, perEuro: 45, regions: ['UA'] },
  { code: 'VND', name: 'dong', sign: 'VND ', decimals: 0, perEuro: 28_000, regions: ['VN'] },
  { code: 'ZAR', name: 'rand', sign: 'R ', decimals: 2, perEuro: 20, regions: ['ZA'] },
] as const satisfies readonly Money[]

export type Currency = (typeof moneys)[number]['code']

/** In the order they are offered: the most used first, then by their codes. */
export const CURRENCIES: readonly Currency[] = moneys.map(({ code }) => code)

const moneyOf = (currency: Currency): Money => moneys.find(({ code }) => code === currency)!

/** What people call a currency: "pounds". */
export const currencyName = (currency: Currency): string => moneyOf(currency).name

/** What stands before an amount: "£". */
export const currencySign = (currency: Currency): string => moneyOf(currency).sign.trim()

/** An amount as it is written on a quote: "€12.50", "¥450". */
export function printMoney(amount: number, currency: Currency): string {
  const { sign, decimals } = moneyOf(currency)
  const digits = Math.abs(amount).toFixed(decimals)
  return `${amount < 0 && Number(digits) > 0 ? '−' : ''}${sign}${digits}`
}

/** The currency of a language tag such as "en-GB" or "pt-Latn-BR"; euro where the tag names no region that is known. */
export function currencyOfLocale(locale: string): Currency {
  const region = locale.toUpperCase().split('-').at(-1)!
  return moneys.find(({ regions }) => (regions as readonly string[]).includes(region))?.code ?? 'EUR'
}

/** What a guess in euro is about in another currency, in two figures: 25 in euro is 28 in US dollars. */
export function guessIn(euro: number, currency: Currency): number {
  const { perEuro } = moneyOf(currency)
  return perEuro === 1 ? euro : Number((euro * perEuro).toPrecision(2))
}
