/**
 * Open bloom: loose petals in three sizes, damped, cupped and pinched, glued one by one round a wire; no two alike.
 *
 * By hand: a bloom 50 mm across, outer petals raised by 25°, lapped by 20°: longest petal 25 ÷ ( 0.944 × 0.906 × 0.98
 * ) = 29.8 mm;
 * 3 to 5 small, 4 to 7 medium and 3 to 7 large petals make one, each its own number; a third of a wire of 360 mm, 120 mm,
 * is its hook of 12, 58 below the bloom and 50 in the holder.
 * Four of 73 petals in all: cupped in 73 × 0.35 + 5 = 30.6 min, assembled in 73 × 0.35 + 4 × 2 + 5 = 38.6 min; 73 ×
 * 0.04 = 2.9
 * ml of glue, 4 × 0.5 = 2 g of sugar.
 */
import { z } from 'zod'
import type { Learned } from '../learn'
import { seededStream } from '../quantity'
import { defineTechnique } from './define'
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

const petalCount = (least: number, most: number, label: string, help: string) =>
  z.number().int().min(least).max(most).meta({ label, kind: 'count', help })

const parameters = z.strictObject({
  acrossMm: z.number().min(12).max(140).meta({ label: 'Across', kind: 'length', help: 'Of the biggest' }),
  small: petalCount(2, 6, 'Small petals, from', 'At the heart; 2 for a bud'),
  smallMost: petalCount(2, 8, 'Small petals, to', 'Each bloom its own number between'),
  medium: petalCount(0, 8, 'Medium petals, from', 'None in a small bloom'),
  mediumMost: petalCount(0, 8, 'Medium petals, to', 'Each bloom its own number between'),
  large: petalCount(0, 8, 'Large petals, from', 'Outside'),
  largeMost: petalCount(0, 8, 'Large petals, to', 'Each bloom its own number between'),
  lapDeg: z
    .number()
    .min(0)
    .max(90)
    .meta({ label: 'Lapped by', kind: 'angle', help: 'A slit at the foot drawn over itself cups the petal' }),
  stamens: z.number().int().min(0).max(24).meta({ label: 'Stamens', kind: 'count' }),
  wireMm: z.number().min(20).max(180).meta({ label: 'Stem', kind: 'length', help: 'Seen below the bloom, at least' }),
  ...wireFields,
  ...petalFields,
})

/** As it begins. */
const STARTING: z.infer<typeof parameters> = {
  acrossMm: 46,
  small: 3,
  smallMost: 5,
  medium: 4,
  mediumMost: 7,
  large: 3,
  largeMost: 7,
  lapDeg: 20,
  stamens: 9,
  wireMm: 55,
  wireCut: 'third',
  gauge: 'usual',
  wide: 0.82,
  shoulder: 0.62,
  point: 0.15,
  notch: 0,
  wave: 0.25,
}

type OpenBloom = z.infer<typeof parameters>

const BEND = -26

/** Its whorls, the outermost last. */
function layersOf(values: OpenBloom): readonly PetalLayer[] {
  const { small, smallMost, medium, mediumMost, large, largeMost } = values
  const all: readonly PetalLayer[] = [
    { name: 'small', petals: small, most: smallMost, share: 0.62, raisedDeg: 62 },
    { name: 'medium', petals: medium, most: mediumMost, share: 0.82, raisedDeg: 44 },
    { name: 'large', petals: large, most: largeMost, share: 1, raisedDeg: 25 },
  ]
  const used = all.filter(({ petals, most }) => Math.max(petals, most) > 0)
  const longest = used.at(-1)!.share
  return used.map((layer) => ({ ...layer, share: layer.share / longest }))
}

function longestOf(values: OpenBloom, size: number, shrink?: Learned['shrink']) {
  const cone = coneShare(chosen('lapped by', values.lapDeg, STARTING.lapDeg, 'angle'))
  const across = acrossHere(values.acrossMm, size, STARTING.acrossMm)
  return { cone, longest: longestPetal(across, layersOf(values).at(-1)!.raisedDeg, cone, shrink?.damp) }
}

export const openBloom = defineTechnique({
  id: 'openBloom',
  name: 'Open bloom',
  element: 'bloom',
  family: 'flowers',
  alsoCalled: ['blossom', 'petals', 'wild flower'],
  say: 'Loose petals in three sizes, cupped and glued round a wire.',
  papers: ['thinWafer', 'standardWafer'],
  whyPaper: 'Thin wafer cups without cracking and is light on its wire.',
  unfit: {
    thickWafer: 'Thick wafer cracks when a petal is cupped.',
    riceFilm: 'Rice film goes limp under glue and snaps when pinched dry.',
  },
  compositions: ['cluster', 'crown', 'sweep', 'scatter', 'pair', 'single'],
  gathers: { kind: 'bloom' },
  finishes: ['dusting', 'edgeGilding', 'speckle'],
  parameters,
  startingParameters: STARTING,
  sizedBy: ['acrossMm'],
  startingColour: '#eb8f6a',
  spareShare: STANDARD_SPARES.damp,
  seen: ({ acrossMm }) => ({ widthMm: acrossMm, heightMm: acrossMm }),

  pieces: (values, size, _, means) =>
    petalPieces(longestOf(values, size, means?.shrink).longest, layersOf(values), values, values.lapDeg),

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

  assembly: (values) => ({ kind: 'bloom', moves: [...whorlByWhorl(layersOf(values))] }),

  steps: [
    {
      id: 'cut',
      name: 'Cut the petals',
      say: 'Two or three plies at a time; no two need be alike. Keep the sizes apart.',
      minutes: { fixed: 5 },
      cuts: true,
    },
    {
      id: 'cup',
      name: 'Damp and cup',
      say: 'Barely damp with alcohol and water, about three to one. Lap the slit, pinch the foot, cup it over a finger; into bumpy foam.',
      minutes: { perPiece: 0.35, fixed: 5 },
      rest: untilHandled(30),
    },
    {
      id: 'assemble',
      name: 'Glue petal by petal',
      say:
        'Small ones round the hook, then medium, then large, not evenly spaced; tacky ' +
        'glue on the foot, five seconds each. Hang or stand in foam.',
      wires: true,
      minutes: { perPiece: 0.35, perElement: 2, fixed: 5 },
      rest: untilHandled(120),
      hold: { place: 'foamHole', per: 'element' },
    },
  ],
  liquids: [
    { mixture: 'damping', at: 'cup', per: 'dm2', ml: 0.4 },
    { mixture: 'edibleGlue', at: 'assemble', per: 'piece', ml: 0.04 },
  ],
  supplies: [{ supply: 'colouredSugar', at: 'assemble', per: 'element', amount: 0.5 }],
  tools: ['bumpy foam'],
  fixed: () => ({ by: 'wire' }),
  cautions: [
    {
      id: 'openBloomAlcohol',
      at: 'cup',
      say: 'Strong alcohol burns: no flame, no hot pan near; let it dry off before heat.',
    },
    { id: 'openBloomWire', at: 'assemble', say: 'Wire is not food: never bare into cake, count every one in and out.' },
  ],
  failures: [
    {
      seen: 'The flower falls apart',
      because: 'glue too wet, petals not held',
      next: 'tacky glue, five seconds each, let it stand',
    },
    {
      seen: 'Petals go glassy or hole',
      because: 'too much water',
      next: 'more alcohol in the mix, brush the edge first',
    },
    { seen: 'It looks like a wheel', because: 'petals alike and evenly spaced', next: 'trim a few, crowd one side' },
  ],
  holdingParts: () => [{ id: 'bloomWire', name: 'wires of blooms', perElement: 1, stays: true }],

  draw: (values, element, wall) => {
    const stream = seededStream(element.seed)
    const acrossMm = values.acrossMm * element.size
    const stance = bloomStance(element, wall, acrossMm, stream)
    return bloomMesh(
      {
        layers: layersOf(values),
        shape: values,
        bend: BEND,
        cupShare: coneShare(chosen('lapped by', Math.max(24, values.lapDeg), STARTING.lapDeg, 'angle')).value,
        centre: values.stamens > 0 ? { kind: 'stamens', count: values.stamens, tint: '#d9a441' } : { kind: 'none' },
      },
      acrossMm,
      element.seed,
      stance,
    )
  },
})
