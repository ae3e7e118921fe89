export {
  CURRENCIES,
  currencyName,
  currencyOfLocale,
  currencySign,
  guessIn,
  printMoney,
  type Currency,
} from './currency'
export { measureSentence, printNumber } from './measure'
export {
  clockText,
  dateClockText,
  dateText,
  dayClockText,
  dayOf,
  MINUTES_PER_DAY,
  momentSchema,
  momentText,
  parseMoment,
  weekdayOf,
  type Moment,
} from './moment'
export { ok, refuse, valueOf, type Result } from './result'
export { counted, percent, several } from './words'
export { between, seededStream, seedFor } from './seed'
export { NINETY_PERCENT, normalDensity, normalShareBelow } from './spread'
export {
  exampleOf,
  parseQuantity,
  printDuration,
  printQuantity,
  UNIT_SYSTEMS,
  type QuantityKind,
  type UnitSystem,
} from './units'
export {
  derive,
  found,
  printWorkingValue,
  setting,
  starting,
  sumOf,
  typed,
  workingsBelow,
  workingSentence,
  type Working,
  type WorkingKind,
} from './working'
