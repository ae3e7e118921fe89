import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { between, normalShareBelow, seededStream, seedFor } from '.'

describe('seeded stream', () => {
  it('is the same for the same seed and another for another', () => {
    const take = (seed: number) => {
      const stream = seededStream(seed)
      return Array.from({ length: 5 }, stream)
    }
    expect(take(7)).toEqual(take(7))
    expect(take(7)).not.toEqual(take(8))
  })
  it('stays within its bounds and fills them evenly', () => {
    const stream = seededStream(1)
    const drawn = Array.from({ length: 4000 }, () => between(stream, 2, 4))
    expect(Math.min(...drawn)).toBeGreaterThanOrEqual(2)
    expect(Math.max(...drawn)).toBeLessThan(4)
    expect(drawn.reduce((sum, each) => sum + each, 0) / drawn.length).toBeCloseTo(3, 1)
  })
  it('gives every thing under a seed its own', () =>
    expect(new Set(Array.from({ length: 500 }, (_, index) => seedFor(3, index))).size).toBe(500))
})

describe('share of a normal below', () => {
  it.each([
    [0, 0.5],
    [1, 0.841345],
    [-1.96, 0.024998],
    [1.2815516, 0.9],
  ])('%d is %d', (x, share) => expect(normalShareBelow(x)).toBeCloseTo(share, 5))
  it('adds up to one with its mirror', () =>
    fc.assert(
      fc.property(
        fc.double({ min: -6, max: 6, noNaN: true }),
        (x) => Math.abs(normalShareBelow(x) + normalShareBelow(-x) - 1) < 1e-7,
      ),
    ))
})
