/**
 * Patched leaf: small leaves of a single sheet, each with its wire glued to the back under a small square patch,
 * joined into a stem.
 *
 * By hand: a stem 110 mm long carries 110 × ( 1 − 0.16 ) ÷ 25 = 3.7, so 4 pairs and one at its tip: 9 leaves and 9
 * patches;
 * a leaf 22 mm long takes a wire of 22 × 0.5 + 45 = 56 mm.
 * Four branches of 44 leaves in all are patched in 44 × 0.6 + 5 = 31.4 min and joined in 44 × 0.3 + 4 × 3 + 5 = 30.2
 * min; 44 ×
 * 0.05 = 2.2 ml of glue.
 */
import { defineTechnique } from './define'
import { STANDARD_SPARES } from './flat'
import { pairedLeaves, PLAIN_BRANCH } from './foliage'
import { untilHandled } from './step'

/** As it begins. */
const STARTING = {
  ...PLAIN_BRANCH,
  lengthMm: 110,
  leafMm: 22,
  leaf: 'orbicular',
  leafWide: 1,
  openDeg: 58,
  foldDeg: 12,
  arch: 0.35,
} as const

export const patchedLeaf = defineTechnique({
  ...pairedLeaves({ plies: 1, face: 'smooth face up', upLeaf: 0.5, patched: true, began: STARTING }),
  id: 'patchedLeaf',
  name: 'Patched leaves',
  family: 'foliage',
  alsoCalled: ['ivy', 'ginkgo', 'small leaves'],
  say: 'Small single leaves, each wire under a little square patch.',
  papers: ['standardWafer', 'thinWafer', 'thickWafer'],
  whyPaper: 'Standard wafer holds a small leaf flat by itself.',
  unfit: { riceFilm: 'A patch does not hold on rice film: it dries off.' },
  startingColour: '#93a58c',
  spareShare: STANDARD_SPARES.damp,

  steps: [
    {
      id: 'cut',
      name: 'Cut leaves and patches',
      say: 'Leaves two or three plies at a time; patches are small squares from offcuts.',
      minutes: { fixed: 5 },
      cuts: true,
    },
    {
      id: 'patch',
      name: 'Patch the wires',
      say: 'Wire up the back to the middle, a dot of glue, a patch pressed over it. Stand upright in foam.',
      wires: true,
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
  liquids: [{ mixture: 'edibleGlue', at: 'patch', per: 'piece', ml: 0.05 }],
  tools: ['foam to stand them in'],
  fixed: () => ({ by: 'wire' }),
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
})
