/**
 * Laminated leaf: two thin plies, rough faces out, with a wire up two thirds of the leaf between them; leaves joined
 * in pairs into a branch.
 *
 * By hand: a branch 150 mm long carries 150 × ( 1 − 0.16 ) ÷ 25 = 5.04, so 5 pairs and one at its tip, 11 leaves, 22
 * plies;
 * its stem wire is 150 + 50 mm in the holder = 200 mm.
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

export const laminatedLeaf = defineTechnique({
  id: 'laminatedLeaf',
  name: 'Laminated leaves',
  elements: 'branches',
  say: 'Two plies with a wire between, in pairs along a branch.',
  papers: ['thinWafer'],
  whyPaper: 'Two thin plies hold a wire between them and still bend.',
  unfit: {
    standardWafer: 'Two plies of standard wafer are stiff and split along the wire.',
    thickWafer: 'Two plies of thick wafer do not bend and split along the wire.',
    riceFilm: 'Wet plies of rice film slide, and the wire shows through.',
  },
  compositions: ['cluster', 'crown', 'sweep', 'scatter', 'pair', 'single'],
  gathers: { kind: 'spray', girth: 0.3 },
  finishes: ['dusting', 'edgeGilding', 'speckle', 'twoTone'],
  parameters,
  startingParameters: {
    lengthMm: 120,
    leafMm: 34,
    leaf: 'flabellate',
    leafWide: 1,
    openDeg: 52,
    foldDeg: 8,
    arch: 0.28,
  },
  startingColour: '#a9b07a',
  spareShare: STANDARD_SPARES.damp,
  seen: ({ lengthMm, leafMm }) => ({ widthMm: leafMm * 1.7, heightMm: lengthMm }),

  pieces: ({ lengthMm, leafMm, leaf, leafWide }, size) =>
    leafPieces(
      { leaf, leafWide },
      leafMm,
      countBySize(leavesInPairs(pairsOf({ lengthMm }).value)),
      size,
      2,
      'rough face out',
    ),

  figures: (values) => [pairsOf(values)],

  wiring: (values, size) =>
    branchWiring({ ...values, size, leaves: 2 * pairsOf(values).value + 1, upLeaf: 0.66, patched: false }),

  assembly: (values) => ({
    kind: 'branch',
    shape: values,
    lengthMm: typed('branch long', values.lengthMm, 'length', 'Arrange'),
    moves: joinedFromTheTip(leavesInPairs(pairsOf(values).value), values.lengthMm),
  }),

  steps: [
    {
      id: 'laminate',
      name: 'Laminate',
      say:
        'Brush a strip with conditioner and colour, lay the wires, lay the second ply on, rough faces ' +
        'out; press from the middle. Cut through both plies round the wire while supple.',
      minutes: { perPiece: 0.7, fixed: 10 },
      rest: untilHandled(20),
    },
    {
      id: 'shape',
      name: 'Fold and dry',
      say: 'Fold along the middle, twist the tip, stand in foam, none touching.',
      minutes: { perPiece: 0.2, fixed: 5 },
      rest: untilHandled(240),
      hold: { place: 'foamHole', per: 'piece' },
    },
    {
      id: 'join',
      name: 'Join the branch',
      say:
        'From the tip down: the single leaf, then pair by pair, larger towards the foot, ' +
        'half-width tape stretched; the heavy wire joins at the second pair.',
      minutes: { perPiece: 0.3, perElement: 4, fixed: 5 },
    },
  ],
  liquids: [{ mixture: 'conditioner', per: 'dm2', ml: 0.24 }],
  consumables: ['conditioner of glycerin and water with colour', 'wire tape', 'foam to stand them in'],
  cautions: [
    { id: 'laminateBlade', at: 'laminate', say: 'Cut away from the hand, and beside the wire, not into it.' },
    { id: 'branchWire', at: 'join', say: 'Wire and tape are not food: into a food-safe holder, counted in and out.' },
  ],
  failures: [
    { seen: 'Plies come apart', because: 'too dry when laid together', next: 'damp edge to edge, press longer' },
    {
      seen: 'The branch hangs',
      because: 'a stem too thin for its leaves',
      next: 'a heavier wire from the second pair down',
    },
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
