/** What a job takes of anything that is bought, and what is to be bought for it. */
import { derive, found, sumOf, typed, type Currency, type Working, type WorkingKind } from '../quantity'
import type { ShelfId, Stock } from './stock'
import type { Bought } from './usualPacks'

/** Something a job takes: what it is called on the shelf, how much, in which packs it is usually sold. */
export type Need = Bought & {
  readonly item: string
  readonly name: string
  readonly shelf: ShelfId
  readonly kind: Stock['kind']
  readonly amount: Working
}

/** A line of the shopping list. `reserved` is what other commissions will take of what is on hand. */
export type ShoppingLine = {
  readonly need: Need
  readonly onHand: number
  readonly reserved: number
  /** What a pack holds. */
  readonly pack: number
  readonly packs: Working
  /** What a pack costs: typed, or a usual pack's. */
  readonly packPrice: Working
  readonly cost: Working
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
    const price = packPriceOf(need, pack, packPrice)
    return {
      need,
      onHand,
      reserved: others,
      pack,
      packs,
      packPrice: price,
      cost: derive('to buy', 'money', 'whole packs', '{packs} × {price}', { packs, price }, (v) => v.packs * v.price),
    }
  })
}

/** What a pack of an item costs: as it was typed, else a usual pack's price for as much. */
export function packPriceOf(
  { kind, usualPack, usualPackPrice: usual }: Pick<Need, 'kind' | 'usualPack' | 'usualPackPrice'>,
  pack: number,
  own: number | null,
): Working {
  const { currency } = usual
  if (own !== null) return { ...typed('a pack', own, 'money', 'Supply'), ...(currency && { currency }) }
  if (pack === usualPack) return { ...usual, label: 'a pack' }
  return derive(
    'a pack',
    'money',
    'as a usual pack',
    '{usual} × {pack} ÷ {usualPack}',
    {
      usual,
      pack: found('in a pack', pack, kind, 'as Supply has it'),
      usualPack: found('in a usual pack', usualPack, kind, 'usual practice'),
    },
    (v) => (v.usual * v.pack) / v.usualPack,
  )
}

/** What all of a list costs together. */
export const listCost = (lines: readonly ShoppingLine[], currency: Currency): Working => ({
  ...sumOf(
    'to buy',
    'money',
    'lines added up',
    lines.filter(({ packs }) => packs.value > 0).map(({ need, cost }) => ({ ...cost, label: need.name })),
  ),
  currency,
})
