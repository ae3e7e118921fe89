/** A closed box with desiccant: how dry it holds the air over pieces that give off their last water in it. */
import { derive, found, starting, typed, type Working } from '../quantity'
import type { Sheet } from './dryingCurve'
import { dryGDm2 } from './paperSheet'
import { moistureOf } from './readiness'

/**
 * Silica gel in balance with air holds half as much water, as a share of its own mass, as the air's humidity: 0.2 g/g
 * at 40 %.
 */
const HELD_PER_HUMIDITY = starting('water it holds, for the humidity of air', 0.5, 'ratio', 'usual')
/** No closed box in a workroom is drier than that. */
const DRIEST = starting('the driest box', 0.1, 'share', 'usual')

/** Water that firm pieces give off until they are set hard. @param areaDm2 of all pieces, one face */
export const waterFromFirm = (sheet: Sheet, areaDm2: number, roomC: number): Working =>
  derive(
    'water given off',
    'mass',
    'from firm to set hard',
    '{area} × {starch} × {each} ÷ 100 g',
    {
      area: found('film', areaDm2, 'area', 'faces of all pieces, spares too'),
      starch: found('starch in a dm²', dryGDm2(sheet), 'mass', 'by its thickness and density'),
      each: found(
        'water that 100 g of it give off',
        100 * (moistureOf('firm', roomC) - moistureOf('set', roomC)),
        'mass',
        'what they hold when firm less what they hold when hard',
      ),
    },
    (v) => (v.area * v.starch * v.each) / 100,
  )

/**
 * Humidity in the box once its desiccant has taken so much water, 0.1 to 1; nothing is dried by what it does not take.
 *
 * By hand, 2 g of water to 10 g of desiccant: 0.2 ÷ 0.5 = 40 %.
 */
export const boxHumidity = (water: Working, desiccantG: number): Working =>
  derive(
    'humidity in the box',
    'share',
    'in balance with its desiccant',
    '{water} ÷ {desiccant} ÷ {held}, at least {driest}, at most all',
    {
      water,
      desiccant: typed('desiccant', desiccantG, 'mass', 'Dry'),
      held: HELD_PER_HUMIDITY,
      driest: DRIEST,
    },
    (v) => (v.desiccant === 0 ? 1 : Math.min(1, Math.max(v.driest, v.water / v.desiccant / v.held))),
  )
