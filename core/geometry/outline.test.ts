import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { circle, cross, dot, flipMove, outlineAreaMm2, outward, polyline, rectangle, sector, unit } from '.'

const size = fc.double({ min: 1, max: 500, noNaN: true })
const angle = fc.double({ min: -720, max: 720, noNaN: true })

describe('areas of outlines', () => {
  it('a disc of 220 mm holds 380.1 cm²', () =>
    expect(outlineAreaMm2(circle({ x: 5, y: 9 }, 110))).toBeCloseTo(38013.27, 1))
  it('a sector is its share of the disc, wherever it lies', () =>
    fc.assert(
      fc.property(
        size,
        angle,
        fc.double({ min: 1, max: 360, noNaN: true }),
        size,
        (radius, from, sweep, x) =>
          Math.abs(outlineAreaMm2(sector({ x, y: -x }, radius, from, sweep)) - (Math.PI * radius ** 2 * sweep) / 360) <
          1e-6 * radius ** 2 + 1e-6,
      ),
    ))
  it('a rectangle is width by height, and turns negative when run backwards', () => {
    expect(outlineAreaMm2(rectangle(3, 4, 20, 10))).toBe(200)
    expect(
      outlineAreaMm2(
        polyline(
          [
            { x: 0, y: 0 },
            { x: 0, y: 10 },
            { x: 20, y: 0 },
          ],
          true,
        ),
      ),
    ).toBe(-100)
  })
  it('keeps its size when flipped for drawing', () =>
    fc.assert(
      fc.property(size, angle, size, (radius, from, move) => {
        const shape = sector({ x: 0, y: 0 }, radius, from, 90)
        return (
          Math.abs(outlineAreaMm2(flipMove(shape, move, move)) + outlineAreaMm2(shape)) < 1e-6 * (radius + move) ** 2
        )
      }),
    ))
})

describe('directions round the cake', () => {
  it('the front looks at the viewer, 90° to the right', () => {
    expect(outward(0)).toEqual([0, -1, 0])
    expect(outward(90)[0]).toBeCloseTo(1)
  })
  it('across is at right angles to both', () =>
    fc.assert(
      fc.property(angle, (degrees) => {
        const across = cross([0, 0, 1], outward(degrees))
        return Math.abs(dot(across, outward(degrees))) < 1e-12 && Math.abs(across[2]) < 1e-12
      }),
    ))
  it('nowhere at all is taken for up', () => expect(unit([0, 0, 0])).toEqual([0, 0, 1]))
})
