export { budMesh } from './bud'
export { fitPetal } from './fit'
export { floretOutline } from './floret'
export { bloomDepth, bloomMesh, longestPetal, type BloomFrame, type PetalLayer } from './bloom'
export { coneHalfAngle, coneShare, cupDepth } from './cone'
export {
  halfWidthAt,
  isPetalShape,
  PETAL_FIELDS,
  PETAL_SHAPES,
  petalFields,
  petalOutline,
  petalSchema,
  type PetalShape,
} from './outline'
export { petalPieces, whorlByWhorl } from './pieces'
export { bloomStance } from './stance'
