export { minutesEach, stepKey, type TypedMinutes } from './labour'
export { elementColour, meshesOf, wallFor } from './meshes'
export { faceDm2, type PieceClass } from './pieces'
export {
  learnedOf,
  plannedDecoration,
  seenOf,
  shapesFor,
  type DecorationInputs,
  type PlannedDecoration,
} from './planned'
export { NO_REACH, together } from './reach'
