/** What a workshop has of anything: dyes on a shelf of their own, all else in its stock. */
import type { PaperId, StockShape } from '../material'
import { DYE_BOTTLE_ML, paperStock, type DyeStock, type Need, type Stock } from '../supply'
import type { Workshop } from './workshop'

/** What is known of an item before it lies on a shelf. */
export type Item = Pick<Need, 'item' | 'name' | 'shelf' | 'kind' | 'usualPack'>

/** Sheets of a paper and size as an item. */
export function sheetItem(paper: PaperId, shape: StockShape): Item {
  const { item, name, shelf, kind, pack } = paperStock(paper, shape)
  return { item, name, shelf, kind, usualPack: pack }
}

/** A dye as an item. */
export const dyeItem = ({ id, name }: Pick<DyeStock, 'id' | 'name'>): Item => ({
  item: `dye ${id}`,
  name,
  shelf: 'colour',
  kind: 'volume',
  usualPack: DYE_BOTTLE_ML,
})

/** The dye that an item is, if it is one. */
const dyeOf = ({ dyes }: Workshop, item: string): Workshop['dyes'][number] | undefined =>
  dyes.find(({ id }) => item === `dye ${id}`)

/** On hand, and packs; null for what was never kept. */
export function stockOf(workshop: Workshop, item: string): Pick<Stock, 'onHand' | 'pack' | 'packPrice'> | null {
  const kept = workshop.stock.find((each) => each.item === item)
  const dye = dyeOf(workshop, item)
  if (dye) return { onHand: dye.onHandMl, pack: kept?.pack ?? DYE_BOTTLE_ML, packPrice: kept?.packPrice ?? null }
  return kept ?? null
}

/** Puts so much more, or less, of an item on the shelf; never less than none. Changes the draft it is given. */
export const putOnShelf = (workshop: Workshop, item: Item, by: number): void =>
  setOnHand(workshop, item, (stockOf(workshop, item.item)?.onHand ?? 0) + by)

/** Says how much of an item lies on the shelf, none at the least. Changes the draft it is given. */
export function setOnHand(workshop: Workshop, item: Item, amount: number): void {
  const onHand = Math.max(0, amount)
  const dye = dyeOf(workshop, item.item)
  if (dye) dye.onHandMl = onHand
  else keptOf(workshop, item).onHand = onHand
}

/** The item as it is kept in stock; it is put there when it was not. Changes the draft it is given. */
export function keptOf(workshop: Workshop, { item, name, shelf, kind, usualPack }: Item): Stock {
  const kept = workshop.stock.find((each) => each.item === item)
  if (kept) return kept
  const known = stockOf(workshop, item)
  workshop.stock.push({
    item,
    name: name.slice(0, 80),
    shelf,
    kind,
    onHand: 0,
    pack: known?.pack ?? usualPack,
    packPrice: null,
  })
  return workshop.stock.at(-1)!
}
