import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  bandRoom,
  compositionOf,
  COMPOSITIONS,
  footShare,
  freePatches,
  overlap,
  patchOf,
  spreadOf,
  type Band,
  type Composition,
  type Ground,
  type Quiet,
} from '.'
import { anyTier } from '../../tests/any/anyTier'
import { alongAt, edgeScale, leastReach, roundTier, stackTiers, type StandingTier } from '../cake'
import { found, workingsBelow, workingSentence } from '../quantity'
import type { CompositionKind } from '../technique'

const stack = stackTiers({ tiers: [roundTier('low', 260, 110), roundTier('high', 128, 118)] })
const tiers = [{ heightMm: 110 }, { heightMm: 118 }]
const seen = { widthMm: 40, heightMm: 40 }
const ground = (change: Partial<Ground> = {}): Ground => ({
  stack,
  seen,
  free: [],
  mostTopMm: null,
  asked: null,
  ...change,
})
const starting = (kind: CompositionKind, seed = 7): Composition =>
  compositionOf(kind).starting({ tiers, seen, fillsRows: false, seed })
const layOut = (values: Composition, change: Partial<Ground> = {}) =>
  compositionOf(values.kind).layOut(values, ground(change))
const seeds = fc.integer({ min: 0, max: 999999 })
const quietly: Quiet = { others: false, seams: false, back: false, places: [] }

const band: Band = {
  kind: 'band',
  tier: 1,
  count: null,
  rows: null,
  fromMm: 10,
  toMm: 70,
  middleDeg: 0,
  spanDeg: 360,
  overlap: 0.1,
  irregularity: 0.5,
  seed: 7,
}
const scatter = { ...starting('scatter'), tier: 0 } as Composition & { kind: 'scatter' }
const crown = { ...starting('crown'), spanDeg: 200, reach: 0.6 } as Composition & { kind: 'crown' }

/** Whether a foot stands on what it is said to stand on. */
function isHeld(
  { on, heightMm, outMm }: { readonly on: 'side' | 'top'; readonly heightMm: number; readonly outMm: number },
  tier: StandingTier,
): boolean {
  return on === 'side'
    ? heightMm >= tier.footMm - 1e-6 && heightMm < tier.topMm
    : heightMm === tier.topMm && outMm <= leastReach(tier)
}

describe.each(COMPOSITIONS.map(({ kind, name }) => [name, kind] as const))('%s', (_, kind) => {
  it('begins as its schema allows, on one tier or many', () => {
    for (const low of [[{ heightMm: 60 }], tiers]) {
      const values = compositionOf(kind).starting({ tiers: low, seen, fillsRows: false, seed: 3 })
      expect(compositionOf(kind).schema.parse(values)).toEqual(values)
    }
  })
  it('counts what it places, with a working all the way down', () =>
    fc.assert(
      fc.property(seeds, (seed) => {
        const { elements, count } = layOut(starting(kind, seed))
        expect(elements.length).toBe(count.value)
        for (const working of workingsBelow(count))
          expect(workingSentence(working, 'metric')).not.toMatch(/NaN|undefined|[{}]/)
      }),
      { numRuns: 20 },
    ))
  it('gives the same for the same seed, otherwise for another, and keeps its count', () =>
    fc.assert(
      fc.property(seeds, (seed) => {
        const one = layOut(starting(kind, seed))
        expect(layOut(starting(kind, seed))).toEqual(one)
        const other = layOut(starting(kind, seed + 1))
        expect(other.count.value).toBe(one.count.value)
        expect(other.elements).not.toEqual(one.elements)
      }),
      { numRuns: 20 },
    ))
  it('never sets a foot on air, on any cake', () =>
    fc.assert(
      fc.property(fc.array(anyTier, { minLength: 1, maxLength: 3 }), seeds, (cake, seed) => {
        const standing = stackTiers({ tiers: cake })
        const values = compositionOf(kind).starting({ tiers: cake, seen, fillsRows: false, seed })
        return compositionOf(kind)
          .layOut(values, ground({ stack: standing }))
          .elements.every((element) => isHeld(element, standing[element.tier]!))
      }),
      { numRuns: 60 },
    ))
  it('places nothing that would stand higher than the box allows, and says so', () => {
    const all = layOut(starting(kind))
    const { elements, count } = layOut(starting(kind), { mostTopMm: 100 })
    expect(elements.every(({ heightMm, size }) => heightMm + 40 * size <= 100)).toBe(true)
    expect(elements.length).toBe(all.elements.filter(({ heightMm, size }) => heightMm + 40 * size <= 100).length)
    if (elements.length < all.elements.length)
      expect(workingSentence(count, 'metric')).toContain('higher than the box allows')
  })
  it('keeps off quiet places and off what lies there', () =>
    fc.assert(
      fc.property(seeds, fc.integer({ min: -180, max: 180 }), (seed, middleDeg) => {
        const earlier = layOut({ ...band, tier: 0, spanDeg: 120 })
        const free = freePatches(
          { ...quietly, others: true, places: [{ middleDeg, spanDeg: 70 }] },
          [{ elements: earlier.elements, seen, isSkin: false }],
          stack,
        )
        return layOut(starting(kind, seed), { free }).elements.every((element) =>
          free.every((patch) => !overlap(patchOf(element, seen, stack), patch, stack)),
        )
      }),
      { numRuns: 30 },
    ))
  it('has handles on the cake that can be pulled, within what its schema allows', () =>
    fc.assert(
      fc.property(
        seeds,
        fc.integer({ min: -179, max: 179 }),
        fc.integer({ min: 0, max: 227 }),
        (seed, angleDeg, heightMm) => {
          const values = starting(kind, seed)
          const { handles, pull, schema } = compositionOf(kind)
          for (const handle of handles(values, stack)) {
            const tier = heightMm < 110 ? 0 : 1
            const pulled = pull(values, handle.id, { tier, on: 'side', angleDeg, heightMm, outMm: 0 }, stack)
            expect(schema.safeParse(pulled).error).toBeUndefined()
            // Pulled to where it is already, it stays.
            const still = pull(values, handle.id, handle, stack)
            const [before, after] = [layOut(values).elements.length, layOut(still).elements.length]
            expect(Math.abs(before - after)).toBeLessThanOrEqual(1)
          }
        },
      ),
      { numRuns: 30 },
    ))
})

describe('a band', () => {
  it('all round a 128 mm tier is 402 mm long, half of it 201', () => {
    expect(bandRoom(stack, band).length.value).toBeCloseTo(402.1, 1)
    expect(bandRoom(stack, { ...band, spanDeg: 180 }).length.value).toBeCloseTo(201.1, 0)
  })
  it('of 40 mm scrolls overlapping by a tenth takes 11, worked by hand', () =>
    expect(layOut(band).count.value).toBe(11))
  it('never reaches above its tier, nor below the board', () =>
    fc.assert(
      fc.property(anyTier, fc.integer({ min: 0, max: 400 }), fc.integer({ min: 0, max: 400 }), (tier, fromMm, toMm) => {
        const standing = stackTiers({ tiers: [tier] })
        const room = bandRoom(standing, { ...band, tier: 5, fromMm, toMm })
        return room.footMm >= standing[0]!.footMm && room.topMm <= standing[0]!.topMm + 1e-9 && room.height.value >= 0
      }),
    ))
  it('is not evenly spaced once irregular', () =>
    fc.assert(
      fc.property(seeds, (seed) => {
        const { elements } = layOut({ ...band, seed })
        expect(
          new Set(elements.slice(1).map(({ angleDeg }, at) => (angleDeg - elements[at]!.angleDeg).toFixed(3))).size,
        ).toBeGreaterThan(3)
        expect(new Set(elements.map(({ size }) => size)).size).toBe(elements.length)
      }),
    ))
  it('leaves the back bare when it is told to, and the seam down it', () => {
    const { elements, count } = layOut(band, { free: freePatches({ ...quietly, back: true }, [], stack) })
    expect(elements.length).toBeLessThan(9)
    elements.forEach(({ angleDeg }) => expect(Math.abs(((angleDeg + 540) % 360) - 180)).toBeLessThan(120))
    expect(workingSentence(count, 'metric')).toContain('crossing what stays free')
    expect(layOut(band, { free: freePatches({ ...quietly, seams: true }, [], stack) }).elements.length).toBeLessThan(11)
  })
})

describe('more room or less of it', () => {
  const counted = (values: Composition): number => layOut(values).count.value
  it('a lusher or longer band, sweep or cluster never takes fewer', () =>
    fc.assert(
      fc.property(fc.double({ min: 0, max: 0.6, noNaN: true }), fc.integer({ min: 40, max: 300 }), (lush, long) => {
        const [sweep, cluster] = [
          starting('sweep') as Composition & { kind: 'sweep' },
          starting('cluster') as Composition & { kind: 'cluster' },
        ]
        return (
          counted({ ...band, overlap: lush + 0.1, spanDeg: long }) >=
            counted({ ...band, overlap: lush, spanDeg: long }) &&
          counted({ ...band, overlap: lush, spanDeg: long + 20 }) >=
            counted({ ...band, overlap: lush, spanDeg: long }) &&
          counted({ ...sweep, overlap: lush + 0.1 }) >= counted({ ...sweep, overlap: lush }) &&
          counted({ ...sweep, toAngleDeg: long + 30 }) >= counted({ ...sweep, toAngleDeg: long }) &&
          counted({ ...cluster, overlap: lush + 0.1 }) >= counted({ ...cluster, overlap: lush }) &&
          counted({ ...cluster, wideMm: long + 20 }) >= counted({ ...cluster, wideMm: long })
        )
      }),
    ))
  it('a spray 160 × 90 mm of 40 mm elements takes 27, worked by hand', () => {
    const cluster = starting('cluster') as Composition & { kind: 'cluster' }
    expect(counted({ ...cluster, wideMm: 160, highMm: 90, taper: 0.5, overlap: 0.4 })).toBe(27)
  })
  it('a spiral twice round takes about twice as many', () => {
    const sweep = { ...starting('sweep'), fromAngleDeg: 0, fromHeightMm: 50, toHeightMm: 60 } as Composition & {
      kind: 'sweep'
    }
    const [once, twice] = [counted({ ...sweep, toAngleDeg: 360 }), counted({ ...sweep, toAngleDeg: 720 })]
    expect(Math.abs(twice - 2 * once)).toBeLessThanOrEqual(2)
  })
})

describe('a cluster', () => {
  it.each(['side', 'shoulder', 'top'] as const)(
    'on the %s has its biggest at the heart and stays within its bounds',
    (on) =>
      fc.assert(
        fc.property(seeds, (seed) => {
          const { elements } = layOut({
            ...starting('cluster', seed),
            on,
            tier: 1,
            middleDeg: 20,
            upMm: 60,
            wideMm: 90,
            highMm: 60,
          } as Composition)
          const sizes = elements.map(({ size }) => size)
          expect(Math.max(...sizes.slice(0, 2))).toBe(Math.max(...sizes))
          elements
            .filter((element) => element.on === 'side')
            .forEach(({ angleDeg }) => expect(Math.abs(angleDeg - 20)).toBeLessThanOrEqual((75 / 402) * 360))
        }),
        { numRuns: 40 },
      ),
  )
  it('finds no place on a ledge narrower than its feet', () => {
    const narrow = stackTiers({ tiers: [roundTier('low', 140, 80), roundTier('high', 128, 80)] })
    expect(layOut({ ...starting('cluster'), on: 'top', tier: 0 } as Composition, { stack: narrow }).count.value).toBe(0)
  })
})

describe('a scatter', () => {
  it('keeps its gaps, its arc and its tier', () =>
    fc.assert(
      fc.property(seeds, fc.integer({ min: 1, max: 30 }), (seed, count) => {
        const { elements } = layOut({ ...scatter, seed, count })
        const scale = edgeScale(stack[0]!)
        elements.forEach((one, at) => {
          expect(Math.abs(one.angleDeg)).toBeLessThanOrEqual(100.001)
          expect(one.heightMm).toBeGreaterThanOrEqual(0)
          expect(one.heightMm).toBeLessThanOrEqual(70)
          elements
            .slice(at + 1)
            .forEach((other) =>
              expect(
                Math.hypot(
                  alongAt(scale, one.angleDeg) - alongAt(scale, other.angleDeg),
                  one.heightMm - other.heightMm,
                ),
              ).toBeGreaterThanOrEqual(48 - 1e-6),
            )
        })
      }),
      { numRuns: 30 },
    ))
  it('places what was wished while there is room, and says how many found none', () => {
    expect(layOut(scatter).count.value).toBe(7)
    expect(layOut({ ...scatter, count: 80 }).count.value).toBeLessThan(40)
    expect(layOut(scatter, { seen: { widthMm: 40, heightMm: 200 } }).count.value).toBe(0)
  })
  it('keeps the count when shuffled while there is room', () =>
    fc.assert(
      fc.property(seeds, (seed) => layOut({ ...scatter, seed }).count.value === 7),
      { numRuns: 300, examples: [[972398]] },
    ))
})

describe('feet that share a rim', () => {
  const five = { ...crown, tier: 1, spanDeg: 120, reach: 1, count: 5, irregularity: 0 }
  it('five on the whole arc of 120° of a top of 200 mm are at most 39.8 mm each', () => {
    const top = stackTiers({ tiers: [roundTier('only', 200, 100)] })
    expect(footShare({ ...five, tier: 0 }, top, 5)!.value).toBeCloseTo((96 * 2.0944) / (4 + 2.0944 / 2), 2)
    expect(footShare({ ...five, tier: 0 }, top, 1)).toBeNull()
  })
  it('as many fit as share it, and one less where feet are wider', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 9 }),
        fc.integer({ min: 60, max: 360 }),
        fc.double({ min: 0.3, max: 1, noNaN: true }),
        fc.nat({ max: 1 }),
        (count, spanDeg, reach, tier) => {
          const values = { ...five, count, spanDeg, reach, tier }
          const most = footShare(values, stack, count)!.value
          fc.pre(most > 3)
          const standing = (standsMm: number): number =>
            layOut(values, { seen: { widthMm: 1, heightMm: 30, standsMm } }).elements.length
          expect(standing(most * 0.999)).toBe(count)
          expect(standing(most * 1.01)).toBeLessThan(count)
        },
      ),
    ))
})

describe('a crown', () => {
  it('stands on the top, no foot over the rim, biggest at its heart', () =>
    fc.assert(
      fc.property(
        seeds,
        fc.integer({ min: 1, max: 12 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (seed, count, reach) => {
          const { elements } = layOut(
            { ...crown, seed, count, reach, irregularity: 0 },
            { seen: { widthMm: 30, heightMm: 30 } },
          )
          elements.forEach(({ heightMm, outMm, on }) => {
            expect([on, heightMm]).toEqual(['top', 228])
            expect(outMm + 15).toBeLessThanOrEqual(64)
          })
          const sizes = elements.map(({ size }) => size)
          expect(Math.max(...sizes)).toBe(sizes[Math.floor(sizes.length / 2)] ?? Math.max(...sizes))
        },
      ),
    ))
  it('round a ledge stands between the wall above and the rim', () => {
    const { elements } = layOut({ ...crown, tier: 0, count: 9, spanDeg: 360 })
    expect(elements.length).toBe(9)
    elements.forEach(({ outMm }) => {
      expect(outMm).toBeGreaterThanOrEqual(64 + 20 - 0.5)
      expect(outMm).toBeLessThanOrEqual(130 - 20)
    })
  })
  it('lets more find a place the more they overlap, down to their feet', () => {
    const fitting = (overlap: number, standsMm?: number): number =>
      layOut({ ...crown, count: 40, overlap }, { seen: { widthMm: 30, heightMm: 30, ...(standsMm && { standsMm }) } })
        .count.value
    // At a reach of 0.6 the arc is 0.6 × ( 64 − 15 − 4 ) × 200° = 94.2 mm, of elements 30 × 0.8 × ( 1 − overlap ) apart.
    expect([fitting(0), fitting(0.2), fitting(0.6)]).toEqual([4, 5, 10])
    expect(fitting(0.6, 20)).toBe(Math.floor((0.6 * (64 - 10 - 4) * 200 * Math.PI) / 180 / 20) + 1)
  })
  it('leaves out what finds no place, and everything when the top is too small', () => {
    expect(layOut({ ...crown, count: 40 }, { seen: { widthMm: 30, heightMm: 30 } }).count.value).toBeLessThan(12)
    expect(layOut(crown, { seen: { widthMm: 200, heightMm: 30 } }).count.value).toBe(0)
  })
  it('says that free work strays by at least one', () =>
    expect([spreadOf(found('few', 3, 'count', 'counted')), spreadOf(found('many', 40, 'count', 'counted'))]).toEqual([
      1, 4,
    ]))
})

describe('how many were asked for', () => {
  const filled = (['band', 'sweep', 'cluster'] as const).map((kind) => [kind] as const)
  it.each(filled)('a %s places as many as fill it, or those that were typed, as far as they fill it', (kind) => {
    const values = starting(kind) as Composition & { count: number | null }
    const most = layOut(values).count.value
    expect(most).toBeGreaterThan(3)
    for (const count of [1, 2, most]) expect(layOut({ ...values, count } as Composition).elements).toHaveLength(count)
    const over = layOut({ ...values, count: most + 5 } as Composition)
    expect(over.elements).toHaveLength(most)
    expect(workingSentence(over.count, 'metric')).toContain(`of how many ${most + 5}`)
  })
  it('sizes that were told say how many, whatever was typed', () => {
    for (const kind of ['band', 'sweep', 'cluster', 'crown', 'scatter'] as const)
      expect(layOut({ ...starting(kind), count: 1 } as Composition, { asked: 2 }).elements).toHaveLength(2)
  })
  it.each(['sweep', 'cluster', 'crown'] as const)('the largest of a %s stands nearest to its heart', (kind) =>
    fc.assert(
      fc.property(seeds, (seed) => {
        const { elements } = layOut(starting(kind, seed))
        const outward = [...elements].sort((one, other) => one.away - other.away).map(({ size }) => size)
        expect(outward).toEqual([...outward].sort((one, other) => other - one))
      }),
      { numRuns: 30 },
    ),
  )
})

describe('rows of a band', () => {
  const high: Band = { ...band, fromMm: 0, toMm: 118 }
  const scroll = { seen: { widthMm: 46, heightMm: 46 } }
  const rowsIn = (values: Band) => new Set(layOut(values, scroll).elements.map(({ row }) => row)).size
  it('fill its height: 118 mm of scrolls 46 mm high that overlap by a tenth are 2, worked by hand', () => {
    expect(rowsIn(high)).toBe(2)
    expect(rowsIn({ ...high, overlap: 0.5 })).toBe(4)
    expect(rowsIn({ ...high, toMm: 80 })).toBe(1)
    // 402 ÷ ( 46 × 0.9 ) = 9.7, so 10 in each of two rows.
    expect(layOut(high, scroll).count.value).toBe(20)
  })
  it('are as many as were typed, and share what was asked for', () => {
    expect(rowsIn({ ...high, rows: 3 })).toBe(3)
    const { elements } = layOut({ ...high, rows: 3, count: 7 }, scroll)
    expect([0, 1, 2].map((row) => elements.filter((element) => element.row === row).length)).toEqual([3, 2, 2])
  })
  it('lie within the band, none over its upper or lower edge', () =>
    fc.assert(
      fc.property(seeds, fc.integer({ min: 1, max: 5 }), (seed, rows) => {
        const { elements } = layOut({ ...high, rows, seed }, scroll)
        const [low, top] = [stack[1]!.footMm, stack[1]!.footMm + 118]
        return elements.every(({ heightMm }) => heightMm >= low - 1e-9 && heightMm + 46 <= top + 1e-9)
      }),
    ))
})

describe('a skin that lies there', () => {
  it('is ground for what keeps off other decorations', () => {
    const earlier = { elements: layOut({ ...band, tier: 0 }).elements, seen }
    const freeOf = (isSkin: boolean) => freePatches({ ...quietly, others: true }, [{ ...earlier, isSkin }], stack)
    expect(freeOf(true)).toEqual([])
    expect(freeOf(false)).toHaveLength(earlier.elements.length)
  })
})

describe('a mirrored pair', () => {
  it('stands as far to the left as to the right, one the other’s mirror image', () => {
    const [left, right] = layOut({ ...starting('pair'), middleDeg: 10, apartDeg: 40 } as Composition).elements
    expect([left!.angleDeg, right!.angleDeg]).toEqual([-10, 30])
    expect([left!.mirrored, right!.mirrored, left!.seed === right!.seed, left!.rollDeg === -right!.rollDeg]).toEqual([
      true,
      false,
      true,
      true,
    ])
  })
})
