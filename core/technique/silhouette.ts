/**
 * Silhouette: any outline the user brings, cut flat, standing on a foot or laid on a side.
 *
 * Rings are kept without a size: the outline is 1 high with its foot at 0 and its middle at 0 across; a ring inside
 * another is a hole in it.
 *
 * By hand: a quill seen 90 mm high with a 20 mm foot, whose outline is 0.36 as wide as high: cut 110 mm high, 32.4 mm
 * wide.
 * Four and a spare are traced in 5 × 1 + 5 = 10 min and set in 4 × 2 = 8 min; four feet take 3.2 g of piping gel.
 */
import { z } from 'zod'
import { isInside, polyline, rectangle, type Point, type Point3 } from '../geometry'
import { between, derive, found, seededStream } from '../quantity'
import { defineTechnique } from './define'
import { chosen } from './chosen'
import type { MeshFace, MeshLine } from './mesh'
import { cutSize, STANDARD_SPARES } from './flat'
import { frameOf } from './frame'

const coordinate = z.number().min(-20).max(20)
const ringSchema = z
  .array(z.tuple([coordinate, coordinate]))
  .min(3)
  .max(600)

const parameters = z.strictObject({
  seenMm: z.number().min(10).max(260).meta({ label: 'Seen height', kind: 'length', help: 'Of the biggest' }),
  footMm: z.number().min(0).max(40).meta({ label: 'Foot', kind: 'length', help: 'Goes into the cake; 0 when laid on' }),
  rings: z.array(ringSchema).min(1).max(40).meta({ label: 'Outline', kind: 'outline' }),
})

type Ring = readonly (readonly [number, number])[]

const FOOT_WIDE_SHARE = 0.16
const LEAST_FOOT_MM = 8

/** A quill: the shaft from the foot, a vane with a few splits; an outline to begin with until the user brings one. */
const QUILL: Ring = [
  [-0.012, 0],
  [0.014, 0],
  [0.02, 0.16],
  [0.05, 0.2],
  [0.11, 0.3],
  [0.07, 0.31],
  [0.14, 0.42],
  [0.17, 0.55],
  [0.115, 0.55],
  [0.18, 0.66],
  [0.185, 0.8],
  [0.15, 0.92],
  [0.09, 1],
  [0.02, 0.96],
  [-0.05, 0.88],
  [-0.11, 0.76],
  [-0.15, 0.62],
  [-0.1, 0.61],
  [-0.165, 0.5],
  [-0.16, 0.38],
  [-0.12, 0.29],
  [-0.07, 0.3],
  [-0.09, 0.22],
  [-0.03, 0.17],
].map(([x, y]) => [x!, y!] as const)
const QUILL_SLOT: Ring = [
  [0.0, 0.3],
  [0.02, 0.3],
  [0.045, 0.6],
  [0.05, 0.84],
  [0.03, 0.6],
].map(([x, y]) => [x!, y!] as const)

/** As it begins. */
const STARTING: z.infer<typeof parameters> = {
  seenMm: 70,
  footMm: 15,
  rings: [QUILL.map(([x, y]): [number, number] => [x, y]), QUILL_SLOT.map(([x, y]): [number, number] => [x, y])],
}

/** How wide rings are for each height. */
const widthShare = (rings: readonly Ring[]): number => {
  const xs = rings.flatMap((ring) => ring.map(([x]) => x))
  return Math.max(...xs) - Math.min(...xs)
}

type Part = { readonly outer: readonly Point[]; readonly holes: readonly (readonly Point[])[] }

/**
 * Rings sorted into parts with their holes: a ring within an odd number of others is a hole in the smallest of them.
 */
function partsOf(rings: readonly Ring[], scaleMm: number): readonly Part[] {
  const scaled = rings.map((ring) => ring.map(([x, y]): Point => ({ x: x * scaleMm, y: y * scaleMm })))
  const around = scaled.map((ring, at) =>
    scaled.flatMap((other, index) => (index !== at && isInside(ring[0]!, other) ? [index] : [])),
  )
  const outers = scaled.flatMap((_, at) => (around[at]!.length % 2 === 0 ? [at] : []))
  return outers.map((outer) => ({
    outer: scaled[outer]!,
    holes: scaled.filter((_, at) => around[at]!.length === around[outer]!.length + 1 && around[at]!.includes(outer)),
  }))
}

const closed = (points: readonly Point[]) => polyline(points as unknown as readonly [Point, ...Point[]], true)

/** A part as one line round it, its holes reached over a bridge, so that it can be filled as a single face. */
function bridged({ outer, holes }: Part): readonly Point[] {
  return holes.reduce((line, hole) => {
    let best = { away: Infinity, from: 0, to: 0 }
    line.forEach((one, from) =>
      hole.forEach((other, to) => {
        const away = Math.hypot(one.x - other.x, one.y - other.y)
        if (away < best.away) best = { away, from, to }
      }),
    )
    return [
      ...line.slice(0, best.from + 1),
      ...hole.slice(best.to),
      ...hole.slice(0, best.to + 1),
      ...line.slice(best.from),
    ]
  }, outer)
}

export const silhouette = defineTechnique({
  id: 'silhouette',
  name: 'Silhouette',
  element: 'silhouette',
  family: 'figures',
  alsoCalled: ['cut-out', 'letters', 'numbers', 'own drawing'],
  say: 'Any outline of your own, from an SVG or DXF file, cut to size.',
  papers: ['thickWafer', 'standardWafer', 'thinWafer'],
  whyPaper: 'Thick wafer stands by itself and cuts crisply; thinner suits outlines laid on a side.',
  unfit: { riceFilm: 'Rice film snaps along an outline.' },
  compositions: ['crown', 'single', 'pair', 'scatter', 'band', 'cluster'],
  finishes: ['edgeGilding', 'dusting', 'stencilShine', 'speckle', 'twoTone'],
  parameters,
  startingParameters: STARTING,
  stands: true,
  sizedBy: ['seenMm'],
  startingColour: '#343a63',
  spareShare: STANDARD_SPARES.dry,
  seen: ({ seenMm, rings }) => ({ widthMm: seenMm * widthShare(rings), heightMm: seenMm }),

  pieces: ({ seenMm, footMm, rings }, size) => {
    const seen = found('seen height here', seenMm * size, 'length', 'from its place')
    const height =
      footMm > 0 ? cutSize('cut high', seen, chosen('foot', footMm, STARTING.footMm, 'length'), null) : seen
    const width = derive(
      'cut wide',
      'length',
      'of the outline',
      '{seen} × {share}',
      { seen, share: found('width for each height', widthShare(rings), 'ratio', 'of the outline') },
      (v) => v.seen * v.share,
    )
    const footWide = Math.max(LEAST_FOOT_MM, width.value * FOOT_WIDE_SHARE)
    return partsOf(rings, seen.value).map(({ outer, holes }, at) => ({
      name: at === 0 ? 'outline' : `outline, part ${at + 1}`,
      outline: closed(outer),
      holes: holes.map(closed),
      folds: [],
      ...(at === 0 && footMm > 0 && { flaps: [rectangle(-footWide / 2, -footMm, footWide, footMm)] }),
      face: 'smooth face to the front',
      width,
      height,
      perElement: 1,
    }))
  },

  steps: [
    {
      id: 'trace',
      name: 'Cut the outline',
      say: 'By template, knife or machine; the inside first, so that it stays stiff.',
      minutes: { perPiece: 1, fixed: 5 },
      cuts: true,
    },
    {
      id: 'stand',
      name: 'Stand or lay it',
      say: 'Its foot in a slit cut for it, or gel over the whole back of one that is laid on.',
      minutes: { perElement: 2 },
      onCake: true,
    },
  ],
  supplies: [{ supply: 'templateCard', at: 'trace', per: 'job', amount: 1 }],
  fixed: ({ footMm }) => (footMm > 0 ? { by: 'foot', joints: 1 } : { by: 'back', share: 1 }),
  cautions: [{ id: 'outlineBlade', at: 'trace', say: 'A fine blade: fingers behind it, a mat below.' }],
  failures: [
    { seen: 'Narrow parts bend over', because: 'thin paper, or damp air', next: 'thicker paper, or laid on the side' },
  ],
  holdingParts: () => [],

  draw: ({ seenMm, rings }, element, wall) => {
    const stream = seededStream(element.seed)
    const at = frameOf({ ...element, rollDeg: element.rollDeg + between(stream, -2, 2) }, wall)
    const bow = between(stream, 0.02, 0.07)
    const put = ({ x, y }: Point): Point3 => at(x, y, 1.5 + bow * y + 0.02 * x)
    const parts = partsOf(rings, seenMm * element.size)
    const faces = parts.map((part): MeshFace => ({ points: bridged(part).map(put), opacity: 0.97, light: 0 }))
    const lines = parts.flatMap(({ outer, holes }) =>
      [outer, ...holes].map((ring): MeshLine => ({
        points: [...ring, ring[0]!].map(put),
        widthMm: 0.6,
        light: 0.35,
        opacity: 0.85,
        edge: true,
      })),
    )
    return { faces, lines }
  },
})
