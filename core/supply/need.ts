/** What a job takes of anything that is bought, and what is to be bought for it. */
import { derive, found, sumOf, type Working, type WorkingKind } from '../quantity'
import type { ShelfId, Stock } from './stock'

/**
 * Something a job takes: what it is called on the shelf, in which packs it is usually sold, and what one of it costs
 * where that is known otherwise.
 */
export type Need = {
  readonly item: string
  readonly name: string
  readonly shelf: ShelfId
  readonly kind: Stock['kind']
  readonly amount: Working
  readonly usualPack: number
  readonly eachPrice: number | null
}

/** A line of the shopping list. `reserved` is what other commissions will take of what is on hand. */
export type ShoppingLine = {
  readonly need: Need
  readonly onHand: number
  readonly reserved: number
  readonly packs: Working
  readonly price: number | null
}

const NEAR = 1e-9

/** Needs of one item, added up under its name. */
export function merged(needs: readonly Need[]): readonly Need[] {
  const items = new Map<string, Need[]>()
  for (const need of needs) {
    const known = items.get(need.item)
    if (known) known.push(need)
    else items.set(need.item, [need])
  }
  return [...items.values()].map((same) =>
    same.length === 1
      ? same[0]!
      : {
          ...same[0]!,
          amount: sumOf(
            same[0]!.name,
            same[0]!.amount.kind,
            'uses added up',
            same.map(({ amount }) => amount),
          ),
        },
  )
}

const shown = (kind: Stock['kind']): WorkingKind => kind

/**
 * What to buy, in whole packs: what is needed less what is on hand and not reserved.
 *
 * By hand: 13 sheets, 10 on hand, 4 of them reserved, packs of 25: ( 13 − 6 ) ÷ 25, rounded up, is 1 pack.
 */
export function shoppingList(
  needs: readonly Need[],
  stockOf: (item: string) => Pick<Stock, 'onHand' | 'pack' | 'packPrice'> | null,
  reserved: ReadonlyMap<string, number> = new Map(),
): readonly ShoppingLine[] {
  return merged(needs).map((need) => {
    const { onHand, pack, packPrice } = stockOf(need.item) ?? { onHand: 0, pack: need.usualPack, packPrice: null }
    const others = Math.min(onHand, reserved.get(need.item) ?? 0)
    const kind = shown(need.kind)
    const packs = derive(
      'packs to buy',
      'count',
      'whole packs',
      'round up( ( {needed} − ( {onHand} − {reserved} ) ) ÷ {pack} ), at least 0',
      {
        needed: need.amount,
        onHand: found('on hand', onHand, kind, 'as Supply has it'),
        reserved: found('kept for other commissions', others, kind, 'what those before this one take'),
        pack: found('in a pack', pack, kind, 'as Supply has it'),
      },
      (v) => Math.max(0, Math.ceil((v.needed - (v.onHand - v.reserved)) / v.pack - NEAR)),
    )
    return {
      need,
      onHand,
      reserved: others,
      packs,
      price: packPrice ?? (need.eachPrice === null ? null : need.eachPrice * pack),
    }
  })
}
