import { z } from 'zod'
import { firstPile, type StandingTier } from '../../cake'
import { fields } from '../fields'

/**
 * Where a bouquet stands. A wreath is a ledge all the way round; a crescent runs along a top and is open to one side; a
 * dome is a top; a garland climbs across tiers.
 */
const BOUQUET_PLACES = ['ledge', 'crescent', 'shoulder', 'side', 'top', 'garland'] as const
export type BouquetPlace = (typeof BOUQUET_PLACES)[number]

const BOUQUET_PLACE_LABELS: Readonly<Record<BouquetPlace, string>> = {
  ledge: 'on a ledge',
  crescent: 'a crescent on a top',
  shoulder: 'over a shoulder',
  side: 'on a side',
  top: 'a dome on a top',
  garland: 'a garland across tiers',
}

/** The room that a bouquet fills, and how. */
export const bouquetSchema = z.strictObject({
  id: z.string().min(1).max(60),
  name: z.string().min(1).max(40),
  place: z.enum(BOUQUET_PLACES).meta({ label: 'Stands', kind: 'choice', options: BOUQUET_PLACE_LABELS }),
  tier: fields.tier,
  middleDeg: z.number().min(-180).max(180).meta({ label: 'Middle at', kind: 'angle', help: 'From the front' }),
  spanDeg: z.number().min(10).max(360).meta({ label: 'Reaches round', kind: 'angle', help: '360° is a wreath' }),
  upMm: z
    .number()
    .min(0)
    .max(600)
    .meta({ label: 'Begins at', kind: 'length', help: 'On a side or garland: above the tier’s foot' }),
  toMm: z.number().min(0).max(900).meta({ label: 'Ends at', kind: 'length', help: 'A garland: above the board' }),
  reach: z
    .number()
    .min(0)
    .max(1)
    .meta({ label: 'Towards the rim', kind: 'share', help: 'A crescent, a dome: 0 is the middle' }),
  outMm: z.number().min(15).max(160).meta({ label: 'Deep', kind: 'length', help: 'How far it comes forward' }),
  highMm: z.number().min(15).max(220).meta({ label: 'High', kind: 'length' }),
  full: z
    .number()
    .min(0.15)
    .max(0.9)
    .meta({ label: 'Full', kind: 'share', help: 'Airy to crowded: how much of its face is covered' }),
  movement: z
    .number()
    .min(-1)
    .max(1)
    .meta({ label: 'Movement', kind: 'ratio', help: 'Below 0 to the left, above to the right' }),
  seed: fields.seed,
})

export type Bouquet = z.infer<typeof bouquetSchema>

/** What an element is for in a bouquet, in the order in which it is placed: large first. */
export const BOUQUET_ROLES = ['focal', 'secondary', 'leaf', 'bud', 'filler'] as const
export type BouquetRole = (typeof BOUQUET_ROLES)[number]

export const BOUQUET_ROLE_LABELS: Readonly<Record<BouquetRole, string>> = {
  focal: 'focal',
  secondary: 'secondary',
  leaf: 'leaves',
  bud: 'buds',
  filler: 'filler',
}

/** A decoration's part in a bouquet: of all its elements, how many parts are these. */
export const gatheredSchema = z.strictObject({
  bouquet: z.string().min(1).max(60),
  role: z.enum(BOUQUET_ROLES).meta({ label: 'As', options: BOUQUET_ROLE_LABELS }),
  parts: z.number().min(0).max(40).meta({ label: 'Parts', kind: 'count', help: 'Of the recipe' }),
})

/** Whether it is bound to a top, so far towards its rim. */
export const isOnTop = ({ place }: Pick<Bouquet, 'place'>): boolean => place === 'top' || place === 'crescent'

/** How a crescent begins: well towards the rim, open over less than half a turn. */
const CRESCENT = { reach: 0.6, spanDeg: 200 } as const

/** A bouquet put at another place, with what that place begins with where nothing else was said. */
export function placedAt(bouquet: Bouquet, place: BouquetPlace, stack: readonly StandingTier[]): Bouquet {
  if (place !== 'crescent') return { ...bouquet, place }
  const begun = startingBouquet(bouquet.id, stack.length, bouquet.seed)
  return {
    ...bouquet,
    place,
    tier: stack[bouquet.tier]?.carries ? firstPile(stack).length - 1 : bouquet.tier,
    reach: bouquet.reach === begun.reach ? CRESCENT.reach : bouquet.reach,
    spanDeg: bouquet.spanDeg === begun.spanDeg ? CRESCENT.spanDeg : bouquet.spanDeg,
  }
}

/** Where a bouquet begins: on the lowest ledge at the front left, or as a dome when there is one tier. */
export const startingBouquet = (id: string, tiers: number, seed: number): Bouquet => ({
  id,
  name: 'Bouquet',
  place: tiers > 1 ? 'ledge' : 'top',
  tier: 0,
  middleDeg: -28,
  spanDeg: 80,
  upMm: 40,
  toMm: 200,
  reach: 0.2,
  outMm: 52,
  highMm: 70,
  full: 0.55,
  movement: 0.3,
  seed,
})
