import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { found, starting } from '../quantity'
import type { PieceKind } from '../technique'
import { withSpares } from './spares'

const petal = { name: 'petal' } as unknown as PieceKind
const share = (value: number) => starting('what breaks', value, 'share', 'guess')
const sparesFor = (needs: readonly number[], broken: number): readonly number[] =>
  withSpares(
    needs.map((needed) => ({ alike: [], kind: petal, needed: found('needed', needed, 'count', 'told') })),
    share(broken),
    null,
  ).map(({ spares }) => spares.value)

describe('spares of a kind', () => {
  it('by hand: of 7, 8 in 100 break: 7 × 0.08 ÷ 0.92 = 0.6, one spare, of the size that most are of', () => {
    expect(sparesFor([7], 0.08)).toEqual([1])
    expect(sparesFor([2, 4, 1], 0.08)).toEqual([0, 1, 0])
  })
  it('by hand: of 10, 20 and 30 a quarter breaks: 60 × 0.25 ÷ 0.75 = 20, shared 3⅓, 6⅔, 10', () =>
    expect(sparesFor([10, 20, 30], 0.25)).toEqual([3, 7, 10]))
  it('are as many in all as if all were of one size, and no size is off its share by one', () =>
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 1, maxLength: 6 }),
        fc.double({ min: 0.02, max: 0.5, noNaN: true }),
        (needs, broken) => {
          const all = needs.reduce((sum, each) => sum + each, 0)
          const [whole] = sparesFor([all], broken)
          const spares = sparesFor(needs, broken)
          expect(spares.reduce((sum, each) => sum + each, 0)).toBe(whole)
          spares.forEach((each, at) => expect(Math.abs(each - (whole! * needs[at]!) / all)).toBeLessThan(1))
        },
      ),
    ))
})
