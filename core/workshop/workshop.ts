import { z } from 'zod'
import { momentSchema } from '../quantity'
import { paperIds, PAPERS, stockShapeSchema } from '../material'
import { cuttingToolsSchema, MOST_REMNANTS, remnantSchema, STARTING_TOOLS } from '../cut'
import { paceSchema, STARTING_PACE, workingHoursSchema } from '../schedule'
import { dryingTrialSchema, dyeTrialSchema, runSchema, shrinkTrialSchema } from '../learn'
import {
  dyeStockSchema,
  MOST_DYES_ON_SHELF,
  MOST_PIECE_BOXES,
  MOST_STOCK,
  paperItem,
  pieceBoxSchema,
  pricesSchema,
  pricingSchema,
  STARTING_DYES,
  STARTING_PIECE_BOXES,
  STARTING_PRICES,
  STARTING_PRICING,
  stockSchema,
} from '../supply'
import { petalSchema } from '../technique'

export const MOST_PETALS = 40
const MOST_PAPERS = 60

const formerSchema = z.strictObject({
  count: z.number().int().min(0).max(60).meta({ label: 'How many', kind: 'count' }),
  lengthMm: z.number().min(100).max(1200).meta({ label: 'Long', kind: 'length' }),
  widthMm: z.number().min(100).max(1200).meta({ label: 'Wide', kind: 'length' }),
})

export const MOST_TRIALS = 400
export const MOST_RUNS = 2000
export const MOST_BUSY = 400

/** More steps than all techniques have. */
const MOST_STEP_MINUTES = 400

/** What the studio has: sheets and discs it works with, mats and trays, oven, hours and pace. */
export const workshopSchema = z.strictObject({
  /** Sheets and discs this studio knows, and which of them it works with. */
  papers: z
    .array(
      z.strictObject({
        paper: z.enum(paperIds),
        shape: stockShapeSchema,
        inUse: z.boolean(),
        thicknessMm: z.number().min(0.1).max(1).meta({ label: 'Thick', kind: 'length' }),
      }),
    )
    .max(MOST_PAPERS)
    .refine((papers) => new Set(papers.map(({ paper, shape }) => paperItem(paper, shape))).size === papers.length, {
      message: 'Each size of a paper must be listed once.',
    }),
  mats: formerSchema,
  trays: formerSchema,
  /** Half-spheres, holes in foam, pans, fans, racks, shelves in a room that a dehumidifier keeps dry. */
  moulds: z.strictObject({
    halfSphere: z.number().int().min(0).max(400).meta({ label: 'Half-spheres', kind: 'count' }),
    foamHole: z.number().int().min(0).max(2000).meta({ label: 'Holes in foam', kind: 'count' }),
    pan: z.number().int().min(0).max(12).meta({ label: 'Pans', kind: 'count' }),
    fan: z.number().int().min(0).max(12).meta({ label: 'Fans', kind: 'count' }),
    rack: z.number().int().min(0).max(40).meta({ label: 'Racks', kind: 'count' }),
    dryRoom: z.number().int().min(0).max(40).meta({ label: 'Shelves in a dry room', kind: 'count' }),
  }),
  /** Pairs of hands, and hours at which the first of them cannot. */
  people: z.number().int().min(1).max(6).meta({ label: 'People who work', kind: 'count' }),
  busy: z
    .array(
      z
        .strictObject({
          id: z.string().min(1).max(200),
          name: z.string().max(120),
          from: momentSchema,
          to: momentSchema,
        })
        .refine(({ from, to }) => to > from, { message: 'It must end after it begins.' }),
    )
    .max(MOST_BUSY),
  /** Desiccant for boxes of pieces, g. */
  desiccantG: z.number().min(0).max(5000).meta({ label: 'Desiccant', kind: 'mass' }),
  ovenPlaces: z.number().int().min(0).max(8).meta({ label: 'Trays in the oven at once', kind: 'count' }),
  hours: workingHoursSchema,
  /** The chance of being ready that timetables are made for. */
  readyChance: z.number().min(0.5).max(0.98).meta({ label: 'Ready with a chance of', kind: 'share' }),
  pace: paceSchema,
  /** Minutes typed for steps of techniques, by technique and step: for a piece, or for an element. */
  stepMinutes: z
    .record(z.string().min(1).max(80), z.number().min(0).max(240))
    .refine((all) => Object.keys(all).length <= MOST_STEP_MINUTES, `At most ${MOST_STEP_MINUTES} can be kept.`),
  fridgeC: z.number().min(0).max(12).meta({ label: 'Refrigerator', kind: 'temperature' }),
  prices: pricesSchema,
  pricing: pricingSchema,
  /** What is on hand of all else, and its packs. */
  stock: z
    .array(stockSchema)
    .max(MOST_STOCK)
    .refine((stock) => new Set(stock.map(({ item }) => item)).size === stock.length, {
      message: 'Each item must be listed once.',
    }),
  /** Boxes that pieces travel in. */
  pieceBoxes: z.array(pieceBoxSchema).max(MOST_PIECE_BOXES),
  /** What this room is called in trials; another room has air of its own. */
  room: z.string().min(1).max(40).meta({ label: 'Room' }),
  /** From so many trials on, plans go by them. */
  learnFrom: z.number().int().min(1).max(20).meta({ label: 'Go by trials from', kind: 'count' }),
  shrinkTrials: z.array(shrinkTrialSchema).max(MOST_TRIALS),
  dryingTrials: z.array(dryingTrialSchema).max(MOST_TRIALS),
  /** Work that was timed, at the bench or as a trial. */
  runs: z.array(runSchema).max(MOST_RUNS),
  tools: cuttingToolsSchema,
  /** Parts of sheets that were kept, to be used first. */
  remnants: z.array(remnantSchema).max(MOST_REMNANTS),
  /** Dyes to mix from, and strips that were dipped to learn their strength. */
  dyes: z
    .array(dyeStockSchema)
    .max(MOST_DYES_ON_SHELF)
    .refine((dyes) => new Set(dyes.map(({ id }) => id)).size === dyes.length, {
      message: 'Each dye must be listed once.',
    }),
  dyeTrials: z.array(dyeTrialSchema).max(MOST_TRIALS),
  /** Petals that were shaped and kept, to begin others from. */
  petals: z.array(z.strictObject({ name: z.string().min(1).max(30), shape: petalSchema })).max(MOST_PETALS),
})

export type Workshop = z.infer<typeof workshopSchema>

const hour = (clock: number): number => clock * 60

/** A small studio, as a beginning for the user's own: hours, tools and moulds; nothing on hand, nothing learned. */
export const STARTING_WORKSHOP: Workshop = {
  papers: PAPERS.flatMap(({ id, shapes, thicknessMm }) =>
    shapes.map((shape) => ({
      paper: id,
      shape,
      inUse: id === 'riceFilm' ? shape.kind === 'disc' : true,
      thicknessMm,
    })),
  ),
  mats: { count: 2, lengthMm: 400, widthMm: 300 },
  trays: { count: 2, lengthMm: 420, widthMm: 330 },
  ovenPlaces: 2,
  moulds: { halfSphere: 12, foamHole: 96, pan: 1, fan: 1, rack: 2, dryRoom: 0 },
  desiccantG: 100,
  people: 1,
  busy: [],
  hours: {
    days: [false, false, true, true, true, true, true],
    spells: [
      { fromMin: hour(9), toMin: hour(13) },
      { fromMin: hour(14), toMin: hour(18) },
    ],
  },
  readyChance: 0.9,
  pace: STARTING_PACE,
  stepMinutes: {},
  fridgeC: 4,
  prices: STARTING_PRICES,
  pricing: STARTING_PRICING,
  stock: [],
  pieceBoxes: STARTING_PIECE_BOXES.map((box) => ({ ...box })),
  room: 'workroom',
  learnFrom: 3,
  shrinkTrials: [],
  dryingTrials: [],
  runs: [],
  tools: STARTING_TOOLS,
  remnants: [],
  dyes: STARTING_DYES.map((dye) => ({ ...dye, absorptionPerDrop: [...dye.absorptionPerDrop] })),
  dyeTrials: [],
  petals: [],
}
