import { z } from 'zod'
import { coveringIds } from '../material'
import { roundShape, shapeSchema } from './shape'

const hexColour = z.string().regex(/^#[0-9a-f]{6}$/i, 'A colour such as #d9572b is expected.')

/** Separator that holds a tier above the one below: a round block, seen or hidden by decorations. */
export const spacerSchema = z.strictObject({
  heightMm: z.number().min(5).max(200).meta({ label: 'Spacer high', kind: 'length' }),
  acrossMm: z.number().min(40).max(500).meta({ label: 'Spacer across', kind: 'length' }),
})

/** One tier as the user gives it, sizes over the covering, at its foot. */
export const tierSchema = z.strictObject({
  id: z.string().min(1).max(40),
  shape: shapeSchema,
  heightMm: z.number().min(15).max(400).meta({ label: 'High', kind: 'length' }),
  taperDeg: z
    .number()
    .min(-12)
    .max(20)
    .meta({ label: 'Leans in', kind: 'angle', help: 'Side from upright; negative leans out' }),
  turnDeg: z.number().min(-180).max(180).meta({ label: 'Turned', kind: 'angle', help: 'From the front' }),
  stands: z.enum(['stacked', 'loose']).meta({ label: 'Stands', help: 'On the tier below, or loose on the board' }),
  offset: z.strictObject({
    rightMm: z
      .number()
      .min(-400)
      .max(400)
      .meta({ label: 'Off to the right', kind: 'length', help: 'Negative is left' }),
    backMm: z.number().min(-400).max(400).meta({ label: 'Off to the back', kind: 'length', help: 'Negative is front' }),
  }),
  spacer: spacerSchema.nullable(),
  covering: z.enum(coveringIds).meta({ label: 'Covered with' }),
  colour: hexColour.nullable().meta({ label: 'Colour' }),
  inside: z.enum(['cake', 'dummy']).meta({ label: 'Inside' }),
  chilled: z.boolean().meta({ label: 'Filling must stay chilled' }),
  builtOfTwo: z.boolean().meta({ label: 'Built of two, with a card between' }),
})

export type Tier = z.infer<typeof tierSchema>

export const boardSchema = z.strictObject({
  outline: z.enum(['round', 'square']).meta({ label: 'Board' }),
  acrossMm: z.number().min(80).max(800).meta({ label: 'Board across', kind: 'length' }),
  thicknessMm: z
    .number()
    .min(1)
    .max(40)
    .meta({ label: 'Board thickness', kind: 'length', help: 'A drum is 10 mm or more' }),
})

export type Board = z.infer<typeof boardSchema>

export const MOST_TIERS = 12

/**
 * The cake as the user gives it: a board and one or more tiers, each pile bottom up. A loose tier begins a pile of its
 * own on the board, beside the others; the first does anyway.
 */
export const cakeSchema = z.strictObject({
  board: boardSchema,
  tiers: z
    .array(tierSchema)
    .min(1)
    .max(MOST_TIERS)
    .refine((tiers) => new Set(tiers.map(({ id }) => id)).size === tiers.length, {
      message: 'Each tier needs an id of its own.',
    }),
})

export type Cake = z.infer<typeof cakeSchema>

/** Tiers that stand on another: all but the first of each pile. */
export const stackedTiers = (tiers: readonly Pick<Tier, 'stands'>[]): number =>
  tiers.filter(({ stands }, at) => at > 0 && stands === 'stacked').length

/** A plain round tier to begin with. */
export const roundTier = (id: string, acrossMm: number, heightMm: number): Tier => ({
  id,
  shape: roundShape(acrossMm),
  heightMm,
  taperDeg: 0,
  turnDeg: 0,
  stands: 'stacked',
  offset: { rightMm: 0, backMm: 0 },
  spacer: null,
  covering: 'fondant',
  colour: null,
  inside: 'cake',
  chilled: false,
  builtOfTwo: false,
})
