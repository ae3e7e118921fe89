/**
 * Moulded bloom: petals dipped in conditioner and draped over half-spheres, then set round a hooked wire into a bowl.
 *
 * By hand: a bloom 60 mm across on half-spheres of 70 mm: arcsin( 60 ÷ 70 ) = 59.0°, so a petal runs 35 × 1.030 =
 * 36.0 mm along the mould
 * and is cut 36.0 ÷ 0.98 = 36.8 mm; the bowl is 35 × ( 1 − cos 59.0° ) = 17.0 mm deep.
 * Four of 19 petals in all: draped in 19 × 0.8 + 5 = 20.2 min out of a bowl of 60 ml, set in 19 × 0.7 + 4 × 3 + 5 =
 * 30.3 min.
 */
import { z } from 'zod'
import type { Learned } from '../learn'
import { derive, found, seededStream, type Working } from '../quantity'
import { defineTechnique } from './define'
import { chosen } from './chosen'
import { acrossHere, dampShrink, STANDARD_SPARES } from './flat'
import { bloomMesh, bloomStance, petalFields, petalPieces, whorlByWhorl, type PetalLayer } from './petal'
import { bloomWiring, wireFields } from './wiring'
import { untilHandled } from './step'

const parameters = z.strictObject({
  acrossMm: z.number().min(20).max(120).meta({ label: 'Across', kind: 'length', help: 'Of the biggest' }),
  petals: z.number().int().min(2).max(5).meta({ label: 'Petals, from', kind: 'count', help: '2 to 5' }),
  petalsMost: z.number().int().min(2).max(6).meta({ label: 'Petals, to', kind: 'count', help: 'Each bloom its own' }),
  stamens: z.number().int().min(0).max(24).meta({ label: 'Stamens', kind: 'count' }),
  wireMm: z.number().min(20).max(180).meta({ label: 'Stem', kind: 'length', help: 'Seen below it, at least' }),
  ...wireFields,
  ...petalFields,
})

/** As it begins. */
const STARTING: z.infer<typeof parameters> = {
  acrossMm: 56,
  petals: 4,
  petalsMost: 5,
  stamens: 14,
  wireMm: 55,
  wireCut: 'third',
  gauge: 'usual',
  wide: 1.1,
  shoulder: 0.6,
  point: 0,
  notch: 0.05,
  wave: 0.2,
}

type MouldedBloom = z.infer<typeof parameters>

/** Half-spheres to be had, across, mm. */
const MOULDS_MM = [30, 40, 50, 60, 70, 80, 100, 120, 140] as const
/** A bowl is no more than this share of its mould across, so that petals come off it. */
const MOST_OF_MOULD = 0.9
const DEGREES = 180 / Math.PI

type Bowl = { readonly mould: Working; readonly angle: Working; readonly petal: Working; readonly deep: Working }

/**
 * The smallest mould that gives the biggest bloom, for all of them, and what follows: how far up it a petal reaches,
 * how long it is cut, how deep the bowl is.
 */
function bowlOf({ acrossMm }: Pick<MouldedBloom, 'acrossMm'>, size: number, shrink?: Learned['shrink']): Bowl {
  const across = acrossHere(acrossMm, size, STARTING.acrossMm)
  const wide = MOULDS_MM.find((mm) => acrossMm <= mm * MOST_OF_MOULD) ?? MOULDS_MM.at(-1)!
  const mould = found('half-sphere', wide, 'length', 'the smallest that gives the biggest')
  const angle = derive(
    'up the half-sphere',
    'angle',
    'a petal on a mould',
    'arcsin( {across} ÷ {mould} )',
    { across, mould },
    (v) => Math.asin(Math.min(1, v.across / v.mould)) * DEGREES,
  )
  const petal = derive(
    'petal long',
    'length',
    'a petal on a mould',
    '{mould} ÷ 2 × {angle} in radians ÷ ( 1 − {shrink} )',
    { mould, angle, shrink: dampShrink(shrink?.damp) },
    (v) => ((v.mould / 2) * v.angle) / DEGREES / (1 - v.shrink),
  )
  return {
    mould,
    angle,
    petal,
    deep: derive(
      'bowl deep',
      'length',
      'a petal on a mould',
      '{mould} ÷ 2 × ( 1 − cos {angle} )',
      { mould, angle },
      (v) => (v.mould / 2) * (1 - Math.cos(v.angle / DEGREES)),
    ),
  }
}

const layersOf = (
  { petals, petalsMost }: Pick<MouldedBloom, 'petals' | 'petalsMost'>,
  raisedDeg: number,
): readonly PetalLayer[] => [{ name: 'moulded', petals, most: petalsMost, share: 1, raisedDeg }]

export const mouldedBloom = defineTechnique({
  id: 'mouldedBloom',
  name: 'Moulded bloom',
  element: 'bloom',
  family: 'flowers',
  alsoCalled: ['magnolia', 'poppy', 'anemone', 'bowl'],
  say: 'Few broad petals dried on half-spheres into a bowl.',
  papers: ['thinWafer'],
  whyPaper: 'Thin wafer drapes over a mould without pleats.',
  unfit: {
    standardWafer: 'Standard wafer pleats on a half-sphere.',
    thickWafer: 'Thick wafer does not drape.',
    riceFilm: 'Rice film sticks to the mould and to itself.',
  },
  compositions: ['cluster', 'crown', 'single', 'pair', 'sweep', 'scatter'],
  gathers: { kind: 'bloom' },
  finishes: ['dusting', 'edgeGilding', 'speckle', 'twoTone'],
  parameters,
  startingParameters: STARTING,
  sizedBy: ['acrossMm'],
  startingColour: '#f3e3cf',
  spareShare: STANDARD_SPARES.damp,
  seen: ({ acrossMm }) => ({ widthMm: acrossMm, heightMm: acrossMm }),

  pieces: (values, size, _, means) =>
    petalPieces(bowlOf(values, size, means?.shrink).petal, layersOf(values, 0), values, 0),

  figures: (values) => {
    const { mould, angle, deep } = bowlOf(values, 1)
    return [mould, angle, deep]
  },

  wiring: (values, size) =>
    bloomWiring({
      ...values,
      acrossMm: values.acrossMm * size,
      stem: chosen('stem below the bloom', values.wireMm, STARTING.wireMm, 'length'),
      hooked: true,
    }),

  assembly: (values) => ({ kind: 'bloom', moves: [...whorlByWhorl(layersOf(values, 0))] }),

  dries: ['fan', 'room', 'dryRoom'],
  steps: [
    {
      id: 'cut',
      name: 'Cut the petals',
      say: 'Broad petals, one size; two or three plies at a time.',
      minutes: { fixed: 5 },
      cuts: true,
    },
    {
      id: 'mould',
      name: 'Dip and drape',
      say: 'A quick dip in conditioner, drain, drape over the half-sphere, smooth from the middle. Two hours before a fan.',
      minutes: { perPiece: 0.8, fixed: 5 },
      rest: untilHandled(120, 'fan'),
      hold: { place: 'halfSphere', per: 'piece' },
    },
    {
      id: 'assemble',
      name: 'Set round the wire',
      say: 'A damp strip wound on the hook, stamens, then the petals each under the last; hang upside down.',
      wires: true,
      minutes: { perPiece: 0.7, perElement: 3, fixed: 5 },
      rest: untilHandled(120),
      hold: { place: 'foamHole', per: 'element' },
    },
  ],
  liquids: [
    { mixture: 'conditioner', at: 'mould', per: 'dm2', ml: 0.47, faces: 2, bowlMl: 60 },
    { mixture: 'edibleGlue', at: 'assemble', per: 'piece', ml: 0.08 },
  ],
  supplies: [{ supply: 'colouredSugar', at: 'assemble', per: 'element', amount: 0.5 }],
  tools: ['half-spheres'],
  fixed: () => ({ by: 'wire' }),
  cautions: [
    {
      id: 'mouldedSlip',
      at: 'mould',
      say: 'Conditioner on the floor is slippery; wipe it at once. Grease moulds with food fat only.',
    },
    { id: 'mouldedWire', at: 'assemble', say: 'Wire is not food: never bare into cake, count every one in and out.' },
  ],
  failures: [
    {
      seen: 'A petal flattens after an hour',
      because: 'taken off too soon, or damp room',
      next: 'leave it on longer, fan on',
    },
    { seen: 'The bowl gapes on one side', because: 'petals not lapped', next: 'each a third under the last' },
  ],
  holdingParts: () => [{ id: 'bloomWire', name: 'wires of blooms', perElement: 1, stays: true }],

  draw: (values, element, wall) => {
    const acrossMm = values.acrossMm * element.size
    const up = bowlOf(values, element.size).angle.value
    return bloomMesh(
      {
        layers: layersOf(values, up / 2 + 8),
        shape: values,
        bend: up,
        cupShare: 0.93,
        centre: values.stamens > 0 ? { kind: 'stamens', count: values.stamens, tint: '#c79a3a' } : { kind: 'none' },
      },
      acrossMm,
      element.seed,
      bloomStance(element, wall, acrossMm, seededStream(element.seed)),
    )
  },
})
