import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { MIXTURES, mixturesFor, offcutsFor, unwantedOf, type Mixture } from '.'
import { found, workingsBelow, workingSentence } from '../quantity'
import { MIXTURE_IDS } from '../technique'

const ml = (value: number) => found('used', value, 'volume', 'given')
const all: readonly Mixture[] = MIXTURES

describe('mixtures', () => {
  it('are there for everything that techniques ask for', () =>
    expect(all.map(({ id }) => id)).toEqual([...MIXTURE_IDS]))
  it.each(all.map((mixture) => [mixture.name, mixture] as const))(
    '%s adds up to a whole, and so do its swaps',
    (_, { parts, contains, swaps }) => {
      for (const each of [parts, ...swaps.map((swap) => swap.parts)])
        expect(each.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9)
      swaps.forEach(({ without, costs }) => {
        expect(contains).toContain(without)
        expect(costs).toMatch(/\w/)
      })
    },
  )
  it('6 ml and 14 ml of glue make 24 ml with 1.9 g of offcuts', () => {
    const [glue] = mixturesFor(
      [
        { mixture: 'edibleGlue', ml: ml(6) },
        { mixture: 'edibleGlue', ml: ml(14) },
      ],
      [],
    )
    expect(glue!.ml.value).toBeCloseTo(24, 9)
    expect(glue!.parts.map(({ amount }) => amount.value)).toEqual([24, expect.closeTo(1.92, 6)])
    expect(offcutsFor([glue!]).value).toBeCloseTo(1.92, 6)
  })
  it('are never less than can be mixed, and their liquid parts add up to the whole', () =>
    fc.assert(
      fc.property(fc.constantFrom(...MIXTURE_IDS), fc.double({ min: 0.1, max: 900, noNaN: true }), (mixture, used) => {
        const [made] = mixturesFor([{ mixture, ml: ml(used) }], [])
        expect(made!.ml.value).toBeGreaterThanOrEqual(Math.max(10, used))
        expect(
          made!.parts
            .filter(({ amount }) => amount.kind === 'volume')
            .reduce((sum, { amount }) => sum + amount.value, 0),
        ).toBeCloseTo(made!.ml.value, 6)
        made!.parts
          .flatMap(({ amount }) => workingsBelow(amount))
          .forEach((working) => expect(workingSentence(working, 'imperial')).not.toMatch(/NaN|undefined|[{}]/))
      }),
    ))
  it('give way to a client’s limits, and say what that costs', () => {
    const limits = unwantedOf({ noGelatine: true, noDairy: false, noAlcohol: true })
    const made = mixturesFor(
      [
        { mixture: 'gelatineFilm', ml: ml(20) },
        { mixture: 'damping', ml: ml(20) },
        { mixture: 'edibleGlue', ml: ml(20) },
      ],
      limits,
    )
    expect(made.map(({ swap }) => swap?.without ?? null)).toEqual(['gelatine', 'alcohol', null])
    expect(made.flatMap(({ parts }) => parts.map(({ name }) => name)).join()).not.toMatch(/alcohol|gelatine/)
    expect(made[0]!.swap!.costs).toMatch(/shorter/)
  })
})
