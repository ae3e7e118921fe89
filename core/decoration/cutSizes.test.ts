import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { PlacedElement } from '../technique'
import { cutSizes, punchSizes, toldSizes } from './cutSizes'

const anySizes = fc.array(fc.double({ min: 0.25, max: 1, noNaN: true }), { minLength: 1, maxLength: 9 })
const changed = (sizes: readonly number[], as: readonly number[]): number =>
  sizes.reduce((sum, each, at) => sum + Math.abs(Math.round(each * 10) / 10 - as[at]!), 0)

/** The least change of all sets of so many of the sizes there are that hold the biggest, tried one by one. */
function leastChange(sizes: readonly number[], most: number): number {
  const own = [...new Set(sizes.map((each) => Math.round(each * 10) / 10))].sort((one, other) => other - one)
  let least = Infinity
  for (let set = 0; set < 2 ** own.length; set += 1) {
    const chosen = own.filter((_, at) => set & (1 << at))
    if (chosen[0] !== own[0] || chosen.length > most) continue
    const nearest = (size: number): number => Math.min(...chosen.map((each) => Math.abs(each - size)))
    least = Math.min(
      least,
      sizes.reduce((sum, each) => sum + nearest(Math.round(each * 10) / 10), 0),
    )
  }
  return least
}

describe('a set of templates', () => {
  it('by hand: seven blooms in three sizes', () =>
    expect(cutSizes([1, 0.9, 0.9, 0.7, 0.6, 0.6, 0.5], 3)).toEqual([1, 0.9, 0.9, 0.6, 0.6, 0.6, 0.6]))
  it('leaves sizes as they are where there are few', () => {
    expect(cutSizes([1, 0.8, 0.55, 0.8], 3)).toEqual([1, 0.8, 0.6, 0.8])
    expect(cutSizes([0.04], 1)).toEqual([0.1])
    expect(cutSizes([], 3)).toEqual([])
  })
  it('has no more sizes than are wanted, keeps the biggest and the order, and changes the rest the least', () =>
    fc.assert(
      fc.property(anySizes, fc.integer({ min: 1, max: 5 }), (sizes, most) => {
        const as = cutSizes(sizes, most)
        expect(new Set(as).size).toBeLessThanOrEqual(most)
        const biggest = sizes.indexOf(Math.max(...sizes))
        expect(as[biggest]).toBeCloseTo(Math.round(sizes[biggest]! * 10) / 10, 9)
        sizes.forEach((one, at) =>
          sizes.forEach((other, to) => expect(one < other && as[at]! > as[to]! + 1e-9).toBe(false)),
        )
        expect(changed(sizes, as)).toBeLessThanOrEqual(leastChange(sizes, most) + 1e-9)
      }),
    ))
})

describe('sizes that were told', () => {
  const row = (...sizes: readonly number[]) => sizes.map((size, index) => ({ size, index }) as PlacedElement)
  const told = [
    { share: 0.5, many: 2 },
    { share: 1, many: 1 },
  ]
  it('go to elements by how large they would be, and what was put by hand keeps its own', () => {
    expect(toldSizes(row(0.6, 0.9, 0.7), told, () => false)).toEqual([0.5, 1, 0.5])
    expect(toldSizes(row(0.6, 0.9, 0.7), told, ({ index }) => index === 1)).toEqual([0.5, 0.9, 1])
    expect(toldSizes(row(0.6, 0.9, 0.7, 0.3), told, () => false)).toEqual([0.5, 1, 0.5, 0.5])
  })
})

describe('a punch', () => {
  it('of those that are owned makes the size that is nearest: 36 and 28 mm with punches of 25 and 50', () =>
    expect(punchSizes([1, 28 / 36], 36, [25, 50]).map((size) => size * 36)).toEqual(
      [25, 25].map(() => expect.closeTo(25, 9)),
    ))
  it('always makes a size that is owned', () =>
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.3, max: 1, noNaN: true }), { minLength: 1 }),
        fc.uniqueArray(fc.integer({ min: 10, max: 80 }), { minLength: 1, maxLength: 4 }),
        (sizes, punches) =>
          punchSizes(sizes, 40, punches).every((size, at) => {
            const made = size * 40
            const away = Math.abs(made - sizes[at]! * 40)
            return (
              punches.some((punch) => Math.abs(punch - made) < 1e-9) &&
              punches.every((punch) => Math.abs(punch - sizes[at]! * 40) >= away - 1e-9)
            )
          }),
      ),
    ))
})
