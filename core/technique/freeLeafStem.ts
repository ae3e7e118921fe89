/**
 * Free leaf stem: a few long almond leaves, folded along the middle, their feet glued one over the other to a wire.
 *
 * By hand: three leaves of 90 mm on a stem: one of each size, 90, 72 and 55.8 mm; the stem wire is 60 + 50 mm in the
 * holder = 110 mm.
 * Four stems of 15 leaves in all are glued in 15 × 0.5 + 4 × 1.5 + 5 = 18.5 min; 15 × 0.06 = 0.9 ml of glue.
 */
import { z } from 'zod'
import { derive, found, starting } from '../quantity'
import { defineTechnique } from './define'
import { chosen } from './chosen'
import { STANDARD_SPARES } from './flat'
import {
  branchMesh,
  branchStance,
  countBySize,
  joinedFromTheTip,
  LEAF_SIZES,
  leafFields,
  leafPieces,
  type LeafPlace,
} from './foliage'
import { tapeFor, wireLength } from './wiring'
import { untilHandled } from './step'

const parameters = z.strictObject({
  leafMm: z.number().min(30).max(200).meta({ label: 'Longest leaf', kind: 'length' }),
  leaves: z.number().int().min(2).max(4).meta({ label: 'Leaves', kind: 'count', help: '2 to 4' }),
  ...leafFields,
  foldDeg: z.number().min(0).max(60).meta({ label: 'Folded', kind: 'angle', help: 'Along the middle' }),
  footMm: z
    .number()
    .min(40)
    .max(60)
    .meta({ label: 'For the holder', kind: 'length', help: 'Of the stem, 40 to 60 mm' }),
})

/** As it begins. */
const STARTING: z.infer<typeof parameters> = {
  leafMm: 80,
  leaves: 3,
  leaf: 'lanceolate',
  leafWide: 1,
  foldDeg: 24,
  footMm: 50,
}

/** The longest stands highest; the others fan out below it, on alternate sides. */
const placesOf = (leaves: number): readonly LeafPlace[] => [
  ...Array.from({ length: leaves - 1 }, (_, leaf): LeafPlace => ({
    up: 0.25 + 0.25 * leaf,
    side: leaf % 2 === 0 ? -1 : 1,
    share: LEAF_SIZES[Math.min(2, leaf + 1)]!.share,
  })).reverse(),
  { up: 1, side: 0, share: 1 },
]

/** How much of the stem shows below the leaves, as a share of the longest leaf. */
const STEM_SHARE = 0.3

export const freeLeafStem = defineTechnique({
  id: 'freeLeafStem',
  name: 'Free leaf stem',
  element: 'stem',
  family: 'foliage',
  alsoCalled: ['grass', 'long leaves', 'eucalyptus', 'branch'],
  say: 'A few long folded leaves on one wire.',
  papers: ['thinWafer', 'standardWafer'],
  whyPaper: 'Thin wafer folds sharply and moves like a leaf.',
  unfit: { thickWafer: 'Thick wafer cracks along the fold.', riceFilm: 'Rice film breaks at the fold.' },
  compositions: ['cluster', 'crown', 'sweep', 'pair', 'single', 'scatter'],
  gathers: { kind: 'spray', girth: 0.3 },
  finishes: ['dusting', 'edgeGilding', 'speckle', 'twoTone'],
  parameters,
  startingParameters: STARTING,
  sizedBy: ['leafMm'],
  startingColour: '#7f8f63',
  spareShare: STANDARD_SPARES.damp,
  seen: ({ leafMm }) => ({ widthMm: leafMm * 0.6, heightMm: leafMm * (1 + STEM_SHARE) }),

  pieces: ({ leafMm, leaf, leafWide, leaves }, size) =>
    leafPieces(
      { leaf, leafWide },
      chosen('largest leaf', leafMm, STARTING.leafMm, 'length'),
      countBySize(placesOf(leaves)),
      size,
      1,
      'smooth face up',
    ),

  wiring: ({ leafMm }, size) => {
    const stem = derive(
      'stem seen',
      'length',
      'wires',
      '{leaf} × {share} + {below}',
      {
        leaf: found('longest leaf here', leafMm * size, 'length', 'from its place'),
        share: starting('stem, of the leaf', STEM_SHARE, 'share', 'guess'),
        below: starting('below the leaves', 36, 'length', 'usual'),
      },
      (v) => v.leaf * v.share + v.below,
    )
    return {
      wires: [
        {
          name: 'stem',
          gauge: leafMm * size > 110 ? 20 : 24,
          length: wireLength('wire of a stem', stem, false, true),
          perElement: 1,
        },
      ],
      tape: [tapeFor(stem, 'half')],
      patches: 0,
      holders: 1,
    }
  },

  assembly: ({ leafMm, leaf, leafWide, leaves }) => {
    const stem = derive(
      'stem',
      'length',
      'wires',
      '{leaf} × {share}',
      {
        leaf: chosen('longest leaf', leafMm, STARTING.leafMm, 'length'),
        share: starting('stem, of the leaf', STEM_SHARE, 'share', 'guess'),
      },
      (v) => v.leaf * v.share,
    )
    return {
      kind: 'branch',
      shape: { leaf, leafWide },
      lengthMm: stem,
      moves: joinedFromTheTip(placesOf(leaves), stem.value),
    }
  },

  steps: [
    {
      id: 'cut',
      name: 'Cut and fold',
      say: 'Fold a strip, cut half a leaf along the fold, open it again; barely damp, twist the tip.',
      minutes: { perPiece: 0.25, fixed: 5 },
      cuts: true,
      rest: untilHandled(30),
    },
    {
      id: 'glue',
      name: 'Glue to the wire',
      say: 'The longest first, its foot round the wire; the others lower, on alternate sides. Five seconds each, then tape over the feet.',
      wires: true,
      minutes: { perPiece: 0.5, perElement: 1.5, fixed: 5 },
      rest: untilHandled(60),
      hold: { place: 'foamHole', per: 'element' },
    },
  ],
  liquids: [
    { mixture: 'damping', at: 'cut', per: 'dm2', ml: 0.4 },
    { mixture: 'edibleGlue', at: 'glue', per: 'piece', ml: 0.06 },
  ],
  tools: ['foam to stand them in'],
  fixed: () => ({ by: 'wire' }),
  cautions: [
    { id: 'freeLeafBlade', at: 'cut', say: 'Fingers behind the blade.' },
    { id: 'freeLeafWire', at: 'glue', say: 'Wire is not food: into a food-safe holder, counted in and out.' },
  ],
  failures: [
    { seen: 'A leaf swings round', because: 'only its tip was glued', next: 'foot round the wire, tape over it' },
  ],
  holdingParts: () => [{ id: 'stemWire', name: 'stem wires', perElement: 1, stays: true }],

  draw: ({ leafMm, leaf, leafWide, leaves, foldDeg }, element, wall) =>
    branchMesh(
      {
        lengthMm: leafMm * STEM_SHARE * element.size,
        leafMm: leafMm * element.size,
        shape: { leaf, leafWide },
        leaves: placesOf(leaves),
        openDeg: 30,
        foldDeg,
        arch: 0.16,
        stem: '#6d6a45',
      },
      element.seed,
      branchStance(element, wall),
    ),
})
