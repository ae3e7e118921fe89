export { benchSupplyOf, type BenchSupplyId } from './supply'
export { COVERINGS, coveringIds, coveringOf, type Covering, type CoveringId } from './covering'
export { glueIds, glueOf, type Glue, type GlueId } from './glue'
export type { Ingredient } from './ingredient'
export { DROP_ML, DYE_BASES, DYES, POWDER_G_PER_DROP, POWDER_G_PER_ML, type Bands, type Dye, type DyeBase } from './dye'
export { PAPER_KINDS, paperIds, isUsualSize, paperOf, PAPERS, type Paper, type PaperId } from './paper'
export {
  disc,
  isSameShape,
  rect,
  shapeBox,
  shapeDm2,
  shapeKey,
  shapeName,
  sheetCount,
  sheetsOfWords,
  stockShapeSchema,
  type StockShape,
} from './stockShape'
