export { changesFrom, withChanges, type PlanChanges } from './changes'
export { accentMeshesOf } from './accents'
export {
  gatheredIn,
  newCommission,
  STARTING_BRIEF,
  STARTING_PALETTE,
  startingColouring,
  startingComposition,
  startingGathering,
  startingPaperwork,
  startingSweep,
} from './beginnings'
export { fitCake, type BoxRemedy } from './boxFit'
export {
  briefSchema,
  choosing,
  chosenOption,
  commissionSchema,
  MOST_ACCENTS,
  MOST_BOUQUETS,
  MOST_OPTIONS,
  MOST_PAPERWORK,
  MOST_PHOTOS,
  optionSchema,
  PALETTE_ROLES,
  sailSweepSchema,
  type Commission,
  type Option,
  type PaperDecoration,
  type SailSweep,
} from './commission'
export { WHAT_IFS, wordsFor, type WhatIf } from './whatIfs'
export {
  keptSheetOf,
  ownWork,
  sheetFaults,
  wayChoices,
  type CutGroup,
  type CutWork,
  type Nested,
  type WayChoice,
} from './cutting'
export { createPlanner, derivePlan } from './derivePlan'
export { type LeafState, type Plan, type PlanInputs, type TallyFigure, type TallyId } from './plan'
export {
  MOST_PETALS,
  MOST_BUSY,
  MOST_RUNS,
  MOST_TRIALS,
  STARTING_WORKSHOP,
  workshopSchema,
  type Workshop,
} from './workshop'
export { colourOf, meshesOf, stepKey, techniqueOf, type Paperwork, type PieceClass } from './paperwork'
export { needsOf } from './needs'
export { quoteOf, type Quote } from './quote'
export { keptOf, putOnShelf, stockOf } from './stock'
export { remember } from './remember'
export { STARTING_POINTS, type StartingPoint } from './startingPoints'
