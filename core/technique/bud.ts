/**
 * Bud: two or three small petals closed round a hook, with a calyx below.
 *
 * By hand: a bud 16 mm across and 16 × 1.5 = 24 mm long; its petals are as long as the bud and 2 % for shrink, 24.5
 * mm; two petals and a calyx each.
 * Four of 15 pieces in all are rolled in 15 × 0.4 + 4 × 1 + 4 = 14 min; 15 × 0.04 = 0.6 ml of glue.
 */
import { z } from 'zod'
import type { Learned } from '../learn'
import { derive, seededStream, starting, type Working } from '../quantity'
import { defineTechnique } from './define'
import { chosen } from './chosen'
import { acrossHere, cutSize, dampShrink, STANDARD_SPARES } from './flat'
import { branchStance } from './foliage'
import { bloomStance, budMesh, petalFields, petalOutline, type BloomFrame } from './petal'
import { bloomWiring, wireFields } from './wiring'
import { untilHandled } from './step'

const parameters = z.strictObject({
  acrossMm: z.number().min(6).max(50).meta({ label: 'Across', kind: 'length', help: 'Of the biggest' }),
  petals: z.number().int().min(2).max(4).meta({ label: 'Petals', kind: 'count', help: '2 is usual' }),
  calyx: z
    .string()
    .regex(/^#[0-9a-f]{6}$/i)
    .meta({ label: 'Calyx', kind: 'colour' }),
  wireMm: z.number().min(20).max(180).meta({ label: 'Stem', kind: 'length', help: 'Seen below it, at least' }),
  ...wireFields,
  ...petalFields,
})

/** As it begins. */
const STARTING: z.infer<typeof parameters> = {
  acrossMm: 16,
  petals: 2,
  calyx: '#8a8f5c',
  wireMm: 45,
  wireCut: 'third',
  gauge: 'usual',
  wide: 0.9,
  shoulder: 0.55,
  point: 0.35,
  notch: 0,
  wave: 0.1,
}

const LONG_SHARE = 1.5
const CALYX_SHARE = 0.62

function sizesOf(
  acrossMm: number,
  size: number,
  shrink?: Learned['shrink'],
): { readonly long: Working; readonly petal: Working } {
  const across = acrossHere(acrossMm, size, STARTING.acrossMm)
  const long = derive(
    'bud long',
    'length',
    'sizes of a bud',
    '{across} × {share}',
    { across, share: starting('long, of its width', LONG_SHARE, 'ratio', 'usual') },
    (v) => v.across * v.share,
  )
  return { long, petal: cutSize('petal long', long, null, dampShrink(shrink?.damp)) }
}

export const bud = defineTechnique({
  id: 'bud',
  name: 'Bud',
  element: 'bud',
  family: 'flowers',
  alsoCalled: ['rosebud', 'closed flower'],
  say: 'A few petals closed round a hook, a calyx below.',
  papers: ['thinWafer', 'standardWafer'],
  whyPaper: 'Thin wafer rolls tightly round the hook.',
  unfit: { thickWafer: 'Thick wafer does not roll so small.', riceFilm: 'Rice film unrolls as it dries.' },
  compositions: ['cluster', 'crown', 'sweep', 'scatter', 'pair', 'single'],
  gathers: { kind: 'spray', girth: 0.8 },
  finishes: ['dusting', 'edgeGilding', 'speckle'],
  parameters,
  startingParameters: STARTING,
  sizedBy: ['acrossMm'],
  startingColour: '#e07a55',
  spareShare: STANDARD_SPARES.damp,
  seen: ({ acrossMm }) => ({ widthMm: acrossMm, heightMm: acrossMm * LONG_SHARE }),

  pieces: (values, size, _, means) => {
    const { petal } = sizesOf(values.acrossMm, size, means?.shrink)
    const wide = derive(
      'petal wide',
      'length',
      'sizes of petals',
      '{long} × {wide}',
      { long: petal, wide: chosen('wide, of its length', values.wide, STARTING.wide, 'share') },
      (v) => v.long * v.wide,
    )
    const calyxLong = derive(
      'calyx long',
      'length',
      'sizes of a bud',
      '{petal} × {share}',
      { petal, share: starting('calyx, of the petal', CALYX_SHARE, 'share', 'guess') },
      (v) => v.petal * v.share,
    )
    const calyx = { wide: 0.7, shoulder: 0.4, point: 0.9, notch: 0, wave: 0 }
    return [
      {
        name: 'bud petal',
        isPetal: true,
        outline: petalOutline(petal.value, values),
        folds: [],
        face: 'smooth face out',
        width: wide,
        height: petal,
        perElement: values.petals,
      },
      {
        name: 'calyx',
        outline: petalOutline(calyxLong.value, calyx),
        folds: [],
        face: 'either face',
        width: derive(
          'calyx wide',
          'length',
          'sizes of a bud',
          '{long} × {wide}',
          { long: calyxLong, wide: starting('wide, of its length', calyx.wide, 'share', 'guess') },
          (v) => v.long * v.wide,
        ),
        height: calyxLong,
        perElement: 1,
      },
    ]
  },

  wiring: (values, size) =>
    bloomWiring({
      ...values,
      acrossMm: values.acrossMm * size,
      stem: chosen('stem below the bloom', values.wireMm, STARTING.wireMm, 'length'),
      hooked: true,
    }),

  placeMin: 1,
  steps: [
    {
      id: 'cut',
      name: 'Cut petals and calyx',
      say: 'Several plies at a time; the calyx from offcuts in its colour.',
      minutes: { fixed: 4 },
      cuts: true,
    },
    {
      id: 'roll',
      name: 'Roll round the hook',
      say: 'Barely damp; the first petal rolled tight, the next half over it, the calyx below. Stand in foam.',
      wires: true,
      minutes: { perPiece: 0.4, perElement: 1, fixed: 4 },
      rest: untilHandled(60),
      hold: { place: 'foamHole', per: 'element' },
    },
  ],
  liquids: [
    { mixture: 'damping', at: 'roll', per: 'dm2', ml: 0.4 },
    { mixture: 'edibleGlue', at: 'roll', per: 'piece', ml: 0.04 },
  ],
  fixed: () => ({ by: 'wire' }),
  cautions: [{ id: 'budWire', at: 'roll', say: 'Wire is not food: never bare into cake, count every one in and out.' }],
  failures: [
    {
      seen: 'Buds open as they dry',
      because: 'rolled too wet or too loose',
      next: 'tighter, and a dot of glue at the edge',
    },
  ],
  holdingParts: () => [{ id: 'budWire', name: 'wires of buds', perElement: 1, stays: true }],

  draw: (values, element, wall) => {
    const acrossMm = values.acrossMm * element.size
    const longMm = acrossMm * LONG_SHARE
    // In a bouquet a bud runs out along its stem; elsewhere it stands up like a bloom on edge.
    const along = branchStance(element, wall)
    const stance: BloomFrame = element.pose
      ? (right, up, out) => along(right, up + longMm / 2, out - acrossMm / 2)
      : bloomStance(element, wall, longMm, seededStream(element.seed))
    return budMesh({ acrossMm, longMm, petals: values.petals, calyx: values.calyx }, element.seed, stance)
  },
})
