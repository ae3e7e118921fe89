/** What the job takes off the shelf, and what it costs. */
import { sumOf, type Working } from '../../quantity'
import { costOf, dyeUses, sheetSupplies, type DyeUse, type SheetNeed, type SheetSupply } from '../../supply'
import type { Workshop } from '../../workshop'
import type { DishWork } from './tint'

type SupplyInputs = {
  readonly sheets: readonly SheetNeed[]
  readonly dishes: Pick<DishWork, 'dishes' | 'baths'>
  readonly handsOn: Working
  readonly shelf: Pick<Workshop, 'stock' | 'dyes' | 'prices'>
}

export type Supplied = {
  readonly supplies: readonly SheetSupply[]
  readonly dyeUses: readonly DyeUse[]
  readonly cost: Working
}

/** Sheets against what is on hand, dyes used, paper and colour and hands in money. */
export function supplyStage({ sheets, dishes, handsOn, shelf }: SupplyInputs): Supplied {
  const uses = dyeUses(shelf.dyes, dishes.baths, dishes.dishes)
  const dropsMl = uses.map(({ ml }) => ml)
  const colour = sumOf('colour', 'volume', 'dyes added up', dropsMl)
  return {
    supplies: sheetSupplies(sheets, shelf.stock),
    dyeUses: uses,
    cost: costOf(sheets, colour, handsOn, shelf.prices),
  }
}
