import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { countSweep, distanceFromHeart, meanSize, placeAlong, pointAlong, sizeAlong, sweepPath, type Sweep } from '.'
import { roundTier, stackTiers } from '../cake'
import { typed } from '../quantity'

const stackOf = (...tiers: readonly (readonly [number, number])[]) =>
  stackTiers({ tiers: tiers.map(([acrossMm, heightMm]) => roundTier(`${acrossMm}`, acrossMm, heightMm)) })
const plain: Sweep = {
  kind: 'sweep',
  count: null,
  fromAngleDeg: 0,
  fromHeightMm: 50,
  toAngleDeg: 90,
  toHeightMm: 50,
  overlap: 0.5,
  taper: 0.5,
  heart: 0.5,
  irregularity: 0.5,
  seed: 1,
}
const one = stackOf([200, 150])
const three = stackOf([260, 110], [196, 150], [128, 118])
const seeds = fc.integer({ min: 0, max: 999999 })
const shares = fc.double({ min: 0, max: 1, noNaN: true })
const width = (mm: number) => typed('width', mm, 'length', 'Arrange')

describe('the line of a sweep', () => {
  it('a quarter round a 200 mm tier is 157 mm', () =>
    expect(sweepPath(one, plain).lengthMm).toBeCloseTo(Math.PI * 50, 2))
  it('a slope is the root of round and up', () =>
    expect(sweepPath(one, { ...plain, fromHeightMm: 10, toHeightMm: 130 }).lengthMm).toBeCloseTo(
      Math.hypot(Math.PI * 50, 120),
      2,
    ))
  it('straight up three tiers counts the ledges', () =>
    expect(sweepPath(three, { ...plain, toAngleDeg: 0, fromHeightMm: 0, toHeightMm: 378 }).lengthMm).toBeCloseTo(
      378 + 32 + 34,
      6,
    ))
  it('is as long from its end to its beginning', () =>
    fc.assert(
      fc.property(fc.integer({ min: -300, max: 300 }), fc.integer({ min: 0, max: 378 }), (angle, height) => {
        const there = sweepPath(three, { ...plain, toAngleDeg: angle, toHeightMm: height }).lengthMm
        const back = sweepPath(three, {
          ...plain,
          fromAngleDeg: angle,
          fromHeightMm: height,
          toAngleDeg: 0,
          toHeightMm: 50,
        }).lengthMm
        return Math.abs(there - back) < 0.5
      }),
    ))
  it('passes its ends', () => {
    const { points } = sweepPath(three, { ...plain, toHeightMm: 300 })
    expect(pointAlong(points, 0)).toMatchObject({ angleDeg: 0, heightMm: 50 })
    expect(pointAlong(points, 1)).toMatchObject({ angleDeg: 90, heightMm: 300, tier: 2, facingDeg: 90 })
  })
})

describe('sizes along a sweep', () => {
  it('are whole at the heart and tapered at the ends', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        fc.double({ min: 0.3, max: 1, noNaN: true }),
        (heart, taper) =>
          Math.abs(sizeAlong({ heart, taper }, heart) - 1) < 1e-9 &&
          Math.abs(sizeAlong({ heart, taper }, 0) - taper) < 1e-9 &&
          Math.abs(sizeAlong({ heart, taper }, 1) - taper) < 1e-9,
      ),
    ))
  it('average to the mean size, wherever the heart is', () =>
    fc.assert(
      fc.property(shares, fc.double({ min: 0.3, max: 1, noNaN: true }), (heart, taper) => {
        const sizes = Array.from({ length: 4000 }, (_, at) => sizeAlong({ heart, taper }, (at + 0.5) / 4000))
        return Math.abs(sizes.reduce((sum, size) => sum + size, 0) / 4000 - meanSize({ taper })) < 1e-3
      }),
    ))
  it('know a heart at the very end', () => expect(distanceFromHeart(0, 0)).toBe(0))
})

describe('counting', () => {
  it('157 mm of 40 mm sails half overlapped takes 8', () =>
    expect(countSweep(one, plain, width(40)).count.value).toBe(8))
  it('never takes fewer for more overlap, a longer sweep or narrower sails, and at least one', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.7, noNaN: true }),
        fc.integer({ min: 20, max: 300 }),
        fc.integer({ min: 0, max: 360 }),
        (overlap, mm, angle) => {
          const base = countSweep(one, { ...plain, overlap, toAngleDeg: angle }, width(mm)).count.value
          return (
            base >= 1 &&
            countSweep(one, { ...plain, overlap: overlap + 0.05, toAngleDeg: angle }, width(mm)).count.value >= base &&
            countSweep(one, { ...plain, overlap, toAngleDeg: angle + 30 }, width(mm)).count.value >= base &&
            countSweep(one, { ...plain, overlap, toAngleDeg: angle }, width(mm * 0.8)).count.value >= base
          )
        },
      ),
    ))
})

describe('placing', () => {
  it('gives the same places for the same seed, others for another, and as many', () =>
    fc.assert(
      fc.property(seeds, fc.integer({ min: 1, max: 40 }), (seed, count) => {
        const places = placeAlong(three, { ...plain, seed }, count)
        expect(placeAlong(three, { ...plain, seed }, count)).toEqual(places)
        return (
          places.length === count &&
          (count < 3 ||
            JSON.stringify(placeAlong(three, { ...plain, seed: seed + 1 }, count)) !== JSON.stringify(places))
        )
      }),
    ))
  it('keeps to the sweep, in order, on the side of the tier at its height', () =>
    fc.assert(
      fc.property(seeds, shares, (seed, irregularity) => {
        const places = placeAlong(three, { ...plain, seed, irregularity, toHeightMm: 300 }, 14)
        return places.every(
          ({ along, point, tier, size }, at) =>
            along >= 0 &&
            along <= 1 &&
            Math.abs(Math.hypot(point[0], point[1]) - [130, 98, 64][tier]!) < 0.5 &&
            size > 0.2 &&
            size <= 1 &&
            (at === 0 || along > places[at - 1]!.along),
        )
      }),
    ))
  it('makes no two alike once it is irregular', () => {
    const sizes = placeAlong(three, { ...plain, irregularity: 0.6 }, 12).map(({ size }) => size)
    expect(new Set(sizes).size).toBe(12)
  })
  it('stands evenly when it is not', () => {
    const alongs = placeAlong(one, { ...plain, irregularity: 0, taper: 1 }, 5).map(({ along }) => along)
    alongs.forEach((along, at) => expect(along).toBeCloseTo((at + 0.5) / 5, 9))
  })
})
