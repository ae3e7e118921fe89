import { z } from 'zod'
import { polyline, type Outline, type Point } from '../../geometry'

/** Leaves by the words botanists have for their outlines, and what decorators call them. */
export const LEAF_KINDS = [
  'elliptic',
  'orbicular',
  'flabellate',
  'cordate',
  'palmate',
  'lanceolate',
  'pinnate',
] as const
type LeafKind = (typeof LEAF_KINDS)[number]

const LEAF_LABELS: Readonly<Record<LeafKind, string>> = {
  elliptic: 'almond',
  orbicular: 'round',
  flabellate: 'fan',
  cordate: 'heart',
  palmate: 'lobed',
  lanceolate: 'long and narrow',
  pinnate: 'compound',
}

/** How a leaf is cut: its kind, and how wide it is against what is usual for the kind. */
export const leafFields = {
  leaf: z.enum(LEAF_KINDS).meta({ label: 'Leaf', kind: 'choice', options: LEAF_LABELS }),
  leafWide: z
    .number()
    .min(0.5)
    .max(1.6)
    .meta({ label: 'Leaf wide', kind: 'share', help: 'Against the usual for its kind' }),
}

export type LeafShape = z.infer<z.ZodObject<typeof leafFields>>

/**
 * Half an outline from foot to tip, of a leaf 1 long; mirrored it is whole. The vein ends say where its veins run to
 * from the foot.
 */
type LeafForm = { readonly half: readonly Point[]; readonly veins: readonly (readonly [Point, Point])[] }

const STEPS = 14
const RADIANS = Math.PI / 180

const along = (of: (up: number) => Point): readonly Point[] =>
  Array.from({ length: STEPS + 1 }, (_, step) => of(step / STEPS))

/** Veins that leave the midrib in pairs towards the edge. */
const sideVeins = (widthAt: (up: number) => number): LeafForm['veins'] =>
  [0.22, 0.42, 0.62].map((up) => [
    { x: 0, y: up },
    { x: 0.8 * widthAt(up + 0.14), y: up + 0.14 },
  ])

function bellied(wide: number, power: number, belly: number): LeafForm {
  const widthAt = (up: number): number => (wide / 2) * Math.sin(Math.PI * up ** belly) ** power
  return { half: along((up) => ({ x: widthAt(up), y: up })), veins: sideVeins(widthAt) }
}

/** A fan on a narrow foot, its rim waved and split in the middle. */
function flabellate(): LeafForm {
  const open = 62
  const rim = Array.from({ length: 9 }, (_, step): Point => {
    const share = step / 8
    const reach =
      (share > 0.9 ? 0.82 - 1.6 * (share - 0.9) : 1 - 0.12 * (1 - share) ** 2) + 0.025 * Math.sin(share * 17)
    const angle = (1 - share) * open * RADIANS
    return { x: reach * Math.sin(angle), y: reach * Math.cos(angle) }
  })
  return {
    half: [{ x: 0.02, y: 0 }, { x: 0.03, y: 0.1 }, { x: 0.2, y: 0.2 }, ...rim],
    veins: [12, 26, 40, 54].map((angle) => [
      { x: 0, y: 0.08 },
      { x: 0.86 * Math.sin(angle * RADIANS), y: 0.86 * Math.cos(angle * RADIANS) },
    ]),
  }
}

function cordate(): LeafForm {
  const half = Array.from({ length: STEPS + 1 }, (_, step): Point => {
    const round = (step / STEPS) * Math.PI
    const reach = 0.52 * (1 + 0.16 * Math.cos(round)) * Math.sin(round) ** 0.85
    return { x: reach, y: 0.42 - 0.56 * Math.cos(round) + 0.17 * Math.exp(-((round / 0.55) ** 2)) }
  })
  const foot = half[0]!.y
  const shifted = half.map(({ x, y }) => ({ x, y: (y - foot) / (half.at(-1)!.y - foot) }))
  return {
    half: shifted,
    veins: [
      [
        { x: 0, y: 0.04 },
        { x: 0.34, y: 0.32 },
      ],
      [
        { x: 0, y: 0.2 },
        { x: 0.36, y: 0.5 },
      ],
      [
        { x: 0, y: 0.42 },
        { x: 0.24, y: 0.68 },
      ],
    ],
  }
}

/** Five lobes about the foot of the blade. */
function palmate(): LeafForm {
  const lobes = [
    { at: 0, long: 0.66 },
    { at: 52, long: 0.6 },
    { at: 104, long: 0.44 },
  ] as const
  const heart: Point = { x: 0, y: 0.34 }
  const half = Array.from({ length: 27 }, (_, step): Point => {
    const angle = 150 - (step / 26) * 150
    const reach = Math.max(0.17, ...lobes.map(({ at, long }) => long * Math.exp(-(((angle - at) / 17) ** 2)) + 0.02))
    return { x: heart.x + reach * Math.sin(angle * RADIANS), y: heart.y + reach * Math.cos(angle * RADIANS) }
  })
  return {
    half: [{ x: 0.02, y: 0 }, { x: 0.03, y: 0.16 }, ...half.slice(0, -1), { x: 0, y: 1 }],
    veins: lobes
      .slice(1)
      .map(({ at, long }) => [
        heart,
        { x: heart.x + 0.85 * long * Math.sin(at * RADIANS), y: heart.y + 0.85 * long * Math.cos(at * RADIANS) },
      ]),
  }
}

/** Leaflets in pairs along a midrib, cut in one piece with it, and one at the tip. */
function pinnate(): LeafForm {
  const pairs = 4
  const leaflets = Array.from(
    { length: pairs },
    (_, pair): { readonly half: readonly Point[]; readonly vein: readonly [Point, Point] } => {
      const foot = 0.16 + (0.62 * pair) / pairs
      const [long, wide] = [0.36 * (1 - (0.32 * pair) / pairs), 0.15]
      const [along, off] = [
        { x: Math.cos(34 * RADIANS), y: Math.sin(34 * RADIANS) },
        { x: Math.sin(34 * RADIANS), y: -Math.cos(34 * RADIANS) },
      ]
      const at = (up: number, side: number): Point => ({
        x: 0.016 + along.x * up * long + off.x * side,
        y: foot + along.y * up * long + off.y * side,
      })
      const girth = (up: number): number => (wide / 2) * Math.sin(Math.PI * Math.min(1, 0.08 + 0.92 * up)) ** 0.8
      const rise = [0, 0.2, 0.45, 0.7, 0.9]
      return {
        half: [
          ...rise.map((up) => at(up, girth(up))),
          at(1, 0),
          ...[...rise].reverse().map((up) => at(up, -girth(up) * (up === 0 ? 0.2 : 1))),
        ],
        vein: [at(0, 0), at(0.9, 0)],
      }
    },
  )
  return {
    half: [
      { x: 0.018, y: 0 },
      ...leaflets.flatMap(({ half }) => half),
      { x: 0.016, y: 0.79 },
      { x: 0.07, y: 0.86 },
      { x: 0.05, y: 0.94 },
      { x: 0, y: 1 },
    ],
    veins: leaflets.map(({ vein }) => vein),
  }
}

const FORMS: Readonly<Record<LeafKind, LeafForm>> = {
  elliptic: bellied(0.46, 1, 0.94),
  lanceolate: bellied(0.24, 1.1, 0.74),
  orbicular: bellied(0.94, 0.52, 1),
  flabellate: flabellate(),
  cordate: cordate(),
  palmate: palmate(),
  pinnate: pinnate(),
}

/** A leaf's half outline and veins, as wide as asked. */
export function leafForm({ leaf, leafWide }: LeafShape): LeafForm {
  const { half, veins } = FORMS[leaf]
  const widened = ({ x, y }: Point): Point => ({ x: x * leafWide, y })
  return { half: half.map(widened), veins: veins.map(([from, to]) => [widened(from), widened(to)] as const) }
}

/** How wide a leaf is at its widest, as a share of its length. */
export const widestOf = (shape: LeafShape): number => 2 * Math.max(...leafForm(shape).half.map(({ x }) => x))

/** A leaf as cut, foot at (0, 0), tip up, mm, with its fold along the middle. */
export function leafOutline(shape: LeafShape, lengthMm: number): { readonly outline: Outline; readonly fold: Outline } {
  const right = leafForm(shape).half.map(({ x, y }) => ({ x: x * lengthMm, y: y * lengthMm }))
  const left = [...right]
    .reverse()
    .map(({ x, y }) => ({ x: -x, y }))
    .filter(({ x }) => x < -1e-9)
  return {
    outline: polyline([right[0]!, ...right.slice(1), ...left], true),
    fold: polyline([
      { x: 0, y: 0 },
      { x: 0, y: lengthMm },
    ]),
  }
}
