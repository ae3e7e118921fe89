import { produce } from 'immer'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { aCommission, planOf } from '../../tests/any/anyPlan'
import { demoCommission, demoWorkshop } from '../demo'
import { CURRENCIES, found, type Currency } from '../quantity'
import {
  inCurrency,
  pricedEach,
  shoppingList,
  STARTING_PRICES,
  STARTING_PRICING,
  startingPrices,
  type Need,
} from '../supply'
import { techniqueOf } from '../technique'
import { chosenOption } from '../commission'
import { putOnShelf, setOnHand, STARTING_WORKSHOP, stockOf, type Workshop } from '../workshop'
import { derivePlan, needsOf, quoteOf } from '.'

const RUNS = { numRuns: 40 }
const now = 29_000_000
const plan = derivePlan({ commission: demoCommission(now), workshop: demoWorkshop(), now, units: 'metric' })

describe('what is not food', () => {
  it('is on the removal list, all that any step put in and nothing else', () =>
    fc.assert(
      fc.property(aCommission, (commission) => {
        const { plan: made } = planOf(commission)
        const { cake, decorations } = chosenOption(commission)
        const count = (name: string): number =>
          made.careCard.remove.filter((each) => each.name === name).reduce((sum, each) => sum + each.count, 0)
        const expected = new Map<string, number>()
        const put = (name: string, many: number): void => {
          if (many > 0) expected.set(name, (expected.get(name) ?? 0) + many)
        }
        for (const { id, elements, wiring } of made.decorations) {
          const decoration = decorations.find((each) => each.id === id)!
          const parts = techniqueOf(decoration.technique).holdingParts(decoration.parameters)
          const many = (part: string): number =>
            elements.reduce(
              (sum, { size }) =>
                sum +
                techniqueOf(decoration.technique)
                  .holdingParts(decoration.parameters, size)
                  .find((each) => each.id === part)!.perElement,
              0,
            )
          for (const part of parts) put(part.name, many(part.id))
          put(
            'food-safe holders',
            wiring.reduce((sum, { wiring: { holders }, count: each }) => sum + holders * each, 0),
          )
          // Every wire that is cut is one that is taken out.
          const cut = wiring.reduce(
            (sum, { wiring: { wires }, count: each }) =>
              sum + each * wires.reduce((all, { perElement }) => all + perElement, 0),
            0,
          )
          const out = parts.filter((part) => /wire$/i.test(part.id)).reduce((sum, part) => sum + many(part.id), 0)
          expect([id, out]).toEqual([id, cut])
        }
        for (const { supports } of made.cake.tiers)
          for (const { count: many } of supports) put('dowels or straws', many.value)
        if (made.cake.middleDowel) put('middle dowel', 1)
        put('cake cards', cake.tiers.length - 1)
        put('separators', cake.tiers.filter(({ spacer }) => spacer !== null).length)
        put(
          'dummy tiers',
          cake.tiers.filter(({ inside, covering }) => inside === 'dummy' || covering === 'dummy').length,
        )
        for (const { many, count: each, edible, elements } of made.accents)
          if (!edible && elements.length > 0) put(many, each.value)
        expect(
          Object.fromEntries(
            [...new Set(made.careCard.remove.map(({ name }) => name))].map((name) => [name, count(name)]),
          ),
        ).toEqual(Object.fromEntries(expected))
      }),
      RUNS,
    ))
})

const aStock = fc.record({
  onHand: fc.integer({ min: 0, max: 60 }),
  pack: fc.integer({ min: 1, max: 50 }),
  reserved: fc.integer({ min: 0, max: 30 }),
})

describe('shopping', () => {
  it('covers the plan exactly: enough of everything, and never a whole pack too many', () =>
    fc.assert(
      fc.property(aCommission, fc.array(aStock, { minLength: 6, maxLength: 6 }), (commission, stocks) => {
        const { plan: made } = planOf(commission)
        const needs = needsOf(made, commission, STARTING_PRICES, 2)
        expect(new Set(needs.map(({ item }) => item)).size).toBe(needs.length)
        const stockFor = (item: string) => stocks[item.length % stocks.length]!
        const lines = shoppingList(
          needs,
          (item) => ({ ...stockFor(item), packPrice: null }),
          new Map(needs.map(({ item }) => [item, stockFor(item).reserved])),
        )
        expect(lines.map(({ need }) => need.item)).toEqual(needs.map(({ item }) => item))
        for (const { need, onHand, reserved, packs } of lines) {
          const { pack } = stockFor(need.item)
          const own = onHand - reserved
          expect(own + packs.value * pack).toBeGreaterThanOrEqual(need.amount.value - 1e-6)
          if (packs.value > 0) expect(own + (packs.value - 1) * pack).toBeLessThan(need.amount.value)
          expect(reserved).toBeLessThanOrEqual(onHand)
        }
      }),
      RUNS,
    ))
  it('rounds up to packs as by hand', () => {
    const need: Need = {
      item: 'sheet thinWafer 210x297',
      name: 'thin wafer',
      shelf: 'paper',
      kind: 'count',
      amount: found('sheets', 13, 'count', 'counted'),
      ...pricedEach(STARTING_PRICES, 'sheetEach', 25, 'count'),
    }
    expect(
      shoppingList(
        [need],
        () => ({ onHand: 10, pack: 25, packPrice: null }),
        new Map([['sheet thinWafer 210x297', 4]]),
      )[0],
    ).toMatchObject({ packs: { value: 1 }, reserved: 4, packPrice: { value: 12.5 }, cost: { value: 12.5 } })
    expect(shoppingList([need], () => ({ onHand: 13, pack: 25, packPrice: 9 }))[0]).toMatchObject({
      packs: { value: 0 },
      packPrice: { value: 9, source: { from: 'typed' } },
    })
  })
  it('counts as the plan does: every sheet, disc and dye of the demo', () => {
    const needs = needsOf(plan, demoCommission(now), STARTING_PRICES, 3)
    const sum = (start: string): number =>
      needs.filter(({ item }) => item.startsWith(start)).reduce((all, { amount }) => all + amount.value, 0)
    expect(sum('sheet riceFilm disc')).toBe(plan.groups.find(({ way }) => way === 'sectors')!.sheets.value)
    expect(sum('sheet ')).toBe(plan.groups.reduce((all, { sheets }) => all + sheets.value, 0))
    expect(sum('dye ')).toBeCloseTo(
      plan.dyeUses.reduce((all, { ml }) => all + ml.value, 0),
      9,
    )
    expect(sum('desiccant')).toBe(3)
  })
  it('asks for what was cut again', () => {
    const commission = produce(demoCommission(now), (draft) => {
      draft.bench.recuts.push({
        id: 'again',
        part: plan.decorations.find(({ id }) => id === 'moths')!.classes[0]!.id,
        many: 4,
        at: now,
        from: '',
      })
    })
    const count = (of: typeof commission): number =>
      needsOf(derivePlan({ commission: of, workshop: demoWorkshop(), now, units: 'metric' }), of, STARTING_PRICES, 0)
        .filter(({ item }) => item.startsWith('sheet '))
        .reduce((all, { amount }) => all + amount.value, 0)
    expect(count(commission)).toBeGreaterThan(count(demoCommission(now)))
  })
  it('puts on the right shelf what was bought, and takes off no more than there is', () => {
    const needs = needsOf(plan, demoCommission(now), STARTING_PRICES, 1)
    const after = produce(STARTING_WORKSHOP as Workshop, (draft) => {
      for (const need of needs) putOnShelf(draft, need, 7)
    })
    for (const { item } of needs)
      expect([item, stockOf(after, item)!.onHand]).toEqual([item, (stockOf(STARTING_WORKSHOP, item)?.onHand ?? 0) + 7])
    const empty = produce(after, (draft) => {
      for (const need of needs) putOnShelf(draft, need, -1e6)
    })
    for (const { item } of needs) expect(stockOf(empty, item)!.onHand).toBe(0)
    const counted = produce(after, (draft) => {
      for (const need of needs) setOnHand(draft, need, 3)
    })
    for (const { item } of needs) expect(stockOf(counted, item)!.onHand).toBe(3)
  })
})

describe('prices', () => {
  const listIn = (currency: Currency) =>
    shoppingList(needsOf(plan, demoCommission(now), startingPrices(currency), 2), () => null)
  it('are known for everything that is bought, in the currency of the studio', () =>
    fc.assert(
      fc.property(aCommission, fc.constantFrom(...CURRENCIES), (commission, currency) => {
        const { plan: made } = planOf(commission)
        for (const { need, packPrice, cost } of shoppingList(
          needsOf(made, commission, startingPrices(currency), 2),
          () => null,
        )) {
          expect([need.name, packPrice.value > 0, packPrice.currency]).toEqual([need.name, true, currency])
          expect(cost.currency).toBe(currency)
        }
      }),
      { numRuns: 20 },
    ))
  it('go by the pack that is bought: twice as much in a pack costs twice as much', () => {
    const wire = listIn('EUR').find(({ need }) => need.shelf === 'wire')!.need
    const priceOf = (pack: number): number =>
      shoppingList([wire], () => ({ onHand: 0, pack, packPrice: null }))[0]!.packPrice.value
    expect(priceOf(2 * wire.usualPack)).toBeCloseTo(2 * priceOf(wire.usualPack), 9)
  })
  it('stay as typed in another currency, and are its starting values where none was typed', () => {
    const own = { ...STARTING_PRICES, hour: 31 }
    expect(inCurrency(own, 'JPY')).toEqual({ ...startingPrices('JPY'), hour: 31 })
    expect(inCurrency(inCurrency(own, 'GBP'), 'EUR')).toEqual(own)
    // Nothing is changed by what is chosen already, so that it is no edit.
    expect(inCurrency(own, 'EUR')).toBe(own)
  })
  it('buy a crumb coat with the covering it is made of', () => {
    const items = listIn('EUR').map(({ need }) => need.item)
    expect(items).not.toContain('covering crumb-coat')
    expect(new Set(items).size).toBe(items.length)
  })
})

describe('the quote', () => {
  const quote = quoteOf(
    plan,
    shoppingList(needsOf(plan, demoCommission(now), STARTING_PRICES, 1), (item) => stockOf(STARTING_WORKSHOP, item)),
    STARTING_PRICES,
    STARTING_PRICING,
  )
  it('shares out what the tally says: its lines add up to it', () =>
    fc.assert(
      fc.property(aCommission, (commission) => {
        const { plan: made } = planOf(commission)
        const list = shoppingList(needsOf(made, commission, STARTING_PRICES, 0), () => null)
        const { bare, lines } = quoteOf(made, list, STARTING_PRICES, STARTING_PRICING)
        const materials = list
          .filter(({ need }) => need.pricedBy === 'pack')
          .reduce((sum, { need, pack, packPrice }) => sum + (need.amount.value / pack) * packPrice.value, 0)
        expect(lines.find(({ id }) => id === 'materials')!.cost.value).toBeCloseTo(materials, 6)
        expect(bare.value).toBeCloseTo(made.cost.value + materials, 6)
      }),
      { numRuns: 20 },
    ))
  it('comes to a price that leaves the margin', () =>
    expect(quote.price.value * (1 - STARTING_PRICING.margin)).toBeCloseTo(
      quote.bare.value * (1 + STARTING_PRICING.overhead),
      9,
    ))
  it('says what one more of each costs', () => {
    for (const { decoration, cost } of quote.oneMore) {
      const { count } = plan.decorations.find(({ id }) => id === decoration)!
      const line = quote.lines.find(({ id }) => id === decoration)!
      expect(cost.value * count.value).toBeCloseTo(line.cost.value, 6)
    }
    expect(quote.oneMore).toHaveLength(plan.decorations.length)
  })
})
