import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dimensionsOf, guideSheet, straightMm, touchedAt, viewAt, type Viewpoint } from '.'
import { roundTier, scallopGuide, stackTiers, wallPoint, type Board } from '../cake'

const board: Board = { outline: 'round', acrossMm: 340, thicknessMm: 12 }
const two = stackTiers({
  tiers: [roundTier('low', 200, 100), { ...roundTier('high', 120, 80), spacer: { heightMm: 20, acrossMm: 60 } }],
})
const turns = fc.integer({ min: -180, max: 180 })
const FRONT: Viewpoint = { turnDeg: 0, downDeg: 10, aimMm: 100, awayMm: 2600 }

describe('the tape measure', () => {
  it('finds the point of the side that is seen where it was touched', () =>
    fc.assert(
      fc.property(fc.integer({ min: -60, max: 60 }), fc.integer({ min: 10, max: 90 }), turns, (away, height, turn) => {
        const look = { ...FRONT, turnDeg: turn }
        const wall = wallPoint(two[0]!, away - turn, height).point
        const touched = touchedAt(two, look, viewAt(look)(wall))!
        expect(touched).toMatchObject({ tier: 0, on: 'side' })
        expect(straightMm(touched.point, wall)).toBeLessThan(0.5)
      }),
    ))
  it('finds tops, from above too, and nothing beside the cake', () => {
    expect(touchedAt(two, FRONT, viewAt(FRONT)([0, -50, 200]))).toMatchObject({ tier: 1, on: 'top' })
    const above = { ...FRONT, downDeg: 90 }
    expect(touchedAt(two, above, viewAt(above)([80, 0, 100]))).toMatchObject({ tier: 0, on: 'top' })
    expect(touchedAt(two, FRONT, { x: 300, y: 50 })).toBeNull()
  })
  it('measures straight', () => expect(straightMm([0, 0, 0], [3, 4, 12])).toBe(13))
})

describe('dimension lines', () => {
  it('give heights of tiers and spacers, the whole with its board, and widths', () => {
    const lengths = Object.fromEntries(
      dimensionsOf(two, board, FRONT).map(({ id, lengthMm }) => [id, Math.round(lengthMm)]),
    )
    expect(lengths).toEqual({
      'height-0': 100,
      'spacer-1': 20,
      'height-1': 80,
      'whole': 212,
      'width-0': 200,
      'width-1': 120,
    })
  })
  it('are widths alone from above', () =>
    expect(dimensionsOf(two, board, { ...FRONT, downDeg: 90 }).map(({ id }) => id)).toEqual(['width-0', 'width-1']))
  it('follow the turn: a hexagon is wider over its corners', () => {
    const hexagon = stackTiers({
      tiers: [
        {
          ...roundTier('x', 200, 100),
          shape: { kind: 'polygon', sides: 6, acrossFlatsMm: 200, cornerMm: 0 },
        },
      ],
    })
    const width = (turnDeg: number) =>
      dimensionsOf(hexagon, board, { ...FRONT, turnDeg }).find(({ id }) => id === 'width-0')!.lengthMm
    expect(width(90)).toBeCloseTo(200, 1)
    expect(width(0)).toBeCloseTo(230.9, 1)
  })
})

describe('a guide on paper', () => {
  it('holds the whole guide, its title and a ruler', () => {
    const guide = scallopGuide({ kind: 'scalloped', lobes: 12, marksMm: 200, cutterMm: 60 })
    const { widthMm, heightMm, shapes } = guideSheet(guide, 'tier 2, lower card')
    expect(widthMm).toBeGreaterThan(2 * guide.reachMm)
    expect(heightMm).toBeGreaterThan(widthMm)
    expect(shapes.flatMap((shape) => (shape.kind === 'label' ? [shape.text] : []))).toEqual(
      expect.arrayContaining(['tier 2, lower card', '100 mm']),
    )
    shapes.forEach((shape) => {
      if (shape.kind === 'outline')
        [shape.outline.start, ...shape.outline.segments.map(({ to }) => to)].forEach(({ x, y }) => {
          expect(x).toBeGreaterThanOrEqual(-0.001)
          expect(x).toBeLessThanOrEqual(widthMm + 0.001)
          expect(y).toBeLessThanOrEqual(heightMm + 0.001)
        })
    })
  })
})
