/**
 * Cast mesh: torn wafer blended with water to a slurry, a thin ladle of it dried in a hot pan; bubbles leave the holes.
 *
 * By hand: nine pieces of lace 60 × 45 mm are 9 × 0.27 = 2.43 dm²; with a fifth more for torn edges, from a pan 220
 * mm across (3.80 dm²):
 * 2.43 × 1.2 ÷ 3.80 = 0.77, so one pour.
 */
import { z } from 'zod'
import { rectangle, type Point3 } from '../geometry'
import { between, derive, found, seededStream, starting } from '../quantity'
import { defineTechnique } from './define'
import { chosen } from './chosen'
import type { MeshFace, MeshLine } from './mesh'
import { STANDARD_SPARES } from './flat'
import { frameOf } from './frame'
import { fixed } from './step'

const parameters = z.strictObject({
  seenMm: z.number().min(25).max(150).meta({ label: 'Wide', kind: 'length', help: 'Of a piece of lace' }),
  highMm: z.number().min(20).max(120).meta({ label: 'High', kind: 'length' }),
  panMm: z.number().min(140).max(320).meta({ label: 'Pan across', kind: 'length', help: 'Its flat bottom' }),
})

/** As it begins. */
const STARTING: z.infer<typeof parameters> = { seenMm: 58, highMm: 46, panMm: 220 }

const MM2_PER_DM2 = 10000
/** Lace is broken to shape, and its rim is lost. */
const BROKEN_SHARE = 1.2
const CELLS = 6

export const castMesh = defineTechnique({
  id: 'castMesh',
  name: 'Cast mesh',
  element: 'piece of lace',
  say: 'Openwork poured from wafer slurry in a hot pan, crisp at first, then supple.',
  papers: ['thinWafer', 'standardWafer', 'thickWafer'],
  whyPaper: 'Any wafer will do, offcuts first: it is blended with water anyway.',
  unfit: { riceFilm: 'Rice film does not blend to a slurry that sets as lace.' },
  compositions: ['band', 'cluster', 'scatter', 'sweep', 'single'],
  finishes: ['dusting'],
  parameters,
  startingParameters: STARTING,
  heat: 'pan',
  sizedBy: ['seenMm', 'highMm'],
  startingColour: '#f3dfc2',
  spareShare: STANDARD_SPARES.soaked,
  seen: ({ seenMm, highMm }) => ({ widthMm: seenMm, heightMm: highMm }),

  pieces: ({ seenMm, highMm }, size) => {
    const width = found('lace wide here', seenMm * size, 'length', 'from its place')
    const height = found('lace high here', highMm * size, 'length', 'from its place')
    return [
      {
        name: 'torn paper',
        outline: rectangle(0, 0, width.value, height.value),
        folds: [],
        face: 'either, torn small',
        width,
        height,
        perElement: 1,
      },
    ]
  },
  figures: ({ seenMm, highMm, panMm }, count) => {
    const area = derive(
      'lace',
      'area',
      'lace wanted',
      '{count} × {wide} × {high}',
      {
        count,
        wide: chosen('wide', seenMm, STARTING.seenMm, 'length'),
        high: chosen('high', highMm, STARTING.highMm, 'length'),
      },
      (v) => (v.count * v.wide * v.high) / MM2_PER_DM2,
    )
    const pan = derive(
      'pan',
      'area',
      'a round pan',
      'π × ( {across} ÷ 2 )²',
      { across: chosen('pan across', panMm, STARTING.panMm, 'length') },
      (v) => (Math.PI * (v.across / 2) ** 2) / MM2_PER_DM2,
    )
    return [
      derive(
        'pours',
        'count',
        'yield of a pan',
        'round up( {area} × {more} ÷ {pan} )',
        { area, more: starting('for torn edges', BROKEN_SHARE, 'ratio', 'usual'), pan },
        (v) => Math.ceil((v.area * v.more) / v.pan - 1e-9),
      ),
    ]
  },

  steps: [
    {
      id: 'blend',
      name: 'Blend the slurry',
      say: 'Torn paper and water, about one to six by weight, till smooth; powder colour now.',
      minutes: { fixed: 10 },
      cuts: true,
      rest: fixed(10),
    },
    {
      id: 'pour',
      name: 'Pour and dry',
      say:
        'A thin ladle in a hot non-stick pan, spread, heat lowered; bubbles leave the ' +
        'holes. Off as soon as it lifts. Thin is supple, thick is brittle.',
      minutes: { perPiece: 1.5, fixed: 5 },
      rest: fixed(10),
      hold: { place: 'pan', per: 'job', whileHands: true },
    },
    {
      id: 'lay',
      name: 'Break and lay on',
      say: 'Crisp at first, soft after ten minutes in the room: break to shape crisp, lay on soft.',
      minutes: { perElement: 1 },
      onCake: true,
    },
  ],
  liquids: [{ mixture: 'slurry', at: 'blend', per: 'dm2', ml: 8 }],
  fixed: () => ({ by: 'dot', joints: 3 }),
  cautions: [
    {
      id: 'meshPan',
      at: 'pour',
      say: 'The pan burns, and the slurry spits: long sleeves, no alcohol near. Powder colours only.',
    },
  ],
  failures: [
    { seen: 'No holes', because: 'pan not hot enough when it was poured', next: 'hotter at first, then lower' },
    { seen: 'It shatters', because: 'poured thick, or left too long', next: 'thinner, off when it lifts' },
  ],
  holdingParts: () => [],

  draw: ({ seenMm, highMm }, element, wall) => {
    const stream = seededStream(element.seed)
    const at = frameOf(element, wall, (highMm * element.size) / 2)
    const [wide, high] = [seenMm * element.size, highMm * element.size]
    const rows = Math.max(4, Math.round((CELLS * highMm) / seenMm))
    const curl = between(stream, 0.5, 2.5)
    // A web of knots, strayed from a brick pattern; strands between neighbours bound the holes.
    const knots = Array.from({ length: rows + 1 }, (_, row) =>
      Array.from({ length: CELLS + 1 }, (_, column) => {
        const [u, v] = [
          ((column + (row % 2 === 0 ? 0 : 0.5) + between(stream, -0.3, 0.3)) / (CELLS + 0.5)) * 2 - 1,
          ((row + between(stream, -0.3, 0.3)) / rows) * 2 - 1,
        ]
        const round = Math.max(1, Math.hypot(u, v) / 1.02)
        return at(((u / round) * wide) / 2, high / 2 + ((v / round) * high) / 2, 1.5 + curl * (u * u + v * v))
      }),
    )
    const strand = (one: Point3, other: Point3): readonly MeshLine[] => {
      const thick = between(stream, 0.9, 2.2)
      return [
        { points: [one, other], widthMm: thick + 0.7, light: -0.3, opacity: 0.45 },
        { points: [one, other], widthMm: thick, light: 0.3, opacity: 0.96 },
      ]
    }
    const lines: MeshLine[] = []
    const faces: MeshFace[] = []
    knots.forEach((line, row) =>
      line.forEach((knot, column) => {
        const beside = line[column + 1]
        const below = knots[row + 1]
        if (beside) lines.push(...strand(knot, beside))
        const shift = row % 2 === 0 ? 0 : 1
        const other = below?.[column + shift]
        if (other && (column > 0 || shift === 0)) lines.push(...strand(knot, other))
        // Here and there a hole stayed closed by a thin skin.
        if (beside && other && between(stream, 0, 1) < 0.3)
          faces.push({ points: [knot, beside, other], opacity: 0.5, light: 0.1 })
      }),
    )
    return { faces, lines }
  },
})
