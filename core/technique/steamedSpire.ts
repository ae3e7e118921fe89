/**
 * Steamed spire: a tapered strip of thick or doubled wafer with a narrow foot, bent in short bursts of steam and
 * dried standing.
 *
 * By hand: a spire seen 140 mm high with a 20 mm foot in the cake is cut 160 mm long; five spires and one spare, six
 * pieces. One 30 mm wide stands on a foot of 30 × 0.28 = 8.4 mm.
 * Four and a spare are bent in 5 × 1.5 + 5 = 12.5 min; four feet take 4 × 0.8 = 3.2 g of piping gel.
 */
import { z } from 'zod'
import { polyline, type Outline, type Point3 } from '../geometry'
import { between, found, seededStream } from '../quantity'
import { defineTechnique } from './define'
import { chosen } from './chosen'
import { cutSize, STANDARD_SPARES } from './flat'
import { untilHandled } from './step'

const parameters = z.strictObject({
  seenMm: z.number().min(40).max(260).meta({ label: 'Seen height', kind: 'length', help: 'Of the tallest' }),
  widthMm: z.number().min(12).max(80).meta({ label: 'Widest', kind: 'length' }),
  insertionMm: z.number().min(10).max(40).meta({ label: 'Foot', kind: 'length', help: 'What goes into the cake' }),
})

/** As it begins. */
const STARTING: z.infer<typeof parameters> = { seenMm: 120, widthMm: 30, insertionMm: 20 }

const FOOT_SHARE = 0.28
const STEPS = 12

/** How wide a spire is at a share of its height, as a share of the widest: narrow foot, belly a third up, a point. */
const widthAt = (up: number): number =>
  up < 0.34
    ? FOOT_SHARE + (1 - FOOT_SHARE) * Math.sin(((up / 0.34) * Math.PI) / 2)
    : Math.cos((((up - 0.34) / 0.66) * Math.PI) / 2)

function flatOutline(lengthMm: number, widthMm: number): Outline {
  const edge = Array.from({ length: STEPS + 1 }, (_, step) => ({
    x: (widthMm / 2) * widthAt(step / STEPS),
    y: (lengthMm * step) / STEPS,
  }))
  const left = [...edge]
    .reverse()
    .slice(1)
    .map(({ x, y }) => ({ x: -x, y }))
  return polyline([edge[0]!, ...edge.slice(1), ...left], true)
}

export const steamedSpire = defineTechnique({
  id: 'steamedSpire',
  name: 'Steamed spire',
  element: 'spire',
  family: 'sails',
  alsoCalled: ['flames', 'tall', 'feather', 'topper'],
  say: 'Tall tapered strips, bent in steam, standing on the top.',
  papers: ['thickWafer'],
  whyPaper: 'Thick wafer stands by itself once it has been bent and dried.',
  unfit: {
    standardWafer: 'Standard wafer bows under its own height; double it or take thick wafer.',
    thinWafer: 'A single thin sheet bows under its own height; double it or take thick wafer.',
    riceFilm: 'Rice film shatters when bent, and steam makes it sticky.',
  },
  compositions: ['crown', 'cluster', 'pair', 'single'],
  finishes: ['edgeGilding', 'dusting', 'stencilShine', 'speckle', 'twoTone'],
  parameters,
  startingParameters: STARTING,
  heat: 'steam',
  stands: true,
  sizedBy: ['seenMm', 'widthMm'],
  startingColour: '#f6efe4',
  spareShare: STANDARD_SPARES.damp,
  // Feet stand side by side on the rim; what is above leans apart.
  seen: ({ seenMm, widthMm }) => ({ widthMm: widthMm * 0.6, heightMm: seenMm, standsMm: widthMm * FOOT_SHARE }),

  pieces: ({ seenMm, widthMm, insertionMm }, size) => {
    const height = cutSize(
      'cut long',
      found('seen height here', seenMm * size, 'length', 'from its place'),
      chosen('foot', insertionMm, STARTING.insertionMm, 'length'),
      null,
    )
    const width = found('cut wide', widthMm * size, 'length', 'from its place')
    return [
      {
        name: 'spire',
        outline: flatOutline(height.value, width.value),
        folds: [],
        face: 'plain face to the steam',
        width,
        height,
        perElement: 1,
      },
    ]
  },

  steps: [
    {
      id: 'cut',
      name: 'Cut and dust',
      say: 'Cut tapered strips with narrow feet. Dust or stencil them dry, before any steam.',
      minutes: { perPiece: 0.6, fixed: 5 },
      cuts: true,
    },
    {
      id: 'steam',
      name: 'Bend in steam',
      say: 'Short bursts on the plain face, a second or two, bend, hold till it stays. Stand each on a skewer in foam.',
      minutes: { perPiece: 1.5, fixed: 5 },
      rest: untilHandled(240),
      hold: { place: 'foamHole', per: 'element' },
    },
  ],
  tools: ['foam to dry them standing'],
  fixed: () => ({ by: 'foot', joints: 1 }),
  cautions: [
    {
      id: 'steam',
      at: 'steam',
      say: 'Steam burns: tongs or long tweezers, face and wrist aside, and none near shimmer, which it smears.',
    },
  ],
  failures: [
    { seen: 'Tips curl down', because: 'too much steam at once', next: 'shorter bursts, and dry longer' },
    {
      seen: 'It leans after an hour',
      because: 'foot too short or covering too soft',
      next: 'a longer foot, or a slit in a firm covering',
    },
  ],
  holdingParts: () => [{ id: 'skewer', name: 'skewers in foam while drying', perElement: 1 }],

  draw: ({ seenMm, widthMm }, { angleDeg, heightMm, size, seed, outMm }, wall) => {
    const stream = seededStream(seed)
    const foot = wall(angleDeg, heightMm, outMm)
    const facing = ((angleDeg + between(stream, -50, 50)) * Math.PI) / 180
    const [across, away] = [
      [Math.cos(facing), Math.sin(facing)],
      [Math.sin(facing), -Math.cos(facing)],
    ]
    const [bend, lean, twist] = [between(stream, 0.12, 0.42), between(stream, -0.16, 0.16), between(stream, -0.7, 0.7)]
    const [tall, wide] = [seenMm * size, widthMm * size]
    const pointAt = (up: number, side: number): Point3 => {
      const half = ((side * wide) / 2) * widthAt(up)
      const turn = twist * up
      const forward = tall * bend * up * up + half * Math.sin(turn)
      const sideways = tall * lean * up + half * Math.cos(turn)
      return [
        foot[0] + sideways * across[0]! + forward * away[0]!,
        foot[1] + sideways * across[1]! + forward * away[1]!,
        foot[2] + tall * up * (1 - 0.12 * bend * up),
      ]
    }
    const levels = Array.from({ length: STEPS + 1 }, (_, step) => step / STEPS)
    return {
      faces: levels.slice(1).map((up, at) => ({
        points: [pointAt(levels[at]!, -1), pointAt(levels[at]!, 1), pointAt(up, 1), pointAt(up, -1)],
        opacity: 0.96,
        light: -0.05 + 0.1 * up,
      })),
      lines: [-1, 1].map((side) => ({
        points: levels.map((up) => pointAt(up, side)),
        widthMm: 0.7,
        light: side > 0 ? 0.5 : -0.25,
        opacity: 0.8,
        edge: true as const,
      })),
    }
  },
})
