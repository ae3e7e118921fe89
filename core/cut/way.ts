import { z } from 'zod'
import { paperIds, stockShapeSchema } from '../material'

/** Ways of cutting pieces from sheets and discs. */
export const CUTTING_WAYS = ['sectors', 'boxes', 'punch', 'template', 'machine'] as const
export type CuttingWay = (typeof CUTTING_WAYS)[number]

/** What can be chosen: a way, or whichever is advised. */
const CUTTING_CHOICES = ['advised', ...CUTTING_WAYS] as const
export type CuttingChoice = (typeof CUTTING_CHOICES)[number]

export const WAY_WORDS: Readonly<Record<CuttingWay, { readonly name: string; readonly say: string }>> = {
  sectors: {
    name: 'Portions of discs',
    say: 'Discs cut whole, in halves and quarters; small portions come from what large discs leave.',
  },
  boxes: {
    name: 'Strips and boxes, by hand',
    say: 'Straight cuts into strips and boxes, several sheets at once, then the outline: few strokes, some paper lost.',
  },
  punch: { name: 'Punch', say: 'Round pieces punched in rows from bands that the punch can reach into.' },
  template: {
    name: 'Template and knife',
    say: 'Outlines laid as close as they go, one sheet at a time: little paper lost, more handwork.',
  },
  machine: { name: 'Cutting machine', say: 'Laid as close as they go, cut by the machine.' },
}

export const MOST_PLIES = 4
export const MOST_LAYERS = 4

/** Elements are made in tenths of the biggest: there are no more sizes than that. */
export const MOST_SIZES = 10

/** How a decoration is cut. */
export const cuttingSchema = z.strictObject({
  way: z.enum(CUTTING_CHOICES).meta({ label: 'Cut by' }),
  plies: z.number().int().min(1).max(MOST_PLIES).meta({ label: 'Sheets at once', kind: 'count' }),
  /** A strip folded to and fro is cut out through all its layers; 1 is not folded. Only strips and boxes are. */
  layers: z.number().int().min(1).max(MOST_LAYERS).meta({ label: 'Layers of a folded strip', kind: 'count' }),
  /** Sheets are coloured before they are cut, so that pieces of one colour keep to sheets of it. */
  colouredWhole: z.boolean().meta({ label: 'Sheets are coloured whole' }),
  /** Elements of many sizes are cut in so many at most: a set of templates or punches. */
  sizes: z.number().int().min(1).max(MOST_SIZES).meta({ label: 'Cut sizes at most', kind: 'count' }),
})

export type Cutting = z.infer<typeof cuttingSchema>

/** How it is cut, whichever was advised. */
export type SettledCutting = Omit<Cutting, 'way'> & { readonly way: CuttingWay }

export const STARTING_CUTTING: Cutting = { way: 'advised', plies: 2, layers: 1, colouredWhole: false, sizes: 3 }

/** The colour of a sheet that is coloured whole; null for one as it is sold. */
const sheetColour = z
  .string()
  .regex(/^#[0-9a-f]{6}$/i, 'A colour such as #d9572b is expected.')
  .nullable()

/** Where something lies on a sheet, mm; no sheet is larger. */
const onSheet = z.number().min(-5000).max(5000)

/** A sheet that was locked: where its pieces lie stays. Parts are named by their decoration and place in its list. */
export const keptSheetSchema = z.strictObject({
  paper: z.enum(paperIds),
  shape: stockShapeSchema,
  way: z.enum(CUTTING_WAYS),
  plies: z.number().int().min(1).max(MOST_PLIES),
  colour: sheetColour,
  placements: z
    .array(
      z.strictObject({
        part: z.string().min(1).max(100),
        x: onSheet,
        y: onSheet,
        rotationDeg: z.number().min(-360).max(360),
        mirrored: z.boolean(),
      }),
    )
    .min(1)
    .max(2000),
})

export type KeptSheet = z.infer<typeof keptSheetSchema>

/**
 * What is left of a sheet and worth keeping: its outline, mm, and the commission it is left of, which cannot use it
 * itself.
 */
export const remnantSchema = z.strictObject({
  id: z.string().min(1).max(60),
  name: z.string().min(1).max(60),
  paper: z.enum(paperIds),
  colour: sheetColour,
  outline: z
    .array(z.tuple([onSheet, onSheet]))
    .min(3)
    .max(200),
  from: z.string().max(60),
})

export type Remnant = z.infer<typeof remnantSchema>
export const MOST_REMNANTS = 60

/** What the studio cuts with. */
export const cuttingToolsSchema = z.strictObject({
  marginMm: z.number().min(0).max(30).meta({ label: 'Kept free at the edge', kind: 'length' }),
  knifeGapMm: z.number().min(0).max(10).meta({ label: 'Between pieces, by hand', kind: 'length' }),
  machineGapMm: z.number().min(0).max(10).meta({ label: 'Between pieces, by machine', kind: 'length' }),
  slipMm: z.number().min(0).max(5).meta({ label: 'Slip of each sheet in a stack', kind: 'length' }),
  /** Diameters of the punches there are; none where any may be had. */
  punchesMm: z.array(z.number().min(5).max(200).meta({ label: 'Punch', kind: 'length' })).max(12),
  throatMm: z.number().min(10).max(200).meta({ label: 'How far the punch reaches in', kind: 'length' }),
  machineMmPerMin: z.number().min(50).max(60_000).meta({ label: 'Machine cuts, mm a minute', kind: 'count' }),
})

export type CuttingTools = z.infer<typeof cuttingToolsSchema>

export const STARTING_TOOLS: CuttingTools = {
  marginMm: 5,
  knifeGapMm: 1.5,
  machineGapMm: 0.5,
  slipMm: 0.5,
  punchesMm: [],
  throatMm: 60,
  machineMmPerMin: 1200,
}
