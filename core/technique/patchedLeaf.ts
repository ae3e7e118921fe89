/**
 * Patched leaf: small leaves of a single sheet, each with its wire glued to the back under a small square patch,
 * joined into a stem.
 *
 * By hand: a stem 110 mm long carries 110 × ( 1 − 0.16 ) ÷ 25 = 3.7, so 4 pairs and one at its tip: 9 leaves and 9
 * patches;
 * a leaf 22 mm long takes a wire of 22 × 0.5 + 45 = 56 mm.
 */
import { z } from 'zod'
import { typed } from '../quantity'
import { defineTechnique } from './define'
import { STANDARD_SPARES } from './flat'
import {
  branchMesh,
  branchStance,
  countBySize,
  joinedFromTheTip,
  leafFields,
  leafPieces,
  leavesInPairs,
  pairsOn,
} from './foliage'
import { branchWiring } from './wiring'
import { untilHandled } from './step'

const parameters = z.strictObject({
  lengthMm: z.number().min(40).max(300).meta({ label: 'Branch long', kind: 'length', help: 'Of the longest' }),
  leafMm: z.number().min(14).max(110).meta({ label: 'Largest leaf', kind: 'length' }),
  ...leafFields,
  openDeg: z.number().min(15).max(85).meta({ label: 'Leaves stand off by', kind: 'angle' }),
  foldDeg: z.number().min(0).max(50).meta({ label: 'Folded', kind: 'angle', help: 'Along the middle' }),
  arch: z.number().min(0).max(0.6).meta({ label: 'Arch', kind: 'share' }),
})

const pairsOf = ({ lengthMm }: { readonly lengthMm: number }) =>
  pairsOn(typed('branch long', lengthMm, 'length', 'Arrange'))

export const patchedLeaf = defineTechnique({
  id: 'patchedLeaf',
  name: 'Patched leaves',
  elements: 'branches',
  say: 'Small single leaves, each wire under a little square patch.',
  papers: ['standardWafer', 'thinWafer', 'thickWafer'],
  whyPaper: 'Standard wafer holds a small leaf flat by itself.',
  unfit: { riceFilm: 'A patch does not hold on rice film: it dries off.' },
  compositions: ['cluster', 'crown', 'sweep', 'scatter', 'pair', 'single'],
  gathers: { kind: 'spray', girth: 0.3 },
  finishes: ['dusting', 'edgeGilding', 'speckle', 'twoTone'],
  parameters,
  startingParameters: {
    lengthMm: 110,
    leafMm: 22,
    leaf: 'orbicular',
    leafWide: 1,
    openDeg: 58,
    foldDeg: 12,
    arch: 0.35,
  },
  startingColour: '#93a58c',
  spareShare: STANDARD_SPARES.damp,
  seen: ({ lengthMm, leafMm }) => ({ widthMm: leafMm * 1.7, heightMm: lengthMm }),

  pieces: ({ lengthMm, leafMm, leaf, leafWide }, size) =>
    leafPieces(
      { leaf, leafWide },
      leafMm,
      countBySize(leavesInPairs(pairsOf({ lengthMm }).value)),
      size,
      1,
      'smooth face up',
    ),

  figures: (values) => [pairsOf(values)],

  wiring: (values, size) =>
    branchWiring({ ...values, size, leaves: 2 * pairsOf(values).value + 1, upLeaf: 0.5, patched: true }),

  assembly: (values) => ({
    kind: 'branch',
    shape: values,
    lengthMm: typed('branch long', values.lengthMm, 'length', 'Arrange'),
    moves: joinedFromTheTip(leavesInPairs(pairsOf(values).value), values.lengthMm),
  }),

  steps: [
    {
      id: 'cut',
      name: 'Cut leaves and patches',
      say: 'Leaves two or three plies at a time; patches are small squares from offcuts.',
      minutes: { perPiece: 0.25, fixed: 5 },
    },
    {
      id: 'patch',
      name: 'Patch the wires',
      say: 'Wire up the back to the middle, a dot of glue, a patch pressed over it. Stand upright in foam.',
      minutes: { perPiece: 0.6, fixed: 5 },
      rest: untilHandled(60),
      hold: { place: 'foamHole', per: 'piece' },
    },
    {
      id: 'join',
      name: 'Join the stem',
      say: 'From the tip down, pair by pair, half-width tape stretched; the stem wire joins at the second pair.',
      minutes: { perPiece: 0.3, perElement: 3, fixed: 5 },
    },
  ],
  liquids: [{ mixture: 'edibleGlue', per: 'piece', ml: 0.05 }],
  consumables: ['edible glue, a dot for each patch', 'wire tape', 'foam to stand them in'],
  cautions: [
    { id: 'patchBlade', at: 'cut', say: 'Several plies need a sharp blade: away from the hand.' },
    { id: 'patchWire', at: 'join', say: 'Wire and tape are not food: into a food-safe holder, counted in and out.' },
  ],
  failures: [
    {
      seen: 'Leaves turn on their wires',
      because: 'patch too small, or glue too wet',
      next: 'a patch as wide as a third of the leaf, tacky glue',
    },
    { seen: 'The wire shows through', because: 'thin pale paper', next: 'thicker paper, or a wire wound in pale tape' },
  ],

  holdingParts: ({ lengthMm }) => [
    { id: 'leafWire', name: 'wires of leaves', perElement: 2 * pairsOf({ lengthMm }).value + 1, stays: true },
    { id: 'stemWire', name: 'stem wires', perElement: 1, stays: true },
  ],

  draw: ({ lengthMm, leafMm, leaf, leafWide, openDeg, foldDeg, arch }, element, wall) =>
    branchMesh(
      {
        lengthMm: lengthMm * element.size,
        leafMm: leafMm * element.size,
        shape: { leaf, leafWide },
        leaves: leavesInPairs(pairsOf({ lengthMm }).value),
        openDeg,
        foldDeg,
        arch,
        stem: '#6d6a45',
      },
      element.seed,
      branchStance(element, wall),
    ),
})
