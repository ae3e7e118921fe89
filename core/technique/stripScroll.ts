/**
 * Strip scroll: narrow strips of thin wafer stuck at one end and wound tightly round a clip, so that each outer one
 * ends shorter: a fan of nested arcs, like lace.
 *
 * By hand: a scroll seen 40 mm wide, on a row 402 mm round, overlapping by a tenth: 402 ÷ (40 × 0.9) = 11.2, so 11
 * scrolls of 10 strips each, 110 strips.
 * Eleven are wound in 11 × 4 = 44 min; two dots each, 11 × 2 × 0.2 = 4.4 g of piping gel.
 */
import { z } from 'zod'
import { rectangle, type Point3 } from '../geometry'
import { between, derive, found, seededStream } from '../quantity'
import { defineTechnique } from './define'
import { chosen } from './chosen'
import type { MeshFace, MeshLine } from './mesh'
import { STANDARD_SPARES } from './flat'
import { frameOf } from './frame'
import { fixed } from './step'

const parameters = z.strictObject({
  seenMm: z.number().min(15).max(120).meta({ label: 'Seen size', kind: 'length', help: 'Of a scroll, across' }),
  strips: z.number().int().min(8).max(12).meta({ label: 'Strips in one', kind: 'count' }),
  stripWidthMm: z.number().min(4).max(10).meta({ label: 'Strip wide', kind: 'length' }),
})

/** As it begins. */
const STARTING: z.infer<typeof parameters> = { seenMm: 46, strips: 10, stripWidthMm: 6 }

/** The longest strip runs round the outermost arc, this many times the seen size, and is held at both ends. */
const ARC_PER_SEEN = 2.2
const HELD_MM = 12

/** Strips are glued on by their edge. */
const OFF_WALL_MM = 0.5

export const stripScroll = defineTechnique({
  id: 'stripScroll',
  name: 'Strip scroll',
  element: 'scroll',
  family: 'lace',
  alsoCalled: ['scrolls', 'filigree', 'curls'],
  say: 'Nested arcs of narrow strips, like lace round a tier.',
  papers: ['thinWafer'],
  whyPaper: 'Thin wafer winds without cracking and keeps its curl.',
  unfit: {
    standardWafer: 'Standard wafer springs out of a tight curl; take thin.',
    thickWafer: 'Thick wafer cracks when wound.',
    riceFilm: 'Rice film springs back and snaps.',
  },
  compositions: ['band', 'sweep', 'scatter', 'cluster', 'pair', 'single'],
  finishes: ['edgeGilding', 'dusting'],
  parameters,
  startingParameters: STARTING,
  sizedBy: ['seenMm'],
  startingColour: '#f3dfc2',
  spareShare: STANDARD_SPARES.dry,
  seen: ({ seenMm }) => ({ widthMm: seenMm, heightMm: seenMm }),

  pieces: ({ seenMm, strips, stripWidthMm }, size) => {
    const width = chosen('strip wide', stripWidthMm, STARTING.stripWidthMm, 'length')
    const length = derive(
      'strip long',
      'length',
      'round the outermost arc',
      '{seen} × {arc} + {held}',
      {
        seen: found('seen size here', seenMm * size, 'length', 'from its place'),
        arc: found('arc for each seen size', ARC_PER_SEEN, 'ratio', 'of the drawn scroll'),
        held: found('held at the ends', HELD_MM, 'length', 'stuck together'),
      },
      (v) => v.seen * v.arc + v.held,
    )
    return [
      {
        name: 'scroll strip',
        edge: 'ruler',
        outline: rectangle(0, 0, length.value, stripWidthMm),
        folds: [],
        face: 'either face',
        width: length,
        height: width,
        perElement: strips,
      },
    ]
  },

  placeMin: 1,
  steps: [
    {
      id: 'cut',
      name: 'Cut the strips',
      say: 'Several sheets at once, with a ruler and a sharp blade, all strips of a scroll alike.',
      minutes: { fixed: 5 },
      cuts: true,
    },
    {
      id: 'wind',
      name: 'Stick and wind',
      say:
        'Stick the strips together at one end, wind tightly round a clip so that ' +
        'each outer one ends shorter, stick the other end, let go.',
      minutes: { perElement: 4 },
      rest: fixed(5),
    },
  ],
  liquids: [{ mixture: 'edibleGlue', at: 'wind', per: 'piece', ml: 0.02 }],
  fixed: () => ({ by: 'dot', joints: 2 }),
  cautions: [{ id: 'bladeStrip', at: 'cut', say: 'A sharp blade along a ruler: fingers behind it, a mat below.' }],
  failures: [
    { seen: 'Arcs open again', because: 'the ends were not held till dry', next: 'clip each for five minutes' },
    {
      seen: 'Strips crack',
      because: 'the paper was dry and old',
      next: 'leave them in the room’s air for an hour, or breathe on them',
    },
  ],
  holdingParts: () => [{ id: 'pick', name: 'picks that hold scrolls while the gel sets', perElement: 1 }],

  draw: ({ seenMm, strips, stripWidthMm }, element, wall) => {
    const stream = seededStream(element.seed)
    const reach = seenMm * element.size
    const at = frameOf({ ...element, rollDeg: element.rollDeg + between(stream, -8, 8) }, wall)
    const arcOf = (strip: number, off: number): readonly Point3[] => {
      const share = (strip + 1) / strips
      const radius = (reach / 2) * (0.24 + 0.76 * share)
      const sweep = ((300 - 80 * share) * Math.PI) / 180
      return Array.from({ length: 19 }, (_, step) => {
        const angle = -Math.PI / 2 + (sweep * step) / 18
        return at(radius * Math.cos(angle), radius * (1 + Math.sin(angle)), off)
      })
    }
    const wound = Array.from({ length: strips }, (_, strip) => {
      const out = OFF_WALL_MM + stripWidthMm * (0.85 + (0.15 * (strip + 1)) / strips)
      return { foot: arcOf(strip, OFF_WALL_MM), edge: arcOf(strip, out) }
    })
    return {
      // Strips stand on their edge: from the front only that is seen.
      faces: wound.flatMap(({ foot, edge }) =>
        foot.slice(1).map((low, step): MeshFace => ({
          points: [foot[step]!, low, edge[step + 1]!, edge[step]!],
          opacity: 1,
          light: 0,
        })),
      ),
      lines: wound.map(({ edge }): MeshLine => ({ points: edge, widthMm: 1, light: 0.34, opacity: 1, edge: true })),
    }
  },
})
