import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  areaMm2,
  chordMm,
  definitionOf,
  extentMm,
  facingDeg,
  insetShape,
  leastReachMm,
  lobesMeet,
  outlineAngles,
  perimeterMm,
  perimeterOf,
  reachMm,
  SHAPES,
  shapeSchema,
  type Scalloped,
  type Shape,
} from '.'
import { anyShape } from '../../../tests/any/anyTier'
import { workingSentence } from '../../quantity'

/** Length and area by walking finely round the edge: an independent check of the formulas. */
function walked(shape: Shape): { readonly lengthMm: number; readonly areaMm2: number } {
  const angles = outlineAngles(shape, 7200).map((angle) => (angle * Math.PI) / 180)
  let [lengthMm, doubled] = [0, 0]
  angles.forEach((angle, at) => {
    const next = at + 1 < angles.length ? angles[at + 1]! : angles[0]! + 2 * Math.PI
    const [here, there] = [reachMm(shape, (angle * 180) / Math.PI), reachMm(shape, (next * 180) / Math.PI)]
    lengthMm += Math.hypot(there * Math.cos(next - angle) - here, there * Math.sin(next - angle))
    doubled += here * there * Math.sin(next - angle)
  })
  return { lengthMm, areaMm2: doubled / 2 }
}

describe('shapes seen from above', () => {
  it('have the perimeter and area that a fine walk round them finds, within a thousandth', () =>
    fc.assert(
      fc.property(anyShape, (shape) => {
        const fine = walked(shape)
        expect(Math.abs(perimeterMm(shape) / fine.lengthMm - 1)).toBeLessThan(1e-3)
        expect(Math.abs(areaMm2(shape) / fine.areaMm2 - 1)).toBeLessThan(1e-3)
      }),
      { numRuns: 150 },
    ))
  it('are never rounder than a circle: area is at most perimeter² ÷ 4π', () =>
    fc.assert(
      fc.property(anyShape, (shape) => areaMm2(shape) <= (perimeterMm(shape) ** 2 / (4 * Math.PI)) * (1 + 1e-9)),
    ))
  it('shrink when drawn in, and more so the further', () =>
    fc.assert(
      fc.property(anyShape, fc.double({ min: 0.5, max: 20, noNaN: true }), (shape, inset) => {
        const [once, twice] = [insetShape(shape, inset), insetShape(shape, inset * 1.5)]
        expect(perimeterMm(once)).toBeLessThan(perimeterMm(shape))
        expect(areaMm2(twice)).toBeLessThan(areaMm2(once))
        expect(insetShape(shape, 0)).toEqual(shape)
      }),
    ))
  it('turned a quarter swap their extents', () =>
    fc.assert(
      fc.property(anyShape, (shape) => {
        const [straight, quarter] = [extentMm(shape), extentMm(shape, 90)]
        expect(quarter.sideways).toBeCloseTo(straight.frontBack, 0)
        expect(straight.sideways).toBeGreaterThanOrEqual(leastReachMm(shape) - 1e-9)
      }),
    ))
  it('give a working for the perimeter that reads as arithmetic', () => {
    for (const { starting } of SHAPES)
      expect(workingSentence(perimeterOf(starting(200) as Shape), 'metric')).toMatch(/^perimeter \d+ mm = .*\d/)
  })
  it('begin about as wide as asked and pass their own schema', () => {
    for (const { kind, starting } of SHAPES) {
      const shape = starting(200) as Shape
      expect(shapeSchema.parse(shape)).toEqual(shape)
      expect(definitionOf(shape.kind).kind).toBe(kind)
      expect(extentMm(shape).sideways).toBeGreaterThan(95)
      expect(extentMm(shape).sideways).toBeLessThan(140)
    }
    expect(() => definitionOf('star' as never)).toThrow('Expected a shape of round')
  })
  it.each([
    [{ kind: 'round', acrossMm: 260 }, 816.81],
    [{ kind: 'square', sideMm: 200, cornerMm: 0 }, 800],
    [{ kind: 'square', sideMm: 200, cornerMm: 100 }, 628.32],
    [{ kind: 'rectangle', widthMm: 300, depthMm: 200, cornerMm: 10 }, 982.83],
    [{ kind: 'polygon', sides: 6, acrossFlatsMm: 196, cornerMm: 0 }, 678.96],
    [{ kind: 'oval', widthMm: 300, depthMm: 200 }, 793.27],
    [{ kind: 'oval', widthMm: 200, depthMm: 200 }, 628.32],
  ] as const)('%j is %d mm round', (shape, expected) => expect(perimeterMm(shape)).toBeCloseTo(expected, 1))
  it('face outward: straight ahead in the middle of a face, along the ray on a circle', () => {
    expect(facingDeg({ kind: 'square', sideMm: 200, cornerMm: 0 }, 30)).toBeCloseTo(0, 3)
    expect(facingDeg({ kind: 'square', sideMm: 200, cornerMm: 0 }, 70)).toBeCloseTo(90, 3)
    expect(facingDeg({ kind: 'round', acrossMm: 200 }, 130)).toBeCloseTo(130, 6)
    expect(facingDeg({ kind: 'polygon', sides: 6, acrossFlatsMm: 200, cornerMm: 0 }, 75)).toBeCloseTo(60, 3)
  })
})

describe('scallops', () => {
  const of = (lobes: number, wider: number): Scalloped => ({
    kind: 'scalloped',
    lobes,
    marksMm: 200,
    cutterMm: chordMm({ lobes, marksMm: 200 }) * wider,
  })
  it('of half circles are n × π × half the chord round', () =>
    expect(perimeterMm(of(12, 1))).toBeCloseTo(12 * Math.PI * 100 * Math.sin(Math.PI / 12), 6))
  it('with a wider cutter come together further out, and go round less in and out', () => {
    const all = [1, 1.05, 1.3, 2, 3.5].map((wider) => of(12, wider))
    // How much longer the way round is than the circle of as large an area: 0 is a circle.
    const waves = all.map((each) => perimeterMm(each) / (2 * Math.sqrt(Math.PI * areaMm2(each))) - 1)
    waves.slice(1).forEach((wave, at) => expect(wave).toBeLessThan(waves[at]!))
    expect(waves.at(-1)).toBeGreaterThan(0)
  })
  it('meet when the cutter spans the chord, and not when narrower', () => {
    expect(lobesMeet(of(12, 1))).toBe(true)
    expect(lobesMeet(of(12, 0.9))).toBe(false)
  })
  it('have their valleys on the mark circle when the cutter just meets, outside it when it is wider', () =>
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 24 }), fc.double({ min: 1.01, max: 1.8, noNaN: true }), (lobes, wider) => {
        const valley = (by: number): number => reachMm(of(lobes, by), 180 / lobes)
        return Math.abs(valley(1) - 100) < 0.05 && valley(wider) > valley(1)
      }),
    ))
})

describe('the angles that draw a shape', () => {
  it('rise from 0 to below 360, with every step and every corner once', () => {
    fc.assert(
      fc.property(anyShape, fc.constantFrom(90, 360, 720), (shape, steps) => {
        const angles = outlineAngles(shape, steps)
        expect(angles).toEqual([...new Set(angles)].sort((one, other) => one - other))
        expect(new Set(angles)).toEqual(
          new Set([...Array.from({ length: steps }, (_, step) => (step * 360) / steps), ...angles]),
        )
        expect([angles[0], angles.at(-1)! < 360]).toEqual([0, true])
      }),
      { numRuns: 40 },
    )
  })

  it('are those of the steps and the three corners of a triangle, one of which is a step as well', () => {
    const triangle: Shape = { kind: 'polygon', sides: 3, acrossFlatsMm: 200, cornerMm: 0 }
    expect(outlineAngles(triangle, 8)).toEqual([0, 45, 60, 90, 135, 180, 225, 270, 300, 315])
  })
})
