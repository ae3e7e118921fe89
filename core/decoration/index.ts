export { minutesEach, PLACING, stepKey, type TypedMinutes } from './labour'
export { elementColour, meshesOf, wallFor } from './meshes'
export { extentOf, faceDm2, shadeOf, type PieceClass } from './pieces'
export {
  learnedOf,
  plannedDecoration,
  seenOf,
  shapesFor,
  type DecorationInputs,
  type PlannedDecoration,
} from './planned'
export { NO_REACH, reachOf, together, type Reach } from './reach'
