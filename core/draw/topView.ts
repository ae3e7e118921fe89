/** The cake from above, to scale, front at the foot of the picture: outlines of the tiers and of what stands on them. */
import { edgePoints, sectionAt, type Board, type StandingTier } from '../cake'
import { circle, convexHull, polyline, rectangle, type Outline, type Point, type Point3 } from '../geometry'
import type { Mesh } from '../technique'
import type { Shape } from './shape'

const LINE = '#2a1c2c'
const SOFT = '#b9a894'
const PALE_TIER = '#fbf6ec'
const EDGE_MM = 16
const BOARD_COLOUR = '#f1e6d6'

/** Something seen from above: its parts in space, its colour, whether it is drawn as what it is about. */
export type SeenFromAbove = {
  /** Parts of it, each drawn as the outline round its points. */
  readonly parts: readonly (readonly Point3[])[]
  readonly colour: string
  readonly isMain: boolean
}

/** The picture without numbers, its hulls in the order given, and where on it a point of the board lies. */
export type TopView = {
  readonly widthMm: number
  readonly heightMm: number
  readonly shapes: readonly Shape[]
  readonly at: (point: Point) => Point
  readonly middles: readonly Point[]
}

const closed = (points: readonly Point[]): Outline => polyline(points as unknown as readonly [Point, ...Point[]], true)

/** Board, tiers and what stands on them, from above. */
export function topView(stack: readonly StandingTier[], board: Board, seen: readonly SeenFromAbove[]): TopView {
  const hulls = seen.map(({ parts }) => parts.map((points) => convexHull(points.map(([x, y]) => ({ x, y })))))
  const rims = stack.map((tier) => [
    edgePoints(tier.shape, tier.turnDeg, tier.middle, 120),
    edgePoints(sectionAt(tier, tier.topMm), tier.turnDeg, tier.middle, 120),
  ])
  const reached = [...hulls.flat(2), ...rims.flat(2)].flatMap(({ x, y }) => [Math.abs(x), Math.abs(y)])
  const half = reached.reduce((most, reach) => Math.max(most, reach), board.acrossMm / 2) + EDGE_MM
  const at = ({ x, y }: Point): Point => ({ x: x + half, y: y + half })
  const order = seen.map((_, index) => index).sort((one, other) => topOf(seen[one]!) - topOf(seen[other]!))
  const lines = { stroke: LINE, strokeMm: 0.6 } as const
  return {
    widthMm: 2 * half,
    heightMm: 2 * half,
    at,
    middles: hulls.map((own) => {
      const corners = own.flat()
      const mean = (of: (corner: Point) => number): number =>
        corners.reduce((sum, corner) => sum + of(corner), 0) / Math.max(1, corners.length)
      return at({ x: mean(({ x }) => x), y: mean(({ y }) => y) })
    }),
    shapes: [
      {
        kind: 'outline',
        outline:
          board.outline === 'round'
            ? circle(at({ x: 0, y: 0 }), board.acrossMm / 2)
            : rectangle(half - board.acrossMm / 2, half - board.acrossMm / 2, board.acrossMm, board.acrossMm),
        fill: BOARD_COLOUR,
        ...lines,
      },
      ...stack.flatMap((tier, index): readonly Shape[] =>
        rims[index]!.map((rim) => ({
          kind: 'outline',
          outline: closed(rim.map(at)),
          fill: tier.colour ?? PALE_TIER,
          fillOpacity: 0.5,
          ...lines,
        })),
      ),
      ...order.flatMap((index): readonly Shape[] => {
        const { colour, isMain } = seen[index]!
        return hulls[index]!.filter((hull) => hull.length > 2).map((hull) => ({
          kind: 'outline',
          outline: closed(hull.map(at)),
          fill: colour,
          fillOpacity: isMain ? 0.7 : 0.2,
          stroke: LINE,
          strokeMm: 0.3,
          strokeOpacity: isMain ? 0.6 : 0.15,
        }))
      }),
      {
        kind: 'outline',
        outline: polyline([
          { x: half, y: half - board.acrossMm / 2 },
          { x: half, y: 9 },
        ]),
        stroke: SOFT,
        strokeMm: 0.4,
        dash: [2, 2],
      },
      {
        kind: 'label',
        at: { x: half, y: 4.5 },
        text: 'front, 6 o’clock',
        sizeMm: half / 16,
        colour: LINE,
        anchor: 'middle',
      },
    ],
  }
}

/** How high something rises: what is higher lies over what is lower. */
const topOf = ({ parts }: SeenFromAbove): number => parts.flat().reduce((most, [, , z]) => Math.max(most, z), -Infinity)

/** What has so many faces is one round thing from above; with fewer each is seen, such as the leaves of a branch. */
const SEPARATE_FACES = 60

/** The parts of an element that are told apart from above. */
export const partsFromAbove = ({ faces, lines }: Mesh): readonly (readonly Point3[])[] =>
  faces.length > 0 && faces.length <= SEPARATE_FACES
    ? faces.map(({ points }) => points)
    : [[...faces, ...lines].flatMap(({ points }) => points)]
