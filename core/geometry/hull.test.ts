import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { add, convexHull, cross, dot, outlineAreaMm2, outward, polyline, scale, unit, type Point } from '.'

const whole = fc.integer({ min: -100, max: 100 })
const point = fc.record({ x: whole, y: whole })
const turn = (one: Point, two: Point, three: Point): number =>
  (two.x - one.x) * (three.y - one.y) - (two.y - one.y) * (three.x - one.x)

describe('the tightest outline round points', () => {
  it('of a square with a point in it is the square', () => {
    const hull = convexHull([
      { x: 0, y: 0 },
      { x: 2, y: 0 },
      { x: 1, y: 1 },
      { x: 2, y: 2 },
      { x: 0, y: 2 },
    ])
    expect(hull).toHaveLength(4)
    expect(hull).not.toContainEqual({ x: 1, y: 1 })
  })

  it('leaves every point inside, and turns left all the way', () => {
    fc.assert(
      fc.property(fc.array(point, { minLength: 3, maxLength: 200 }), (points) => {
        const hull = convexHull(points)
        fc.pre(hull.length >= 3)
        hull.forEach((corner, at) => {
          const next = hull[(at + 1) % hull.length]!
          for (const each of points) expect(turn(corner, next, each)).toBeGreaterThanOrEqual(-1e-6)
        })
      }),
    )
  })

  it('of many points is that of a few and what they add', () => {
    fc.assert(
      fc.property(fc.array(point, { minLength: 60, maxLength: 200 }), (points) => {
        const few = [points.slice(0, 30), points.slice(30, 60)].flatMap((some) => convexHull(some))
        const inTurn = points.slice(60).reduce((hull, each) => convexHull([...hull, each]), convexHull(few))
        expect(convexHull(points)).toEqual(inTurn)
      }),
    )
  })

  it('runs counter-clockwise, so that its area is positive', () => {
    fc.assert(
      fc.property(fc.array(point, { minLength: 4, maxLength: 30 }), (points) => {
        const hull = convexHull(points)
        fc.pre(hull.length >= 3)
        expect(outlineAreaMm2(polyline(hull as unknown as readonly [Point, ...Point[]], true))).toBeGreaterThan(0)
      }),
    )
  })

  it('is the same whatever the order of the points, few or many', () => {
    fc.assert(
      fc.property(fc.array(point, { minLength: 3, maxLength: 200 }), (points) => {
        expect(convexHull([...points].reverse())).toEqual(convexHull(points))
      }),
    )
  })
})

describe('directions in the space of the cake', () => {
  it('outward at the front is towards the viewer, at 90° to the right', () => {
    expect(outward(0)[1]).toBeCloseTo(-1, 12)
    expect(outward(90)[0]).toBeCloseTo(1, 12)
  })

  it('have length 1 and stand square to their cross product', () => {
    const vector = fc.tuple(whole, whole, whole)
    fc.assert(
      fc.property(vector, vector, (one, other) => {
        expect(Math.hypot(...unit(one))).toBeCloseTo(1, 9)
        expect(dot(cross(one, other), one)).toBeCloseTo(0, 5)
        expect(add(one, scale(one, -1)).every((part) => part === 0)).toBe(true)
      }),
    )
  })
})
