import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { crossing } from './crossing'

/** By halving alone, slow and sure. */
function halved(of: (place: number) => number, low: number, high: number): number {
  for (let step = 0; step < 200; step += 1) {
    const middle = (low + high) / 2
    if (of(middle) > 0) low = middle
    else high = middle
  }
  return (low + high) / 2
}

describe('where a function crosses nought', () => {
  it('is where halving finds it, for curves with a kink and of very uneven slope', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -50, max: 20, noNaN: true }),
        fc.double({ min: 0.01, max: 40, noNaN: true }),
        fc.double({ min: 0.01, max: 40, noNaN: true }),
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        (root, before, after, bend) => {
          const falls = (place: number): number => {
            const away = root - place
            return away > 0 ? before * away + Math.expm1(bend * away) : after * away
          }
          expect(crossing(falls, -60, 30, 1e-9)).toBeCloseTo(halved(falls, -60, 30), 7)
        },
      ),
    )
  })

  it('asks far less often than halving', () => {
    let asked = 0
    const place = crossing((at) => ((asked += 1), Math.exp(-at) - 0.3), -20, 55, 1e-9)
    expect(place).toBeCloseTo(-Math.log(0.3), 8)
    expect(asked).toBeLessThan(20)
  })

  it('is the nearer end where nothing is crossed', () => {
    expect(crossing((at) => at + 5, 0, 10, 1e-9)).toBe(0)
    expect(crossing((at) => at - 50, 0, 10, 1e-9)).toBe(10)
  })
})
