import fc from 'fast-check'
import { expect, it } from 'vitest'
import { discSupplies, type DiscStock } from '.'

const stock = (onHand: number, packSize: number): readonly DiscStock[] => [
  { diameterMm: 220, onHand, packSize, inUse: true },
]

it('buys whole packs for what the shelf lacks', () =>
  expect(discSupplies(Array(13).fill({ diameterMm: 220 }), stock(2, 10))[0]).toMatchObject({
    needed: { value: 13 },
    packsToBuy: { value: 2 },
  }))
it('leaves out what the job does not use', () => expect(discSupplies([], stock(2, 10))).toEqual([]))
it('buys enough, and never a pack too many', () =>
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 99 }),
      fc.integer({ min: 0, max: 99 }),
      fc.integer({ min: 1, max: 50 }),
      (needed, onHand, packSize) => {
        const packs = discSupplies(Array(needed).fill({ diameterMm: 220 }), stock(onHand, packSize))[0]!.packsToBuy
          .value
        return onHand + packs * packSize >= needed && (packs === 0 || onHand + (packs - 1) * packSize < needed)
      },
    ),
  ))
