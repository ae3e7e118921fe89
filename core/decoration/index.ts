export { gluesFor, setMinOf, type Gluing } from './gluing'
export { handsAt, LEAST_STEP_MIN, minutesEach, stepKey, type CutShare, type TypedMinutes } from './labour'
export { elementColour, meshesOf, wallFor } from './meshes'
export { extentOf, faceDm2 } from './extent'
export { runEnds, shadeColour, type PieceClass } from './pieces'
export { finishesAt, wiresOf } from './takes'
export { shapesFor, thicknessOf } from './sizeChoices'
export {
  learnedOf,
  plannedDecoration,
  seenOf,
  standingBefore,
  type DecorationInputs,
  type PlannedDecoration,
} from './planned'
export { NO_REACH, together } from './reach'
