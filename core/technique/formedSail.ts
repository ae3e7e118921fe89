/**
 * Formed sail: a free triangle or quadrilateral of wafer, washed thinly with colour, pinched and laid over bubble
 * wrap, crumpled foil or a tube till it keeps its wave.
 *
 * By hand: a sail seen 70 mm high and 80 mm wide with 12 mm behind the next, waved by a fifth, of damp-formed wafer
 * that shrinks by 2 %:
 * ( 70 + 12 ) ÷ ( 1 − 0.02 ) = 83.7 mm high, 80 × 1.2 ÷ ( 1 − 0.02 ) = 98 mm wide.
 * Four and a spare are washed and laid in 5 × 2 + 10 = 20 min; four feet take 4 × 0.8 = 3.2 g of piping gel.
 */
import { z } from 'zod'
import { polyline, type Point, type Point3 } from '../geometry'
import { between, found, seededStream } from '../quantity'
import { defineTechnique } from './define'
import { chosen } from './chosen'
import type { MeshFace } from './mesh'
import { cutSize, dampShrink, cutWidth, STANDARD_SPARES } from './flat'
import { frameOf } from './frame'
import { untilFirm } from './step'

const CUTS = ['triangle', 'quadrilateral'] as const
const FORMERS = ['bubble wrap', 'crumpled foil', 'tube'] as const

const parameters = z.strictObject({
  seenMm: z.number().min(30).max(200).meta({ label: 'Seen height', kind: 'length', help: 'Of the biggest' }),
  widthMm: z.number().min(25).max(220).meta({ label: 'Seen width', kind: 'length' }),
  insertionMm: z
    .number()
    .min(10)
    .max(25)
    .meta({ label: 'Foot', kind: 'length', help: 'Behind the next, or in the cake' }),
  cut: z.enum(CUTS).meta({
    label: 'Cut as',
    kind: 'choice',
    options: { triangle: 'triangles, three to a strip', quadrilateral: 'quadrilaterals' },
  }),
  former: z.enum(FORMERS).meta({
    label: 'Dried over',
    kind: 'choice',
    options: {
      'bubble wrap': 'bubble wrap: fine dimples',
      'crumpled foil': 'crumpled foil: broken folds',
      'tube': 'a tube: one long wave',
    },
  }),
})

/** As it begins. */
const STARTING: z.infer<typeof parameters> = {
  seenMm: 72,
  widthMm: 78,
  insertionMm: 12,
  cut: 'triangle',
  former: 'bubble wrap',
}

/** Paper for each seen width: waves and pinches take it up. */
const WAVE_FULLNESS = 1.2
const COLUMNS = 9
const ROWS = 3
/** How often and how far the sheet waves over a former. */
const WAVES = {
  'bubble wrap': { across: 1.5, up: 0.7, depth: 0.09 },
  'crumpled foil': { across: 2.1, up: 0.9, depth: 0.11 },
  'tube': { across: 0.7, up: 0.2, depth: 0.2 },
} as const

/** Half width at a share of the height, as a share of the widest: a triangle stands on its point. */
const halfAt = (cut: (typeof CUTS)[number], up: number): number =>
  cut === 'triangle' ? 0.12 + 0.88 * up : 0.46 + 0.54 * Math.sin((Math.min(1, up * 1.15) * Math.PI) / 2)

export const formedSail = defineTechnique({
  id: 'formedSail',
  name: 'Formed sail',
  element: 'sail',
  family: 'sails',
  alsoCalled: ['wave', 'drape', 'curl'],
  say: 'Wafer washed with colour, waved over a former, set overnight.',
  papers: ['thinWafer', 'standardWafer'],
  whyPaper: 'Thin wafer takes a wash and waves without cracking; standard holds larger sails.',
  unfit: {
    thickWafer: 'Thick wafer cracks over a former.',
    riceFilm: 'Rice film must be soaked to be draped: choose the soaked sail.',
  },
  compositions: ['sweep', 'cluster', 'crown', 'pair', 'single'],
  finishes: ['edgeGilding', 'dusting', 'twoTone', 'speckle', 'stencilShine'],
  parameters,
  startingParameters: STARTING,
  stands: true,
  sizedBy: ['seenMm', 'widthMm'],
  startingColour: '#d9572b',
  spareShare: STANDARD_SPARES.damp,
  seen: ({ seenMm, widthMm }) => ({ widthMm, heightMm: seenMm }),

  pieces: ({ seenMm, widthMm, insertionMm, cut }, size, _, means) => {
    const height = cutSize(
      'cut high',
      found('seen height here', seenMm * size, 'length', 'from its place'),
      chosen('foot', insertionMm, STARTING.insertionMm, 'length'),
      dampShrink(means?.shrink.damp),
    )
    const seenWidth = found('seen width here', widthMm * size, 'length', 'from its place')
    const width = cutWidth('cut wide', 'waves laid flat', seenWidth, WAVE_FULLNESS, dampShrink(means?.shrink.damp))
    const [half, high] = [width.value / 2, height.value]
    const corners: readonly [Point, ...Point[]] =
      cut === 'triangle'
        ? [
            { x: 0, y: 0 },
            { x: half, y: high },
            { x: -half, y: high * 0.92 },
          ]
        : [
            { x: -half * 0.5, y: 0 },
            { x: half * 0.4, y: 0 },
            { x: half, y: high * 0.9 },
            { x: -half * 0.9, y: high },
          ]
    return [
      {
        name: cut,
        outline: polyline(corners, true),
        folds: [],
        face: 'smooth face out, brushed',
        width,
        height,
        perElement: 1,
      },
    ]
  },

  dries: ['room', 'fan', 'dryRoom', 'oven'],
  steps: [
    {
      id: 'cut',
      name: 'Cut the sails',
      say: 'The sheet in three strips, each strip in three, or larger ones by eye; no two alike.',
      minutes: { fixed: 5 },
      cuts: true,
    },
    {
      id: 'wash',
      name: 'Wash and form',
      say:
        'A thin wash of colour brushed on the smooth face, pinch or fold the foot, lay it over the ' +
        'former. Two hours to the touch, overnight to set; it cannot be bent after.',
      minutes: { perPiece: 2, fixed: 10 },
      rest: untilFirm(720),
    },
    {
      id: 'place',
      name: 'Place',
      say: 'The largest at the heart, feet behind the next; gel or a slit holds them.',
      minutes: { perElement: 1 },
      onCake: true,
    },
  ],
  tools: ['bubble wrap, foil or tubes to dry over'],
  fixed: () => ({ by: 'foot', joints: 1 }),
  cautions: [
    {
      id: 'wash',
      at: 'wash',
      say: 'Too wet dissolves it: a wash that runs is too much. Keep alcohol from flame and heat.',
    },
  ],
  failures: [
    { seen: 'Holes where the brush rested', because: 'too wet', next: 'a drier brush, alcohol instead of water' },
    { seen: 'It cracks when pinched', because: 'it dried before it was formed', next: 'pinch first, then lay it down' },
  ],
  holdingParts: () => [],

  draw: ({ seenMm, widthMm, cut, former }, element, wall) => {
    const stream = seededStream(element.seed)
    const at = frameOf(element, wall)
    const [tall, wide] = [seenMm * element.size, widthMm * element.size]
    const wave = WAVES[former]
    const [phase, second, lean, flare] = [
      between(stream, 0, 6.28),
      between(stream, 0, 6.28),
      between(stream, -0.12, 0.12),
      between(stream, 0.22, 0.4),
    ]
    const ragged = Array.from({ length: COLUMNS + 1 }, () => between(stream, -0.02, 0.02))
    const slope = between(stream, -0.12, 0.12)
    const pointAt = (column: number, row: number): Point3 => {
      const [share, up] = [column / COLUMNS - 0.5, row / ROWS]
      const broken = former === 'crumpled foil' ? Math.sign(Math.sin(6.28 * share * 5 + second)) * 0.03 * up : 0
      const depth =
        wide *
          wave.depth *
          (Math.sin(6.28 * wave.across * share + phase + 0.9 * up) + 0.35 * Math.sin(6.28 * wave.up * up + second)) *
          (0.25 + 0.75 * up) +
        wide * broken
      return at(
        wide * (share * halfAt(cut, up) + lean * up),
        tall * up * (1 + slope * share) + tall * (row === ROWS ? ragged[column]! : 0),
        2 + tall * flare * up ** 1.3 + depth,
      )
    }
    const faces = Array.from({ length: COLUMNS }, (_, column) =>
      Array.from({ length: ROWS }, (_, row): MeshFace => ({
        points: [
          pointAt(column, row),
          pointAt(column + 1, row),
          pointAt(column + 1, row + 1),
          pointAt(column, row + 1),
        ],
        opacity: 0.9,
        light: 0,
      })),
    ).flat()
    const rim = [
      ...Array.from({ length: ROWS + 1 }, (_, row) => pointAt(0, row)),
      ...Array.from({ length: COLUMNS }, (_, column) => pointAt(column + 1, ROWS)),
      ...Array.from({ length: ROWS }, (_, row) => pointAt(COLUMNS, ROWS - 1 - row)),
    ]
    return { faces, lines: [{ points: rim, widthMm: 0.7, light: 0.45, opacity: 0.9, edge: true }] }
  },
})
