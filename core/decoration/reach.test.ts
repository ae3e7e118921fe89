import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { NO_REACH, reachOf, together } from './reach'
import type { Point3 } from '../geometry'

const whole = fc.integer({ min: -300, max: 300 })
const points: fc.Arbitrary<readonly Point3[]> = fc.array(fc.tuple(whole, whole, whole))

describe('how far points reach', () => {
  it('is nothing for none, and holds each point that is given', () =>
    fc.assert(
      fc.property(points, (given) => {
        const { left, right, front, back, topMm } = reachOf([given])
        expect(reachOf([])).toEqual(NO_REACH)
        given.forEach(([x, y, z]) =>
          expect([left <= x, x <= right, front <= y, y <= back, z <= topMm]).toEqual([true, true, true, true, true]),
        )
      }),
    ))
  it('together is that of all points at once', () =>
    fc.assert(
      fc.property(points, points, (some, others) => {
        expect(together(reachOf([some]), reachOf([others]))).toEqual(reachOf([some, others]))
      }),
    ))
})
