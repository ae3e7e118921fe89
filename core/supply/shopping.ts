import { shapeName, type PaperId, type StockShape } from '../material'
import { several, typed, type Working } from '../quantity'
import { paperItem, type Stock } from './stock'

/** Sheets of one paper and size that a job takes. */
export type SheetNeed = { readonly paper: PaperId; readonly shape: StockShape; readonly needed: Working }

/** What paper comes as, by what of it there is: "sheets", "disc", "sheets and discs". */
export function stockWords(needs: readonly SheetNeed[]): string {
  const many = (kind: StockShape['kind']): number =>
    needs.reduce((sum, { shape, needed }) => sum + (shape.kind === kind ? needed.value : 0), 0)
  const [sheets, discs] = [many('rect'), many('disc')]
  if (sheets > 0 && discs > 0) return 'sheets and discs'
  return discs > 0 ? word(discs, 'disc') : word(sheets, 'sheet')
}

const word = (count: number, one: string): string => (count === 1 ? one : several(one))

/** What a job takes of a paper and size against the shelf; nothing on hand is known of what was never kept. */
export type SheetSupply = SheetNeed & { readonly onHand: Working | null }

/** Sheets needed, and on hand where they are kept in stock. */
export const sheetSupplies = (needs: readonly SheetNeed[], stock: readonly Stock[]): readonly SheetSupply[] =>
  needs.map((need) => {
    const kept = stock.find(({ item }) => item === paperItem(need.paper, need.shape))
    return {
      ...need,
      onHand: kept ? typed(`${shapeName(need.shape)} on the shelf`, kept.onHand, 'count', 'Supply') : null,
    }
  })
