import { kelvin } from './air'

const REFERENCE_SOAK_MIN = 1
const REFERENCE_THICKNESS_MM = 0.2
const REFERENCE_WATER_K = 311
const ACTIVATION_K = 4200
const FULL_UPTAKE_GG = 1.7

/**
 * Minutes in water until rice film is limp as cloth: with the square of its thickness, slower in cooler water.
 * Starting value, usual practice: 1 min for 0.2 mm at 38 °C.
 */
export const soakMin = (thicknessMm: number, waterC: number): number =>
  REFERENCE_SOAK_MIN *
  (thicknessMm / REFERENCE_THICKNESS_MM) ** 2 *
  Math.exp(ACTIVATION_K * (1 / kelvin(waterC) - 1 / REFERENCE_WATER_K))

/** Water taken up, g per g dry film, after a share of the full soaking time (1 = soaked just till limp). */
export const uptakeGG = (shareOfSoak: number): number => FULL_UPTAKE_GG * (1 - Math.exp(-shareOfSoak))
