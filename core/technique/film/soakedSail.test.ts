import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { soakedSail, type Means, type PlacedElement } from '..'
import { plannedShrink } from '../../learn'
import { disc } from '../../material'
import { apportion, PORTIONS, REACH_PER_DIAMETER } from './portion'

type Sail = typeof soakedSail.startingParameters

const sail: Sail = { ...soakedSail.startingParameters, seenMm: 100 }
const discs = [160, 220, 280]
const means = (...diameters: number[]): Means => ({ shrink: {}, drying: 'mat', shapes: diameters.map(disc) })
/** Shrink that usual practice plans with on a mat. */
const shrink = plannedShrink('mat').value
const placed = (seenMm: number, index = 0, change: Partial<PlacedElement> = {}): PlacedElement => ({
  index,
  tier: 0,
  on: 'side',
  angleDeg: 0,
  spanDeg: 30,
  heightMm: 20,
  outMm: 0,
  size: seenMm / sail.seenMm,
  rollDeg: 0,
  row: 0,
  away: 0,
  mirrored: false,
  seed: 5,
  ...change,
})
const fitted = (change: Partial<Sail>, elements: readonly PlacedElement[], from: Means = means(...discs)) =>
  soakedSail.fit!({ ...sail, ...change }, elements, from).map((each) => each.fitted!)
const only = (portion: (typeof PORTIONS)[number]): Partial<Sail> => ({ whole: 0, half: 0, quarter: 0, [portion]: 1 })
/** What is seen at most of a portion of a disc. */
const seenOf = (portion: (typeof PORTIONS)[number], discMm: number): number =>
  discMm * REACH_PER_DIAMETER[portion] * (1 - shrink) - sail.insertionMm
const heights = fc.array(fc.integer({ min: 30, max: 240 }), { minLength: 1, maxLength: 30 })
const weight = fc.double({ min: 0, max: 1, noNaN: true })

describe('apportioning a mix', () => {
  it('shares 11 sails 30/40/30 as 3, 5, 3', () =>
    expect(apportion(11, { whole: 0.3, half: 0.4, quarter: 0.3 })).toEqual({ whole: 3, half: 5, quarter: 3 }))
  it('gives out every one, each within one of its share, and takes none back when there are more', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 200 }),
        weight,
        weight,
        fc.double({ min: 0.01, max: 1, noNaN: true }),
        (count, whole, half, quarter) => {
          const given = apportion(count, { whole, half, quarter })
          const total = whole + half + quarter
          const more = apportion(count + 1, { whole, half, quarter })
          return (
            given.whole + given.half + given.quarter === count &&
            PORTIONS.every((portion) => more[portion] >= given[portion]) &&
            PORTIONS.every(
              (portion) => Math.abs(given[portion] - (count * { whole, half, quarter }[portion]) / total) < 1,
            )
          )
        },
      ),
    ))
})

describe('sizing a soaked sail to fit', () => {
  it('85 mm seen with 15 mm of foot is 100 mm flat, and what shrinks besides', () => {
    const [fit] = fitted(only('half'), [placed(85)])
    expect(fit).toMatchObject({ portion: 'half', discMm: 220, heightMm: 85, shortMm: 0 })
    // As wide as the half that is cut: 220 mm, less what it shrinks, gathered.
    expect(fit!.widthMm).toBeCloseTo((220 * (1 - shrink)) / sail.gather, 9)
  })
  it('takes the smallest disc that reaches', () => {
    const of = (portion: (typeof PORTIONS)[number], seenMm: number) => fitted(only(portion), [placed(seenMm)])[0]
    expect(of('half', 60)).toMatchObject({ portion: 'half', discMm: 160 })
    expect(of('half', 70)).toMatchObject({ portion: 'half', discMm: 220 })
    expect(of('quarter', 126)).toMatchObject({ portion: 'whole', discMm: 160 })
    expect(of('whole', 195)).toMatchObject({ portion: 'whole', discMm: 220 })
    expect(of('whole', 248)).toMatchObject({ portion: 'whole', discMm: 280, shortMm: 0 })
  })
  it('says how much is missing when nothing reaches', () => {
    const [fit] = fitted({}, [placed(200)], means(160))
    expect(fit).toMatchObject({ portion: 'whole', discMm: 160 })
    expect(fit!.shortMm).toBeCloseTo(215 / (1 - shrink) - 160, 9)
  })
  it('reaches whenever any disc does, from discs on the shelf only', () =>
    fc.assert(
      fc.property(heights, fc.subarray(discs, { minLength: 1 }), (seen, shelf) =>
        fitted(
          {},
          seen.map((each) => placed(each)),
          means(...shelf),
        ).every(
          ({ discMm, shortMm, heightMm }) =>
            shelf.includes(discMm) && (shortMm === 0 || (heightMm + 15) / (1 - shrink) > Math.max(...shelf)),
        ),
      ),
    ))
  it('gives the biggest sails whole discs and the smallest quarters', () =>
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 30, max: 90 }), { minLength: 6, maxLength: 30 }), (seen) => {
        const fits = fitted(
          {},
          seen.map((each) => placed(each)),
        )
        const of = (portion: string) =>
          fits.filter((each) => each.portion === portion).map(({ heightMm }) => Math.round(heightMm))
        return (
          Math.min(...of('whole')) >= Math.max(0, ...of('half')) &&
          Math.min(999, ...of('half')) >= Math.max(0, ...of('quarter'))
        )
      }),
    ))
  it('takes a portion that one was told by hand, and no other changes', () => {
    const elements = [40, 55, 70, 85].map((each) => placed(each))
    const told = elements.map((each, at) =>
      at === 1 ? { ...each, cut: { portion: 'whole', discMm: 280 } as const } : each,
    )
    const [before, after] = [fitted({}, elements), fitted({}, told)]
    expect(after[1]).toMatchObject({ portion: 'whole', discMm: 280, shortMm: 0 })
    expect(after.filter((_, at) => at !== 1)).toEqual(before.filter((_, at) => at !== 1))
  })
})

describe('a soaked sail as it comes', () => {
  const asItComes = { sizing: 'asItComes' } as const
  it.each(PORTIONS)('a %s of a 220 mm disc is seen as high as shrink and foot leave it', (portion) => {
    const [fit] = fitted({ ...asItComes, ...only(portion) }, [placed(60)], means(220))
    expect(fit).toMatchObject({ portion, discMm: 220, shortMm: 0 })
    expect(fit!.heightMm).toBeCloseTo(seenOf(portion, 220), 9)
  })
  it('half of a 220 mm disc, worked by hand: 110 mm less 2.6 % less 15 mm of foot is 92 mm', () =>
    expect(fitted({ ...asItComes, ...only('half') }, [placed(60)], means(220))[0]!.heightMm).toBeCloseTo(92.17, 1))
  it('never comes lower from a wider disc, and to fit it reaches what it came to', () =>
    fc.assert(
      fc.property(fc.integer({ min: 80, max: 400 }), fc.integer({ min: 1, max: 60 }), (discMm, wider) => {
        const seen = (across: number) =>
          fitted({ ...asItComes, ...only('half') }, [placed(60)], means(across))[0]!.heightMm
        return seen(discMm + wider) > seen(discMm)
      }),
    ))
})

describe('the parameters of a soaked sail', () => {
  it('refuse a mix of nothing, a gather out of bounds and what is unknown', () => {
    expect(soakedSail.parameters.safeParse({ ...sail, whole: 0, half: 0, quarter: 0 }).success).toBe(false)
    expect(soakedSail.parameters.safeParse({ ...sail, gather: 3 }).success).toBe(false)
    expect(soakedSail.parameters.safeParse({ ...sail, shine: 1 }).success).toBe(false)
    expect(soakedSail.parameters.safeParse(sail).success).toBe(true)
  })
  it('allow more shrink loose in the oven than flat on a mat', () => {
    expect(plannedShrink('mat').value).toBeCloseTo(0.026, 3)
    expect(plannedShrink('oven').value).toBeGreaterThan(plannedShrink('mat').value)
  })
})
