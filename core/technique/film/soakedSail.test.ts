import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { apportion, PORTIONS, sailNet, soakedSail, type SoakedSail } from '.'
import { plannedShrink } from '../learn'
import { starting, typed } from '../quantity'

const sail: SoakedSail = { ...soakedSail.startingParameters }
const noShrink = starting('shrink', 0, 'ratio', 'guess')
const discs = [160, 220, 280]
const wanted = (...heights: number[]) => heights.map((seenHeightMm, index) => ({ index, seenHeightMm }))
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

describe('sizing a soaked sail', () => {
  it('85 mm seen with 15 mm of foot is 100 mm flat, 101.5 with 1.5 % of shrink', () => {
    expect(soakedSail.size(sail, wanted(85), noShrink, discs)[0]!.flatReach.value).toBe(100)
    expect(
      soakedSail.size(sail, wanted(85), starting('shrink', 0.015, 'ratio', 'guess'), discs)[0]!.flatReach.value,
    ).toBeCloseTo(101.52, 2)
  })
  it('takes the smallest disc that reaches', () => {
    const of = (mix: Partial<SoakedSail>, height: number) =>
      soakedSail.size({ ...sail, whole: 0, half: 0, quarter: 0, ...mix }, wanted(height), noShrink, discs)[0]!
    expect(of({ half: 1 }, 60)).toMatchObject({ portion: 'half', discMm: 160, spareReachMm: 5 })
    expect(of({ half: 1 }, 70)).toMatchObject({ portion: 'half', discMm: 220 })
    expect(of({ quarter: 1 }, 126)).toMatchObject({ portion: 'whole', discMm: 160 })
    expect(of({ whole: 1 }, 200)).toMatchObject({ portion: 'whole', discMm: 220 })
    expect(of({ whole: 1 }, 248)).toMatchObject({ portion: 'whole', discMm: 280, spareReachMm: 17 })
  })
  it('says how much is missing when nothing reaches', () =>
    expect(soakedSail.size(sail, wanted(200), noShrink, [160])[0]).toMatchObject({
      portion: 'whole',
      discMm: 160,
      spareReachMm: -55,
    }))
  it('reaches whenever any disc does, from discs on the shelf only', () =>
    fc.assert(
      fc.property(heights, fc.subarray(discs, { minLength: 1 }), (seen, shelf) =>
        soakedSail
          .size(sail, wanted(...seen), noShrink, shelf)
          .every(
            ({ discMm, spareReachMm, flatReach }) =>
              shelf.includes(discMm) && (spareReachMm >= 0 || flatReach.value > Math.max(...shelf)),
          ),
      ),
    ))
  it('gives the biggest sails whole discs and the smallest quarters', () =>
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 30, max: 120 }), { minLength: 6, maxLength: 30 }), (seen) => {
        const sized = soakedSail.size(sail, wanted(...seen), noShrink, discs)
        const of = (portion: string) =>
          sized.filter((each) => each.portion === portion).map(({ seenHeightMm }) => seenHeightMm)
        return (
          Math.min(...of('whole')) >= Math.max(0, ...of('half')) &&
          Math.min(999, ...of('half')) >= Math.max(0, ...of('quarter'))
        )
      }),
    ))
  it('100 mm of reach as halves is 200 mm of film, seen 125 mm wide at a gather of 1.6', () =>
    expect(
      soakedSail.meanSeenWidth(
        { ...sail, whole: 0, quarter: 0, half: 1 },
        typed('mean', 85, 'length', 'Arrange'),
        noShrink,
      ).value,
    ).toBeCloseTo(125, 9))
  it('refuses a mix of nothing, a gather out of bounds and unknown parameters', () => {
    expect(soakedSail.parameters.safeParse({ ...sail, whole: 0, half: 0, quarter: 0 }).success).toBe(false)
    expect(soakedSail.parameters.safeParse({ ...sail, gather: 3 }).success).toBe(false)
    expect(soakedSail.parameters.safeParse({ ...sail, shine: 1 }).success).toBe(false)
  })
  it('allows more shrink loose in the oven than flat on a mat', () => {
    expect(plannedShrink('mat').value).toBeCloseTo(0.026, 3)
    expect(plannedShrink('oven').value).toBeGreaterThan(plannedShrink('mat').value)
  })
})

describe('the shape of a sail', () => {
  const place = (seed: number) => ({ point: [49, -84.87, 100] as const, facingDeg: 30, seed })
  const size = { portion: 'half' as const, seenHeightMm: 100, seenWidthMm: 120 }
  const seeds = fc.integer({ min: -1e9, max: 1e9 })
  it('is the same for the same seed and unlike for another', () => {
    expect(sailNet(size, place(5))).toEqual(sailNet(size, place(5)))
    expect(sailNet(size, place(5))).not.toEqual(sailNet(size, place(6)))
  })
  it('stands with its foot on the cake and its rim outside it, about as high as wished', () =>
    fc.assert(
      fc.property(seeds, fc.constantFrom(...PORTIONS), (seed, portion) => {
        const { rows } = sailNet({ ...size, portion }, place(seed))
        const foot = rows[0]![16]!
        const points = rows.flat()
        const top = Math.max(...points.map(([, , z]) => z))
        return (
          points.every((point) => point.every(Number.isFinite)) &&
          Math.abs(Math.hypot(foot[0], foot[1]) - 98) < 12 &&
          Math.abs(foot[2] - 100) < 12 &&
          top > 160 &&
          top < 225
        )
      }),
    ))
})
