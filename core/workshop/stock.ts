/** What a workshop has of anything: dyes on a shelf of their own, all else in its stock. */
import type { PaperId, StockShape } from '../material'
import { paperItem, paperStock, type Need, type Stock } from '../supply'
import type { Workshop } from './workshop'

/** On hand, and packs; null for what was never kept. */
export function stockOf(workshop: Workshop, item: string): Pick<Stock, 'onHand' | 'pack' | 'packPrice'> | null {
  const kept = workshop.stock.find((each) => each.item === item)
  const [shelf, id] = [item.slice(0, item.indexOf(' ')), item.slice(item.indexOf(' ') + 1)]
  if (shelf === 'dye') {
    const dye = workshop.dyes.find((each) => each.id === id)
    if (dye) return { onHand: dye.onHandMl, pack: kept?.pack ?? DYE_PACK_ML, packPrice: kept?.packPrice ?? null }
  }
  return kept ?? null
}

const DYE_PACK_ML = 20

/** Puts so much more, or less, of an item on the shelf; never less than none. Changes the draft it is given. */
export function putOnShelf(
  workshop: Workshop,
  need: Pick<Need, 'item' | 'name' | 'shelf' | 'kind' | 'usualPack'>,
  by: number,
): void {
  const [shelf, id] = [need.item.slice(0, need.item.indexOf(' ')), need.item.slice(need.item.indexOf(' ') + 1)]
  const dye = shelf === 'dye' ? workshop.dyes.find((each) => each.id === id) : undefined
  if (dye) {
    dye.onHandMl = Math.max(0, dye.onHandMl + by)
    return
  }
  const kept = keptOf(workshop, need)
  kept.onHand = Math.max(0, kept.onHand + by)
}

/** Says how many sheets of a paper lie in the studio. Changes the draft it is given. */
export function setOnHand({ stock }: Workshop, paper: PaperId, shape: StockShape, sheets: number): void {
  const kept = stock.find(({ item }) => item === paperItem(paper, shape))
  if (kept) kept.onHand = sheets
  else stock.push(paperStock(paper, shape, sheets, SHEETS_IN_A_PACK))
}

const SHEETS_IN_A_PACK = 10

/** The item as it is kept in stock; it is put there when it was not. Changes the draft it is given. */
export function keptOf(
  workshop: Workshop,
  { item, name, shelf, kind, usualPack }: Pick<Need, 'item' | 'name' | 'shelf' | 'kind' | 'usualPack'>,
): Stock {
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
