import { z } from 'zod'
import { accentSchema } from '../accent'
import { boxSchema, cakeSchema } from '../cake'
import { bouquetSchema, byHandSchema, compositionSchema, gatheredSchema, quietSchema } from '../compose'
import { cuttingSchema, keptSheetSchema, MOST_OWN_PIECES, ownPieceSchema } from '../cut'
import { climateSchema, DRYING_WAYS } from '../dry'
import { benchSchema, photoSchema } from '../ledger'
import { momentSchema, parseMoment, UNIT_SYSTEMS } from '../quantity'
import { COMPLETIONS } from '../schedule'
import { glueIds, paperIds, stockShapeSchema } from '../material'
import { finishIds, GLUED, techniqueOf, TECHNIQUES, waysToDry, type Technique } from '../technique'
import { colouringSchema } from '../tint'

const hexColour = z.string().regex(/^#[0-9a-f]{6}$/i, 'A colour such as #d9572b is expected.')

export const MOST_PHOTOS = 8
const MOST_PINS = 400

const MOST_SHADES = 6
const MOST_FINISHES = 4
const MOST_SHAPES = 8
const MOST_TOLD_SIZES = 6

/** How elements dry, and the warmth of water and oven where they are soaked or dried in one. */
const dryingSchema = z.strictObject({
  way: z.enum(DRYING_WAYS),
  soakWaterC: z.number().min(5).max(60).meta({ label: 'Soaking water', kind: 'temperature' }),
  ovenC: z.number().min(50).max(100).meta({ label: 'Oven', kind: 'temperature' }),
})

/** What every decoration has besides its technique. */
export const decorationFields = {
  id: z.string().min(1).max(60),
  /** What it is called; its technique's name when nothing is typed. */
  name: z.string().max(40).meta({ label: 'Called' }),
  composition: compositionSchema,
  /** Which sizes, as shares of the biggest, and how many of each; none told where place and irregularity decide. */
  sizes: z
    .array(
      z.strictObject({
        share: z.number().min(0.2).max(1).meta({ label: 'Of the biggest', kind: 'share' }),
        many: z.number().int().min(1).max(80).meta({ label: 'How many', kind: 'count' }),
      }),
    )
    .max(MOST_TOLD_SIZES),
  paper: z.enum(paperIds).meta({ label: 'Paper' }),
  /** Sheets and discs it may be cut from; any of its paper that the workshop uses when none is named. */
  stock: z.array(stockShapeSchema).max(MOST_SHAPES).meta({ label: 'Sheets' }),
  colour: z.strictObject({
    heart: hexColour.meta({ label: 'At the heart' }),
    tail: hexColour.meta({ label: 'At the tail' }),
    steps: z
      .number()
      .int()
      .min(1)
      .max(MOST_SHADES)
      .meta({ label: 'Shades', kind: 'count', help: '1 is one colour for all' }),
  }),
  finishes: z
    .array(
      z.strictObject({
        finish: z.enum(finishIds),
        colour: hexColour.meta({ label: 'Colour' }),
        share: z.number().min(0.05).max(1).meta({ label: 'How much', kind: 'share' }),
      }),
    )
    .max(MOST_FINISHES),
  quiet: quietSchema,
  byHand: byHandSchema,
  /** Its part in a bouquet; while it has one, its own composition waits. */
  gathered: gatheredSchema.nullable(),
  cutting: cuttingSchema,
  colouring: colouringSchema,
  drying: dryingSchema,
  /** What fixes it, where that holds on the covering; the usual one there when none is chosen. */
  glue: z.enum(glueIds).nullable(),
  /** When it is glued on, for skins; others are placed. */
  glued: z.enum(GLUED).meta({ label: 'Glued on' }),
}

type DecorationOf<Each> =
  Each extends Technique<infer Parameters, infer Id>
    ? z.infer<z.ZodObject<typeof decorationFields>> & { technique: Id; parameters: z.infer<Parameters> }
    : never

/**
 * A decoration: a technique, where a composition or a bouquet puts it, what it is cut from, how it is coloured, dried
 * and finished, what was changed by hand.
 */
export type Decoration = DecorationOf<(typeof TECHNIQUES)[number]>

const [first, ...others] = TECHNIQUES.map(({ id, parameters }) =>
  z.strictObject({ ...decorationFields, technique: z.literal(id), parameters }),
)

/** One member for each technique that is listed: adding one there is enough. */
const decorationSchema = (z.discriminatedUnion('technique', [first!, ...others]) as unknown as z.ZodType<Decoration>)
  .refine(
    ({ technique, composition }) =>
      TECHNIQUES.find(({ id }) => id === technique)?.compositions.some((kind) => kind === composition.kind),
    { path: ['composition'], message: 'This technique is not arranged in this way.' },
  )
  .refine(
    ({ technique, gathered }) =>
      gathered === null || TECHNIQUES.some((each) => each.id === technique && 'gathers' in each),
    { path: ['gathered'], message: 'This technique is not gathered into bouquets.' },
  )
  .refine(({ technique, drying }) => waysToDry(techniqueOf(technique)).includes(drying.way), {
    path: ['drying'],
    message: 'This technique is not dried in this way.',
  })

export const MOST_DECORATIONS = 40
export const MOST_BOUQUETS = 6
const MOST_KEPT_SHEETS = 60
export const MOST_ACCENTS = 8

/** What must not be in it, asked by the client. */
const limitsSchema = z.strictObject({
  noGelatine: z.boolean().meta({ label: 'No gelatine' }),
  noDairy: z.boolean().meta({ label: 'No dairy' }),
  noAlcohol: z.boolean().meta({ label: 'No alcohol carrier' }),
  noColours: z.array(z.string().min(1).max(60)).max(12).meta({ label: 'No colour of this kind' }),
})

/** How the decorated cake is kept until the event. */
const KEEPINGS = ['roomTemperature', 'chilledSealed'] as const

/** What was asked for: when, where, in what air, in which box. */
export const briefSchema = z.strictObject({
  name: z.string().min(1).max(80).meta({ label: 'Commission' }),
  occasion: z.string().max(120).meta({ label: 'Occasion' }),
  eventAt: z
    .string()
    .max(16)
    .refine((text) => parseMoment(text).ok, 'A date and hour such as 2026-12-05T18:30 is expected.')
    .meta({ label: 'Event' }),
  driveMin: z.number().min(0).max(1440).meta({ label: 'Drive', kind: 'duration' }),
  stops: z
    .array(
      z.strictObject({
        name: z.string().min(1).max(60),
        minutes: z.number().min(0).max(600).meta({ label: 'Stop', kind: 'duration' }),
      }),
    )
    .max(6),
  completion: z.enum(COMPLETIONS).meta({ label: 'Who completes it' }),
  venueOpensMin: z.number().int().min(0).max(1440).meta({ label: 'Venue opens' }),
  /** In which units papers for the venue are told; null for those of the studio. */
  venueUnits: z.enum(UNIT_SYSTEMS).nullable().meta({ label: 'The venue measures in' }),
  workroom: climateSchema,
  venue: climateSchema,
  transport: climateSchema.extend({ coolCar: z.boolean().meta({ label: 'Cool car' }) }),
  keeping: z.enum(KEEPINGS).meta({ label: 'Kept until the event' }),
  box: boxSchema,
  limits: limitsSchema,
  portions: z.number().int().min(0).max(2000).meta({ label: 'Portions asked', kind: 'count' }),
  notes: z.string().max(4000).meta({ label: 'Notes' }),
  photos: z.array(photoSchema).max(MOST_PHOTOS),
})

export const PALETTE_ROLES = ['main', 'accent', 'ground', 'foliage'] as const

/** A tray to dip in, and how deep the bath must stand in it to cover a sheet. */
const traySchema = z.strictObject({
  lengthMm: z.number().min(80).max(800).meta({ label: 'Tray long', kind: 'length' }),
  widthMm: z.number().min(80).max(800).meta({ label: 'Tray wide', kind: 'length' }),
  depthMm: z.number().min(2).max(60).meta({ label: 'Bath deep', kind: 'length' }),
})

/** One of several cakes that would answer the brief. */
export const optionSchema = z
  .strictObject({
    id: z.string().min(1).max(60),
    name: z.string().min(1).max(40).meta({ label: 'Option' }),
    cake: cakeSchema,
    decorations: z.array(decorationSchema).max(MOST_DECORATIONS),
    bouquets: z.array(bouquetSchema).max(MOST_BOUQUETS),
    accents: z.array(accentSchema).max(MOST_ACCENTS),
    /** Sheets that stay as they are, whatever else is laid out. */
    keptSheets: z.array(keptSheetSchema).max(MOST_KEPT_SHEETS),
    /** Pieces from drawings of the decorator's own, cut beside the decorations'. */
    ownPieces: z.array(ownPieceSchema).max(MOST_OWN_PIECES),
    /** The tray that is dipped in. */
    tray: traySchema,
    /** Tasks put at an hour by hand, minutes since the beginning of 1970 by local time. */
    pins: z
      .record(z.string().min(1).max(120), momentSchema)
      .refine((all) => Object.keys(all).length <= MOST_PINS, `At most ${MOST_PINS} can be kept.`),
    tiersApart: z.number().int().min(0).max(7).meta({ label: 'Tiers that travel apart', kind: 'count' }),
  })
  .refine(
    ({ decorations, bouquets }) =>
      decorations.every(({ gathered }) => gathered === null || bouquets.some(({ id }) => id === gathered.bouquet)),
    { path: ['decorations'], message: 'A decoration is gathered in a bouquet that is not there.' },
  )

export type Option = z.infer<typeof optionSchema>

export const MOST_OPTIONS = 6

/** What is wanted: the brief, the colours, and the cakes that would answer it, one of them chosen. */
export const commissionSchema = z
  .strictObject({
    id: z.string().min(1).max(60),
    brief: briefSchema,
    palette: z
      .array(z.strictObject({ name: z.string().min(1).max(40), colour: hexColour, role: z.enum(PALETTE_ROLES) }))
      .max(24),
    options: z
      .array(optionSchema)
      .min(1)
      .max(MOST_OPTIONS)
      .refine((options) => new Set(options.map(({ id }) => id)).size === options.length, {
        message: 'Each option needs an id of its own.',
      }),
    chosen: z.string().max(60),
    /** What happened at the bench. */
    bench: benchSchema,
  })
  .refine(({ options, chosen }) => options.some(({ id }) => id === chosen), {
    path: ['chosen'],
    message: 'The chosen option is not among the options.',
  })

export type Commission = z.infer<typeof commissionSchema>

/** The option that is chosen. Works on drafts too, so that what is changed is the option itself. */
export const chosenOption = (commission: Commission): Option =>
  commission.options.find(({ id }) => id === commission.chosen)!

/** The same commission with another option chosen. */
export const choosing = (commission: Commission, id: string): Commission => ({ ...commission, chosen: id })
