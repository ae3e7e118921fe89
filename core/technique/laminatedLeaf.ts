/**
 * Laminated leaf: two thin plies, rough faces out, with a wire up two thirds of the leaf between them; leaves joined
 * in pairs into a branch.
 *
 * By hand: a branch 150 mm long carries 150 × ( 1 − 0.16 ) ÷ 25 = 5.04, so 5 pairs and one at its tip, 11 leaves of two
 * plies, 22; two side branches carry 5 leaves each, 21 in all;
 * its stem wire is 150 + 50 mm in the holder = 200 mm.
 * Four branches of 44 leaves in all are folded in 44 × 0.4 + 5 = 22.6 min and joined in 44 × 0.6 + 4 × 4 + 5 = 47.4 min.
 */
import { defineTechnique } from './define'
import { STANDARD_SPARES } from './flat'
import { pairedLeaves, PLAIN_BRANCH } from './foliage'
import { untilHandled } from './step'

/** As it begins. */
const STARTING = {
  ...PLAIN_BRANCH,
  lengthMm: 120,
  leafMm: 34,
  leaf: 'flabellate',
  leafWide: 1,
  openDeg: 52,
  foldDeg: 8,
  arch: 0.28,
} as const

export const laminatedLeaf = defineTechnique({
  ...pairedLeaves({ plies: 2, face: 'rough face out', upLeaf: 0.66, patched: false, began: STARTING }),
  id: 'laminatedLeaf',
  name: 'Laminated leaves',
  family: 'foliage',
  alsoCalled: ['leaves', 'branch', 'greenery'],
  say: 'Two plies with a wire between, in pairs along a branch.',
  papers: ['thinWafer'],
  whyPaper: 'Two thin plies hold a wire between them and still bend.',
  unfit: {
    standardWafer: 'Two plies of standard wafer are stiff and split along the wire.',
    thickWafer: 'Two plies of thick wafer do not bend and split along the wire.',
    riceFilm: 'Wet plies of rice film slide, and the wire shows through.',
  },
  startingColour: '#a9b07a',
  startingCarrier: 'conditioner',
  spareShare: STANDARD_SPARES.damp,

  steps: [
    {
      id: 'laminate',
      name: 'Laminate',
      say:
        'Brush a strip with conditioner and colour, lay the wires, lay the second ply on, rough faces ' +
        'out; press from the middle. Cut through both plies round the wire while supple.',
      wires: true,
      minutes: { perPiece: 1, fixed: 10 },
      cuts: true,
      rest: untilHandled(20),
      suppleMin: 240,
    },
    {
      id: 'shape',
      name: 'Fold and dry',
      say: 'While supple: fold along the middle, twist the tip, stand in foam, none touching.',
      minutes: { perPiece: 0.4, fixed: 5 },
      rest: untilHandled(240),
      hold: { place: 'foamHole', per: 'piece' },
    },
    {
      id: 'join',
      name: 'Join the branch',
      say:
        'From the tip down: the single leaf, then pair by pair, larger towards the foot, ' +
        'half-width tape stretched; the heavy wire joins at the second pair.',
      minutes: { perPiece: 0.6, perElement: 4, fixed: 5 },
    },
  ],
  liquids: [{ mixture: 'conditioner', at: 'laminate', per: 'dm2', ml: 0.47, plies: 2 }],
  tools: ['foam to stand them in'],
  fixed: () => ({ by: 'wire' }),
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
})
