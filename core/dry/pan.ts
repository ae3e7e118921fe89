import { latentHeatJkg } from './air'
import { dryMassKgM2, type Sheet } from './dryingCurve'

/** Heat from a pan's face to a sheet pressed on it, W/m²K. A guess that meets reported times. */
const PAN_WM2K = 200
const STARCH_HEAT_JKGK = 1500
const WATER_HEAT_JKGK = 4180
const BOILING_C = 100
const GRAMS_DM2_PER_KG_M2 = 10
const S_PER_MIN = 60

/**
 * Minutes in a hot pan until a sheet's water has boiled off: contact heat rules here, not the air. It leaves the pan
 * still bendable.
 *
 * By hand: 3 g/dm² at 140 °C: warming 7 s, boiling 85 s, 92 s in all.
 *
 * @param panC the pan's face, above boiling
 */
export function panMin(sheet: Sheet, waterGPerDm2: number, panC: number, roomC: number): number {
  const water = waterGPerDm2 / GRAMS_DM2_PER_KG_M2
  const heat = dryMassKgM2(sheet) * STARCH_HEAT_JKGK + water * WATER_HEAT_JKGK
  const warming = (heat * (BOILING_C - roomC)) / (PAN_WM2K * ((panC - BOILING_C + panC - roomC) / 2))
  return (warming + (latentHeatJkg(BOILING_C) * water) / (PAN_WM2K * (panC - BOILING_C))) / S_PER_MIN
}
