export { costOf, pricesSchema, STARTING_PRICES, type Prices } from './cost'
export { DYE_BASE_WORDS, DYE_BASES, dyeStockSchema, MOST_DYES_ON_SHELF, STARTING_DYES, type DyeStock } from './dyeStock'
export { dyeUses, type DyeUse } from './dyeUse'
export { discStockSchema, discSupplies, type DiscStock, type DiscSupply } from './shopping'
