/**
 * Gathered fan: a triangle of wafer sponged with a glycerin and shimmer mix so that it bends, pleated at one end and
 * pinched.
 *
 * By hand: a fan seen 70 mm high with 15 mm behind its foot, of damped wafer that shrinks by 2 %: ( 70 + 15 ) ÷ ( 1 −
 * 0.02 ) = 86.7 mm long;
 * spread over 80° it is 2 × 70 × sin 40° = 90 mm across and takes twice that flat, 180 mm.
 * Five and a spare are pleated in 6 × 2 = 12 min with 6 × 0.3 = 1.8 ml of alcohol; two A4 sponged whole take 2 × 6.24
 * × 0.47 =
 * 5.9 ml; five feet take 4 g of piping gel.
 */
import { z } from 'zod'
import { polyline, type Point3 } from '../geometry'
import { between, derive, found, seededStream, starting } from '../quantity'
import { defineTechnique } from './define'
import { chosen } from './chosen'
import type { MeshFace, MeshLine } from './mesh'
import { cutSize, dampShrink, STANDARD_SPARES } from './flat'
import { frameOf } from './frame'
import { untilHandled } from './step'

const parameters = z.strictObject({
  seenMm: z.number().min(25).max(130).meta({ label: 'Seen height', kind: 'length', help: 'Of the biggest' }),
  spreadDeg: z.number().min(40).max(150).meta({ label: 'Spread', kind: 'angle' }),
  insertionMm: z.number().min(10).max(25).meta({ label: 'Foot', kind: 'length', help: 'Pinched, behind the next' }),
})

/** As it begins. */
const STARTING: z.infer<typeof parameters> = { seenMm: 60, spreadDeg: 80, insertionMm: 15 }

/** Pleats take up about as much paper again as is seen. */
const PLEAT_FULLNESS = 2
const PLEATS = 7
const acrossMm = (seenMm: number, spreadDeg: number): number => 2 * seenMm * Math.sin(((spreadDeg / 2) * Math.PI) / 180)

export const gatheredFan = defineTechnique({
  id: 'gatheredFan',
  name: 'Gathered fan',
  element: 'fan',
  family: 'ruffles',
  alsoCalled: ['pleats', 'shell', 'fan'],
  say: 'Pleated triangles, pinched at the foot, soft and shimmering.',
  papers: ['thinWafer', 'riceFilm'],
  whyPaper:
    'Thin wafer sponged with glycerin bends into pleats without breaking; film can too, when it is sponged well.',
  unfit: {
    standardWafer: 'Standard wafer creases hard instead of pleating; take thin.',
    thickWafer: 'Thick wafer breaks along its pleats.',
  },
  compositions: ['band', 'sweep', 'cluster', 'single', 'pair'],
  finishes: ['edgeGilding', 'dusting', 'twoTone', 'speckle'],
  contains: ['alcohol'],
  parameters,
  startingParameters: STARTING,
  sizedBy: ['seenMm'],
  startingColour: '#d9572b',
  spareShare: STANDARD_SPARES.damp,
  seen: ({ seenMm, spreadDeg }) => ({ widthMm: acrossMm(seenMm, spreadDeg), heightMm: seenMm }),

  pieces: ({ seenMm, spreadDeg, insertionMm }, size, _, means) => {
    const seen = found('seen height here', seenMm * size, 'length', 'from its place')
    const height = cutSize(
      'cut long',
      seen,
      chosen('foot', insertionMm, STARTING.insertionMm, 'length'),
      dampShrink(means?.shrink.damp),
    )
    const width = derive(
      'cut wide',
      'length',
      'pleats laid flat',
      '2 × {seen} × sin( {spread} ÷ 2 ) × {fullness}',
      {
        seen,
        spread: chosen('spread', spreadDeg, STARTING.spreadDeg, 'angle'),
        fullness: starting('paper for each width', PLEAT_FULLNESS, 'ratio', 'usual'),
      },
      (v) => acrossMm(v.seen, v.spread) * v.fullness,
    )
    const [half, long] = [width.value / 2, height.value]
    const folds = Array.from({ length: PLEATS }, (_, pleat) =>
      polyline([
        { x: 0, y: 0 },
        { x: ((2 * (pleat + 1)) / (PLEATS + 1) - 1) * half, y: long },
      ]),
    )
    return [
      {
        name: 'triangle',
        outline: polyline(
          [
            { x: 0, y: 0 },
            { x: half, y: long },
            { x: -half, y: long },
          ],
          true,
        ),
        folds,
        face: 'shimmer face out',
        width,
        height,
        perElement: 1,
      },
    ]
  },

  steps: [
    {
      id: 'sponge',
      name: 'Sponge and cut',
      say: 'Sponge the sheet with the glycerin and shimmer mix, wait till it bends without cracking, cut triangles.',
      minutes: { perPiece: 0.8, fixed: 10 },
      cuts: true,
      rest: untilHandled(20),
      suppleMin: 240,
    },
    {
      id: 'pleat',
      name: 'Pleat and pinch',
      say: 'Pleat the point, mist the pleat with strong clear alcohol, pinch and hold. Place with picks; take them out after half an hour.',
      minutes: { perPiece: 2 },
      rest: untilHandled(30),
    },
  ],
  liquids: [{ mixture: 'conditioner', at: 'sponge', per: 'sheetDm2', ml: 0.47 }],
  supplies: [{ supply: 'alcohol', at: 'pleat', per: 'piece', amount: 0.3 }],
  fixed: () => ({ by: 'foot', joints: 1 }),
  cautions: [
    { id: 'alcohol', at: 'pleat', say: 'Alcohol mist burns: no flame, no hot pan or oven near, and air the room.' },
  ],
  failures: [
    { seen: 'Pleats open', because: 'not pinched till dry', next: 'hold longer, a pick through the foot' },
    { seen: 'Sticky for hours', because: 'too much glycerin', next: 'a thinner mix, a fan' },
  ],
  holdingParts: () => [{ id: 'pick', name: 'picks that hold fans while they set', perElement: 1 }],

  draw: ({ seenMm, spreadDeg }, element, wall) => {
    const stream = seededStream(element.seed)
    const at = frameOf(element, wall)
    const reach = seenMm * element.size
    const ribs = 2 * PLEATS
    const ragged = Array.from({ length: ribs + 1 }, () => between(stream, 0.9, 1.06))
    const pointAt = (rib: number, up: number): Point3 => {
      const angle = ((rib / ribs - 0.5) * spreadDeg * Math.PI) / 180
      const along = reach * up * ragged[rib]!
      return at(
        along * Math.sin(angle),
        along * Math.cos(angle),
        2 + up * reach * 0.22 + (rib % 2 === 0 ? 0 : up * reach * 0.1),
      )
    }
    const ribLine = (rib: number): readonly Point3[] => [0.04, 0.5, 1].map((up) => pointAt(rib, up))
    return {
      faces: Array.from({ length: ribs }, (_, rib): MeshFace => ({
        points: [pointAt(rib, 0.04), pointAt(rib + 1, 0.04), pointAt(rib + 1, 1), pointAt(rib, 1)],
        opacity: 0.88,
        light: rib % 2 === 0 ? 0.12 : -0.16,
      })),
      lines: [
        ...Array.from({ length: ribs + 1 }, (_, rib): MeshLine => ({
          points: ribLine(rib),
          widthMm: 0.5,
          light: rib % 2 === 0 ? -0.35 : 0.35,
          opacity: 0.55,
        })),
        {
          points: Array.from({ length: ribs + 1 }, (_, rib) => pointAt(rib, 1)),
          widthMm: 0.9,
          light: 0.5,
          opacity: 0.9,
          edge: true,
        },
      ],
    }
  },
})
