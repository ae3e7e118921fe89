/**
 * Puff: a small triangle of rice film, coloured with oil colour, dried before a fan and fried for a second till it
 * swells.
 *
 * By hand: colour of half depth holds an eighth of 1.6 back, 1.4: puffs seen 30 mm across are cut 30 ÷ 1.4 = 21.4 mm;
 * fifteen puffs and 4 spares, 19 triangles. Its colour lies on 1.4² = 1.96 times the film. Nothing is cut below 20 mm.
 * Four and a spare are fried in 5 × 0.5 + 15 = 17.5 min in 600 ml of oil, a sheet of kitchen paper to five.
 */
import { z } from 'zod'
import { polyline, type Point3 } from '../../geometry'
import { between, derive, found, seededStream, starting, type Working } from '../../quantity'
import { defineTechnique } from '../define'
import { chosen } from '../chosen'
import type { MeshFace, MeshLine } from '../mesh'
import { STANDARD_SPARES } from '../flat'
import { frameOf } from '../frame'
import { fixed, untilHandled } from '../step'

const parameters = z.strictObject({
  seenMm: z.number().min(15).max(80).meta({ label: 'Seen across', kind: 'length', help: 'When puffed' }),
  deep: z.number().min(0).max(1).meta({ label: 'Depth of colour', kind: 'share', help: 'Strong colour swells less' }),
})

/** As it begins. */
const STARTING: z.infer<typeof parameters> = { seenMm: 30, deep: 0.5 }

/** Film swells to this many times its size in hot oil; strong colour takes away up to a quarter of that. */
const SWELLS = 1.6
const COLOUR_HOLDS_BACK = 0.25
/** Smaller triangles are not cut by hand. */
const LEAST_CUT_MM = 20
const ROUND = 9
const RINGS = 4

/** How many times its size film swells to; the same law says over how much of it the colour spreads. */
const swellOf = (deep: number): Working =>
  derive(
    'swells',
    'ratio',
    'colour holds it back',
    '{swells} × ( 1 − {deep} × {held} )',
    {
      swells: starting('swelling in oil', SWELLS, 'ratio', 'guess'),
      deep: chosen('depth of colour', deep, STARTING.deep, 'share'),
      held: starting('held back by strong colour', COLOUR_HOLDS_BACK, 'share', 'guess'),
    },
    (v) => v.swells * (1 - v.deep * v.held),
  )

export const puff = defineTechnique({
  id: 'puff',
  name: 'Puff',
  element: 'puff',
  family: 'figures',
  alsoCalled: ['cloud', 'foam', 'fried'],
  say: 'Triangles of rice film fried for a second into crisp clouds.',
  papers: ['riceFilm'],
  whyPaper: 'Only rice film swells in hot oil.',
  unfit: {
    thinWafer: 'Wafer soaks up oil and does not swell.',
    standardWafer: 'Wafer soaks up oil and does not swell.',
    thickWafer: 'Wafer soaks up oil and does not swell.',
  },
  compositions: ['cluster', 'sweep', 'scatter', 'crown', 'single'],
  finishes: ['dusting'],
  parameters,
  startingParameters: STARTING,
  heat: 'oil',
  grows: ({ deep }) => swellOf(deep).value,
  sizedBy: ['seenMm'],
  startingColour: '#d9572b',
  spareShare: STANDARD_SPARES.soaked,
  seen: ({ seenMm }) => ({ widthMm: seenMm, heightMm: seenMm * 0.85 }),

  pieces: ({ seenMm, deep }, size) => {
    const swells = swellOf(deep)
    const width = derive(
      'cut across',
      'length',
      'before it swells',
      '{seen} ÷ {swells}, at least {least}',
      {
        seen: found('seen across here', seenMm * size, 'length', 'from its place'),
        swells,
        least: starting('a hand cuts at least', LEAST_CUT_MM, 'length', 'usual'),
      },
      (v) => Math.max(v.least, v.seen / v.swells),
    )
    const height = derive('cut high', 'length', 'of the triangle', '{width} × 0.87', { width }, (v) => v.width * 0.87)
    return [
      {
        name: 'film triangle',
        outline: polyline(
          [
            { x: 0, y: 0 },
            { x: width.value, y: 0 },
            { x: width.value / 2, y: height.value },
          ],
          true,
        ),
        folds: [],
        face: 'either face',
        width,
        height,
        perElement: 1,
      },
    ]
  },

  placeMin: 1,
  dries: ['fan', 'room', 'dryRoom'],
  steps: [
    {
      id: 'cut',
      name: 'Cut and colour',
      say: 'Cut small triangles dry; oil colour on both faces, deeper than wanted: frying lightens it.',
      minutes: { perPiece: 0.25, fixed: 5 },
      cuts: true,
    },
    {
      id: 'fan',
      name: 'Dry before a fan',
      say: 'On a rack, turned once; it must be quite dry before the oil.',
      minutes: { perPiece: 0.1, fixed: 3 },
      rest: untilHandled(80, 'fan'),
    },
    {
      id: 'fry',
      name: 'Fry',
      say: 'One by one, a second in hot oil till it swells; out with tongs, drain on paper. Use within a day.',
      minutes: { perPiece: 0.5, fixed: 15 },
      rest: fixed(10),
      hold: { place: 'pan', per: 'job', whileHands: true },
    },
  ],
  supplies: [
    { supply: 'fryingOil', at: 'fry', per: 'job', amount: 600 },
    { supply: 'kitchenPaper', at: 'fry', per: 'piece', amount: 0.2 },
  ],
  fixed: () => ({ by: 'dot', joints: 1 }),
  cautions: [
    {
      id: 'oil',
      at: 'fry',
      say:
        'Hot oil burns badly: a deep pan half full, dry film only, long tongs, a ' +
        'lid at hand, never leave it, never water on burning oil.',
    },
    { id: 'waterColour', at: 'cut', say: 'No water-based colour: it spits in oil.' },
  ],
  failures: [
    {
      seen: 'It stays flat',
      because: 'oil too cool, or colour too strong',
      next: 'test with a bare scrap; accept it smaller or paler',
    },
    { seen: 'It browns', because: 'oil too hot', next: 'a second less, or cooler' },
  ],
  holdingParts: () => [],

  draw: ({ seenMm }, element, wall) => {
    const stream = seededStream(element.seed)
    const radius = (seenMm * element.size) / 2
    const at = frameOf(element, wall, radius * 0.85)
    // A crumpled cloud: rings round an axis out of the cake, their points strayed in and out.
    const stray = Array.from({ length: RINGS + 1 }, () =>
      Array.from({ length: ROUND }, () => between(stream, 0.72, 1.12)),
    )
    const twist = between(stream, 0, 6.28)
    const tri = between(stream, 0, 6.28)
    const pointAt = (ring: number, spoke: number): Point3 => {
      const up = (ring / RINGS) * Math.PI * 0.5
      const angle = twist + (spoke * 2 * Math.PI) / ROUND + ring * 0.3
      // The triangle it was cut as shows through.
      const lobe = 1 + 0.16 * Math.cos(3 * (angle - tri))
      const far = radius * Math.cos(up) * stray[ring]![spoke % ROUND]! * lobe
      return at(
        far * Math.cos(angle),
        radius * 0.85 + 0.85 * far * Math.sin(angle),
        0.5 + radius * 0.95 * Math.sin(up) * stray[ring]![(spoke + 3) % ROUND]!,
      )
    }
    const faces: MeshFace[] = []
    const lines: MeshLine[] = []
    for (let ring = 0; ring < RINGS; ring += 1) {
      for (let spoke = 0; spoke < ROUND; spoke += 1) {
        faces.push({
          points: [
            pointAt(ring, spoke),
            pointAt(ring, spoke + 1),
            pointAt(ring + 1, spoke + 1),
            pointAt(ring + 1, spoke),
          ],
          opacity: 0.88,
          light: (spoke + ring) % 2 === 0 ? 0.2 : -0.08,
        })
      }
    }
    for (let spoke = 0; spoke < ROUND; spoke += 3)
      lines.push({
        points: Array.from({ length: RINGS + 1 }, (_, ring) => pointAt(ring, spoke)),
        widthMm: 0.5,
        light: -0.3,
        opacity: 0.5,
      })
    lines.push({
      points: Array.from({ length: ROUND + 1 }, (_, spoke) => pointAt(0, spoke)),
      widthMm: 0.6,
      light: 0.5,
      opacity: 0.7,
      edge: true,
    })
    return { faces, lines }
  },
})
