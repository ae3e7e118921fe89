export {
  AIR_MOTIONS,
  climateSchema,
  dewPointC,
  moved,
  onMat,
  standingFree,
  saturationPa,
  USUAL_ROOM,
  type AirMotion,
  type Climate,
} from './air'
export { dryingCurve, PACKET_MOISTURE, type CurvePoint } from './dryingCurve'
export { DRYING_CASES, dryingCaseMin, type DryingCaseId } from './dryingCases'
export {
  chanceOfSetting,
  estimateDrying,
  HYGROMETER_DEVIATION,
  SETTING_LIMIT,
  SETTING_LIMIT_DEVIATION,
  type DryingEstimate,
  type DryingLearned,
} from './dryingEstimate'
export { conditionedTouchMin } from './conditioned'
export { moistureOf, READINESS, softeningKelvin, type Readiness } from './readiness'
export { airAt, airOver, FORECAST_DAYS, forecastSchema, isDamp, type Forecast } from './forecast'
export { hear, lostLine, NOT_HEARD, overdue, sensorSentence, type SensorState } from './roomSensor'
export { moistureAfter, paperSheet } from './paperSheet'
export { dryingRemedies, settingMin, type DryingRemedy } from './remedies'
export { DRYING_WAYS, DRYING_WORDS, type DryingWay } from './ways'
export { activityBetween, stiffOnCake } from './onCake'
export { panMin } from './pan'
