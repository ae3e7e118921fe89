export { blend } from './blend'
export {
  absorptionFor,
  absorptionFromSwatch,
  backBands,
  bandsHex,
  difference,
  hexBands,
  hexOklab,
  layer,
  over,
  sentBack,
  sheetBands,
  sheetHex,
  sheetOklab,
  SOAKED_FILM,
  STRIPS,
  throughBands,
  WHITE_BEHIND,
  type ColouredSheet,
  type Dose,
  type SheetState,
} from './paperOptics'
export {
  CARRIERS,
  CARRIER_WORDS,
  COLOURING_WAYS,
  COLOURING_WORDS,
  colouringSchema,
  colouredSheet,
  DISH_KEEPS,
  STARTING_COLOURING,
  type Carrier,
  type Colouring,
  type ColouringWay,
} from './colouring'
export { doseWords, powderG } from './doseWords'
export { cssHex } from './cssColour'
export { dishesFor, type ColourWish, type Dish, type Dishes } from './dish'
export { LOOKS, LOOK_WORDS, seenHex, type Look } from './looks'
export { colourName, namesApart } from './naming'
export { bathsFor, bathStep, type Bath, type BathWish } from './bath'
export { evenLadder, nearestStrength } from './ladder'
export { recipeFor, type OutOfReach } from './recipe'
export { addition, dippedSteps, STARTING_TRAY, steppedBath, type BathTray } from './steppedBath'
