export { costOf, pricesSchema, STARTING_PRICES, type Prices } from './cost'
export { discStockSchema, discSupplies, type DiscStock, type DiscSupply } from './shopping'
