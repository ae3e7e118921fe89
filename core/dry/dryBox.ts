/** A closed box with desiccant: how dry it holds the air over pieces that give off their last water in it. */
import { moistureOf } from './readiness'
import { dryMassKgM2, type Sheet } from './dryingCurve'

/**
 * Silica gel in balance with air holds half as much water, as a share of its own mass, as the air's humidity: 0.2 g/g
 * at 40 %. Usual practice.
 */
const HELD_PER_HUMIDITY = 0.5
/** No closed box in a workroom is drier than that. */
const DRIEST = 0.1
const G_PER_DM2 = 10

/** Water that firm pieces give off until they are set hard, g. @param areaDm2 of all pieces, one face */
export const waterFromFirmG = (sheet: Sheet, areaDm2: number, roomC: number): number =>
  dryMassKgM2(sheet) * G_PER_DM2 * areaDm2 * (moistureOf('firm', roomC) - moistureOf('set', roomC))

/**
 * Humidity in the box once its desiccant has taken so much water, 0.1 to 1; nothing is dried by what it does not take.
 *
 * By hand, 2 g of water to 10 g of desiccant: 0.2 ÷ 0.5 = 40 %.
 */
export const boxHumidity = (waterG: number, desiccantG: number): number =>
  desiccantG === 0 ? 1 : Math.min(1, Math.max(DRIEST, waterG / desiccantG / HELD_PER_HUMIDITY))
