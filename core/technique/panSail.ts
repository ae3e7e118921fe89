/**
 * Pan sail: torn wafer dipped for a blink in coloured water, dried in a hot dry pan, shaped while warm. Dipping draws
 * it in a good deal.
 *
 * By hand: pan-dried wafer shrinks by 22 % and one piece strays; for four in five not to come out smaller 25.4 % are
 * allowed for until trials say otherwise. A sail seen 70 mm high with 12 mm behind the next: ( 70 + 12 ) ÷ ( 1 − 0.254
 * ) =
 * 110 mm high; seen 60 mm wide, ruffled by a quarter: 60 × 1.25 ÷ ( 1 − 0.254 ) = 101 mm wide.
 * Four and a spare take 5 × 3 + 15 = 30 min at the pan; four feet take 4 × 0.8 = 3.2 g of piping gel.
 */
import { z } from 'zod'
import { plannedShrink, shrinkBelief, type ShrinkBelief } from '../learn'
import { polyline, type Point, type Point3 } from '../geometry'
import { between, found, seededStream, type Working } from '../quantity'
import { defineTechnique } from './define'
import { chosen } from './chosen'
import type { MeshFace } from './mesh'
import { cutSize, cutWidth, STANDARD_SPARES } from './flat'
import { frameOf } from './frame'
import { untilFirm } from './step'

const parameters = z.strictObject({
  seenMm: z.number().min(30).max(160).meta({ label: 'Seen height', kind: 'length', help: 'Of the biggest' }),
  widthMm: z.number().min(25).max(180).meta({ label: 'Seen width', kind: 'length' }),
  insertionMm: z
    .number()
    .min(10)
    .max(25)
    .meta({ label: 'Foot', kind: 'length', help: 'Behind the next, or in the cake' }),
  mistedShare: z
    .number()
    .min(0)
    .max(1)
    .meta({ label: 'Second colour', kind: 'share', help: 'Misted in the pan, over so much of a face; 0 is none' }),
  misted: z
    .string()
    .regex(/^#[0-9a-f]{6}$/i)
    .meta({ label: 'Second colour', kind: 'colour' }),
})

/** As it begins. */
const STARTING: z.infer<typeof parameters> = {
  seenMm: 68,
  widthMm: 66,
  insertionMm: 12,
  mistedShare: 0,
  misted: '#6e2a1e',
}

const RUFFLE_FULLNESS = 1.25
const COLUMNS = 13
const ROWS = 5
/** Torn edges of the flat piece, as shares of its half sizes, so that it looks torn in the drawing too. */
const TORN: readonly Point[] = [
  { x: -0.55, y: -1 },
  { x: 0.1, y: -0.94 },
  { x: 0.62, y: -1 },
  { x: 0.86, y: -0.35 },
  { x: 1, y: 0.2 },
  { x: 0.9, y: 0.86 },
  { x: 0.3, y: 1 },
  { x: -0.25, y: 0.9 },
  { x: -0.84, y: 0.97 },
  { x: -1, y: 0.3 },
  { x: -0.82, y: -0.4 },
]

const panShrink = (learned?: ShrinkBelief): Working => plannedShrink('pan', learned ?? null)

export const panSail = defineTechnique({
  id: 'panSail',
  name: 'Pan sail',
  element: 'sail',
  family: 'sails',
  alsoCalled: ['torn', 'crisp', 'bark'],
  say: 'Torn wafer, dipped for a blink and dried crisp in a hot pan.',
  papers: ['thinWafer', 'standardWafer'],
  whyPaper: 'Thin wafer dries in a minute and ruffles by itself.',
  unfit: { thickWafer: 'Thick wafer stays damp inside and browns outside.', riceFilm: 'Rice film sticks to the pan.' },
  compositions: ['sweep', 'cluster', 'crown', 'single'],
  finishes: ['edgeGilding', 'dusting'],
  parameters,
  startingParameters: STARTING,
  heat: 'pan',
  stands: true,
  sizedBy: ['seenMm', 'widthMm'],
  startingPlies: 1,
  // Colour lies on less paper as it draws in: the same shrink that it is torn for.
  grows: (_, means) => Math.exp((means?.shrink.pan ?? shrinkBelief('pan', [])).mean),
  secondColour: ({ mistedShare, misted }) =>
    mistedShare > 0 ? { colour: misted, share: mistedShare, at: 'pan' } : null,
  startingColour: '#a8432e',
  spareShare: STANDARD_SPARES.soaked,
  seen: ({ seenMm, widthMm }) => ({ widthMm, heightMm: seenMm }),

  pieces: ({ seenMm, widthMm, insertionMm }, size, _, means) => {
    const height = cutSize(
      'torn high',
      found('seen height here', seenMm * size, 'length', 'from its place'),
      chosen('foot', insertionMm, STARTING.insertionMm, 'length'),
      panShrink(means?.shrink.pan),
    )
    const seenWidth = found('seen width here', widthMm * size, 'length', 'from its place')
    const width = cutWidth('torn wide', 'ruffles laid flat', seenWidth, RUFFLE_FULLNESS, panShrink(means?.shrink.pan))
    return [
      {
        name: 'torn piece',
        outline: polyline(
          TORN.map(({ x, y }) => ({ x: (x * width.value) / 2, y: (y * height.value) / 2 })) as unknown as readonly [
            Point,
            ...Point[],
          ],
          true,
        ),
        edge: 'torn',
        folds: [],
        face: 'either face',
        width,
        height,
        perElement: 1,
      },
    ]
  },

  steps: [
    {
      id: 'tear',
      name: 'Tear the pieces',
      say: 'Well over size: the dip draws them in.',
      minutes: { fixed: 5 },
      cuts: true,
    },
    {
      id: 'pan',
      name: 'Dip and dry in the pan',
      say:
        'A blink in coloured water, into a dry non-stick pan, medium then low; turn once, a second ' +
        'colour misted on, out when it no longer feels sticky. Shape it warm, cool on a rack.',
      minutes: { perPiece: 3, fixed: 15 },
      rest: untilFirm(720),
      hold: { place: 'pan', per: 'job', whileHands: true },
    },
    {
      id: 'place',
      name: 'Place',
      say: 'On a moist covering only after half a day; the largest at the heart.',
      minutes: { perElement: 1 },
      onCake: true,
    },
  ],
  tools: ['a dry non-stick pan', 'a wide bowl to dip in', 'a fine mister'],
  fixed: () => ({ by: 'foot', joints: 1 }),
  cautions: [
    { id: 'pan', at: 'pan', say: 'The pan burns: tongs, and sleeves up. No alcohol near it.' },
    { id: 'powder', at: 'pan', say: 'Powder colour only: sugar, as in many gels, sticks and browns.' },
  ],
  failures: [
    {
      seen: 'Brown spots',
      because: 'pan too hot, or residue in it',
      next: 'lower the heat, wipe the pan between pieces',
    },
    { seen: 'Sticks to the pan', because: 'sugar in the colour', next: 'powder colour, a cleaner pan' },
    { seen: 'Too small', because: 'it drew in more than allowed for', next: 'measure one, tear the rest larger' },
  ],
  holdingParts: () => [],

  draw: ({ seenMm, widthMm, mistedShare, misted }, element, wall) => {
    const stream = seededStream(element.seed)
    const at = frameOf(element, wall)
    const [tall, wide] = [seenMm * element.size, widthMm * element.size]
    const [phase, second, turns, cup] = [
      between(stream, 0, 6.28),
      between(stream, 0, 6.28),
      between(stream, 2.2, 3.4),
      between(stream, 0.14, 0.3),
    ]
    const torn = Array.from({ length: COLUMNS + 1 }, () => between(stream, -0.09, 0.07))
    const pointAt = (column: number, row: number): Point3 => {
      const [share, up] = [column / COLUMNS - 0.5, row / ROWS]
      const ruffle =
        wide *
        0.13 *
        up ** 1.6 *
        (Math.sin(6.28 * turns * share + phase) + 0.5 * Math.sin(6.28 * turns * 1.7 * share + second))
      return at(
        wide * share * (0.38 + 0.72 * Math.sin(up * 2)),
        tall * up * (1 - 0.28 * share * share * 4 * up) + (row === ROWS ? tall * torn[column]! : 0),
        2 + tall * (0.16 * up + cup * up * up) + ruffle,
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
        opacity: row === ROWS - 1 ? 0.86 : 0.93,
        ...(mistedShare > 0 && row >= ROWS * (1 - mistedShare) && { tint: misted }),
        light: row === ROWS - 1 ? -0.16 : row === 0 ? -0.08 : 0.04,
      })),
    ).flat()
    return {
      faces,
      lines: [
        {
          points: Array.from({ length: COLUMNS + 1 }, (_, column) => pointAt(column, ROWS)),
          widthMm: 0.9,
          light: -0.42,
          opacity: 0.7,
          edge: true,
        },
      ],
    }
  },
})
