/**
 * Floret dome: many small florets, each on a wire with a flattened loop and a patch, set over half a foam ball.
 *
 * By hand: a dome 80 mm across has 2 × π × 40² = 10 053 mm²; a floret 18 mm across covers π ÷ 4 × 18² = 254 mm²; 1.1
 * × 10 053 ÷ 254 = 43.5, so 44 florets.
 * With 8 spares, 52 are wired in 52 × 0.6 + 5 = 36.2 min and set in 52 × 0.25 + 3 + 5 = 21 min; 52 × 0.05 = 2.6 ml of
 * glue.
 */
import { z } from 'zod'
import type { Point3 } from '../geometry'
import { between, derive, found, seededStream, starting, type Working } from '../quantity'
import { defineTechnique } from './define'
import { chosen } from './chosen'
import type { MeshBead, MeshFace, MeshLine } from './mesh'
import { cutSize, dampShrink, STANDARD_SPARES } from './flat'
import { bloomStance, floretOutline } from './petal'
import { tapeFor, wireLength } from './wiring'
import { untilHandled } from './step'

const parameters = z.strictObject({
  acrossMm: z.number().min(30).max(160).meta({ label: 'Dome across', kind: 'length', help: 'Of the biggest' }),
  floretMm: z.number().min(8).max(40).meta({ label: 'Floret across', kind: 'length' }),
  petals: z.number().int().min(3).max(6).meta({ label: 'Petals of a floret', kind: 'count' }),
})

/** As it begins. */
const STARTING: z.infer<typeof parameters> = { acrossMm: 70, floretMm: 17, petals: 4 }

type FloretDome = z.infer<typeof parameters>

/** Florets overlap by this much. */
const CROWDED = 1.1
const GOLDEN_DEG = 137.508
const RADIANS = Math.PI / 180

/** How many florets cover a dome. */
function floretsOf({ acrossMm, floretMm }: Pick<FloretDome, 'acrossMm' | 'floretMm'>, size: number): Working {
  const dome = found('dome across here', acrossMm * size, 'length', 'from its place')
  return derive(
    'florets',
    'count',
    'florets over a dome',
    'round up( {crowded} × 2 π ( {dome} ÷ 2 )² ÷ ( π ÷ 4 × {floret}² ) )',
    {
      crowded: starting('crowded', CROWDED, 'ratio', 'usual'),
      dome,
      floret: chosen('floret across', floretMm, STARTING.floretMm, 'length'),
    },
    (v) => Math.ceil((v.crowded * 2 * (v.dome / 2) ** 2) / (v.floret ** 2 / 4) - 1e-9),
  )
}

export const floretDome = defineTechnique({
  id: 'floretDome',
  name: 'Floret dome',
  element: 'dome',
  family: 'flowers',
  alsoCalled: ['hydrangea', 'ball of flowers', 'cluster'],
  say: 'Small florets crowded over half a foam ball.',
  papers: ['thinWafer', 'standardWafer'],
  whyPaper: 'Thin wafer keeps a crowd of florets light.',
  unfit: { thickWafer: 'Thick florets stand apart like tiles.', riceFilm: 'A patch does not hold on rice film.' },
  compositions: ['single', 'crown', 'cluster', 'pair', 'scatter'],
  gathers: { kind: 'bloom' },
  finishes: ['dusting', 'speckle'],
  parameters,
  startingParameters: STARTING,
  sizedBy: ['acrossMm'],
  startingColour: '#8fa3c4',
  spareShare: STANDARD_SPARES.damp,
  seen: ({ acrossMm }) => ({ widthMm: acrossMm, heightMm: acrossMm }),

  pieces: (values, size, _, means) => {
    const across = cutSize(
      'floret cut across',
      chosen('floret across', values.floretMm, STARTING.floretMm, 'length'),
      null,
      dampShrink(means?.shrink.damp),
    )
    return [
      {
        name: 'floret',
        outline: floretOutline(across.value, values.petals),
        folds: [],
        face: 'smooth face up',
        width: across,
        height: across,
        perElement: floretsOf(values, size).value,
      },
    ]
  },

  figures: (values) => [floretsOf(values, 1)],

  wiring: (values, size) => {
    const florets = floretsOf(values, size).value
    const stalk = starting('into the foam', 26, 'length', 'usual')
    const wound = derive(
      'wound at the foot',
      'length',
      'tape wound on wire',
      '{across} × {share}',
      {
        across: found('dome across here', values.acrossMm * size, 'length', 'from its place'),
        share: starting('of the dome', 1.2, 'ratio', 'guess'),
      },
      (v) => v.across * v.share,
    )
    return {
      wires: [
        { name: 'floret', gauge: 26, length: wireLength('wire of a floret', stalk, true, false), perElement: florets },
        {
          name: 'stem',
          gauge: 20,
          length: wireLength('wire of the dome', starting('below the dome', 50, 'length', 'usual'), false, true),
          perElement: 1,
        },
      ],
      tape: [tapeFor(wound, 'full')],
      patches: florets,
      holders: 1,
    }
  },

  steps: [
    {
      id: 'cut',
      name: 'Cut or punch the florets',
      say: 'Close together, a few at a time; patches from offcuts.',
      minutes: { fixed: 5 },
      cuts: true,
    },
    {
      id: 'wire',
      name: 'Loop and patch',
      say: 'Flatten a loop on each wire, glue it behind, a patch over it; barely damp, pinch each petal up.',
      wires: true,
      minutes: { perPiece: 0.6, fixed: 5 },
      rest: untilHandled(60),
      hold: { place: 'foamHole', per: 'piece' },
    },
    {
      id: 'set',
      name: 'Set over the foam',
      say: 'From the top down, each overlapping the last; turn as you go, leave no foam to be seen.',
      minutes: { perPiece: 0.25, perElement: 3, fixed: 5 },
      rest: untilHandled(30),
    },
  ],
  liquids: [
    { mixture: 'damping', at: 'wire', per: 'dm2', ml: 0.4 },
    { mixture: 'edibleGlue', at: 'wire', per: 'piece', ml: 0.05 },
  ],
  fixed: () => ({ by: 'wire' }),
  cautions: [
    { id: 'floretPunch', at: 'cut', say: 'A punch’s edge is sharp: fingers beside, not below.' },
    {
      id: 'floretFoam',
      at: 'set',
      say: 'Foam and wires are not food: wrapped, lifted off whole before cutting, counted.',
    },
  ],
  failures: [
    {
      seen: 'Foam shows through',
      because: 'florets shrank, or too few',
      next: 'a tenth more, or a ball in their colour',
    },
  ],
  holdingParts: ({ acrossMm, floretMm }, size = 1) => [
    {
      id: 'floretWire',
      name: 'wires of florets',
      perElement: floretsOf({ acrossMm, floretMm }, size).value,
      stays: true,
    },
    { id: 'stemWire', name: 'stem wires', perElement: 1, stays: true },
    { id: 'foamBall', name: 'half foam balls', perElement: 1, stays: true },
  ],

  draw: (values, element, wall) => {
    const stream = seededStream(element.seed)
    const acrossMm = values.acrossMm * element.size
    const radius = acrossMm / 2
    const at = bloomStance(element, wall, acrossMm, stream)
    const florets = floretsOf(values, element.size).value
    const half = values.floretMm / 2
    const drawn = Array.from(
      { length: florets },
      (
        _,
        floret,
      ): { readonly faces: readonly MeshFace[]; readonly lines: readonly MeshLine[]; readonly bead: MeshBead } => {
        const [round, up] = [
          (floret * GOLDEN_DEG + between(stream, -9, 9)) * RADIANS,
          Math.acos(1 - (floret + 0.4) / florets),
        ]
        const [turn, light] = [between(stream, 0, 6.28), between(stream, -0.13, 0.11)]
        const out: Point3 = [Math.sin(up) * Math.sin(round), Math.sin(up) * Math.cos(round), Math.cos(up)]
        const [right, ahead]: readonly [Point3, Point3] = [
          [Math.cos(round), -Math.sin(round), 0],
          [Math.cos(up) * Math.sin(round), Math.cos(up) * Math.cos(round), -Math.sin(up)],
        ]
        const pointAt = (angle: number, reach: number, off: number): Point3 => {
          const [u, v] = [reach * Math.cos(angle), reach * Math.sin(angle)]
          return at(
            (radius + off) * out[0] + u * right[0] + v * ahead[0],
            (radius + off) * out[1] + u * right[1] + v * ahead[1],
            (radius + off) * out[2] + u * right[2] + v * ahead[2],
          )
        }
        const petals = Array.from(
          { length: values.petals },
          (__, petal) => turn + (petal / values.petals) * 2 * Math.PI,
        )
        const wide = (Math.PI / values.petals) * 0.86
        const tips = petals.map((angle) => [
          pointAt(angle, half * 0.1, 0),
          pointAt(angle - wide, half * 0.72, half * 0.1),
          pointAt(angle - wide * 0.4, half, half * 0.28),
          pointAt(angle + wide * 0.4, half, half * 0.28),
          pointAt(angle + wide, half * 0.72, half * 0.1),
        ])
        return {
          faces: tips.map((points) => ({ points, opacity: 0.97, light })),
          lines: tips.map((points) => ({
            points: points.slice(1),
            widthMm: 0.35,
            light: 0.36,
            opacity: 0.6,
            edge: true as const,
          })),
          bead: { at: pointAt(0, 0, half * 0.12), radiusMm: half * 0.13, tint: '#e9d9a6', shine: 0 },
        }
      },
    )
    return {
      faces: drawn.flatMap(({ faces }) => faces),
      lines: drawn.flatMap(({ lines }) => lines),
      beads: drawn.map(({ bead }) => bead),
    }
  },
})
