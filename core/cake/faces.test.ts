import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { flatSides, perimeterMm } from '.'
import { anyShape } from '../../tests/any/anyTier'

describe('flat faces', () => {
  it('of a square are its four sides, in the middle of each, also when it is turned', () => {
    const faces = flatSides({ kind: 'square', sideMm: 180, cornerMm: 0 }, 20)
    expect(faces.map(({ widthMm }) => Math.round(widthMm))).toEqual([180, 180, 180, 180])
    expect(faces.map(({ middleDeg }) => Math.round(((middleDeg % 90) + 90) % 90))).toEqual([20, 20, 20, 20])
  })
  it('of a hexagon are six, of a rectangle two and two', () => {
    expect(flatSides({ kind: 'polygon', sides: 6, acrossFlatsMm: 196, cornerMm: 0 }, 0)).toHaveLength(6)
    expect(
      flatSides({ kind: 'rectangle', widthMm: 200, depthMm: 120, cornerMm: 0 }, 0)
        .map(({ widthMm }) => Math.round(widthMm))
        .sort(),
    ).toEqual([120, 120, 200, 200])
  })
  it('of what bends all round are none', () => {
    expect(flatSides({ kind: 'round', acrossMm: 200 }, 0)).toEqual([])
    expect(flatSides({ kind: 'oval', widthMm: 200, depthMm: 150 }, 0)).toEqual([])
    expect(flatSides({ kind: 'scalloped', lobes: 12, marksMm: 208, cutterMm: 60 }, 0)).toEqual([])
  })
  it('are never longer together than the edge', () =>
    fc.assert(
      fc.property(
        anyShape,
        (shape) => flatSides(shape, 0).reduce((sum, { widthMm }) => sum + widthMm, 0) <= perimeterMm(shape) + 1,
      ),
    ))
})
