export { costOf } from './cost'
export {
  inCurrency,
  PRICE_NAMES,
  priceOf,
  pricesSchema,
  STARTING_PRICES,
  startingPrices,
  type PriceName,
  type Prices,
} from './prices'
export {
  DISCS_IN_A_PACK,
  DYE_BOTTLE_ML,
  inPacksOf,
  inUsualPacks,
  pricedEach,
  SHEETS_IN_A_PACK,
  type PackName,
} from './usualPacks'
export { DYE_BASE_WORDS, dyeStockSchema, MOST_DYES_ON_SHELF, STARTING_DYES, type DyeStock } from './dyeStock'
export { colourNeeds } from './colourNeeds'
export { dyeUses, type DyeUse } from './dyeUse'
export {
  MOST_PIECE_BOXES,
  MOST_STOCK,
  paperItem,
  paperName,
  paperStock,
  pieceBoxSchema,
  pricingSchema,
  sheetsAtHomeSchema,
  SHELF_WORDS,
  SHELVES,
  STARTING_PIECE_BOXES,
  STARTING_PRICING,
  stockSchema,
  type PieceBox,
  type Pricing,
  type ShelfId,
  type Stock,
} from './stock'
export { listCost, merged, packPriceOf, shoppingList, type Need, type ShoppingLine } from './need'
export { sheetSupplies, stockWords, type SheetNeed, type SheetSupply } from './shopping'
