import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cutWires, type WireDemand } from './wireCuts'

const STOCK = 360

/** The fewest wires by trying every piece on every opened wire. */
function bruteForce(lengths: readonly number[]): number {
  let best = lengths.length
  const go = (at: number, left: readonly number[]): void => {
    if (left.length >= best) return
    if (at === lengths.length) {
      best = left.length
      return
    }
    left.forEach((room, wire) => {
      if (room >= lengths[at]!)
        go(
          at + 1,
          left.map((each, other) => (other === wire ? each - lengths[at]! : each)),
        )
    })
    go(at + 1, [...left, STOCK - lengths[at]!])
  }
  go(0, [])
  return best
}

const demandsOf = (lengths: readonly number[]): readonly WireDemand[] =>
  lengths.map((lengthMm, at) => ({ name: `piece ${at}`, lengthMm, count: 1 }))
const few = fc.array(fc.integer({ min: 40, max: 360 }), { minLength: 1, maxLength: 7 })

describe('wires cut from stock', () => {
  it('takes the fewest there can be', () =>
    fc.assert(
      fc.property(few, (lengths) => {
        const cuts = cutWires(demandsOf(lengths), STOCK)
        expect(cuts.wires).toBe(bruteForce(lengths))
        expect(cuts.fewest).toBe(true)
      }),
      { numRuns: 200 },
    ))
  it('gives every piece that is wanted, and no wire more than it has', () =>
    fc.assert(
      fc.property(
        fc.array(fc.record({ lengthMm: fc.integer({ min: 40, max: 360 }), count: fc.integer({ min: 1, max: 30 }) }), {
          minLength: 1,
          maxLength: 5,
        }),
        (wanted) => {
          const demands = wanted.map((each, at) => ({ name: `kind ${at}`, ...each }))
          const { patterns, wires } = cutWires(demands, STOCK)
          expect(patterns.reduce((sum, pattern) => sum + pattern.wires, 0)).toBe(wires)
          for (const { name, count } of demands)
            expect(
              patterns.reduce(
                (sum, pattern) => sum + pattern.wires * pattern.pieces.filter((piece) => piece.name === name).length,
                0,
              ),
            ).toBe(count)
          for (const { pieces, leftMm } of patterns)
            expect(pieces.reduce((sum, { lengthMm }) => sum + lengthMm, 0) + leftMm).toBeCloseTo(STOCK, 6)
        },
      ),
      { numRuns: 60 },
    ))
  it.each([
    [[180, 180], 1],
    [[120, 120, 120], 1],
    [[90, 90, 90, 90], 1],
    [[200, 200, 160, 160], 2],
    [[181, 180, 180, 179], 2],
  ] as const)('%j come off %i', (lengths, wires) => expect(cutWires(demandsOf(lengths), STOCK).wires).toBe(wires))
  it('names what no stock wire gives', () =>
    expect(cutWires([{ name: 'garland stem', lengthMm: 420, count: 2 }], STOCK)).toMatchObject({
      wires: 0,
      tooLong: [{ name: 'garland stem', count: 2 }],
    }))
  it('never takes fewer wires for more pieces', () =>
    fc.assert(
      fc.property(
        few,
        fc.integer({ min: 40, max: 360 }),
        (lengths, more) =>
          cutWires(demandsOf([...lengths, more]), STOCK).wires >= cutWires(demandsOf(lengths), STOCK).wires,
      ),
    ))
  it('answers at once for a hundred and twenty blooms of many lengths', () => {
    const demands = Array.from({ length: 14 }, (_, at) => ({ name: `stem ${at}`, lengthMm: 62 + 17.3 * at, count: 9 }))
    const { wires } = cutWires(demands, STOCK)
    expect(wires).toBeGreaterThanOrEqual(
      Math.ceil(demands.reduce((sum, { lengthMm, count }) => sum + lengthMm * count, 0) / STOCK),
    )
    expect(wires).toBeLessThan(9 * 14)
  })
})
