import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { packBouquet, recipeCounts, startingBouquet, type Bouquet, type Member } from '..'
import { anyTier } from '../../../tests/any/anyTier'
import { isWithin, roundTier, sectionAt, stackTiers, type StandingTier, type Tier } from '../../cake'
import type { Point3 } from '../../geometry'
import { found } from '../../quantity'
import { bud, laminatedLeaf, openBloom, type PlacedElement } from '../../technique'
import { placedAt } from './define'
import { bouquetHandles, pullBouquet } from './handles'
import { clearOfCake } from './solid'

const stackOf = (...tiers: Tier[]): readonly StandingTier[] => stackTiers({ tiers })
const cake = stackOf(roundTier('low', 260, 110), {
  ...roundTier('high', 150, 120),
  shape: { kind: 'polygon', sides: 6, acrossFlatsMm: 150, cornerMm: 4 },
})

const member = (
  id: string,
  role: Member['role'],
  parts: number,
  technique: typeof openBloom | typeof bud | typeof laminatedLeaf,
  size: object = {},
): Member => ({
  id,
  name: id,
  role,
  parts,
  seen: technique.seen({ ...technique.startingParameters, ...size } as never),
  form: technique.gathers!,
})
const recipe: readonly Member[] = [
  member('blooms', 'focal', 3, openBloom, { acrossMm: 40 }),
  member('small', 'secondary', 4, openBloom, { acrossMm: 24 }),
  member('leaves', 'leaf', 3, laminatedLeaf, { lengthMm: 70, leafMm: 24 }),
  member('buds', 'bud', 5, bud, { acrossMm: 12 }),
]
const bouquetOf = (change: Partial<Bouquet> = {}): Bouquet => ({ ...startingBouquet('it', 2, 7), ...change })
const pack = (change: Partial<Bouquet> = {}, stack = cake, mostTopMm: number | null = null) =>
  packBouquet(bouquetOf(change), recipe, stack, mostTopMm)
const all = (packed: ReturnType<typeof pack>): readonly PlacedElement[] =>
  [...packed.layouts.values()].flatMap(({ elements }) => elements)

const anyBouquet = fc.record({
  place: fc.constantFrom(...(['ledge', 'crescent', 'shoulder', 'side', 'top', 'garland'] as const)),
  tier: fc.integer({ min: 0, max: 1 }),
  middleDeg: fc.integer({ min: -180, max: 180 }),
  spanDeg: fc.integer({ min: 30, max: 360 }),
  upMm: fc.integer({ min: 0, max: 100 }),
  toMm: fc.integer({ min: 60, max: 220 }),
  outMm: fc.integer({ min: 30, max: 90 }),
  highMm: fc.integer({ min: 30, max: 110 }),
  full: fc.double({ min: 0.2, max: 0.85, noNaN: true }),
  movement: fc.double({ min: -1, max: 1, noNaN: true }),
  seed: fc.nat({ max: 999999 }),
})

/** How far a point lies inside a tier, mm, by walking out of it; its own arithmetic, not that of packing. */
function depthInside(point: Point3, stack: readonly StandingTier[]): number {
  const [x, y, z] = point
  const tier = stack.find(({ footMm, topMm }) => z > footMm && z < topMm)
  if (!tier || !isWithin({ x, y }, sectionAt(tier, z), tier.turnDeg, tier.middle)) return 0
  const upward = Math.min(tier.topMm - z, z - tier.footMm)
  for (let out = 0; out < upward; out += 0.5) {
    for (let turn = 0; turn < 24; turn += 1) {
      const at = { x: x + out * Math.cos((turn * Math.PI) / 12), y: y + out * Math.sin((turn * Math.PI) / 12) }
      if (!isWithin(at, sectionAt(tier, z), tier.turnDeg, tier.middle)) return out
    }
  }
  return upward
}

describe('how many a bouquet takes', () => {
  const of = (areaDm2: number): Member['seen'] => ({
    widthMm: Math.sqrt((areaDm2 * 10000 * 4) / Math.PI),
    heightMm: Math.sqrt((areaDm2 * 10000 * 4) / Math.PI),
  })
  it('2 dm², 60 % full, of one part 0.20 dm² and three parts 0.04 dm², is 4 and 11', () => {
    const counts = recipeCounts({ full: 0.6 }, found('face', 2, 'area', 'given'), [
      { ...recipe[0]!, parts: 1, seen: of(0.2) },
      { ...recipe[1]!, parts: 3, seen: of(0.04) },
    ])
    expect(counts.map(({ count }) => count.value)).toEqual([4, 11])
  })
  it('keeps the proportions of its recipe to within one', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 12, noNaN: true }),
        fc.double({ min: 0.2, max: 0.9, noNaN: true }),
        (face, full) => {
          const counts = recipeCounts({ full }, found('face', face, 'area', 'given'), recipe)
          const shares = counts.map(({ member: { parts }, count }) => ({ parts, count: count.value }))
          for (const one of shares)
            for (const other of shares)
              if (one.count > 1 && other.count > 1)
                expect(Math.abs(one.count - (other.count * one.parts) / other.parts)).toBeLessThanOrEqual(
                  0.5 + (0.5 * one.parts) / other.parts + 1e-9,
                )
        },
      ),
    ))
  it('is never fewer for a fuller, deeper, higher or longer bouquet', () =>
    fc.assert(
      fc.property(anyBouquet, (bouquet) => {
        const wanted = (change: Partial<Bouquet>): number => {
          const { face } = packBouquet(bouquetOf({ ...bouquet, ...change }), [], cake, null)
          return recipeCounts({ full: change.full ?? bouquet.full }, face, recipe).reduce(
            (sum, { count }) => sum + count.value,
            0,
          )
        }
        const base = wanted({})
        expect(wanted({ full: bouquet.full + 0.05 })).toBeGreaterThanOrEqual(base)
        expect(wanted({ outMm: bouquet.outMm + 10 })).toBeGreaterThanOrEqual(base)
        expect(wanted({ highMm: bouquet.highMm + 10 })).toBeGreaterThanOrEqual(base)
        if (bouquet.place !== 'garland' && bouquet.spanDeg < 320)
          expect(wanted({ spanDeg: bouquet.spanDeg + 20 })).toBeGreaterThanOrEqual(base)
      }),
      { numRuns: 60 },
    ))
  it('is nothing of what has no part in it', () =>
    expect(recipeCounts({ full: 0.5 }, found('face', 2, 'area', 'given'), [{ ...recipe[0]!, parts: 0 }])).toEqual([]))
})

describe('how far from the cake a point is', () => {
  const clear = clearOfCake(cake)
  it.each([
    [[0, -140, 50], 10],
    [[0, -120, 50], -10],
    [[0, 0, 240], 10],
    [[0, -133, 114], 5],
    [[200, 0, 30], 30],
  ] as const)('%j is %s mm clear', (point, mm) => expect(clear(point as unknown as Point3)).toBeCloseTo(mm, 1))
  it('agrees with walking out of it, for any shape and lean', () =>
    fc.assert(
      fc.property(
        anyTier,
        fc.integer({ min: -160, max: 160 }),
        fc.integer({ min: -160, max: 160 }),
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        (tier, x, y, share) => {
          const stack = stackOf({ ...tier, spacer: null })
          const point: Point3 = [x, y, stack[0]!.topMm * share]
          const inside = depthInside(point, stack)
          if (inside > 3) expect(clearOfCake(stack)(point)).toBeLessThan(-1)
          if (clearOfCake(stack)(point) > 3) expect(inside).toBe(0)
        },
      ),
      { numRuns: 60 },
    ))
})

describe('a bouquet packed', () => {
  it('has nothing standing in the cake', () =>
    fc.assert(
      fc.property(anyBouquet, (bouquet) => {
        for (const element of pack(bouquet).layouts.get('blooms')!.elements) {
          const mesh = openBloom.draw({ ...openBloom.startingParameters, acrossMm: 40 }, element, () => [0, 0, 0])
          // The rim of petals may press against a side; nothing reaches in further.
          for (const { points } of mesh.faces)
            for (const point of points) expect(depthInside(point, cake)).toBeLessThan(4)
        }
      }),
      { numRuns: 30 },
    ))
  it('has no two blooms in one another beyond what petals give', () =>
    fc.assert(
      fc.property(anyBouquet, (bouquet) => {
        const { layouts } = pack(bouquet)
        const discs = (['blooms', 'small'] as const).flatMap((id) =>
          layouts.get(id)!.elements.map((element) => {
            const across = (id === 'blooms' ? 40 : 24) * element.size
            const points = openBloom
              .draw({ ...openBloom.startingParameters, acrossMm: across / element.size }, element, () => [0, 0, 0])
              .faces.flatMap((face) => face.points)
            const middle = [0, 1, 2].map(
              (axis) => points.reduce((sum, point) => sum + point[axis as 0], 0) / points.length,
            )
            return { middle, radius: across / 2 }
          }),
        )
        discs.forEach((one, at) =>
          discs.slice(at + 1).forEach((other) => {
            const apart = Math.hypot(...one.middle.map((value, axis) => value - other.middle[axis]!))
            expect(apart).toBeGreaterThan((one.radius + other.radius) * 0.66)
          }),
        )
      }),
      { numRuns: 30 },
    ))
  it('counts what stands, and says how many found no place', () =>
    fc.assert(
      fc.property(anyBouquet, (bouquet) => {
        for (const { elements, count } of pack(bouquet).layouts.values()) {
          expect(count.value).toBe(elements.length)
          expect(elements.map(({ index }) => index)).toEqual(elements.map((_, index) => index))
        }
      }),
      { numRuns: 20 },
    ))
  it('is the same for the same seed, another for another, and wants as many', () => {
    const [one, again, other] = [pack(), pack(), pack({ seed: 8 })]
    expect(all(again)).toEqual(all(one))
    expect(all(other).map(({ pose }) => pose)).not.toEqual(all(one).map(({ pose }) => pose))
    expect(other.face).toEqual(one.face)
  })
  it('places the largest near the heart', () => {
    const blooms = pack({ spanDeg: 120, full: 0.7 }).layouts.get('blooms')!.elements
    const leaves = pack({ spanDeg: 120, full: 0.7 }).layouts.get('leaves')!.elements
    const mean = (elements: readonly PlacedElement[]) =>
      elements.reduce((sum, { away }) => sum + away, 0) / elements.length
    expect(mean(blooms)).toBeLessThan(mean(leaves))
  })
  it('has no two alike', () => {
    const poses = all(pack({ spanDeg: 160 })).map(({ pose, rollDeg, size }) =>
      JSON.stringify([pose!.axis.map((value) => value.toFixed(3)), rollDeg.toFixed(2), size]),
    )
    expect(new Set(poses).size).toBe(poses.length)
  })
  it('reaches no higher than the box allows', () => {
    const low = pack({ place: 'top', tier: 1, full: 0.8 }, cake, 262)
    for (const { pose, size } of low.layouts.get('leaves')!.elements)
      expect(pose!.at[2] + pose!.axis[2] * 70 * size * 0.97).toBeLessThan(262)
    for (const { pose } of all(low)) expect(pose!.at[2]).toBeLessThan(262)
    expect(all(low).length).toBeLessThan(all(pack({ place: 'top', tier: 1, full: 0.8 })).length)
  })
  it('as a wreath goes all the way round', () => {
    const angles = all(pack({ spanDeg: 360, full: 0.6 }))
      .map(({ angleDeg }) => angleDeg)
      .sort((one, other) => one - other)
    const gaps = angles.map((angle, at) => (angles[(at + 1) % angles.length]! - angle + 360) % 360)
    expect(Math.max(...gaps)).toBeLessThan(30)
  })
  it('as a garland lies on more than one tier', () =>
    expect(
      new Set(all(pack({ place: 'garland', tier: 0, upMm: 30, toMm: 210, spanDeg: 150 })).map(({ tier }) => tier)).size,
    ).toBe(2))
  it('as a crescent lies along the top of one tier, blooms and leaf stems together, open behind', () => {
    const alone = stackOf(roundTier('one', 220, 100))
    const begun = placedAt(bouquetOf(), 'crescent', alone)
    expect(begun).toMatchObject({ place: 'crescent', reach: 0.6, spanDeg: 200, tier: 0 })
    // A reach or an arc that was set stays as it was set; on two tiers it goes to the upper one.
    expect(placedAt(bouquetOf({ reach: 0.8, spanDeg: 120 }), 'crescent', cake)).toMatchObject({
      reach: 0.8,
      spanDeg: 120,
      tier: 1,
    })
    const packed = packBouquet({ ...begun, middleDeg: 0 }, recipe, alone, null)
    const elements = all(packed)
    expect([...packed.layouts].filter(([, { elements: own }]) => own.length > 0).map(([id]) => id)).toEqual(
      expect.arrayContaining(['blooms', 'leaves']),
    )
    expect(elements.every(({ on }) => on === 'top')).toBe(true)
    const feet = elements.map(({ pose }) => pose!.at)
    expect(feet.every(([, , z]) => z >= 95)).toBe(true)
    // Behind, where it is open, nothing of its heart stands: 100° to both sides of the front are taken.
    const focal = packed.layouts.get('blooms')!.elements
    expect(focal.every(({ angleDeg }) => Math.abs(angleDeg) < 115)).toBe(true)
  })
  it('as a dome stands on its top', () => {
    for (const { pose, on } of all(pack({ place: 'top', tier: 1, reach: 0 }))) {
      expect(on).toBe('top')
      expect(pose!.at[2]).toBeGreaterThanOrEqual(cake[1]!.topMm - 1)
    }
  })
})

describe('a bouquet’s handles', () => {
  it('move its middle, also to another tier, and lengthen it', () => {
    const bouquet = bouquetOf({ middleDeg: 10, spanDeg: 60 })
    const [middle, end] = bouquetHandles(bouquet, cake)
    expect(end!.angleDeg).toBe(40)
    expect(pullBouquet(bouquet, 'end', { ...end!, angleDeg: 60 }, cake).spanDeg).toBe(100)
    expect(pullBouquet(bouquet, 'middle', { ...middle!, tier: 1, angleDeg: -30 }, cake)).toMatchObject({
      tier: 1,
      middleDeg: -30,
    })
    expect(bouquetHandles(bouquetOf({ place: 'top' }), cake)).toHaveLength(1)
  })
  it('raise one on a side, and move a dome towards the rim', () => {
    const side = bouquetOf({ place: 'side' })
    expect(pullBouquet(side, 'middle', { tier: 0, on: 'side', angleDeg: 0, heightMm: 72, outMm: 0 }, cake).upMm).toBe(
      72,
    )
    expect(
      pullBouquet(
        bouquetOf({ place: 'top', tier: 1 }),
        'middle',
        { tier: 1, on: 'top', angleDeg: 0, heightMm: 230, outMm: 37.5 },
        cake,
      ).reach,
    ).toBe(0.5)
  })
})
