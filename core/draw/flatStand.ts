/** The stand as flat outlines from one side: to scale on papers, and where a screen draws nothing in depth. */
import { coveringOf } from '../material'
import { edgePoints, roundShape, sectionAt, type Board, type StandingTier } from '../cake'
import { convexHull, isInside, polyline, type Point, type Point3 } from '../geometry'
import type { Mesh } from '../technique'
import type { Picture, Shape } from './shape'
import type { Solid } from './solid'
import type { Drawn, StandScene } from './standSolids'
import { BOARD_COLOUR, boardShape, SPACER_COLOUR } from './tierSolid'
import { viewAt, type View } from './viewpoint'

/** Something as it is seen: the outlines of its parts, y up, and how near the viewer its middle is. */
export type Flat = {
  readonly id: string
  readonly kind: Solid['kind']
  readonly index: number
  readonly colour: string
  readonly outlines: readonly (readonly Point[])[]
  readonly near: number
}

/** Points in space whose outline is drawn as one. */
type Part = readonly Point3[]

const STEPS = 96

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length)

/** What something is: its name among all, and which of the plan's it belongs to. */
type Which = Pick<Flat, 'id' | 'kind' | 'index'>

const flatOf = (which: Which, colour: string, parts: readonly Part[], view: View): Flat => {
  const seen = parts.map((part) => part.map(view))
  return {
    ...which,
    colour,
    outlines: seen.map(convexHull).filter((outline) => outline.length > 2),
    near: mean(seen.flat().map(({ near }) => near)),
  }
}

const ringAt = (
  { shape, turnDeg, middle }: Pick<StandingTier, 'shape' | 'turnDeg' | 'middle'>,
  heightMm: number,
): Part => edgePoints(shape, turnDeg, middle, STEPS).map(({ x, y }): Point3 => [x, y, heightMm])

/** A block between two rings: round both as far as its side is seen, and its foot and its top as they run. */
function flatBlock(which: Which, colour: string, rings: readonly [Part, Part], view: View): Flat {
  const round = flatOf(which, colour, [rings.flat()], view)
  const [foot, top] = [rings[0].map(view), rings[1].map(view)]
  const rises = Math.abs(mean(top.map(({ y }) => y)) - mean(foot.map(({ y }) => y))) > 1
  return { ...round, outlines: [rises ? round.outlines[0]! : foot, top] }
}

function flatTier(tier: StandingTier, view: View): readonly Flat[] {
  const { index, footMm, topMm, spacer, middle } = tier
  const top = { ...tier, shape: sectionAt(tier, topMm) }
  const drum = spacer && { shape: roundShape(spacer.acrossMm), turnDeg: 0, middle }
  const which = (id: string): Which => ({ id, kind: 'tier', index })
  return [
    ...(drum
      ? [flatBlock(which(`spacer-${index}`), SPACER_COLOUR, [ringAt(drum, spacer.footMm), ringAt(drum, footMm)], view)]
      : []),
    flatBlock(
      which(`tier-${index}`),
      tier.colour ?? coveringOf(tier.covering).colour,
      [ringAt(tier, footMm), ringAt(top, topMm)],
      view,
    ),
  ]
}

function flatBoard(board: Board, view: View): Flat {
  const block = { shape: boardShape(board), turnDeg: 0, middle: { x: 0, y: 0 } }
  return flatBlock(
    { id: 'board', kind: 'board', index: 0 },
    BOARD_COLOUR,
    [ringAt(block, -board.thicknessMm), ringAt(block, 0)],
    view,
  )
}

/** All points of something, as one part; a corner that faces share is one point. */
export const wholePart = ({ faces, lines }: Mesh): Part => [
  ...new Set([...faces, ...lines].flatMap(({ points }) => points)),
]

const flatDrawn = ({ mesh, colour }: Drawn, kind: 'element' | 'accent', index: number, view: View): Flat =>
  flatOf({ id: `${kind}-${index}`, kind, index }, colour, [wholePart(mesh)], view)

/** The stand from far to near: what stands behind a tier is hidden by it. The board is under all. */
export const flatStand = ({ board, stack, elements, accents }: StandScene, view: View): readonly Flat[] => [
  ...(board ? [flatBoard(board, view)] : []),
  ...[
    ...stack.flatMap((tier) => flatTier(tier, view)),
    ...elements.map((each, index) => flatDrawn(each, 'element', index, view)),
    ...accents.map((each, index) => flatDrawn(each, 'accent', index, view)),
  ].sort((one, other) => one.near - other.near),
]

/** What lies uppermost at a place of the drawing, y up; null beside all. */
export const flatAt = (flats: readonly Flat[], place: Point): Flat | null =>
  flats.findLast(({ outlines }) => outlines.some((outline) => isInside(place, outline))) ?? null

/** What has so many faces is one round thing; with fewer each is seen, such as the leaves of a branch. */
const SEPARATE_FACES = 60

/** The parts of an element that are told apart from above. */
export const partsFromAbove = (mesh: Mesh): readonly Part[] =>
  mesh.faces.length > 0 && mesh.faces.length <= SEPARATE_FACES
    ? mesh.faces.map(({ points }) => points)
    : [wholePart(mesh)]

export type Side = 'front' | 'back' | 'above'

const LOOKS = {
  front: { turnDeg: 0, downDeg: 0 },
  back: { turnDeg: 180, downDeg: 0 },
  above: { turnDeg: 0, downDeg: 90 },
}
const MARKS = { front: 'front, 6 o’clock', back: 'back, 12 o’clock', above: 'front, 6 o’clock' }
const LINE = '#2a1c2c'
const SOFT = '#b9a894'
const EDGE_MM = 16
/** Strong is what the picture is about, pale what stands beside it; what is hidden only needs its room. */
const PAINT = {
  strong: { fillOpacity: 0.7, strokeOpacity: 0.6 },
  pale: { fillOpacity: 0.25, strokeOpacity: 0.2 },
} as const

/** Something on a picture for paper. */
export type OnPaper = {
  readonly parts: readonly Part[]
  readonly colour: string
  readonly shown: keyof typeof PAINT | 'hidden'
}

/**
 * A picture for paper, the middles of what is on it in the order given, none of what has no outline, and where on it a
 * place of the cake lies.
 */
export type PaperStand = Picture & {
  readonly middles: readonly (Point | null)[]
  readonly at: (point: Point3) => Point
}

/** Board, tiers and what stands on them, from one side and to scale; front and back have the same size. */
export function paperStand(
  stack: readonly StandingTier[],
  board: Board,
  shown: readonly OnPaper[],
  side: Side,
): PaperStand {
  const view = viewAt({ ...LOOKS[side], aimMm: 0, awayMm: null })
  const blocks = [flatBoard(board, view), ...stack.flatMap((tier) => flatTier(tier, view))]
  const flats = shown.map(({ parts, colour }, index) =>
    flatOf({ id: `element-${index}`, kind: 'element', index }, colour, parts, view),
  )
  const corners = [...blocks, ...flats].flatMap(({ outlines }) => outlines.flat())
  const half = corners.reduce((most, { x }) => Math.max(most, Math.abs(x)), 0) + EDGE_MM
  const [least, most] = corners.reduce(([low, high], { y }) => [Math.min(low, y), Math.max(high, y)], [0, 0])
  const onPaper = ({ x, y }: Point): Point => ({ x: x + half, y: y - least + EDGE_MM })
  const outlined = (outline: readonly Point[]) =>
    polyline(outline.map(onPaper) as unknown as readonly [Point, ...Point[]], true)
  const drawn = flats
    .map((flat, index) => ({ ...flat, paint: shown[index]!.shown }))
    .sort((one, other) => one.near - other.near)
    .flatMap(({ outlines, colour, paint }): readonly Shape[] =>
      paint === 'hidden'
        ? []
        : outlines.map((outline) => ({
            kind: 'outline',
            outline: outlined(outline),
            fill: colour,
            stroke: LINE,
            strokeMm: 0.3,
            ...PAINT[paint],
          })),
    )
  return {
    widthMm: 2 * half,
    heightMm: most - least + 2 * EDGE_MM,
    at: (point) => onPaper(view(point)),
    middles: flats.map(({ outlines }) => {
      const own = outlines.flat()
      if (own.length === 0) return null
      return onPaper({ x: mean(own.map(({ x }) => x)), y: mean(own.map(({ y }) => y)) })
    }),
    shapes: [
      ...blocks.flatMap(({ outlines, colour }) =>
        outlines.map((outline): Shape => ({
          kind: 'outline',
          outline: outlined(outline),
          fill: colour,
          fillOpacity: 0.5,
          stroke: LINE,
          strokeMm: 0.6,
        })),
      ),
      ...drawn,
      {
        kind: 'outline',
        outline: polyline([
          { x: half, y: EDGE_MM },
          { x: half, y: 9 },
        ]),
        stroke: SOFT,
        strokeMm: 0.4,
        dash: [2, 2],
      },
      { kind: 'label', at: { x: half, y: 4.5 }, text: MARKS[side], sizeMm: half / 18, colour: LINE, anchor: 'middle' },
    ],
  }
}
