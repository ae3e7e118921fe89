import { edgePoints, sectionAt, type StandingTier } from '../cake'
import { convexHull, dot, polyline, unit, type Outline, type Point, type Point3 } from '../geometry'
import { darken, lighten } from './shading'
import type { Fade, Shape } from './shape'
import type { Seen, View } from './view'

/** A solid with a flat foot and a flat top, both drawn through as many points, counted from the front to the right. */
export type Block = {
  readonly foot: readonly Point3[]
  readonly top: readonly Point3[]
  readonly colour: string
  readonly gloss: number
  readonly combed: boolean
}

export type DrawnBlock = { readonly shapes: readonly Shape[]; readonly outline: readonly Point[] }

const STEPS = 72
/** Faces that meet at more than this, as the cosine of the angle between them, are drawn apart. */
const SHARP_COSINE = Math.cos((14 * Math.PI) / 180)
const COMB_MM = 8

export const asOutline = (points: readonly Point[], closed = true): Outline =>
  polyline(points as readonly [Point, ...Point[]], closed)

const raise = (points: readonly Point[], heightMm: number): readonly Point3[] =>
  points.map(({ x, y }) => [x, y, heightMm])

/**
 * The block of a standing tier. Foot and top are drawn through the same angles, so that their points belong together.
 */
export function tierBlock(tier: StandingTier, look: Pick<Block, 'colour' | 'gloss' | 'combed'>): Block {
  const foot = edgePoints(tier.shape, tier.turnDeg, tier.middle, STEPS)
  const topShape = sectionAt(tier, tier.topMm)
  const top = tier.taperDeg === 0 ? foot : edgePoints(topShape, tier.turnDeg, tier.middle, STEPS)
  const matched = top.length === foot.length ? top : foot.map(({ x, y }) => nearestTo(top, x, y))
  return { foot: raise(foot, tier.footMm), top: raise(matched, tier.topMm), ...look }
}

const nearestTo = (points: readonly Point[], x: number, y: number): Point =>
  points.reduce((best, point) =>
    Math.hypot(point.x - x, point.y - y) < Math.hypot(best.x - x, best.y - y) ? point : best,
  )

type Facet = { readonly corners: readonly [Seen, Seen, Seen, Seen]; readonly normal: Point3; readonly near: number }

/** Outward direction of the side between two points of the foot. */
const normalOf = (from: Point3, to: Point3): Point3 => unit([to[1] - from[1], from[0] - to[0], 0])

function facetsOf({ foot, top }: Block, view: View): readonly (Facet | null)[] {
  const [seenFoot, seenTop] = [foot.map(view), top.map(view)]
  return foot.map((from, at) => {
    const next = (at + 1) % foot.length
    const corners = [seenFoot[at]!, seenFoot[next]!, seenTop[next]!, seenTop[at]!] as const
    const [a, b, c, d] = corners
    const area = (c.x - a.x) * (d.y - b.y) - (d.x - b.x) * (c.y - a.y)
    return area > 1e-6
      ? { corners, normal: normalOf(from, foot[next]!), near: corners.reduce((sum, { near }) => sum + near, 0) / 4 }
      : null
  })
}

/** Neighbouring facets that the eye takes for one face: a whole round side, a face of a hexagon, a lobe. */
function facesOf(facets: readonly (Facet | null)[]): readonly (readonly Facet[])[] {
  const gap = facets.findIndex((facet) => facet === null)
  const ordered = gap === -1 ? facets : [...facets.slice(gap), ...facets.slice(0, gap)]
  const faces: Facet[][] = []
  let open: Facet[] = []
  for (const facet of ordered) {
    const goesOn = facet !== null && open.length > 0 && dot(open.at(-1)!.normal, facet.normal) > SHARP_COSINE
    if (!goesOn && open.length > 0) {
      faces.push(open)
      open = []
    }
    if (facet) open.push(facet)
  }
  return open.length > 0 ? [...faces, open] : faces
}

/** How a covered side looks where it faces so far towards the light: -1 away to 1 straight at it. */
function tone(colour: string, gloss: number, facing: number): string {
  const lit = facing - 0.42
  const shine = gloss * Math.max(0, facing) ** 14
  return lit > 0 ? lighten(colour, Math.min(0.85, 0.42 * lit + shine)) : darken(colour, Math.min(0.5, -0.34 * lit))
}

/** A block from a side: its faces from far to near, combed lines, and its top. */
export function drawBlock(block: Block, view: View, light: Point3): DrawnBlock {
  const level = unit([light[0], light[1], 0])
  const faces = [...facesOf(facetsOf(block, view))].sort((one, other) => meanNear(one) - meanNear(other))
  const sides = faces.map((face): Shape => ({
    kind: 'outline',
    outline: faceOutline(face),
    fill: faceFade(face, block, level),
    stroke: tone(block.colour, 0, dot(middleOf(face).normal, level)),
    strokeMm: 0.5,
  }))
  const seenTop = block.top.map(view)
  const left = Math.min(...seenTop.map(({ x }) => x))
  const right = Math.max(...seenTop.map(({ x }) => x))
  const top: Fade = {
    from: { x: left, y: 0 },
    to: { x: right, y: 0 },
    stops: [
      { at: 0, colour: lighten(block.colour, 0.5) },
      { at: 1, colour: lighten(block.colour, 0.14) },
    ],
  }
  return {
    outline: convexHull([...block.foot, ...block.top].map(view)),
    shapes: [
      ...sides,
      ...(block.combed ? faces.flatMap((face) => combLines(face, block)) : []),
      {
        kind: 'outline',
        outline: asOutline(seenTop),
        fill: top,
        stroke: lighten(block.colour, 0.6),
        strokeMm: 0.9,
        strokeOpacity: 0.8,
      },
    ],
  }
}

const meanNear = (face: readonly Facet[]): number => face.reduce((sum, { near }) => sum + near, 0) / face.length
const middleOf = (face: readonly Facet[]): Facet => face[Math.floor(face.length / 2)]!

const faceOutline = (face: readonly Facet[]): Outline =>
  asOutline([
    face[0]!.corners[0],
    ...face.map(({ corners }) => corners[1]),
    ...[...face].reverse().map(({ corners }) => corners[2]),
    face[0]!.corners[3],
  ])

/** The light over a face from its left edge to its right. */
function faceFade(face: readonly Facet[], { colour, gloss }: Block, level: Point3): Fade | string {
  const middleX = ({ corners }: Facet): number => corners.reduce((sum, { x }) => sum + x, 0) / 4
  const xs = face.flatMap(({ corners }) => corners.map(({ x }) => x))
  const [left, right] = [Math.min(...xs), Math.max(...xs)]
  const flat = dot(face[0]!.normal, face.at(-1)!.normal) > 0.9999
  if (right - left < 0.5) return tone(colour, gloss, dot(middleOf(face).normal, level))
  if (flat) {
    const facing = dot(face[0]!.normal, level)
    return {
      from: { x: left, y: 0 },
      to: { x: right, y: 0 },
      stops: [
        { at: 0, colour: tone(colour, gloss, facing + 0.1) },
        { at: 1, colour: tone(colour, gloss, facing - 0.08) },
      ],
    }
  }
  return {
    from: { x: left, y: 0 },
    to: { x: right, y: 0 },
    stops: face.map((facet) => ({
      at: Math.min(1, Math.max(0, (middleX(facet) - left) / (right - left))),
      colour: tone(colour, gloss, dot(facet.normal, level)),
    })),
  }
}

/** Lines that a comb leaves in buttercream or cream, along a face. */
function combLines(face: readonly Facet[], { foot, top, colour }: Block): readonly Shape[] {
  const rise = top[0]![2] - foot[0]![2]
  const lines = Math.max(1, Math.round(rise / COMB_MM))
  return Array.from({ length: lines - 1 }, (_, line): Shape => {
    const share = (line + 1) / lines
    const between = (low: Point, high: Point): Point => ({
      x: low.x + (high.x - low.x) * share,
      y: low.y + (high.y - low.y) * share,
    })
    const points = [
      between(face[0]!.corners[0], face[0]!.corners[3]),
      ...face.map(({ corners }) => between(corners[1], corners[2])),
    ]
    return {
      kind: 'outline',
      outline: asOutline(points, false),
      stroke: darken(colour, 0.3),
      strokeMm: 0.7,
      strokeOpacity: 0.22,
    }
  })
}
