import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  alongAt,
  angleAt,
  cakeSchema,
  coveringAmount,
  edgePoints,
  edgeScale,
  extentMm,
  fitInBox,
  isWithin,
  leanDeg,
  oneBeside,
  pilesIn,
  reachMm,
  roundTier,
  sectionAt,
  stackHeightMm,
  stackTiers,
  supportsOf,
  surfacesOf,
  tierAt,
  tierSchema,
  tierWords,
  wallPoint,
  type Cake,
  type StandingTier,
  type Tier,
} from '.'
import { outlineAngles } from './shape'
import { typed } from '../quantity'
import { anyTier } from '../../tests/any/anyTier'

const cake = (...tiers: Tier[]): Cake => ({ board: { outline: 'round', acrossMm: 340, thicknessMm: 12 }, tiers })
const three = stackTiers(cake(roundTier('bottom', 260, 110), roundTier('middle', 196, 150), roundTier('top', 128, 118)))

describe('a stack of tiers', () => {
  it('stands each on the one below', () =>
    expect(three.map(({ footMm, topMm }) => [footMm, topMm])).toEqual([
      [0, 110],
      [110, 260],
      [260, 378],
    ]))
  it('is 817, 616 and 402 mm round', () =>
    expect(three.map(({ perimeterMm }) => Math.round(perimeterMm))).toEqual([817, 616, 402]))
  it('leaves ledges of 32 and 34 mm and the whole top, with a narrower lip to stand on', () => {
    expect(three.map(({ ledge }) => Math.round(ledge.leastMm))).toEqual([32, 34, 64])
    expect(three.map(({ ledge }) => Math.round(ledge.lipMm))).toEqual([25, 27, 59])
  })
  it('says by how much a tier overhangs, and leaves no ledge there', () => {
    const { ledge } = stackTiers(cake(roundTier('small', 100, 50), roundTier('large', 120, 50)))[0]!
    expect([ledge.leastMm, Math.round(ledge.overhangMm)]).toEqual([0, 10])
  })
  it('set off to one side is narrower there and wider across', () => {
    const { ledge } = stackTiers(
      cake(roundTier('low', 260, 100), { ...roundTier('high', 200, 100), offset: { rightMm: 20, backMm: 0 } }),
    )[0]!
    expect([Math.round(ledge.leastMm), Math.round(ledge.mostMm)]).toEqual([10, 50])
  })
  it('on a spacer stands higher, and its ledge runs round the spacer', () => {
    const stack = stackTiers(
      cake(roundTier('low', 200, 100), { ...roundTier('high', 160, 80), spacer: { heightMm: 40, acrossMm: 100 } }),
    )
    expect([stack[1]!.footMm, stack[1]!.topMm, Math.round(stack[0]!.ledge.leastMm)]).toEqual([140, 220, 50])
  })
  it('finds the tier at a height; a joint and a spacer belong to the upper', () => {
    expect([tierAt(three, 0).id, tierAt(three, 110).id, tierAt(three, 999).id]).toEqual(['bottom', 'middle', 'top'])
    expect(() => tierAt([], 0)).toThrow('at least one tier')
  })
  it('is as high as its tiers and spacers together; no ledge is ever negative', () =>
    fc.assert(
      fc.property(fc.array(anyTier, { minLength: 1, maxLength: 4 }), (tiers) => {
        const stack = stackTiers(cake(...tiers))
        expect(stackHeightMm(stack)).toBeCloseTo(
          tiers.reduce((sum, { heightMm, spacer }) => sum + heightMm + (spacer?.heightMm ?? 0), 0),
          6,
        )
        for (const { ledge } of stack) {
          expect(Math.min(ledge.leastMm, ledge.mostMm, ledge.overhangMm, ledge.lipMm)).toBeGreaterThanOrEqual(0)
          expect(ledge.mostMm).toBeGreaterThanOrEqual(ledge.leastMm)
        }
      }),
      { numRuns: 40 },
    ))
  it('never leans to a point', () =>
    fc.assert(
      fc.property(
        anyTier,
        (tier) => reachMm(sectionAt(stackTiers(cake(tier))[0]!, 9999), 20) > 5 && leanDeg(tier) <= tier.taperDeg,
      ),
    ))
  it.each([
    [{ tiers: [] }],
    [{ tiers: [{ ...roundTier('x', 200, 100), heightMm: 0 }] }],
    [{ tiers: [{ ...roundTier('x', 200, 100), shape: { kind: 'star', acrossMm: 200 } }] }],
    [{ board: { outline: 'round', acrossMm: Number.NaN, thicknessMm: 4 } }],
    [{ stand: 3 }],
  ])('does not take %j', (change) =>
    expect(cakeSchema.safeParse({ ...cake(roundTier('x', 200, 100)), ...change }).success).toBe(false),
  )
})

describe('loose cakes', () => {
  const loose = (id: string, acrossMm: number, heightMm: number, rightMm: number): Tier => ({
    ...roundTier(id, acrossMm, heightMm),
    stands: 'loose',
    offset: { rightMm, backMm: 0 },
  })
  const row = stackTiers(
    cake(
      roundTier('low', 200, 100),
      roundTier('high', 120, 80),
      loose('left', 100, 60, -250),
      loose('right', 90, 70, 240),
    ),
  )
  it('each stand on the board: 100 + 80 mm in one pile, 60 and 70 mm beside it', () => {
    expect(row.map(({ footMm, topMm, pile }) => [pile, footMm, topMm])).toEqual([
      [0, 0, 100],
      [0, 100, 180],
      [1, 0, 60],
      [2, 0, 70],
    ])
    expect(row.map(({ carries }) => carries)).toEqual([true, false, false, false])
    expect(stackHeightMm(row)).toBe(180)
    expect(pilesIn(row)).toBe(3)
  })
  it('carry nothing of their neighbours: only the tier below the upper one takes dowels', () =>
    expect(supportsOf(row, new Set(), new Set()).map(({ tier }) => tier)).toEqual([0]))
  it('are called by their number, tiers of a pile by theirs', () =>
    expect(row.map((_, index) => tierWords(row, index))).toEqual([
      'cake 1, bottom tier',
      'cake 1, top tier',
      'cake 2',
      'cake 3',
    ]))
  it('are climbed by a sweep in the first pile only', () => expect(tierAt(row, 500).id).toBe('high'))
  it('one more stands 40 mm beside the first, on a board wide enough, then one to the left', () => {
    const board = { outline: 'square', acrossMm: 200, thicknessMm: 12 } as const
    const one = { board, tiers: [roundTier('a', 100, 60)] }
    const first = oneBeside(one, 'b')!
    // 50 + 40 + 50 mm to the right; the board reaches 140 + 50 + 20 mm to both sides.
    expect([first.tier.offset.rightMm, first.boardAcrossMm]).toEqual([140, 420])
    const two = { board: { ...board, acrossMm: first.boardAcrossMm }, tiers: [...one.tiers, first.tier] }
    expect(oneBeside(two, 'c')!.tier.offset).toEqual({ rightMm: -140, backMm: 0 })
  })
  it('never stand in one another, however many, and always where the tier may stand', () =>
    fc.assert(
      fc.property(anyTier, fc.integer({ min: 1, max: 8 }), (tier, more) => {
        let all: Cake = { board: { outline: 'round', acrossMm: 300, thicknessMm: 12 }, tiers: [tier] }
        for (let at = 0; at < more; at += 1) {
          const added = oneBeside(all, `new ${at}`)
          if (added) all = { ...all, tiers: [...all.tiers, added.tier] }
        }
        expect(all.tiers.every(({ offset }) => tierSchema.shape.offset.safeParse(offset).success)).toBe(true)
        const grounds = stackTiers(all).map(({ shape, turnDeg, middle }) => ({
          ...middle,
          ...extentMm(shape, turnDeg),
        }))
        grounds.forEach((one, at) =>
          grounds
            .slice(at + 1)
            .forEach((other) =>
              expect(
                Math.max(
                  Math.abs(one.x - other.x) - one.sideways - other.sideways,
                  Math.abs(one.y - other.y) - one.frontBack - other.frontBack,
                ),
              ).toBeGreaterThan(38),
            ),
        )
      }),
    ))
})

describe('the side of a tier', () => {
  it('unrolled has the area that fine triangles on it add up to, within a thousandth', () =>
    fc.assert(
      fc.property(anyTier, (tier) => {
        const standing = stackTiers(cake(tier))[0]!
        expect(Math.abs((surfacesOf(standing).side.value * 10000) / meshedMm2(standing) - 1)).toBeLessThan(1e-3)
      }),
      { numRuns: 12 },
    ))
  it('of a cone is π × (foot + top radius) × face, as the books say', () => {
    const { side, face } = surfacesOf(stackTiers(cake({ ...roundTier('cone', 200, 100), taperDeg: 15 }))[0]!)
    const top = 100 - 100 * Math.tan((15 * Math.PI) / 180)
    expect(side.value * 10000).toBeCloseTo(Math.PI * (100 + top) * face.value, 0)
  })
  it('is read along and back by the same scale, turn after turn', () =>
    fc.assert(
      fc.property(anyTier, fc.double({ min: -700, max: 700, noNaN: true }), (tier, angle) => {
        const scale = edgeScale(stackTiers(cake(tier))[0]!)
        expect(angleAt(scale, alongAt(scale, angle))).toBeCloseTo(angle, 4)
        expect(alongAt(scale, 360)).toBeCloseTo(stackTiers(cake(tier))[0]!.perimeterMm, 6)
      }),
      { numRuns: 40 },
    ))
  it('lies on the edge it was drawn from', () =>
    fc.assert(
      fc.property(anyTier, fc.integer({ min: -180, max: 180 }), (tier, angle) => {
        const standing = stackTiers(cake(tier))[0]!
        const [x, y] = wallPoint(standing, angle, standing.footMm).point
        const slightly = 0.999
        expect(
          isWithin(
            {
              x: standing.middle.x + (x - standing.middle.x) * slightly,
              y: standing.middle.y + (y - standing.middle.y) * slightly,
            },
            standing.shape,
            standing.turnDeg,
            standing.middle,
          ),
        ).toBe(true)
        expect(
          isWithin(
            {
              x: standing.middle.x + (x - standing.middle.x) * 1.01,
              y: standing.middle.y + (y - standing.middle.y) * 1.01,
            },
            standing.shape,
            standing.turnDeg,
            standing.middle,
          ),
        ).toBe(false)
      }),
    ))
})

/** Enough for a thousandth: rows follow the corners of a leaning side, columns the arcs of many small lobes. */
const MESH_ROWS = 120
const MESH_COLUMNS = 900

/**
 * Area of a side by triangles. Each row has the corners of its own section, which wander as the side leans; the mesh
 * nears the truth as rows grow.
 */
function meshedMm2(tier: StandingTier): number {
  const rise = tier.topMm - tier.footMm
  const rows = tier.taperDeg === 0 ? 1 : MESH_ROWS
  let area = 0
  for (let row = 0; row < rows; row += 1) {
    const [low, high] = [tier.footMm + (rise * row) / rows, tier.footMm + (rise * (row + 1)) / rows]
    const angles = outlineAngles(sectionAt(tier, (low + high) / 2), MESH_COLUMNS).map((angle) => angle + tier.turnDeg)
    const columns = [...angles, angles[0]! + 360].map(
      (angle) => [wallPoint(tier, angle, low).point, wallPoint(tier, angle, high).point] as const,
    )
    for (let column = 1; column < columns.length; column += 1) {
      const [[a, c], [b, d]] = [columns[column - 1]!, columns[column]!]
      area += triangle(a, b, c) + triangle(b, d, c)
    }
  }
  return area
}

type Corner = readonly [number, number, number]
function triangle(a: Corner, b: Corner, c: Corner): number {
  const [u, v] = [b.map((each, at) => each - a[at]!), c.map((each, at) => each - a[at]!)] as [number[], number[]]
  return Math.hypot(u[1]! * v[2]! - u[2]! * v[1]!, u[2]! * v[0]! - u[0]! * v[2]!, u[0]! * v[1]! - u[1]! * v[0]!) / 2
}

describe('the box', () => {
  const length = (mm: number) => typed('length', mm, 'length', 'Brief')
  const fit = (wide: number, deep: number, high: number, offBackMm = 0) =>
    fitInBox(
      { wide: length(wide), deep: length(deep), high: length(high) },
      { wide: length(360), deep: length(340), offRightMm: 0, offBackMm, height: length(440) },
    )
  it('has 30, 40 and 20 mm to spare by hand', () => {
    const { clearance, fits } = fit(420, 420, 460)
    expect([clearance.wide.value, clearance.deep.value, clearance.high.value]).toEqual([30, 40, 20])
    expect(fits).toBe(true)
  })
  it('takes what reaches further to the front where its board is set to the back, worked by hand', () => {
    // 340 mm deep in 366: 13 mm free at both ends; its middle lies 30 mm before the board's, so 17 mm to the back.
    expect(fit(420, 366, 460, -30)).toMatchObject({ fits: true, shift: { rightMm: 0, backMm: 17 } })
    expect(fit(420, 420, 460, -30).shift).toBeNull()
    expect(fit(420, 330, 460, -30)).toMatchObject({ fits: false, shift: null })
  })
  it('of just the needed size fits, one millimetre less does not', () => {
    const { wide, deep, high } = fit(420, 420, 460).neededMm
    expect(fit(wide, deep, high).fits).toBe(true)
    expect(
      [fit(wide - 1, deep, high), fit(wide, deep - 1, high), fit(wide, deep, high - 1)].map(({ fits }) => fits),
    ).toEqual([false, false, false])
  })
})

describe('what a tier takes', () => {
  it('twelve lobes round a core of 240 mm, 100 mm high, take what lies between them, and no more for a cutter 0.2 mm wider', () => {
    const lobed = (cutterMm: number, covering: Tier['covering']): Tier => ({
      ...roundTier('x', 240, 100),
      covering,
      shape: { kind: 'scalloped', lobes: 12, marksMm: 240, cutterMm },
    })
    const of = (cutterMm: number, covering: Tier['covering'] = 'setButtercream') =>
      coveringAmount(stackTiers(cake(lobed(cutterMm, covering)))[0]!)!
    // Twelve half circles of 62.1 mm and twelve triangles of 120 mm and 30°: 12 × ( π × 31.06² ÷ 2 + 120² × sin 30° ÷ 2 ).
    const withinMm2 = 12 * ((Math.PI * 31.058 ** 2) / 2 + (120 ** 2 * 0.5) / 2)
    const grams = ((withinMm2 - Math.PI * 120 ** 2) / 1000) * 100 * 0.95 * 1.15
    expect(of(62.2).lobes!.value).toBeGreaterThan(grams * 0.98)
    expect(of(62.2).lobes!.value).toBeLessThan(grams * 1.02)
    expect(Math.abs(of(62.4).lobes!.value / of(62.2).lobes!.value - 1)).toBeLessThan(0.03)
    // Spread coverings fill the lobes themselves; under fondant the crumb coat does.
    // Beside the lobes there is only the coat on top, 6 mm of 6.16 dm².
    expect(of(62.2).coat.value / ((withinMm2 / 1000) * 6 * 0.95 * 1.15 + of(62.2).lobes!.value)).toBeCloseTo(1, 1)
    const fondant = of(62.2, 'fondant')
    expect(fondant.crumbCoat!.value).toBeGreaterThan(fondant.lobes!.value)
    expect(fondant.lobes!.value).toBeCloseTo(of(62.2).lobes!.value, 6)
  })
  it('of fondant: 20 cm across, 10 cm high, 3.5 mm thick, 1.4 g/ml, 30 % trimmed', () => {
    const amount = coveringAmount(stackTiers(cake(roundTier('x', 200, 100)))[0]!)!
    expect(amount.coat.value).toBeCloseTo((Math.PI * 20 * 10 + Math.PI * 100) * 0.35 * 1.4 * 1.3, 3)
    expect(amount.crumbCoat!.value).toBeGreaterThan(150)
    expect(amount.lobes).toBeNull()
  })
  it('is nothing on a bare dummy, and grows with the tier', () => {
    expect(coveringAmount(stackTiers(cake({ ...roundTier('x', 200, 100), covering: 'dummy' }))[0]!)).toBeNull()
    fc.assert(
      fc.property(
        fc.integer({ min: 60, max: 400 }),
        (across) =>
          coveringAmount(stackTiers(cake(roundTier('x', across + 10, 100)))[0]!)!.coat.value >
          coveringAmount(stackTiers(cake(roundTier('x', across, 100)))[0]!)!.coat.value,
      ),
    )
  })
  it('is no crumb coat on a dummy, which nobody eats', () => {
    const [tier] = stackTiers(cake({ ...roundTier('x', 200, 100), inside: 'dummy' }))
    expect(coveringAmount(tier!)).toMatchObject({ crumbCoat: null, coat: { value: expect.any(Number) } })
  })
  it('of supports: none on top, at least three, more under a wider or heavier load, none in a dummy', () => {
    const supports = supportsOf(three, new Set(), new Set())
    expect(supports.map(({ tier }) => tier)).toEqual([0, 1])
    expect(supports.map(({ count }) => count.value)).toEqual([7, 3])
    expect(supports.map(({ length }) => length.value)).toEqual([110, 150])
    expect(supportsOf(three, new Set([1, 2]), new Set())[0]!.carried.value).toBeLessThan(supports[0]!.carried.value)
    expect(supportsOf(three, new Set([0]), new Set()).map(({ tier }) => tier)).toEqual([1])
  })
  it('of supports in a tier built of two: a lower half that carries its upper half and all above', () => {
    const [lower, upper] = supportsOf(three, new Set(), new Set([0])).filter(({ tier }) => tier === 0)
    expect([lower!.half, upper!.half]).toEqual([true, false])
    expect([lower!.length.value, upper!.length.value]).toEqual([55, 55])
    expect(lower!.carried.value).toBeGreaterThan(upper!.carried.value)
    expect(lower!.count.value).toBeGreaterThanOrEqual(upper!.count.value)
    expect(supportsOf([three[2]!], new Set(), new Set([0]))).toHaveLength(1)
  })
})

describe('the edge in its place', () => {
  it('is turned and moved', () => {
    const points = edgePoints({ kind: 'square', sideMm: 100, cornerMm: 0 }, 45, { x: 10, y: -5 })
    expect(Math.max(...points.map(({ x }) => x))).toBeCloseTo(10 + 70.71, 1)
    expect(Math.min(...points.map(({ y }) => y))).toBeCloseTo(-5 - 70.71, 1)
  })
})
