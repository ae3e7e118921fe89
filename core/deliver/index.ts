export { packingOf, repairKitOf, PADDING_MM, type PackedBox, type Packing } from './packing'
export type { Block, Paper } from './paper'
export { checklistOf, handoverPack, quotePaper, shoppingPaper, type ChecklistLine } from './papers'
export { clockOf, placingsOf, type Placing } from './placing'
