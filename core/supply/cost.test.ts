import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { costOf, pricesSchema, STARTING_PRICES, type Prices, type SheetNeed } from '.'
import { disc, rect } from '../material'
import { found, workingsBelow, workingSentence } from '../quantity'

const needed = (count: number) => found('sheets', count, 'count', 'counted')
const discs = (...diameters: number[]): readonly SheetNeed[] =>
  diameters.map((diameterMm) => ({ paper: 'riceFilm', shape: disc(diameterMm), needed: needed(1) }))
const sheets = (count: number): readonly SheetNeed[] =>
  count === 0 ? [] : [{ paper: 'thinWafer', shape: rect(210, 297), needed: needed(count) }]
const colour = (ml: number) => found('colour', ml, 'volume', 'counted')
const hands = (minutes: number) => found('hands-on', minutes, 'duration', 'counted')

describe('what a job costs', () => {
  it('is film, paper, colour and hands, worked by hand', () => {
    const prices: Prices = { currency: 'EUR', discEach: 0.5, sheetEach: 0.4, colourMl: 2, hour: 20 }
    const cost = costOf([...discs(160, 160, 280), ...sheets(5)], colour(6), hands(90), prices)
    expect(cost.value).toBeCloseTo(3 * 0.5 + 5 * 0.4 + 6 * 2 + 1.5 * 20, 9)
  })

  it('of nothing is nothing', () => {
    expect(costOf([], colour(0), hands(0), STARTING_PRICES).value).toBe(0)
  })

  it('never falls when anything is dearer or more is needed', () => {
    const amounts = fc.record({
      colourMl: fc.double({ min: 0, max: 50, noNaN: true }),
      minutes: fc.integer({ min: 0, max: 3000 }),
      many: fc.integer({ min: 0, max: 20 }),
    })
    fc.assert(
      fc.property(amounts, ({ colourMl, minutes, many }) => {
        const of = (more: Partial<Prices>, extra = 0): number =>
          costOf(
            [...discs(...Array<number>(many + extra).fill(220)), ...sheets(many)],
            colour(colourMl),
            hands(minutes),
            {
              ...STARTING_PRICES,
              ...more,
            },
          ).value
        expect(of({ hour: STARTING_PRICES.hour + 1 })).toBeGreaterThanOrEqual(of({}))
        expect(of({ colourMl: STARTING_PRICES.colourMl + 1 })).toBeGreaterThanOrEqual(of({}))
        expect(of({ sheetEach: STARTING_PRICES.sheetEach + 1 })).toBeGreaterThanOrEqual(of({}))
        expect(of({}, 1)).toBeGreaterThan(of({}))
      }),
    )
  })

  it('shows its working down to the prices', () => {
    const cost = costOf([...discs(160), ...sheets(2)], colour(3), hands(60), STARTING_PRICES)
    expect(workingSentence(cost, 'metric')).toMatch(/^cost €\d+\.\d\d = /)
    expect(workingsBelow(cost).map(({ label }) => label)).toEqual(
      expect.arrayContaining(['An hour of your work', 'A disc of film']),
    )
  })

  it('does not take prices below nothing', () => {
    expect(pricesSchema.safeParse({ ...STARTING_PRICES, hour: -1 }).success).toBe(false)
    expect(pricesSchema.safeParse(STARTING_PRICES).success).toBe(true)
  })
})
