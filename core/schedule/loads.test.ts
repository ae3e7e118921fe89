import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fillFormers, type PieceToLay } from '.'

const mat = { lengthMm: 400, widthMm: 300 }

describe('filling mats', () => {
  const pieces = fc
    .array(
      fc.record({
        widthMm: fc.integer({ min: 30, max: 390 }),
        heightMm: fc.integer({ min: 30, max: 290 }),
        order: fc.integer({ min: 0, max: 4 }),
      }),
      { maxLength: 40 },
    )
    .map((sizes) => sizes.map((size, at): PieceToLay => ({ part: `p${at}`, ...size })))
  it('lays every piece once, in bounds, apart, in the order of dipping', () =>
    fc.assert(
      fc.property(pieces, (list) => {
        const { fillings, tooBig } = fillFormers(list, mat)
        expect(fillings.flatMap(({ laid }) => laid.map(({ part }) => part)).sort()).toEqual(
          list.map(({ part }) => part).sort(),
        )
        expect(tooBig).toBe(0)
        const orders = fillings.flatMap(({ laid }) => [
          Math.min(...laid.map(({ order }) => order)),
          Math.max(...laid.map(({ order }) => order)),
        ])
        expect(orders).toEqual([...orders].sort((one, other) => one - other))
        return fillings.every(({ laid }) =>
          laid.every(
            (one, at) =>
              one.xMm >= 0 &&
              one.yMm >= 0 &&
              one.xMm + one.widthMm <= mat.lengthMm + 1e-9 &&
              one.yMm + one.heightMm <= mat.widthMm + 1e-9 &&
              laid
                .slice(at + 1)
                .every(
                  (other) =>
                    one.xMm + one.widthMm <= other.xMm ||
                    other.xMm + other.widthMm <= one.xMm ||
                    one.yMm + one.heightMm <= other.yMm ||
                    other.yMm + other.heightMm <= one.yMm,
                ),
          ),
        )
      }),
    ))
  it('counts pieces that no mat takes, and lays each by itself', () => {
    const { fillings, tooBig } = fillFormers(
      [
        { part: 'large', order: 0, widthMm: 280, heightMm: 240 },
        { part: 'small', order: 0, widthMm: 70, heightMm: 70 },
      ],
      { lengthMm: 200, widthMm: 150 },
    )
    expect(tooBig).toBe(1)
    expect(fillings.map(({ laid }) => laid.map(({ part }) => part))).toEqual([['large'], ['small']])
  })
})
