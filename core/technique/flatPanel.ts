/**
 * Flat panel: sheets of wafer glued all over the back, side by side round a tier, each overlapping the last because
 * paper shrinks away from a butt joint.
 *
 * By hand: a tier 817 mm round in panels 210 mm long overlapping by 12 mm: ⌈817 ÷ (210 − 12)⌉ = ⌈4.13⌉ = 5 panels; 80
 * mm seen and a hem of 3 mm: 83 mm high.
 * Three panels are glued on in 3 × 5 + 5 = 20 min; all over, 287 × 123 mm each, 3 × 3.53 dm² × 4 g = 42 g of gel.
 */
import { z } from 'zod'
import { rectangle } from '../geometry'
import { between, found, seededStream, typed, type Working } from '../quantity'
import { defineTechnique } from './define'
import { chosen } from './chosen'
import type { MeshFace } from './mesh'
import { cutSize, STANDARD_SPARES } from './flat'
import { PRINT_LABELS, printOn, printOutlines, PRINTS } from './printed'
import { oneRowRound } from './round'
import { sheetAlong } from './sheetSide'

const parameters = z.strictObject({
  panelLengthMm: z
    .number()
    .min(60)
    .max(400)
    .nullable()
    .meta({ label: 'Panel long', kind: 'length', help: 'None typed: as long as the sheet gives' }),
  panelHeightMm: z
    .number()
    .min(15)
    .max(400)
    .nullable()
    .meta({ label: 'Panel high', kind: 'length', help: 'None typed: as high as its band' }),
  overlapMm: z.number().min(12).max(40).meta({ label: 'Overlap', kind: 'length', help: 'At least 12 mm' }),
  hemMm: z.number().min(0).max(15).meta({ label: 'Hem', kind: 'length', help: 'Trimmed at the foot' }),
  print: z
    .enum(PRINTS)
    .meta({ label: 'Printed or painted', kind: 'choice', options: PRINT_LABELS, help: 'Before it is cut' }),
})

/** As it begins. */
const STARTING: z.infer<typeof parameters> = {
  panelLengthMm: null,
  panelHeightMm: null,
  overlapMm: 12,
  hemMm: 3,
  print: 'sprigs',
}

/** What it is drawn as where no band says how high. */
const USUAL_HIGH_MM = 60

const seenHigh = ({ panelHeightMm }: z.infer<typeof parameters>, bandMm: number): Working =>
  panelHeightMm === null
    ? found('panel high', bandMm, 'length', 'of its band')
    : typed('panel high', panelHeightMm, 'length', 'Arrange')

const COLUMN_MM = 9
/** All panels are printed from one pattern. */
const PATTERN = 7

export const flatPanel = defineTechnique({
  id: 'flatPanel',
  name: 'Flat panel',
  element: 'panel',
  family: 'ruffles',
  alsoCalled: ['wrap', 'printed picture', 'painted', 'band'],
  say: 'Plain, printed or painted sheets round a tier.',
  papers: ['thinWafer', 'standardWafer', 'thickWafer'],
  whyPaper: 'Thin wafer lies down round a curve; thick suits the flat faces of a square cake.',
  unfit: { riceFilm: 'Rice film does not lie down: it wrinkles wet and springs off dry.' },
  compositions: ['band'],
  finishes: ['edgeGilding', 'dusting', 'stencilShine', 'speckle', 'twoTone'],
  parameters,
  startingParameters: STARTING,
  isCounted: true,
  wholeTier: true,
  startingColour: '#e8dccb',
  spareShare: STANDARD_SPARES.dry,
  seen: ({ panelLengthMm, panelHeightMm, overlapMm }) => ({
    widthMm: (panelLengthMm ?? 287) - overlapMm,
    heightMm: panelHeightMm ?? USUAL_HIGH_MM,
  }),

  layOut: (panel, room, means) => {
    const high = seenHigh(panel, room.topMm - room.footMm)
    return oneRowRound(
      room,
      'panels',
      sheetAlong(panel.panelLengthMm, high.value + panel.hemMm, means?.shapes),
      chosen('overlap', panel.overlapMm, STARTING.overlapMm, 'length'),
    )
  },

  pieces: (panel, _, element, means) => {
    const high = seenHigh(panel, element?.face?.heightMm ?? USUAL_HIGH_MM)
    const width = sheetAlong(panel.panelLengthMm, high.value + panel.hemMm, means?.shapes)
    const height = cutSize('cut high', high, chosen('hem', panel.hemMm, STARTING.hemMm, 'length'), null)
    return [
      {
        name: 'panel',
        edge: 'ruler',
        outline: rectangle(0, 0, width.value, height.value),
        folds: [],
        print: printOutlines(printOn(panel.print, { widthMm: width.value, heightMm: height.value }, PATTERN)),
        face: 'smooth face out',
        width,
        height,
        perElement: 1,
      },
    ]
  },

  skin: 'beforeStacking',
  steps: [
    {
      id: 'cut',
      name: 'Cut the panels',
      say: 'Cut square at both ends; print or paint them first and let them dry.',
      minutes: { perPiece: 0.5, fixed: 5 },
      cuts: true,
    },
    {
      id: 'glue',
      name: 'Glue them on',
      say: 'A thin, even coat of gel over the whole back, edges above all. Lay from the middle out, each end over the last. Trim the foot.',
      minutes: { perElement: 5, fixed: 5 },
      onCake: true,
    },
  ],
  fixed: () => ({ by: 'back', share: 1 }),
  gluedWith: ['pipingGel', 'edibleGlue'],
  cautions: [{ id: 'bladePanel', at: 'cut', say: 'A sharp blade along a ruler: fingers behind it, a mat below.' }],
  failures: [
    {
      seen: 'Bubbles and buckles',
      because: 'too much gel, or the cake sweated',
      next: 'thin even gel, warm the cake through first',
    },
    { seen: 'A gap at the joint', because: 'a butt joint drew apart as it dried', next: 'overlap by 12 mm and more' },
  ],
  holdingParts: () => [],

  draw: (panel, { angleDeg, spanDeg, heightMm, seed, face }, wall) => {
    const { overlapMm, print } = panel
    const panelHeightMm = panel.panelHeightMm ?? face?.heightMm ?? USUAL_HIGH_MM
    const panelLengthMm = (face?.widthMm ?? 275) + overlapMm
    // No two hands lay a sheet quite level.
    const askew = between(seededStream(seed), -0.8, 0.8)
    const reach = (spanDeg * panelLengthMm) / (panelLengthMm - overlapMm)
    const columns = Math.max(3, Math.round(panelLengthMm / COLUMN_MM))
    const pointAt = (column: number, up: number) =>
      wall(
        angleDeg + (column / columns - 0.5) * Math.min(reach, spanDeg * 1.06),
        heightMm + up * (panelHeightMm + askew * (column / columns - 0.5)),
        0.8 + (0.6 * column) / columns,
      )
    const printed = printOn(print, { widthMm: panelLengthMm, heightMm: panelHeightMm }, PATTERN)
    return {
      faces: Array.from({ length: columns }, (_, column): MeshFace => ({
        points: [pointAt(column, 0), pointAt(column + 1, 0), pointAt(column + 1, 1), pointAt(column, 1)],
        opacity: 0.97,
        light: 0,
      })),
      lines: [
        { points: [pointAt(columns, 0), pointAt(columns, 1)], widthMm: 0.7, light: -0.3, opacity: 0.7 },
        {
          points: Array.from({ length: columns + 1 }, (_, column) => pointAt(column, 1)),
          widthMm: 0.6,
          light: 0.5,
          opacity: 0.8,
          edge: true,
        },
        ...printed.map(({ points, widthMm }) => ({
          points: points.map(({ x, y }) => pointAt((x / panelLengthMm) * columns, y / panelHeightMm)),
          widthMm,
          light: -0.38,
          opacity: 0.75,
          printed: true as const,
        })),
      ],
    }
  },
})
