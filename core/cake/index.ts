export { boxSchema, fitInBox, type Box, type BoxFit } from './boxFit'
export { coveringAmount, type CoveringAmount } from './coveringAmount'
export { boardReachMm, edgePoints, isWithin } from './ledge'
export { scallopGuide, type ScallopGuide } from './scallopGuide'
export {
  chordMm,
  definitionOf,
  extentMm,
  insetShape,
  lobesMeet,
  overLobes,
  overLobesMm,
  perimeterMm,
  reachMm,
  roundShape,
  shapeSchema,
  SHAPES,
  widened,
  type Scalloped,
  type Shape,
  type ShapeKind,
} from './shape'
export {
  alongAt,
  angleAt,
  edgeScale,
  leastReach,
  offWall,
  surfacesOf,
  wallPoint,
  type EdgeScale,
  type Surfaces,
} from './side'
export { flatSides, type FlatSide } from './faces'
export { oneBeside } from './beside'
export { firstPile, leanDeg, pilesIn, pilesOf, stackHeightMm, stackTiers, tierAt, tierOn, tierWords } from './stack'
export { portionsOf } from './portions'
export { sectionAt, type StandingTier } from './standing'
export { startingCake, TIER_COUNTS } from './startingCake'
export { supportsOf, type Support } from './support'
export {
  boardSchema,
  cakeSchema,
  MOST_TIERS,
  roundTier,
  spacerSchema,
  stackedTiers,
  tierSchema,
  type Board,
  type Cake,
  type Tier,
} from './tier'
export { warmThrough, type Warming } from './warming'
