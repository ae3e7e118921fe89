/**
 * Cupped bloom: petals in three to five sizes cut from a sheet speckled or brushed beforehand, each slit at its foot
 * and lapped into a cup, round a rolled fringe.
 *
 * By hand: a bloom 60 mm across, outer petals raised by 20°, lapped by 40°: longest petal 30 ÷ ( 0.889 × 0.940 × 0.98
 * ) = 36.6 mm;
 * four sizes of four to six petals, each bloom its own number, and a strip of fringe.
 * Four of 104 pieces in all: lapped in 104 × 0.4 + 5 = 46.6 min, assembled in 104 × 0.4 + 4 × 3 + 5 = 58.6 min; 104 ×
 * 0.06 =
 * 6.2 ml of glue, 4 × 1.5 = 6 g of sugar.
 */
import { z } from 'zod'
import type { Learned } from '../learn'
import { rectangle } from '../geometry'
import { derive, seededStream, starting, type Working } from '../quantity'
import { defineTechnique, type PieceKind } from './define'
import { chosen } from './chosen'
import { acrossHere, STANDARD_SPARES } from './flat'
import {
  bloomDepth,
  bloomMesh,
  bloomStance,
  coneHalfAngle,
  coneShare,
  longestPetal,
  petalFields,
  petalPieces,
  whorlByWhorl,
  type PetalLayer,
} from './petal'
import { bloomWiring, wireFields } from './wiring'
import { untilHandled } from './step'

const parameters = z.strictObject({
  acrossMm: z.number().min(20).max(160).meta({ label: 'Across', kind: 'length', help: 'Of the biggest' }),
  sizes: z.number().int().min(3).max(5).meta({ label: 'Sizes of petal', kind: 'count' }),
  petals: z.number().int().min(3).max(8).meta({ label: 'Petals of each size, from', kind: 'count' }),
  petalsMost: z
    .number()
    .int()
    .min(3)
    .max(9)
    .meta({ label: 'Petals of each size, to', kind: 'count', help: 'Each bloom its own' }),
  lapDeg: z.number().min(10).max(110).meta({ label: 'Lapped by', kind: 'angle', help: 'How deep they cup' }),
  wireMm: z.number().min(20).max(180).meta({ label: 'Stem', kind: 'length', help: 'Seen below it, at least' }),
  ...wireFields,
  ...petalFields,
})

/** As it begins. */
const STARTING: z.infer<typeof parameters> = {
  acrossMm: 64,
  sizes: 4,
  petals: 4,
  petalsMost: 6,
  lapDeg: 40,
  wireMm: 55,
  wireCut: 'third',
  gauge: 'usual',
  wide: 0.95,
  shoulder: 0.6,
  point: 0,
  notch: 0.04,
  wave: 0.35,
}

type CuppedBloom = z.infer<typeof parameters>

const NAMES = ['tiny', 'small', 'medium', 'large', 'largest'] as const
const OUTER_RAISED_DEG = 20
const INNER_RAISED_DEG = 66
const BEND = 34
const FRINGE_HIGH_SHARE = 0.18
const FRINGE_LONG_SHARE = 1.3

/** Its whorls from the heart out: shorter and steeper inside. */
const layersOf = ({
  sizes,
  petals,
  petalsMost,
}: Pick<CuppedBloom, 'sizes' | 'petals' | 'petalsMost'>): readonly PetalLayer[] =>
  Array.from({ length: sizes }, (_, layer) => {
    const out = layer / (sizes - 1)
    return {
      name: NAMES[layer + NAMES.length - sizes]!,
      petals,
      most: petalsMost,
      share: 0.52 + 0.48 * out,
      raisedDeg: INNER_RAISED_DEG + (OUTER_RAISED_DEG - INNER_RAISED_DEG) * out,
    }
  })

function longestOf(values: CuppedBloom, size: number, shrink?: Learned['shrink']) {
  const cone = coneShare(chosen('lapped by', values.lapDeg, STARTING.lapDeg, 'angle'))
  const across = acrossHere(values.acrossMm, size, STARTING.acrossMm)
  return { across, cone, longest: longestPetal(across, OUTER_RAISED_DEG, cone, shrink?.damp) }
}

export const cuppedBloom = defineTechnique({
  id: 'cuppedBloom',
  name: 'Cupped bloom',
  element: 'bloom',
  family: 'flowers',
  alsoCalled: ['peony', 'ranunculus', 'rose', 'full flower'],
  say: 'Many sizes of slit and lapped petals round a fringe.',
  papers: ['thinWafer', 'standardWafer'],
  whyPaper: 'Thin wafer laps without a ridge; standard keeps a deeper cup.',
  unfit: {
    thickWafer: 'Thick wafer shows every lap as a ridge and cracks.',
    riceFilm: 'A lap does not hold on rice film.',
  },
  compositions: ['cluster', 'crown', 'single', 'pair', 'sweep', 'scatter'],
  gathers: { kind: 'bloom' },
  finishes: ['dusting', 'edgeGilding', 'speckle', 'twoTone'],
  parameters,
  startingParameters: STARTING,
  sizedBy: ['acrossMm'],
  startingColour: '#b8463a',
  spareShare: STANDARD_SPARES.damp,
  seen: ({ acrossMm }) => ({ widthMm: acrossMm, heightMm: acrossMm }),

  pieces: (values, size, _, means) => {
    const { across, longest } = longestOf(values, size, means?.shrink)
    const of = (label: string, share: number): Working =>
      derive(
        label,
        'length',
        'fringe of a bloom',
        '{across} × {share}',
        { across, share: starting('of the bloom', share, 'ratio', 'guess') },
        (v) => v.across * v.share,
      )
    const [high, long] = [of('fringe high', FRINGE_HIGH_SHARE), of('fringe long', FRINGE_LONG_SHARE)]
    const fringe: PieceKind = {
      name: 'fringe',
      edge: 'ruler',
      outline: rectangle(0, 0, long.value, high.value),
      folds: [],
      face: 'either face',
      width: long,
      height: high,
      perElement: 1,
    }
    return [...petalPieces(longest, layersOf(values), values, values.lapDeg), fringe]
  },

  figures: (values) => {
    const { cone, longest } = longestOf(values, 1)
    return [coneHalfAngle(cone), bloomDepth(longest, layersOf(values), cone)]
  },

  wiring: (values, size) =>
    bloomWiring({
      ...values,
      acrossMm: values.acrossMm * size,
      stem: chosen('stem below the bloom', values.wireMm, STARTING.wireMm, 'length'),
      hooked: true,
    }),

  assembly: (values) => ({
    kind: 'bloom',
    moves: [
      { what: 'rolled fringe', count: 1, atMm: null, side: 0 as const, share: 0.25 },
      ...whorlByWhorl(layersOf(values)),
    ],
  }),

  steps: [
    {
      id: 'colour',
      name: 'Colour the sheet',
      say: 'Brush and spatter the whole sheet before cutting; let it dry flat.',
      minutes: { perElement: 1, fixed: 10 },
      rest: untilHandled(40),
    },
    {
      id: 'cut',
      name: 'Cut and slit',
      say: 'Cut the sizes apart, slit each foot a third of the way up, snip the fringe.',
      minutes: { perElement: 1, fixed: 5 },
      cuts: true,
    },
    {
      id: 'lap',
      name: 'Lap and dry',
      say: 'A dot of glue, lap the slit by its angle, press; cup up in foam.',
      minutes: { perPiece: 0.4, fixed: 5 },
      rest: untilHandled(60),
      hold: { place: 'foamHole', per: 'piece' },
    },
    {
      id: 'assemble',
      name: 'Build round the fringe',
      say: 'Roll the fringe on the hook, dip its tips in coloured sugar. Petals from small to large, each whorl between the last.',
      wires: true,
      minutes: { perPiece: 0.4, perElement: 3, fixed: 5 },
      rest: untilHandled(120),
      hold: { place: 'foamHole', per: 'element' },
    },
  ],
  liquids: [{ mixture: 'edibleGlue', at: 'assemble', per: 'piece', ml: 0.06 }],
  supplies: [{ supply: 'colouredSugar', at: 'assemble', per: 'element', amount: 1.5 }],
  fixed: () => ({ by: 'wire' }),
  cautions: [
    { id: 'cuppedAlcohol', at: 'colour', say: 'Strong alcohol burns: no flame, no hot pan near.' },
    { id: 'cuppedWire', at: 'assemble', say: 'Wire is not food: never bare into cake, count every one in and out.' },
  ],
  failures: [
    {
      seen: 'Cups open again',
      because: 'too little glue in the lap',
      next: 'tacky glue, five seconds, foam until set',
    },
    { seen: 'The middle sits deep', because: 'inner petals too short', next: 'raise the fringe on its hook' },
  ],
  holdingParts: () => [{ id: 'bloomWire', name: 'wires of blooms', perElement: 1, stays: true }],

  draw: (values, element, wall) => {
    const acrossMm = values.acrossMm * element.size
    return bloomMesh(
      {
        layers: layersOf(values),
        shape: values,
        bend: BEND,
        cupShare: coneShare(chosen('lapped by', values.lapDeg, STARTING.lapDeg, 'angle')).value,
        centre: { kind: 'fringe', count: 22, tint: '#e2b95f' },
      },
      acrossMm,
      element.seed,
      bloomStance(element, wall, acrossMm, seededStream(element.seed)),
    )
  },
})
