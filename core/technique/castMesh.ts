/**
 * Cast mesh: torn wafer blended with water to a slurry, a ladle of it dried in a hot pan; bubbles leave the holes. Laid
 * draped, gathered or fanned.
 *
 * By hand: nine pieces of draped lace 60 × 45 mm: draping takes up a seventh, so 60 × 1.15 = 69 mm each, 9 × 0.3105 =
 * 2.79 dm²; a fifth more for spares and a fifth for torn edges: 2.79 × 1.2 × 1.2 = 4.02 dm². Thin lace takes 8 ml for a
 * dm²: 32 ml of slurry, with 32 × 0.14 = 4.5 g of paper; a pan 220 mm across is 3.80 dm²: 4.02 ÷ 3.80 = 1.06, so 2 pours.
 * Poured in 2 × 4 + 5 = 13 min, laid on in 9 min; three dots each, 9 × 3 × 0.2 = 5.4 g of piping gel.
 */
import { z } from 'zod'
import type { Point3 } from '../geometry'
import { between, derive, seededStream, starting, type Working } from '../quantity'
import { chosen } from './chosen'
import { defineTechnique, type Cast } from './define'
import type { MeshFace, MeshLine } from './mesh'
import { STANDARD_SPARES } from './flat'
import { frameOf } from './frame'
import { fixed } from './step'

const THICKNESSES = ['thin', 'thick'] as const
const LAYINGS = ['draped', 'gathered', 'fanned'] as const

const parameters = z.strictObject({
  seenMm: z.number().min(25).max(150).meta({ label: 'Wide', kind: 'length', help: 'Of a piece of lace, as seen' }),
  highMm: z.number().min(20).max(120).meta({ label: 'High', kind: 'length' }),
  thickness: z.enum(THICKNESSES).meta({
    label: 'Poured',
    kind: 'choice',
    options: { thin: 'thin: supple, many holes', thick: 'thick: crisp, brittle' },
  }),
  laid: z.enum(LAYINGS).meta({
    label: 'Laid',
    kind: 'choice',
    options: { draped: 'draped', gathered: 'gathered at its foot', fanned: 'fanned from one point' },
  }),
  panMm: z.number().min(140).max(320).meta({ label: 'Pan across', kind: 'length', help: 'Its flat bottom' }),
})

type CastMesh = z.infer<typeof parameters>

/** As it begins. */
const STARTING: CastMesh = { seenMm: 58, highMm: 46, thickness: 'thin', laid: 'draped', panMm: 220 }

const MM2_PER_DM2 = 10000
/** Lace is broken to shape, and its rim is lost. */
const BROKEN_SHARE = 1.2
/** Lace for each width seen. */
const FULLNESS: Readonly<Record<(typeof LAYINGS)[number], number>> = { draped: 1.15, gathered: 1.8, fanned: 1.5 }
const ML_PER_DM2: Readonly<Record<(typeof THICKNESSES)[number], number>> = { thin: 8, thick: 14 }
/** Picks hold a piece while its gel sets. */
const PICKS: Readonly<Record<(typeof LAYINGS)[number], number>> = { draped: 1, gathered: 2, fanned: 2 }
/** Holes of fine openwork are about so wide. */
const HOLE_MM = 5

/** Lace for so many elements, spares and torn edges in; slurry and pours for it. */
function castOf({ seenMm, highMm, thickness, laid, panMm }: CastMesh, count: Working): Cast {
  const area = derive(
    'lace',
    'area',
    'lace wanted, spares in',
    '{count} × {wide} × {fullness} × {high} × ( 1 + {spares} ) × {edges}',
    {
      count,
      wide: chosen('wide', seenMm, STARTING.seenMm, 'length'),
      fullness: starting('lace for each width', FULLNESS[laid], 'ratio', 'guess'),
      high: chosen('high', highMm, STARTING.highMm, 'length'),
      spares: STANDARD_SPARES.soaked,
      edges: starting('for torn edges', BROKEN_SHARE, 'ratio', 'usual'),
    },
    (v) => (v.count * v.wide * v.fullness * v.high * (1 + v.spares) * v.edges) / MM2_PER_DM2,
  )
  const pan = derive(
    'pan',
    'area',
    'a round pan',
    'π × ( {across} ÷ 2 )²',
    { across: chosen('pan across', panMm, STARTING.panMm, 'length') },
    (v) => (Math.PI * (v.across / 2) ** 2) / MM2_PER_DM2,
  )
  return {
    area,
    slurry: derive(
      'slurry',
      'volume',
      'slurry by area',
      '{area} × {each}',
      { area, each: starting(`${thickness} lace, for a dm²`, ML_PER_DM2[thickness], 'volume', 'guess') },
      (v) => v.area * v.each,
    ),
    pours: derive('pours', 'count', 'yield of a pan', 'round up( {area} ÷ {pan} )', { area, pan }, (v) =>
      Math.ceil(v.area / v.pan - 1e-9),
    ),
  }
}

export const castMesh = defineTechnique({
  id: 'castMesh',
  name: 'Cast mesh',
  element: 'piece of lace',
  family: 'lace',
  alsoCalled: ['net', 'coral', 'openwork', 'poured lace'],
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
  startingColouring: 'slurry',
  startingColour: '#f3dfc2',
  spareShare: STANDARD_SPARES.soaked,
  seen: ({ seenMm, highMm }) => ({ widthMm: seenMm, heightMm: highMm }),

  cast: castOf,
  // Nothing is cut: whole sheets and offcuts are torn.
  pieces: () => [],

  steps: [
    {
      id: 'blend',
      name: 'Blend the slurry',
      say: 'Torn paper and water, about one to six by weight, till smooth; powder colour now.',
      minutes: { fixed: 10 },
      colours: true,
      rest: fixed(10),
    },
    {
      id: 'pour',
      name: 'Pour and dry',
      say:
        'A thin ladle in a hot non-stick pan, spread, heat lowered; bubbles leave the ' +
        'holes. Off as soon as it lifts. Thin is supple, thick is brittle.',
      minutes: { perPour: 4, fixed: 5 },
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
  holdingParts: ({ laid }) => [
    { id: 'pick', name: 'picks that hold lace while the gel sets', perElement: PICKS[laid] },
  ],

  draw: ({ seenMm, highMm, laid }, element, wall) => {
    const stream = seededStream(element.seed)
    const at = frameOf(element, wall, (highMm * element.size) / 2)
    const [wide, high] = [seenMm * element.size, highMm * element.size]
    const [rows, columns] = [Math.max(6, Math.round(high / HOLE_MM)), Math.max(7, Math.round(wide / HOLE_MM))]
    const [curl, phase] = [between(stream, 0.5, 2.5), between(stream, 0, 6.28)]
    // A web of knots, strayed from a brick pattern; fine strands between neighbours bound the holes.
    const pointAt = (u: number, v: number): Point3 => {
      const up = (v + 1) / 2
      const spread = laid === 'gathered' ? 0.35 + 0.65 * up : laid === 'fanned' ? 0.06 + 0.94 * up : 1
      const folds = laid === 'draped' ? 0.6 : 2.4
      const wave = folds * Math.sin(u * (laid === 'draped' ? 4 : 9) + phase) * (0.3 + 0.7 * up)
      return at((u * spread * wide) / 2, high * up, 2.2 + curl * (u * u + v * v) + wave)
    }
    const knots = Array.from({ length: rows + 1 }, (_, row) =>
      Array.from({ length: columns + 1 }, (__, column) => {
        const [u, v] = [
          ((column + (row % 2 === 0 ? 0 : 0.5) + between(stream, -0.3, 0.3)) / (columns + 0.5)) * 2 - 1,
          ((row + between(stream, -0.3, 0.3)) / rows) * 2 - 1,
        ]
        const round = laid === 'draped' ? Math.max(1, Math.hypot(u, v) / 1.06) : 1
        return pointAt(u / round, v / round)
      }),
    )
    const strand = (one: Point3, other: Point3): MeshLine => ({
      points: [one, other],
      widthMm: between(stream, 0.5, 1.3),
      light: between(stream, -0.05, 0.4),
      opacity: 0.95,
    })
    const lines: MeshLine[] = []
    const faces: MeshFace[] = []
    knots.forEach((line, row) =>
      line.forEach((knot, column) => {
        const beside = line[column + 1]
        const below = knots[row + 1]
        if (beside) lines.push(strand(knot, beside))
        const shift = row % 2 === 0 ? 0 : 1
        const other = below?.[column + shift]
        if (other && (column > 0 || shift === 0)) lines.push(strand(knot, other))
        // Here and there a hole stayed closed by a thin skin.
        if (beside && other && between(stream, 0, 1) < 0.16)
          faces.push({ points: [knot, beside, other], opacity: 0.45, light: 0.1 })
      }),
    )
    return { faces, lines }
  },
})
