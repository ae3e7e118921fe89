/**
 * Fabric bow: wafer coated on both faces with a gelatine, glycerin and water film so that it falls like cloth; loops,
 * tails and knot are cut from it.
 *
 * By hand: a bow seen 120 mm across with a ribbon 34 mm wide: each loop reaches 60 mm and back with a tenth for its
 * belly, 2 × 60 × 1.1 + 10 = 142 mm long;
 * two loops, two tails and a knot: 5 pieces; a film of 0.8 ml for each dm² on both faces.
 */
import { z } from 'zod'
import { polyline, rectangle, type Point, type Point3 } from '../geometry'
import { between, derive, found, seededStream, starting } from '../quantity'
import { defineTechnique } from './define'
import type { MeshFace, MeshLine } from './mesh'
import { STANDARD_SPARES } from './flat'
import { frameOf } from './frame'
import { untilHandled } from './step'

const parameters = z.strictObject({
  seenMm: z.number().min(40).max(220).meta({ label: 'Seen across', kind: 'length', help: 'From loop to loop' }),
  ribbonMm: z.number().min(12).max(80).meta({ label: 'Ribbon wide', kind: 'length' }),
  tailMm: z.number().min(20).max(240).meta({ label: 'Tails long', kind: 'length' }),
})

/** A loop goes out and back, with a tenth more for its belly, and is gathered over this much at the knot. */
const BELLY = 1.1
const GATHERED_MM = 10
const MM2_PER_DM2 = 10000
const FILM_ML_PER_DM2 = 0.8

const loopLength = (seenMm: number): number => seenMm * BELLY + GATHERED_MM

export const fabricBow = defineTechnique({
  id: 'fabricBow',
  name: 'Fabric bow',
  elements: 'bows',
  say: 'Loops, tails and a knot of wafer that falls like cloth.',
  papers: ['thinWafer'],
  whyPaper: 'Thin wafer between two films bends like ribbon.',
  unfit: {
    standardWafer: 'Standard wafer makes stiff loops that crack at the knot.',
    thickWafer: 'Thick wafer cracks at the knot.',
    riceFilm: 'Rice film sticks to itself when it is coated.',
  },
  compositions: ['single', 'pair', 'cluster'],
  finishes: ['edgeGilding', 'dusting', 'stencilShine', 'speckle'],
  contains: ['gelatine'],
  parameters,
  startingParameters: { seenMm: 100, ribbonMm: 32, tailMm: 70 },
  startingColour: '#a8432e',
  spareShare: STANDARD_SPARES.damp,
  seen: ({ seenMm, ribbonMm, tailMm }) => ({ widthMm: seenMm, heightMm: tailMm + ribbonMm }),

  pieces: ({ seenMm, ribbonMm, tailMm }, size) => {
    const wide = found('ribbon wide here', ribbonMm * size, 'length', 'from its place')
    const long = derive(
      'loop long',
      'length',
      'out and back',
      '{across} × {belly} + {gathered}',
      {
        across: found('seen across here', seenMm * size, 'length', 'from its place'),
        belly: starting('for its belly', BELLY, 'ratio', 'guess'),
        gathered: starting('gathered at the knot', GATHERED_MM, 'length', 'usual'),
      },
      (v) => v.across * v.belly + v.gathered,
    )
    const tail = derive(
      'tail long',
      'length',
      'seen and gathered',
      '{tail} + {gathered}',
      {
        tail: found('tail here', tailMm * size, 'length', 'from its place'),
        gathered: starting('gathered at the knot', GATHERED_MM, 'length', 'usual'),
      },
      (v) => v.tail + v.gathered,
    )
    const knot = derive('knot long', 'length', 'round the gathers', '{wide} × 1.6', { wide }, (v) => v.wide * 1.6)
    const knotWide = derive(
      'knot wide',
      'length',
      'narrower than the ribbon',
      '{wide} × 0.6',
      { wide },
      (v) => v.wide * 0.6,
    )
    const swallow: readonly [Point, ...Point[]] = [
      { x: 0, y: 0 },
      { x: tail.value, y: 0 },
      { x: tail.value - wide.value * 0.4, y: wide.value / 2 },
      { x: tail.value, y: wide.value },
      { x: 0, y: wide.value },
    ]
    return [
      {
        name: 'loop',
        outline: rectangle(0, 0, long.value, wide.value),
        folds: [
          polyline([
            { x: long.value / 2, y: 0 },
            { x: long.value / 2, y: wide.value },
          ]),
        ],
        flaps: [
          rectangle(0, 0, GATHERED_MM / 2, wide.value),
          rectangle(long.value - GATHERED_MM / 2, 0, GATHERED_MM / 2, wide.value),
        ],
        face: 'either face',
        width: long,
        height: wide,
        perElement: 2,
      },
      {
        name: 'tail',
        outline: polyline(swallow, true),
        folds: [],
        flaps: [rectangle(0, 0, GATHERED_MM, wide.value)],
        face: 'either face',
        width: tail,
        height: wide,
        perElement: 2,
      },
      {
        name: 'knot',
        outline: rectangle(0, 0, knot.value, knotWide.value),
        folds: [],
        face: 'either face',
        width: knot,
        height: knotWide,
        perElement: 1,
      },
    ]
  },
  figures: ({ seenMm, ribbonMm, tailMm }, count) => {
    const each = found(
      'ribbon in a bow',
      ((2 * loopLength(seenMm) + 2 * (tailMm + GATHERED_MM) + ribbonMm) * ribbonMm) / MM2_PER_DM2,
      'area',
      'loops, tails and knot',
    )
    return [
      derive(
        'film',
        'volume',
        'film on both faces',
        '{count} × {each} × 2 × {perDm2}',
        { count, each, perDm2: starting('film for a dm²', FILM_ML_PER_DM2, 'volume', 'guess') },
        (v) => v.count * v.each * 2 * v.perDm2,
      ),
    ]
  },

  steps: [
    {
      id: 'coat',
      name: 'Coat the sheets',
      say:
        'Gelatine, glycerin and water about 1 : 1 : 2 by volume, bloomed and warmed in short ' +
        'bursts. Brush one face, ten minutes, then the other; no bubbles.',
      perPieceMin: 1.5,
      perElementMin: 0,
      fixedMin: 20,
      rest: untilHandled(20),
    },
    {
      id: 'cut',
      name: 'Dust and cut',
      say: 'Dust when set, wait half an hour to an hour, then cut loops, tails and knot.',
      perPieceMin: 1.5,
      perElementMin: 0,
      fixedMin: 5,
      rest: untilHandled(45),
    },
    {
      id: 'tie',
      name: 'Shape the bow',
      say: 'Gather the loops, glue, hold; tails behind, knot round. Prop the loops with rolled paper till they stand.',
      perPieceMin: 0,
      perElementMin: 10,
      fixedMin: 0,
      rest: untilHandled(120),
    },
  ],
  liquids: [{ mixture: 'gelatineFilm', per: 'dm2', ml: 5 }],
  consumables: ['gelatine, glycerin and water, 1 : 1 : 2 by volume', 'edible dust', 'edible glue'],
  cautions: [
    { id: 'gelatine', at: 'coat', say: 'Contains gelatine, from animals: ask who eats it, and read its label.' },
    { id: 'hotFilm', at: 'coat', say: 'The warm film burns and sticks: short bursts, never boiling.' },
  ],
  failures: [
    { seen: 'The film sets in the bowl', because: 'it cooled', next: 'warm it in short bursts; small batches' },
    { seen: 'Bubbles under the film', because: 'stirred hard', next: 'let it stand, skim it, brush one way' },
  ],
  holdingParts: () => [{ id: 'roll', name: 'paper rolls that prop loops while they set', perElement: 2 }],

  draw: ({ seenMm, ribbonMm, tailMm }, element, wall) => {
    const stream = seededStream(element.seed)
    const [across, ribbon, tail] = [(seenMm * element.size) / 2, ribbonMm * element.size, tailMm * element.size]
    const knotUp = tail + ribbon * 0.45
    const at = frameOf(element, wall, knotUp)
    const LOOP_STEPS = 14
    const faces: MeshFace[] = []
    const lines: MeshLine[] = []
    for (const side of [-1, 1] as const) {
      const [droop, open] = [between(stream, -0.18, 0.12), between(stream, 0.34, 0.46)]
      // A loop runs out along the front and back along the cake, narrow at the knot and wide at its belly.
      const edge = (step: number, half: -1 | 1): Point3 => {
        const share = step / LOOP_STEPS
        const out = Math.sin(Math.PI * share)
        const reach = across * out ** 0.8
        const lift = (share < 0.5 ? 1 : -1) * open * ribbon * out * 0.55
        const wide = (ribbon / 2) * (0.3 + 0.75 * out)
        return at(side * reach, knotUp + droop * reach + half * wide + lift * 0.25, 5 + ribbon * 0.32 + lift)
      }
      for (let step = 0; step < LOOP_STEPS; step += 1) {
        faces.push({
          points: [edge(step, -1), edge(step + 1, -1), edge(step + 1, 1), edge(step, 1)],
          opacity: 0.97,
          light: step < LOOP_STEPS / 2 ? 0.08 : -0.26,
        })
      }
      for (const half of [-1, 1] as const)
        lines.push({
          points: Array.from({ length: LOOP_STEPS + 1 }, (_, step) => edge(step, half)),
          widthMm: 0.7,
          light: 0.4,
          opacity: 0.8,
          edge: true,
        })
      lines.push({
        points: Array.from({ length: 5 }, (_, step) => {
          const [low, high] = [edge(step, -1), edge(step, 1)]
          return [0, 1, 2].map((axis) => (low[axis]! + high[axis]!) / 2) as unknown as Point3
        }),
        widthMm: 0.8,
        light: -0.35,
        opacity: 0.5,
      })
      const [lean, wave] = [between(stream, 0.28, 0.5), between(stream, 0, 6.28)]
      const tailAt = (down: number, half: -1 | 0 | 1): Point3 => {
        const along = down * tail
        const notch = half === 0 && down === 1 ? ribbon * 0.35 : 0
        return at(
          side * (along * lean + ribbon * 0.1) + ((half * ribbon) / 2) * (0.3 + 0.7 * Math.min(1, down * 2)),
          knotUp - along + notch - ribbon * 0.1,
          3 + 2.4 * Math.sin(wave + 5 * down) + 2,
        )
      }
      const downs = Array.from({ length: 9 }, (_, step) => step / 8)
      downs.slice(1).forEach((down, step) =>
        faces.push({
          points: [
            tailAt(downs[step]!, -1),
            tailAt(down, -1),
            tailAt(down, 0),
            tailAt(down, 1),
            tailAt(downs[step]!, 1),
          ],
          opacity: 0.97,
          light: -0.06 + 0.1 * Math.sin(wave + 5 * down),
        }),
      )
      for (const half of [-1, 1] as const)
        lines.push({
          points: downs.map((down) => tailAt(down, half)),
          widthMm: 0.6,
          light: 0.35,
          opacity: 0.8,
          edge: true,
        })
    }
    const knot = (across2: number, up: number, out: number): Point3 =>
      at(across2 * ribbon * 0.24, knotUp + up * ribbon * 0.36, 6 + ribbon * 0.34 + out)
    for (let strip = 0; strip < 4; strip += 1) {
      const [low, high] = [-1 + strip / 2, -0.5 + strip / 2]
      faces.push({
        points: [
          knot(-1, low, ribbon * 0.2 * (1 - low * low)),
          knot(1, low, ribbon * 0.2 * (1 - low * low)),
          knot(1, high, ribbon * 0.2 * (1 - high * high)),
          knot(-1, high, ribbon * 0.2 * (1 - high * high)),
        ],
        opacity: 1,
        light: 0.06,
      })
    }
    for (const side of [-1, 1])
      lines.push({
        points: [-1, -0.5, 0, 0.5, 1].map((up) => knot(side, up, ribbon * 0.2 * (1 - up * up))),
        widthMm: 0.9,
        light: -0.35,
        opacity: 0.7,
      })
    return { faces, lines }
  },
})
