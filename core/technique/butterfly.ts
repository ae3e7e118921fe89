/**
 * Butterfly: one piece of wafer folded along the body, glued straight on the cake or set on a loop of wire under a patch.
 *
 * By hand: seven butterflies seen 38 mm across with wings lifted 40°: flat across = 38 ÷ cos 40° = 49.6 mm; 7 pieces
 * and 1
 * spare.
 * Eight are folded in 8 × 1 + 3 = 11 min; a dot each, 7 × 0.2 = 1.4 g of piping gel.
 */
import { z } from 'zod'
import { polyline, type Outline, type Point, type Point3 } from '../geometry'
import { between, derive, found, seededStream } from '../quantity'
import { defineTechnique } from './define'
import { chosen } from './chosen'
import { STANDARD_SPARES } from './flat'
import { frameOf } from './frame'
import { fixed } from './step'
import { wireLength } from './wiring'

const SETS = ['glued', 'loop'] as const

const parameters = z.strictObject({
  seenMm: z
    .number()
    .min(15)
    .max(140)
    .meta({ label: 'Seen across', kind: 'length', help: 'Of the biggest, wings lifted' }),
  liftDeg: z.number().min(0).max(75).meta({ label: 'Wings lifted', kind: 'angle' }),
  set: z.enum(SETS).meta({
    label: 'Set on',
    kind: 'choice',
    options: { glued: 'glued to the cake', loop: 'a wire loop under a patch' },
  }),
  wireMm: z.number().min(30).max(160).meta({ label: 'Wire', kind: 'length', help: 'Seen below it, on a loop' }),
})

/** As it begins. */
const STARTING: z.infer<typeof parameters> = { seenMm: 38, liftDeg: 40, set: 'glued', wireMm: 50 }

/** Half a butterfly, its body along the left edge, for a flat width of 2 from tip to tip. */
const FORE: readonly (readonly [number, number])[] = [
  [0, 0.04],
  [0.06, 0.3],
  [0.22, 0.56],
  [0.5, 0.78],
  [0.84, 0.84],
  [1, 0.74],
  [0.93, 0.5],
  [0.74, 0.24],
  [0.46, 0.08],
  [0.16, 0],
]
const HIND: readonly (readonly [number, number])[] = [
  [0.16, 0],
  [0.5, 0.02],
  [0.7, -0.1],
  [0.72, -0.34],
  [0.56, -0.56],
  [0.34, -0.6],
  [0.14, -0.4],
  [0, -0.2],
]

const MIDDLE_SHARE = 0.375

const flatAcross = (seenMm: number, liftDeg: number): number => seenMm / Math.cos((liftDeg * Math.PI) / 180)

/** The whole outline, cut flat, for a flat width. */
function flatOutline(acrossMm: number): Outline {
  const half = acrossMm / 2
  const right = [...FORE, ...HIND].map(([x, y]): Point => ({ x: x * half, y: y * half }))
  const left = [...right]
    .reverse()
    .map(({ x, y }): Point => ({ x: -x, y }))
    .filter(({ x }) => x !== 0)
  return polyline([...right, ...left] as unknown as readonly [Point, ...Point[]], true)
}

export const butterfly = defineTechnique({
  id: 'butterfly',
  name: 'Butterfly',
  element: 'butterfly',
  family: 'figures',
  alsoCalled: ['moth', 'insect', 'wings'],
  say: 'One folded piece, wings lifted, scattered or alone.',
  papers: ['thinWafer', 'standardWafer', 'thickWafer'],
  whyPaper: 'Thin wafer folds along the body without breaking; standard prints well, thick holds larger wings.',
  unfit: { riceFilm: 'Rice film breaks at the fold.' },
  compositions: ['scatter', 'sweep', 'cluster', 'band', 'pair', 'single'],
  finishes: ['edgeGilding', 'dusting', 'speckle', 'stencilShine', 'twoTone'],
  parameters,
  startingParameters: STARTING,
  stands: true,
  sizedBy: ['seenMm'],
  startingColour: '#343a63',
  spareShare: STANDARD_SPARES.dry,
  seen: ({ seenMm }) => ({ widthMm: seenMm, heightMm: seenMm * 0.75 }),

  pieces: ({ seenMm, liftDeg }, size) => {
    const width = derive(
      'flat across',
      'length',
      'wings laid flat',
      '{seen} ÷ cos {lift}',
      {
        seen: found('seen across here', seenMm * size, 'length', 'from its place'),
        lift: chosen('wings lifted', liftDeg, STARTING.liftDeg, 'angle'),
      },
      (v) => flatAcross(v.seen, v.lift),
    )
    const height = derive(
      'flat high',
      'length',
      'of the outline',
      '{width} × {share}',
      { width, share: found('height for each width', 0.72, 'ratio', 'of the drawn outline') },
      (v) => v.width * v.share,
    )
    return [
      {
        name: 'butterfly',
        outline: flatOutline(width.value),
        folds: [
          polyline([
            { x: 0, y: (-0.2 * width.value) / 2 },
            { x: 0, y: (0.04 * width.value) / 2 },
          ]),
        ],
        face: 'smooth face up',
        width,
        height,
        perElement: 1,
      },
    ]
  },

  placeMin: 1,
  steps: [
    {
      id: 'cut',
      name: 'Cut or punch the butterflies',
      say: 'Punch, or trace a template and cut with small scissors; turn the paper, not the hand.',
      minutes: { perPiece: 0.3, fixed: 3 },
      cuts: true,
    },
    {
      id: 'fold',
      name: 'Fold and colour',
      say:
        'Fold along the body over a ruler’s edge. Colour both faces, the edges a little deeper. ' +
        'On a loop: its wire glued behind the body, a patch over it.',
      wires: true,
      minutes: { perPiece: 1, fixed: 3 },
      rest: fixed(15),
    },
  ],
  fixed: ({ set }) => (set === 'loop' ? { by: 'wire' } : { by: 'dot', joints: 1 }),
  cautions: [
    { id: 'dust', at: 'fold', say: 'Fine dust: work over paper, do not breathe it, wear a mask for much of it.' },
  ],
  failures: [{ seen: 'Wings droop', because: 'moist covering below', next: 'set them on a loop of paper, or later' }],
  wiring: ({ set, wireMm }) =>
    set === 'loop'
      ? {
          wires: [
            {
              name: 'loop',
              gauge: 26,
              length: wireLength('wire of a loop', chosen('below it', wireMm, STARTING.wireMm, 'length'), true, true),
              perElement: 1,
            },
          ],
          tape: [],
          patches: 1,
          holders: 1,
        }
      : null,
  holdingParts: ({ set }) =>
    set === 'loop' ? [{ id: 'loopWire', name: 'wires of butterflies', perElement: 1, stays: true }] : [],

  draw: ({ seenMm, liftDeg }, element, wall) => {
    const stream = seededStream(element.seed)
    const half = flatAcross(seenMm * element.size, liftDeg) / 2
    // It is rolled about its body's middle, and its foot is where its lower wings end.
    const middle = seenMm * element.size * MIDDLE_SHARE
    const at = frameOf(element, wall, middle)
    const wing = (side: 1 | -1, outline: readonly (readonly [number, number])[], lift: number) =>
      outline.map(([x, y]): Point3 => {
        const [across, out] = [side * x * half * Math.cos(lift), 2 + x * half * Math.sin(lift)]
        return at(across, middle + y * half, out)
      })
    const lifts = [1, -1].map((side) => ({
      side: side as 1 | -1,
      lift: ((liftDeg + between(stream, -6, 6)) * Math.PI) / 180,
    }))
    const bodyAt = (up: number): Point3 => at(0, middle + up * half, 2.6)
    return {
      faces: lifts.flatMap(({ side, lift }) => [
        { points: wing(side, HIND, lift * 0.8), opacity: 0.95, light: -0.06 },
        { points: wing(side, FORE, lift), opacity: 0.96, light: 0.08 },
      ]),
      lines: [
        ...lifts.flatMap(({ side, lift }) => [
          { points: wing(side, FORE, lift), widthMm: 0.7, light: 0.45, opacity: 0.8, edge: true as const },
          { points: [wing(side, FORE, lift)[0]!, wing(side, FORE, lift)[4]!], widthMm: 0.5, light: -0.3, opacity: 0.5 },
        ]),
        { points: [bodyAt(-0.24), bodyAt(0.2)], widthMm: 1.8, light: -0.45, opacity: 1 },
      ],
    }
  },
})
