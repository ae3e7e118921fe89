import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { costOf, discSupplies, pricesSchema, STARTING_PRICES, type Prices } from '.'
import { found, workingsBelow, workingSentence } from '../quantity'

const stock = [160, 220, 280].map((diameterMm) => ({
  diameterMm: diameterMm as 160 | 220 | 280,
  onHand: 10,
  packSize: 10,
  inUse: true,
}))
const supplies = (...diameters: number[]) =>
  discSupplies(
    diameters.map((diameterMm) => ({ diameterMm })),
    stock,
  )
const paper = (sheets: number) => found('sheets', sheets, 'count', 'counted')
const colour = (ml: number) => found('colour', ml, 'volume', 'counted')
const hands = (minutes: number) => found('hands-on', minutes, 'duration', 'counted')

describe('what a job costs', () => {
  it('is film, paper, colour and hands, worked by hand', () => {
    const prices: Prices = { discEach: 0.5, sheetEach: 0.4, colourMl: 2, hour: 20 }
    const cost = costOf(supplies(160, 160, 280), paper(5), colour(6), hands(90), prices)
    expect(cost.value).toBeCloseTo(3 * 0.5 + 5 * 0.4 + 6 * 2 + 1.5 * 20, 9)
  })

  it('of nothing is nothing', () => {
    expect(costOf([], paper(0), colour(0), hands(0), STARTING_PRICES).value).toBe(0)
  })

  it('never falls when anything is dearer or more is needed', () => {
    const amounts = fc.record({
      colourMl: fc.double({ min: 0, max: 50, noNaN: true }),
      minutes: fc.integer({ min: 0, max: 3000 }),
      discs: fc.integer({ min: 0, max: 20 }),
    })
    fc.assert(
      fc.property(amounts, ({ colourMl, minutes, discs }) => {
        const of = (more: Partial<Prices>, extra = 0): number =>
          costOf(supplies(...Array<number>(discs + extra).fill(220)), paper(discs), colour(colourMl), hands(minutes), {
            ...STARTING_PRICES,
            ...more,
          }).value
        expect(of({ hour: STARTING_PRICES.hour + 1 })).toBeGreaterThanOrEqual(of({}))
        expect(of({ colourMl: STARTING_PRICES.colourMl + 1 })).toBeGreaterThanOrEqual(of({}))
        expect(of({ sheetEach: STARTING_PRICES.sheetEach + 1 })).toBeGreaterThanOrEqual(of({}))
        expect(of({}, 1)).toBeGreaterThan(of({}))
      }),
    )
  })

  it('shows its working down to the prices', () => {
    const cost = costOf(supplies(160), paper(2), colour(3), hands(60), STARTING_PRICES)
    expect(workingSentence(cost, 'metric')).toMatch(/^cost \d+\.\d\d = /)
    expect(workingsBelow(cost).map(({ label }) => label)).toEqual(
      expect.arrayContaining(['An hour of your work', 'A disc of film']),
    )
  })

  it('does not take prices below nothing', () => {
    expect(pricesSchema.safeParse({ ...STARTING_PRICES, hour: -1 }).success).toBe(false)
    expect(pricesSchema.safeParse(STARTING_PRICES).success).toBe(true)
  })
})
