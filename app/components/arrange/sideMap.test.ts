import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { roundTier, stackTiers } from '#core/cake'
import { sideMapOf } from './sideMap'

const map = sideMapOf(
  stackTiers({ tiers: [roundTier('low', 260, 110), roundTier('middle', 196, 150), roundTier('top', 128, 118)] }),
)

describe('the side unrolled', () => {
  it('has the front in the middle and the board at the foot', () =>
    expect(map.toMap(0, 0, 0)).toEqual({ x: 0, y: map.heightMm }))
  it('half round is half the perimeter', () => expect(map.toMap(0, 180, 50).x).toBeCloseTo(Math.PI * 130))
  it('goes there and back', () =>
    fc.assert(
      fc.property(
        fc.double({ min: -360, max: 360, noNaN: true }),
        fc.double({ min: 0, max: 378, noNaN: true }),
        (angle, height) => {
          const tier = height < 110 ? 0 : height < 260 ? 1 : 2
          const { x, y } = map.toMap(tier, angle, height)
          const back = map.fromMap(x, y)
          return back.tier === tier && Math.abs(back.angleDeg - angle) < 1e-6 && Math.abs(back.heightMm - height) < 0.02
        },
      ),
    ))
  it('keeps a handle on the cake however far it is pulled', () =>
    fc.assert(
      fc.property(fc.integer({ min: -3000, max: 3000 }), (y) => {
        const { heightMm } = map.fromMap(0, y)
        return heightMm >= 0 && heightMm <= 378
      }),
    ))
  it('lays loose cakes over one another, each where it is pulled', () => {
    const loose = sideMapOf(
      stackTiers({
        tiers: [
          roundTier('one', 100, 80),
          roundTier('two', 80, 60),
          { ...roundTier('three', 100, 70), stands: 'loose' },
        ],
      }),
    )
    // 80 + 60 of the first pile, 70 of the second, two gaps of 10 mm.
    expect(loose.heightMm).toBe(230)
    expect(loose.toMap(2, 0, 35)).toEqual({ x: 0, y: 35 })
    expect(loose.fromMap(0, 35)).toEqual({ tier: 2, angleDeg: 0, heightMm: 35 })
  })
  it('lays its bands apart, each as wide as its tier is round', () => {
    expect(map.bands.map(({ width }) => Math.round(width))).toEqual([817, 616, 402])
    expect(map.bands[1]!.top + map.bands[1]!.height).toBeLessThan(map.bands[0]!.top)
  })
})
