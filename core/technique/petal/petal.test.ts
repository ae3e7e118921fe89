import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { outlineAreaMm2, outlineLengthMm } from '../../geometry'
import { found } from '../../quantity'
import {
  bloomDepth,
  bloomMesh,
  coneHalfAngle,
  coneShare,
  cupDepth,
  fitPetal,
  floretOutline,
  halfWidthAt,
  longestPetal,
  PETAL_SHAPES,
  petalOutline,
  petalPieces,
  type PetalLayer,
  type PetalShape,
} from '.'

const lapped = (deg: number) => found('lapped by', deg, 'angle', 'given')
const length = (mm: number) => found('length', mm, 'length', 'given')
const shapes: fc.Arbitrary<PetalShape> = fc.record({
  wide: fc.double({ min: 0.2, max: 1.6, noNaN: true }),
  shoulder: fc.double({ min: 0.25, max: 0.85, noNaN: true }),
  point: fc.double({ min: 0, max: 1, noNaN: true }),
  notch: fc.double({ min: 0, max: 0.4, noNaN: true }),
  wave: fc.double({ min: 0, max: 1, noNaN: true }),
})
const layers: readonly PetalLayer[] = [
  { name: 'small', petals: 4, most: 4, share: 0.62, raisedDeg: 62 },
  { name: 'large', petals: 5, most: 5, share: 1, raisedDeg: 25 },
]
const pointsOf = ({ start, segments }: ReturnType<typeof petalOutline>) => [start, ...segments.map(({ to }) => to)]

describe('a slit lapped into a cone', () => {
  it.each([
    [0, 1, 90, 0],
    [40, 0.8889, 62.73, 6.87],
    [90, 0.75, 48.59, 9.92],
    [120, 0.6667, 41.81, 11.18],
  ] as const)('by %s° leaves %s of a length, opens %s° and is %s mm deep at 30 mm wide', (lap, share, angle, deep) => {
    const cone = coneShare(lapped(lap))
    expect(cone.value).toBeCloseTo(share, 4)
    expect(coneHalfAngle(cone).value).toBeCloseTo(angle, 2)
    expect(cupDepth(cone, length(30)).value).toBeCloseTo(deep, 2)
  })
  it('keeps the length of the paper: seen and deep are the sides of a right angle', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 110, noNaN: true }),
        fc.double({ min: 4, max: 120, noNaN: true }),
        (lap, wide) => {
          const cone = coneShare(lapped(lap))
          expect(Math.hypot((wide / 2) * cone.value, cupDepth(cone, length(wide)).value)).toBeCloseTo(wide / 2, 8)
        },
      ),
    ))
})

describe('from bloom to petal', () => {
  it('50 mm across, raised 25°, lapped 20°, is cut 29.8 mm', () =>
    expect(longestPetal(length(50), 25, coneShare(lapped(20))).value).toBeCloseTo(29.8, 1))
  it('back again gives the diameter', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 15, max: 150, noNaN: true }),
        fc.double({ min: 0, max: 70, noNaN: true }),
        fc.double({ min: 0, max: 90, noNaN: true }),
        (across, raised, lap) => {
          const cone = coneShare(lapped(lap))
          const petal = longestPetal(length(across), raised, cone).value
          expect(2 * petal * 0.98 * cone.value * Math.cos((raised * Math.PI) / 180)).toBeCloseTo(across, 8)
        },
      ),
    ))
  it('is deeper for petals that stand steeper', () => {
    const cone = coneShare(lapped(20))
    expect(bloomDepth(length(30), layers, cone).value).toBeGreaterThan(bloomDepth(length(30), [layers[1]!], cone).value)
  })
  it('cuts each whorl its own size, by its share', () => {
    const pieces = petalPieces(length(30), layers, PETAL_SHAPES[0].shape, 20)
    expect(pieces.map(({ height, perElement }) => [height.value, perElement])).toEqual([
      [18.6, 4],
      [30, 5],
    ])
    expect(pieces[0]!.folds).toHaveLength(1)
    expect(petalPieces(length(30), layers, PETAL_SHAPES[0].shape, 0)[0]!.folds).toEqual([])
  })
})

describe('the outline of a petal', () => {
  it('is as long and as wide as it says, alike on both sides, and closed', () =>
    fc.assert(
      fc.property(shapes, fc.double({ min: 8, max: 120, noNaN: true }), (shape, long) => {
        const points = pointsOf(petalOutline(long, shape))
        const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)]
        expect(Math.max(...ys)).toBeLessThanOrEqual(long + 1e-9)
        expect(Math.min(...ys)).toBeGreaterThanOrEqual(-1e-9)
        expect(Math.max(...xs)).toBeLessThanOrEqual((long * shape.wide) / 2 + 1e-9)
        expect(Math.max(...xs)).toBeGreaterThan(((long * shape.wide) / 2) * 0.82)
        expect(Math.max(...xs) + Math.min(...xs)).toBeCloseTo(0, 8)
        expect(points.at(-1)).toEqual(points[0])
      }),
    ))
  it('is narrower the more pointed, and shorter in the middle the deeper its notch', () =>
    fc.assert(
      fc.property(shapes, (shape) => {
        const up = shape.shoulder + (1 - shape.shoulder) * 0.7
        expect(halfWidthAt(up, { ...shape, point: 1 })).toBeLessThan(halfWidthAt(up, { ...shape, point: 0 }))
        expect(Math.abs(outlineAreaMm2(petalOutline(40, { ...shape, notch: 0.4 })))).toBeLessThan(
          Math.abs(outlineAreaMm2(petalOutline(40, { ...shape, notch: 0 }))),
        )
      }),
    ))
  it.each(PETAL_SHAPES.map((each) => [each.name, each] as const))(
    '%s lies within what a technique takes and has a shape of its own',
    (_, { shape }) => {
      const [area, edge] = [Math.abs(outlineAreaMm2(petalOutline(50, shape))), outlineLengthMm(petalOutline(50, shape))]
      expect(area).toBeGreaterThan(0.4 * 50 * 50 * shape.wide)
      expect(edge).toBeGreaterThan(100)
    },
  )
  it('of a floret has as many petals as asked, all within its width', () =>
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 6 }), fc.double({ min: 6, max: 40, noNaN: true }), (petals, across) => {
        const { start, segments } = floretOutline(across, petals)
        const reaches = [start, ...segments.map(({ to }) => to)].map(({ x, y }) =>
          Math.hypot(x - across / 2, y - across / 2),
        )
        expect(Math.max(...reaches)).toBeCloseTo(across / 2, 6)
        expect(reaches.slice(0, -1).filter((reach) => reach > across / 2 - 1e-6)).toHaveLength(petals)
      }),
    ))
})

describe('a petal fitted to a drawn outline', () => {
  it('comes back to the petal that was drawn, in any unit and place', () =>
    fc.assert(
      fc.property(
        shapes,
        fc.double({ min: 5, max: 300, noNaN: true }),
        fc.integer({ min: -50, max: 50 }),
        (shape, long, aside) => {
          const plain = { ...shape, notch: 0, wave: 0 }
          const { shape: fitted, offShare } = fitPetal(
            pointsOf(petalOutline(long, plain)).map(({ x, y }) => ({ x: x + aside, y: y - 3 * aside })),
          )
          expect(fitted.wide).toBeCloseTo(shape.wide, 0)
          expect(Math.abs(fitted.wide - shape.wide)).toBeLessThan(0.05 + 0.04 * shape.wide)
          expect(Math.abs(fitted.shoulder - shape.shoulder)).toBeLessThan(0.16)
          expect(offShare).toBeLessThan(0.02 + 0.02 * shape.wide)
        },
      ),
    ))
  it('finds a notch', () =>
    expect(fitPetal(pointsOf(petalOutline(60, { ...PETAL_SHAPES[3].shape, wave: 0 }))).shape.notch).toBeGreaterThan(
      0.08,
    ))
})

describe('a bloom as it is seen', () => {
  const form = {
    layers,
    shape: PETAL_SHAPES[0].shape,
    bend: -20,
    cupShare: 0.93,
    centre: { kind: 'stamens', count: 9, tint: '#d9a441' },
  } as const
  const flat = (x: number, y: number, z: number) => [x, y, z] as const
  it('is as far across as the sum said, for any size and seed', () =>
    fc.assert(
      fc.property(fc.double({ min: 12, max: 140, noNaN: true }), fc.nat(), (across, seed) => {
        const reach = Math.max(
          ...bloomMesh(form, across, seed, flat).faces.flatMap(({ points }) =>
            points.map(([x, y]) => Math.hypot(x, y)),
          ),
        )
        expect(2 * reach).toBeGreaterThan(across * 0.86)
        expect(2 * reach).toBeLessThan(across * 1.3)
      }),
    ))
  it('has all its petals and stamens, finer drawn when larger', () => {
    const [small, large] = [bloomMesh(form, 14, 3, flat), bloomMesh(form, 90, 3, flat)]
    expect(small.lines.filter(({ edge }) => edge)).toHaveLength(9)
    expect(large.beads).toHaveLength(9)
    expect(large.faces.length).toBeGreaterThan(2 * small.faces.length)
  })
  it('has no two petals alike', () => {
    const tips = bloomMesh(form, 60, 5, flat).lines.map(({ points }) =>
      Math.max(...points.map(([x, y]) => Math.hypot(x, y))).toFixed(3),
    )
    expect(new Set(tips).size).toBe(tips.length)
  })
})
