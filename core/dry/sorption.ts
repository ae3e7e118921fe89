/** Water bound by starch in balance with air. Moisture X in g water per g dry starch, activity a from 0 to 1. */
import { kelvin } from './air'

const MONOLAYER_AT_22C = 0.095
const MONOLAYER_FALL_PER_KELVIN = 0.006
const BINDING_AT_22C = 12
const BINDING_KELVIN = 1000
const MULTILAYER = 0.74
const REFERENCE_C = 22

/** While a dry sheet takes water up it holds less than while it gives water off, at the same air. */
export const REWETTING_SHARE = 0.92

const monolayer = (celsius: number): number =>
  MONOLAYER_AT_22C * (1 - MONOLAYER_FALL_PER_KELVIN * (celsius - REFERENCE_C))
const binding = (celsius: number): number =>
  BINDING_AT_22C * Math.exp(BINDING_KELVIN * (1 / kelvin(celsius) - 1 / kelvin(REFERENCE_C)))

/** Moisture in balance with an activity while drying. @see van den Berg & Bruin 1981 (the GAB isotherm) */
export function moistureAt(activity: number, celsius: number): number {
  const c = binding(celsius)
  const ka = MULTILAYER * activity
  return (monolayer(celsius) * c * ka) / ((1 - ka) * (1 - ka + c * ka))
}

/**
 * Water that glycerin holds besides, g per g dry starch. @param glycerinGG glycerin, g per g dry starch; nearly an
 * ideal solution
 */
export const glycerinWater = (activity: number, glycerinGG: number): number =>
  glycerinGG === 0 ? 0 : (0.235 * glycerinGG * activity) / (1 - activity)

/** The activity that holds a moisture while drying: the inverse of `moistureAt`, never above 1. */
export function activityAt(moisture: number, celsius: number): number {
  if (moisture <= 0) return 0
  const c = binding(celsius)
  const square = (c - 1) * moisture
  const linear = monolayer(celsius) * c - (c - 2) * moisture
  const ka = (-linear + Math.sqrt(linear * linear + 4 * square * moisture)) / (2 * square)
  return Math.min(1, ka / MULTILAYER)
}
