import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CURRENCIES, currencyOfLocale, derive, guessIn, printMoney, printWorkingValue, starting, sumOf } from '.'

const aCurrency = fc.constantFrom(...CURRENCIES)

describe('a currency', () => {
  it.each([
    ['en-GB', 'GBP'],
    ['en-US', 'USD'],
    ['de-AT', 'EUR'],
    ['pt-Latn-BR', 'BRL'],
    ['ja-JP', 'JPY'],
    ['en', 'EUR'],
    ['', 'EUR'],
    ['xx-QQ', 'EUR'],
  ])('of %s is %s', (locale, currency) => expect(currencyOfLocale(locale)).toBe(currency))
  it('stands before its amount, without cents where there are none', () => {
    expect(printMoney(12.5, 'EUR')).toBe('€12.50')
    expect(printMoney(450.4, 'JPY')).toBe('¥450')
    expect(printMoney(-3, 'SEK')).toBe('−SEK 3.00')
    expect(printMoney(-0.001, 'USD')).toBe('$0.00')
  })
  it('brings a guess to its order and keeps the order of guesses', () =>
    fc.assert(
      fc.property(aCurrency, fc.double({ min: 0.01, max: 500, noNaN: true }), (currency, euro) => {
        expect(guessIn(euro, currency)).toBeGreaterThan(0)
        expect(guessIn(euro, currency)).toBeLessThanOrEqual(guessIn(euro * 1.2, currency))
        expect(guessIn(euro, 'EUR')).toBe(euro)
      }),
    ))
  it('goes with an amount through every sum that it is part of', () =>
    fc.assert(
      fc.property(aCurrency, fc.integer({ min: 1, max: 99 }), (currency, amount) => {
        const price = { ...starting('hour', amount, 'money', 'guess'), currency }
        const cost = derive('cost', 'money', 'hands', '2 × {price}', { price }, (v) => 2 * v.price)
        const sum = sumOf('all', 'money', 'added up', [cost, price])
        expect(printWorkingValue(sum, 'metric')).toBe(printMoney(3 * amount, currency))
        const hours = derive('share', 'ratio', 'of it', '{price} ÷ {sum}', { price, sum }, (v) => v.price / v.sum)
        expect(hours.currency).toBeUndefined()
      }),
    ))
})
