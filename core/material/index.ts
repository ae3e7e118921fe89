export { COVERINGS, coveringIds, coveringOf, type Covering, type CoveringId } from './covering'
export { DROP_ML, DYES, type Bands, type Dye } from './dye'
export { PAPER_KINDS, paperIds, paperOf, PAPERS, type Paper, type PaperId } from './paper'
export {
  disc,
  isSameShape,
  rect,
  shapeBox,
  shapeDm2,
  shapeKey,
  shapeName,
  stockShapeSchema,
  type StockShape,
} from './stockShape'
