/**
 * Layered wings: one outline, drawn to suit the tier, cut in four layers or more a side, all alike or each a little
 * smaller, set in and up; the same flipped for the other side.
 *
 * By hand: a pair of wings seen 110 mm high in four layers: 8 pieces; each layer 0.86 of the last, the second 94.6 mm
 * high,
 * or all 110 mm. On a tier 200 mm across a wing begins 200 × 0.6 = 120 mm high.
 * With a spare of each layer, twelve are traced in 12 × 1.5 + 10 = 28 min and stacked in 12 × 0.5 + 2 × 4 = 14 min; 12
 * × 0.15 =
 * 1.8 ml of glue.
 */
import { z } from 'zod'
import { polyline, type Point, type Point3 } from '../geometry'
import { between, derive, found, seededStream, starting, type Working } from '../quantity'
import { defineTechnique, type PieceKind } from './define'
import { chosen } from './chosen'
import type { Mesh } from './mesh'
import { STANDARD_SPARES } from './flat'
import { frameOf } from './frame'
import { untilHandled } from './step'

const LAYERINGS = ['shrinking', 'equal'] as const

const parameters = z.strictObject({
  seenMm: z
    .number()
    .min(40)
    .max(240)
    .meta({ label: 'Seen height', kind: 'length', help: 'Of a wing; about the tier’s diameter for a bold one' }),
  layers: z.number().int().min(4).max(8).meta({ label: 'Layers a side', kind: 'count' }),
  layering: z.enum(LAYERINGS).meta({
    label: 'Layers are',
    kind: 'choice',
    options: { shrinking: 'each smaller than the last', equal: 'all alike' },
  }),
  riseMm: z.number().min(2).max(14).meta({ label: 'Each set up', kind: 'length' }),
})

/** As it begins. */
const STARTING: z.infer<typeof parameters> = { seenMm: 84, layers: 4, layering: 'shrinking', riseMm: 4 }

const LAYER_SCALE = 0.86
const WIDE_SHARE = 0.92
/** A wing begins so high against its tier, across. */
const OF_TIER = 0.6

/** A wing of height and width 1, its shoulder at the origin, feathers to the right. */
const WING: readonly Point[] = [
  [0, 0.02],
  [0.02, 0.3],
  [0.1, 0.58],
  [0.26, 0.8],
  [0.48, 0.94],
  [0.74, 1],
  [1, 0.98],
  [0.93, 0.88],
  [0.98, 0.82],
  [0.87, 0.74],
  [0.92, 0.66],
  [0.79, 0.59],
  [0.83, 0.5],
  [0.69, 0.44],
  [0.72, 0.35],
  [0.57, 0.3],
  [0.58, 0.21],
  [0.43, 0.17],
  [0.42, 0.09],
  [0.27, 0.06],
  [0.22, 0],
  [0.08, -0.02],
].map(([x, y]) => ({ x: x!, y: y! }))

/** A layer of a wing, as high as told. */
function wingKind(name: string, height: Working, perElement: number): PieceKind {
  const width = derive(
    'cut wide',
    'length',
    'of the outline',
    '{height} × {share}',
    { height, share: found('width for each height', WIDE_SHARE, 'ratio', 'of the drawn outline') },
    (v) => v.height * v.share,
  )
  return {
    name,
    outline: polyline(
      WING.map(({ x, y }) => ({ x: x * width.value, y: y * height.value })) as unknown as readonly [Point, ...Point[]],
      true,
    ),
    folds: [],
    face: 'smooth face up, half of them flipped',
    width,
    height,
    perElement,
  }
}

export const layeredWings = defineTechnique({
  id: 'layeredWings',
  name: 'Layered wings',
  element: 'wing',
  family: 'figures',
  alsoCalled: ['feathers', 'angel', 'bird'],
  say: 'Feathered outlines stacked in layers, one side the mirror of the other.',
  papers: ['standardWafer', 'thickWafer', 'thinWafer'],
  whyPaper: 'Standard wafer keeps flat and cuts crisply; the layers stiffen each other.',
  unfit: { riceFilm: 'Rice film snaps along a fine outline.' },
  compositions: ['pair', 'single'],
  finishes: ['edgeGilding', 'dusting', 'stencilShine', 'speckle', 'twoTone'],
  parameters,
  startingParameters: STARTING,
  stands: true,
  sizedBy: ['seenMm'],
  startingFinish: { finish: 'edgeGilding', colour: '#c3c7cc', share: 1 },
  sizeFor: (acrossMm) => ({ seenMm: Math.round(Math.min(240, Math.max(40, acrossMm * OF_TIER))) }),
  startingColour: '#f6efe4',
  spareShare: STANDARD_SPARES.dry,
  seen: ({ seenMm }) => ({ widthMm: seenMm * WIDE_SHARE, heightMm: seenMm }),

  pieces: ({ seenMm, layers, layering }, size) => {
    const seenHere = found('seen height here', seenMm * size, 'length', 'from its place')
    if (layering === 'equal') return [wingKind('layer wing', seenHere, layers)]
    return Array.from({ length: layers }, (_, layer) => {
      const height = derive(
        'cut high',
        'length',
        'layers set in',
        '{seen} × {scale}, {times} times over',
        {
          seen: seenHere,
          scale: starting('each of the last', LAYER_SCALE, 'share', 'usual'),
          times: found('layers below', layer, 'count', 'by its place in the stack'),
        },
        (v) => v.seen * v.scale ** v.times,
      )
      return wingKind(`layer ${layer + 1} wing`, height, 1)
    })
  },
  figures: ({ layers }, count) => [
    derive(
      'stacked layers',
      'count',
      'layers of all wings',
      '{count} × {layers}',
      { count, layers: chosen('layers a side', layers, STARTING.layers, 'count') },
      (v) => v.count * v.layers,
    ),
  ],

  steps: [
    {
      id: 'trace',
      name: 'Trace and cut',
      say: 'The largest first; trace each smaller one inside the last. Turn the template over for the other side.',
      minutes: { perPiece: 1.5, fixed: 10 },
      cuts: true,
    },
    {
      id: 'stack',
      name: 'Stack and set',
      say: 'A dot of glue at the shoulder, each layer set in and up; dry under a light weight, then glue flat to the side.',
      minutes: { perPiece: 0.5, perElement: 4 },
      rest: untilHandled(30),
    },
  ],
  liquids: [{ mixture: 'edibleGlue', at: 'stack', per: 'piece', ml: 0.15 }],
  supplies: [{ supply: 'templateCard', at: 'trace', per: 'job', amount: 1 }],
  fixed: () => ({ by: 'back', share: 0.3 }),
  cautions: [
    {
      id: 'wingBlade',
      at: 'trace',
      say: 'A fine blade: fingers behind it, a mat below, and a new tip before it tears.',
    },
  ],
  failures: [
    { seen: 'Layers slide', because: 'glued over the whole face and wet', next: 'dots at the shoulder only' },
    { seen: 'The two sides differ', because: 'the template was not turned over', next: 'mark its faces L and R' },
  ],
  holdingParts: () => [{ id: 'pick', name: 'picks that hold wings while they set', perElement: 2 }],

  draw: ({ seenMm, layers, layering, riseMm }, element, wall) => {
    const stream = seededStream(element.seed)
    const at = frameOf(
      { ...element, rollDeg: element.rollDeg + (element.mirrored ? -1 : 1) * between(stream, -1.5, 1.5) },
      wall,
    )
    const drawn = Array.from({ length: layers }, (_, layer): Mesh => {
      const tall = seenMm * element.size * (layering === 'equal' ? 1 : LAYER_SCALE ** layer)
      const stray = between(stream, -0.6, 0.6)
      const points = WING.map(({ x, y }): Point3 =>
        at(
          x * tall * WIDE_SHARE + layer * 1.2,
          y * tall + layer * riseMm * 0.5 + stray,
          1 + layer * 1.4 + x * tall * 0.1,
        ),
      )
      const shaft = (to: number): readonly Point3[] => [points[0]!, points[to]!]
      return {
        faces: [{ points, opacity: 0.97, light: -0.1 + 0.05 * layer }],
        lines: [
          { points: [...points, points[0]!], widthMm: 0.7, light: -0.32, opacity: 0.8, edge: true },
          ...[8, 10, 12, 14, 16].map((to) => ({ points: shaft(to), widthMm: 0.35, light: -0.25, opacity: 0.45 })),
        ],
      }
    })
    return { faces: drawn.flatMap(({ faces }) => faces), lines: drawn.flatMap(({ lines }) => lines) }
  },
})
