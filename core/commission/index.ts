export {
  gatheredIn,
  newCommission,
  STARTING_BRIEF,
  STARTING_PALETTE,
  STARTING_TRAY,
  startingColouring,
  startingComposition,
  startingDecoration,
  startingGathering,
} from './beginnings'
export { arrangedAs } from './arrangedAs'
export { anotherName, duplicated, forAnotherOption, movedTo, onAnotherTier, placeOf } from './rearranged'
export { askedFor, laidOut, type LyingOn } from './laidOut'
export { waysToFit, wayToFitWords, type WayToFit } from './waysToFit'
export {
  briefSchema,
  choosing,
  chosenOption,
  commissionSchema,
  decorationFields,
  MOST_ACCENTS,
  MOST_BOUQUETS,
  MOST_DECORATIONS,
  MOST_OPTIONS,
  MOST_PHOTOS,
  optionSchema,
  PALETTE_ROLES,
  type Commission,
  type Decoration,
  type Option,
} from './commission'
export { type StartingPoint } from './startingCakes'
export { STARTING_POINTS } from './startingPoints'
