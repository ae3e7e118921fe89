import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dimensionsOf, guideSheet, standLayers, straightMm, touchedAt, viewAt } from '.'
import { anyTier } from '../../tests/any/anyTier'
import { roundTier, scallopGuide, stackTiers, wallPoint, type Board, type Tier } from '../cake'
import { sightLine } from './view'

const board: Board = { outline: 'round', acrossMm: 340, thicknessMm: 12 }
const stackOf = (...tiers: Tier[]) => stackTiers({ tiers })
const two = stackOf(roundTier('low', 200, 100), {
  ...roundTier('high', 120, 80),
  spacer: { heightMm: 20, acrossMm: 60 },
})
const turns = fc.integer({ min: -180, max: 180 })

describe('the picture of any cake', () => {
  it('is drawn from every side with finite lines, one layer a tier, within what is seen of it', () =>
    fc.assert(
      fc.property(fc.array(anyTier, { minLength: 1, maxLength: 3 }), turns, (tiers, turn) => {
        const stack = stackOf(...tiers)
        const layers = standLayers({ board, stack, elements: [], accents: [] }, turn)
        expect(layers.map(({ kind }) => kind)).toEqual(['board', ...tiers.map(() => 'tier')])
        layers.forEach(({ outline, shapes }) => {
          expect(outline.length).toBeGreaterThan(3)
          expect(shapes.length).toBeGreaterThan(1)
          shapes.forEach((shape) => {
            if (shape.kind === 'outline')
              [shape.outline.start, ...shape.outline.segments.map(({ to }) => to)].forEach(({ x, y }) =>
                expect(Number.isFinite(x) && Number.isFinite(y)).toBe(true),
              )
          })
        })
      }),
      { numRuns: 25 },
    ))
  it('shows every edge point of a tier within its outline', () => {
    const [tier] = stackOf({
      ...roundTier('x', 200, 100),
      shape: { kind: 'polygon', sides: 6, acrossFlatsMm: 200, cornerMm: 0 },
      taperDeg: 5,
    })
    const { outline } = standLayers({ board, stack: [tier!], elements: [], accents: [] }, 25)[1]!
    const [right, top] = [Math.max(...outline.map(({ x }) => x)), Math.max(...outline.map(({ y }) => y))]
    for (let angle = 0; angle < 360; angle += 15) {
      const seen = viewAt(25)(wallPoint(tier!, angle, tier!.footMm).point)
      expect(seen.x).toBeLessThanOrEqual(right + 0.5)
      expect(seen.y).toBeLessThanOrEqual(top + 0.5)
    }
  })
  it('combs buttercream and leaves fondant smooth', () => {
    const shapesOf = (covering: Tier['covering']) =>
      standLayers(
        { board, stack: stackOf({ ...roundTier('x', 200, 120), covering }), elements: [], accents: [] },
        0,
      )[1]!.shapes.length
    expect(shapesOf('setButtercream')).toBeGreaterThan(shapesOf('fondant') + 8)
  })
})

describe('the tape measure', () => {
  it('finds the point of the side that is seen where it was touched', () =>
    fc.assert(
      fc.property(fc.integer({ min: -60, max: 60 }), fc.integer({ min: 10, max: 90 }), turns, (away, height, turn) => {
        const wall = wallPoint(two[0]!, away - turn, height).point
        const touched = touchedAt(two, turn, viewAt(turn)(wall))!
        expect(touched).toMatchObject({ tier: 0, on: 'side' })
        expect(straightMm(touched.point, wall)).toBeLessThan(0.5)
      }),
    ))
  it('finds tops and spaces between, and nothing beside the cake', () => {
    expect(touchedAt(two, 0, viewAt(0)([0, -50, 200]))).toMatchObject({ tier: 1, on: 'top' })
    expect(touchedAt(two, 0, { x: 300, y: 50 })).toBeNull()
  })
  it('measures straight', () => expect(straightMm([0, 0, 0], [3, 4, 12])).toBe(13))
  it('looks along a line that is seen as one point', () =>
    fc.assert(
      fc.property(turns, fc.integer({ min: 0, max: 900 }), (turn, distance) => {
        const { from, along } = sightLine({ x: 31, y: 77 }, turn, 500)
        const seen = viewAt(turn)([
          from[0] + along[0] * distance,
          from[1] + along[1] * distance,
          from[2] + along[2] * distance,
        ])
        return Math.abs(seen.x - 31) < 1e-6 && Math.abs(seen.y - 77) < 1e-6
      }),
    ))
})

describe('dimension lines', () => {
  it('give heights of tiers and spacers, the whole with its board, and widths', () => {
    const lengths = Object.fromEntries(
      dimensionsOf(two, board, 0, viewAt(0)).map(({ id, lengthMm }) => [id, Math.round(lengthMm)]),
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
  it('follow the turn: a hexagon is wider over its corners', () => {
    const hexagon = stackOf({
      ...roundTier('x', 200, 100),
      shape: { kind: 'polygon', sides: 6, acrossFlatsMm: 200, cornerMm: 0 },
    })
    const width = (turn: number) =>
      dimensionsOf(hexagon, board, turn, viewAt(turn)).find(({ id }) => id === 'width-0')!.lengthMm
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
