export { dyeItem, keptOf, putOnShelf, setOnHand, sheetItem, stockOf, type Item } from './stock'
export {
  MOST_BUSY,
  MOST_PETALS,
  MOST_RUNS,
  MOST_TRIALS,
  STARTING_WORKSHOP,
  workshopSchema,
  type Workshop,
} from './workshop'
