/** How colour comes to paper: brushed, misted, dipped, dipped in one bath from pale to deep, stirred into slurry. */
import { z } from 'zod'
import { derive, found, starting, type Working } from '../quantity'
import type { ColouredSheet, SheetState } from './paperOptics'
import type { BathTray } from './steppedBath'

export const COLOURING_WAYS = ['bare', 'brush', 'mist', 'bath', 'stepped', 'slurry'] as const
export type ColouringWay = (typeof COLOURING_WAYS)[number]

export const CARRIERS = ['water', 'spirit', 'conditioner', 'oil'] as const
export type Carrier = (typeof CARRIERS)[number]

export const COLOURING_WORDS: Readonly<Record<ColouringWay, string>> = {
  bare: 'left bare',
  brush: 'brushed',
  mist: 'misted',
  bath: 'dipped',
  stepped: 'dipped from pale to deep',
  slurry: 'in the slurry',
}
export const CARRIER_WORDS: Readonly<Record<Carrier, string>> = {
  water: 'boiled, cooled water',
  spirit: 'strong clear alcohol',
  conditioner: 'glycerin conditioner',
  oil: 'oil',
}

/** How a decoration is coloured: in which way, on how many faces, in how many coats, thinned with what. */
export const colouringSchema = z.strictObject({
  way: z.enum(COLOURING_WAYS).meta({ label: 'Coloured' }),
  carrier: z.enum(CARRIERS).meta({ label: 'Thinned with' }),
  faces: z.union([z.literal(1), z.literal(2)]).meta({ label: 'Faces' }),
  coats: z.number().int().min(1).max(4).meta({ label: 'Coats', kind: 'count' }),
})

export type Colouring = z.infer<typeof colouringSchema>

export const STARTING_COLOURING: Colouring = { way: 'brush', carrier: 'spirit', faces: 1, coats: 1 }

/** Which liquids dry off, and how long a dish of them can be used: spirit goes off into the air, water keeps cold. */
export const DISH_KEEPS: Readonly<Record<Carrier, string>> = {
  water: 'covered and cold, three days',
  spirit: 'covered, the day; top up what dries off',
  conditioner: 'covered and cold, a week',
  oil: 'covered, a week; stir before use',
}

/**
 * What stays on a face, g/dm²: a coat of paint, a coat of conditioner, a passing mist, a dip and out again (usual
 * practice, each within a half).
 */
const ON_PAPER: Readonly<Record<ColouringWay, number>> = {
  bare: 0,
  brush: 0.5,
  mist: 0.3,
  bath: 3,
  stepped: 3,
  slurry: 3,
}
const CONDITIONER_ON_PAPER = 0.4
/** What reaches the paper of what is used; the rest stays in brush, air and dish. */
const REACHES: Readonly<Record<ColouringWay, number>> = {
  bare: 1,
  brush: 0.8,
  mist: 0.7,
  bath: 1,
  stepped: 1,
  slurry: 1,
}
/** Left in the dish when a brush takes up no more, ml. */
const DISH_ML = 3
const MM2_PER_CM2 = 100
const MM_PER_CM = 10
const RESERVE = 1.1

const onPaper = ({ way, carrier }: Colouring): number =>
  way === 'brush' && carrier === 'conditioner' ? CONDITIONER_ON_PAPER : ON_PAPER[way]

/**
 * A sheet as it is coloured, for its optics.
 * @param state how it is finished: dried, in a pan, fried
 * @param grows how long a piece is then against its length when it was coloured
 */
export function colouredSheet(
  kind: ColouredSheet['kind'],
  thicknessMm: number,
  state: SheetState,
  colouring: Colouring,
  grows = 1,
): ColouredSheet {
  const { way, faces, coats } = colouring
  const through = way === 'bath' || way === 'stepped' || way === 'slurry'
  return {
    kind,
    thicknessMm,
    plies: 1,
    state,
    grows,
    colouring: through
      ? { by: 'bath', gPerDm2: onPaper(colouring) }
      : { by: 'brush', gPerDm2: onPaper(colouring) * coats, faces },
  }
}

/**
 * How much of a colour is mixed.
 *
 * By hand: 6 dm² brushed on one face once: 6 × 0.5 ÷ 0.8 + 3 = 6.75 ml; globes of 10.4 dm² on both faces: 10.4 × 2 × 0.5 ÷
 * 0.8 + 3 = 16 ml. 4 dm² dipped in a tray of 24 × 24 cm, 8 mm
 * deep: 1.1 × ( 4 × 3 + 461 ) = 520 ml.
 *
 * @param area one face of all that is coloured, dm²
 * @param base what the colour is stirred into, where that is made anyway: slurry, or conditioner that is brushed on
 */
export function colourVolume(colouring: Colouring, area: Working, tray: BathTray, base: Working | null): Working {
  const { way, faces, coats } = colouring
  const rate = starting('for a dm²', onPaper(colouring), 'volume', 'usual')
  if (base || way === 'slurry') {
    const into = base ?? found('slurry', 0, 'volume', 'none is made')
    return derive(`${into.label} to colour`, 'volume', 'colour is stirred into it', '{into}', { into }, (v) => v.into)
  }
  if (way === 'bath') {
    const filled = found(
      'bath that fills the tray',
      (tray.lengthMm * tray.widthMm * tray.depthMm) / MM2_PER_CM2 / MM_PER_CM,
      'volume',
      'length × width × depth of the tray in Tint',
    )
    return derive(
      'bath',
      'volume',
      'bath in a tray',
      '1.1 × ( {area} × {rate} + {filled} )',
      { area, rate, filled },
      (v) => RESERVE * (v.area * v.rate + v.filled),
    )
  }
  return derive(
    way === 'mist' ? 'colour to mist' : 'colour to brush',
    'volume',
    'colour on faces',
    '{area} × {faces} × {coats} × {rate} ÷ {reaches} + {dish}',
    {
      area,
      faces: found('faces', faces, 'count', 'chosen in Tint'),
      coats: found('coats', coats, 'count', 'chosen in Tint'),
      rate,
      reaches: starting('share that reaches the paper', REACHES[way], 'share', 'guess'),
      dish: starting('left in the dish', DISH_ML, 'volume', 'guess'),
    },
    (v) => (v.area * v.faces * v.coats * v.rate) / v.reaches + v.dish,
  )
}
