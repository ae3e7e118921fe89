/**
 * Filler sprig: a thin forked stem with many tiny snips of paper at its tips, to fill between blooms.
 *
 * By hand: a sprig 60 mm high with 9 tips takes 9 snips of 9 mm and 9 wires of 28 + 12 = 40 mm, joined to one stem of
 * 60 + 50 = 110 mm.
 * Four with spares are 43 snips: joined in 43 × 0.15 + 4 × 2 + 4 = 18.5 min, 43 × 0.02 = 0.86 ml of glue.
 */
import { z } from 'zod'
import { between, derive, found, seededStream, starting } from '../quantity'
import { defineTechnique } from './define'
import { chosen } from './chosen'
import { STANDARD_SPARES } from './flat'
import type { MeshFace, MeshLine } from './mesh'
import { branchStance } from './foliage'
import { floretOutline } from './petal'
import { tapeFor, wireLength } from './wiring'
import { untilHandled } from './step'

const parameters = z.strictObject({
  lengthMm: z.number().min(25).max(160).meta({ label: 'Sprig high', kind: 'length', help: 'Of the tallest' }),
  tips: z.number().int().min(3).max(15).meta({ label: 'Tips', kind: 'count' }),
  tipMm: z.number().min(5).max(20).meta({ label: 'Tip across', kind: 'length' }),
  stem: z
    .string()
    .regex(/^#[0-9a-f]{6}$/i)
    .meta({ label: 'Stem', kind: 'colour' }),
})

/** As it begins. */
const STARTING: z.infer<typeof parameters> = { lengthMm: 60, tips: 9, tipMm: 12, stem: '#7d8058' }

const SNIP_PETALS = 5

export const fillerSprig = defineTechnique({
  id: 'fillerSprig',
  name: 'Filler sprig',
  element: 'sprig',
  family: 'foliage',
  alsoCalled: ['filler', 'small flowers', 'twig'],
  say: 'A forked stem of tiny snips, to fill between blooms.',
  papers: ['thinWafer', 'standardWafer'],
  whyPaper: 'Thin wafer snips stay airy; offcuts do.',
  unfit: { thickWafer: 'Thick snips weigh the thin wires down.', riceFilm: 'Snips of rice film roll up as they dry.' },
  compositions: ['cluster', 'crown', 'sweep', 'scatter', 'pair', 'single'],
  gathers: { kind: 'spray', girth: 0.3 },
  finishes: ['dusting', 'speckle'],
  parameters,
  startingParameters: STARTING,
  sizedBy: ['lengthMm'],
  startingColour: '#f4ead6',
  spareShare: STANDARD_SPARES.damp,
  seen: ({ lengthMm }) => ({ widthMm: lengthMm * 0.6, heightMm: lengthMm }),

  pieces: ({ tips, tipMm }, size) => {
    const across = derive(
      'snip across',
      'length',
      'sizes of a sprig',
      '{tip} × {size}',
      {
        tip: chosen('tip across', tipMm, STARTING.tipMm, 'length'),
        size: found('size here', size, 'share', 'from its place'),
      },
      (v) => v.tip * v.size,
    )
    return [
      {
        name: 'snip',
        outline: floretOutline(across.value, SNIP_PETALS),
        folds: [],
        face: 'either face',
        width: across,
        height: across,
        perElement: tips,
      },
    ]
  },

  wiring: ({ lengthMm, tips }, size) => {
    const stem = found('sprig here', lengthMm * size, 'length', 'from its place')
    return {
      wires: [
        {
          name: 'tip',
          gauge: 26,
          length: wireLength('wire of a tip', starting('from its fork', 28, 'length', 'usual'), true, false),
          perElement: tips,
        },
        { name: 'stem', gauge: 24, length: wireLength('wire of a sprig', stem, false, true), perElement: 1 },
      ],
      tape: [tapeFor(stem, 'half')],
      patches: 0,
      holders: 1,
    }
  },

  placeMin: 1,
  steps: [
    {
      id: 'snip',
      name: 'Snip',
      say: 'From offcuts: punch or snip, then pinch each round a hook with a dot of glue.',
      minutes: { fixed: 4 },
      cuts: true,
      rest: untilHandled(30),
    },
    {
      id: 'join',
      name: 'Join the sprig',
      say: 'From the tip down, fork by fork, half-width tape; no two alike.',
      wires: true,
      minutes: { perPiece: 0.15, perElement: 2, fixed: 4 },
    },
  ],
  liquids: [{ mixture: 'edibleGlue', at: 'snip', per: 'piece', ml: 0.02 }],
  fixed: () => ({ by: 'wire' }),
  cautions: [
    { id: 'sprigWire', at: 'join', say: 'Wires are not food and their ends prick: into a holder, counted in and out.' },
  ],
  failures: [{ seen: 'A sprig looks like a brush', because: 'tips all one height', next: 'stagger the forks' }],
  holdingParts: ({ tips }) => [{ id: 'sprigWire', name: 'wires of sprigs', perElement: tips + 1, stays: true }],

  draw: ({ lengthMm, tips, tipMm, stem }, element, wall) => {
    const stream = seededStream(element.seed)
    const [long, half] = [lengthMm * element.size, (tipMm * element.size) / 2]
    const at = branchStance(element, wall)
    const drawn = Array.from(
      { length: tips },
      (_, tip): { readonly faces: readonly MeshFace[]; readonly lines: readonly MeshLine[] } => {
        const fork = long * between(stream, 0.25, 0.6)
        const [across, up, out] = [
          long * 0.3 * between(stream, -1, 1),
          tip === 0 ? long * 0.97 : long * between(stream, 0.66, 1),
          3 + long * between(stream, 0.02, 0.22),
        ]
        const [turn, light] = [between(stream, 0, 6.28), between(stream, -0.12, 0.14)]
        const petals = Array.from({ length: SNIP_PETALS }, (__, petal) => turn + (petal / SNIP_PETALS) * 2 * Math.PI)
        return {
          faces: petals.map((angle) => ({
            points: [
              at(across, up, out),
              at(
                across + half * 0.8 * Math.cos(angle - 0.5),
                up + half * 0.8 * Math.sin(angle - 0.5),
                out + half * 0.2,
              ),
              at(across + half * Math.cos(angle), up + half * Math.sin(angle), out + half * 0.45),
              at(
                across + half * 0.8 * Math.cos(angle + 0.5),
                up + half * 0.8 * Math.sin(angle + 0.5),
                out + half * 0.2,
              ),
            ],
            opacity: 0.97,
            light: light + 0.06 * Math.sin(angle),
          })),
          lines: [
            {
              points: [
                at(across * 0.1, fork, 3),
                at(across * 0.6, (fork + up) / 2 + long * 0.06, (3 + out) / 2),
                at(across, up, out - 0.5),
              ],
              widthMm: 0.6,
              light: -0.1,
              opacity: 0.9,
              tint: stem,
            },
          ],
        }
      },
    )
    return {
      faces: drawn.flatMap(({ faces }) => faces),
      lines: [
        { points: [at(0, 0, 2), at(0, long * 0.6, 3)], widthMm: 0.9, light: -0.15, opacity: 1, tint: stem },
        ...drawn.flatMap(({ lines }) => lines),
      ],
    }
  },
})
