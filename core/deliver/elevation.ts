/**
 * The cake from the front and from the back, to scale: everything as it stands, what is still to be placed with its
 * number.
 */
import { elementColour, meshesOf } from '../decoration'
import { chosenOption, type Commission, type Decoration } from '../commission'
import { extentMm, sectionAt, type Board, type StandingTier } from '../cake'
import { topView, type Picture, type Shape } from '../draw'
import { circle, convexHull, polyline, rectangle, type Point, type Point3 } from '../geometry'
import { remember, type Plan } from '../plan'
import type { PlacedElement } from '../technique'
import type { Placing } from './placing'
import { spreadTags } from './tags'

const LINE = '#2a1c2c'
const SOFT = '#b9a894'
const PALE_TIER = '#fbf6ec'
const TAGS: Readonly<Record<Placing['stage'], string>> = {
  dressed: '#efe3cf',
  focal: '#f3c566',
  large: '#ffffff',
  fill: '#d9ebe4',
}
const EDGE_MM = 16
const SLICES = 6
const MOST_TAGS = 90

type Side = 'front' | 'back'

/** Something as it is seen from the front: its points in space, and its colour. */
export type Standing3 = {
  readonly number: number
  readonly stage: Placing['stage']
  readonly angleDeg: number
  readonly on: Placing['on']
  readonly colour: string
  readonly points: readonly Point3[]
}

/** Points of every element of a decoration; most changes leave them as they are. */
const pointsOf = remember(
  ({
    decoration,
    elements,
    stack,
  }: {
    readonly decoration: Decoration
    readonly elements: readonly PlacedElement[]
    readonly stack: readonly StandingTier[]
  }) =>
    meshesOf(decoration, elements, stack).map(({ faces, lines }): readonly Point3[] =>
      [...faces, ...lines].flatMap((each) => each.points),
    ),
)

/** Everything that is placed, as it stands in space. */
export function standingOf(
  { stack, decorations: made, dishes }: Plan,
  commission: Commission,
  placings: readonly Placing[],
): readonly Standing3[] {
  const { decorations } = chosenOption(commission)
  const points = new Map<string, { readonly points: readonly Point3[]; readonly colour: string }>()
  for (const { id, elements } of made) {
    const decoration = decorations.find((each) => each.id === id)!
    pointsOf({ decoration, elements, stack }).forEach((each, at) =>
      points.set(`${id} ${at}`, {
        points: each,
        colour: elementColour(decoration.colour, elements[at]!, dishes.foretold[id]),
      }),
    )
  }
  return placings.map(({ number, stage, angleDeg, on, decoration, index }) => ({
    number,
    stage,
    angleDeg,
    on,
    ...points.get(`${decoration} ${index}`)!,
  }))
}

/** What lies on a top is seen from both sides; what is on a side from its own. */
const isSeen = ({ on, angleDeg }: Pick<Standing3, 'on' | 'angleDeg'>, side: Side): boolean =>
  on === 'top' || Math.abs(angleDeg) <= 90 === (side === 'front')

const halfWidth = (tier: StandingTier, heightMm: number): number =>
  extentMm(sectionAt(tier, heightMm), tier.turnDeg).sideways

/** Numbers at places of a picture, led to where they had to give way. */
function marksAt(
  places: readonly Point[],
  numbered: readonly Pick<Standing3, 'number' | 'stage'>[],
  radius: number,
  paper: Pick<Picture, 'widthMm' | 'heightMm'>,
): readonly Shape[] {
  return spreadTags(places, radius, paper).flatMap(({ wants, at: put }, index): readonly Shape[] => [
    ...(Math.hypot(put.x - wants.x, put.y - wants.y) > radius
      ? [{ kind: 'outline', outline: polyline([put, wants]), stroke: LINE, strokeMm: 0.35 } satisfies Shape]
      : []),
    { kind: 'outline', outline: circle(put, radius), fill: TAGS[numbered[index]!.stage], stroke: LINE, strokeMm: 0.35 },
    {
      kind: 'label',
      at: put,
      text: String(numbered[index]!.number),
      sizeMm: radius * 1.05,
      colour: LINE,
      anchor: 'middle',
      bold: true,
    },
  ])
}

/** The cake from above, with a number on all that stands on a top or gathers over a ledge; null where nothing does. */
export function fromAbove(
  stack: readonly StandingTier[],
  board: Board,
  standing: readonly Standing3[],
): Picture | null {
  const isUp = ({ on, stage }: Standing3): boolean => on !== 'side' && stage !== 'dressed'
  if (!standing.some(isUp)) return null
  const { widthMm, heightMm, shapes, middles } = topView(
    stack,
    board,
    standing.map((each) => ({ ...each, parts: [each.points], isMain: isUp(each) })),
  )
  const numbered = standing.flatMap((each, index) => (isUp(each) ? [{ ...each, index }] : [])).slice(0, MOST_TAGS)
  const radius = Math.max(5, widthMm / 62)
  const places = numbered.map(({ index }) => middles[index]!)
  return { widthMm, heightMm, shapes: [...shapes, ...marksAt(places, numbered, radius, { widthMm, heightMm })] }
}

/** The cake from one side. What is on already as it is dressed has no number. */
export function elevation(
  stack: readonly StandingTier[],
  board: { readonly acrossMm: number; readonly thicknessMm: number },
  standing: readonly Standing3[],
  side: Side,
): Picture {
  const mirror = side === 'front' ? 1 : -1
  // Both sides are drawn to one scale, so all is measured, seen or not.
  const all = standing
    .map((each) => ({
      ...each,
      hull: convexHull(each.points.map(([x, , z]) => ({ x: x * mirror, y: z }))),
      near: each.points.reduce((sum, [, y]) => sum - y * mirror, 0) / Math.max(1, each.points.length),
    }))
    .filter(({ hull }) => hull.length > 2)
  const seen = all.filter((each) => isSeen(each, side))
  const corners = all.flatMap(({ hull }) => hull)
  const topMm = Math.max(...stack.map((tier) => tier.topMm), ...corners.map(({ y }) => y))
  const half = Math.max(
    board.acrossMm / 2,
    ...stack.map((tier) => halfWidth(tier, tier.footMm) + Math.abs(tier.middle.x)),
    ...corners.map(({ x }) => Math.abs(x)),
  )
  const widthMm = 2 * (half + EDGE_MM)
  const heightMm = topMm + board.thicknessMm + 2 * EDGE_MM
  const at = ({ x, y }: Point): Point => ({ x: x + widthMm / 2, y: y + EDGE_MM + board.thicknessMm })
  const closed = (points: readonly Point[]) => polyline(points.map(at) as unknown as readonly [Point, ...Point[]], true)
  const tiers = stack.map((tier): Shape => {
    const levels = Array.from(
      { length: SLICES + 1 },
      (_, slice) => tier.footMm + ((tier.topMm - tier.footMm) * slice) / SLICES,
    )
    const middle = tier.middle.x * mirror
    return {
      kind: 'outline',
      outline: closed([
        ...levels.map((level) => ({ x: middle + halfWidth(tier, level), y: level })),
        ...[...levels].reverse().map((level) => ({ x: middle - halfWidth(tier, level), y: level })),
      ]),
      fill: tier.colour ?? PALE_TIER,
      fillOpacity: 0.35,
      stroke: LINE,
      strokeMm: 0.7,
    }
  })
  const shapes = [...seen]
    .sort((one, other) => one.near - other.near)
    .map(({ hull, colour, stage }): Shape => ({
      kind: 'outline',
      outline: closed(hull),
      fill: colour,
      fillOpacity: stage === 'dressed' ? 0.35 : 0.7,
      stroke: LINE,
      strokeMm: 0.3,
      strokeOpacity: stage === 'dressed' ? 0.2 : 0.6,
    }))
  const numbered = seen.filter(({ stage }) => stage !== 'dressed').slice(0, MOST_TAGS)
  const radius = Math.max(5, widthMm / 62)
  const middles = numbered.map(({ hull }) =>
    at({
      x: hull.reduce((sum, { x }) => sum + x, 0) / hull.length,
      y: hull.reduce((sum, { y }) => sum + y, 0) / hull.length,
    }),
  )
  const marks = marksAt(middles, numbered, radius, { widthMm, heightMm })
  return {
    widthMm,
    heightMm,
    shapes: [
      {
        kind: 'outline',
        outline: rectangle(widthMm / 2 - board.acrossMm / 2, EDGE_MM, board.acrossMm, board.thicknessMm),
        fill: '#f1e6d6',
        stroke: LINE,
        strokeMm: 0.6,
      },
      ...tiers,
      ...shapes,
      ...marks,
      {
        kind: 'outline',
        outline: polyline([
          { x: widthMm / 2, y: EDGE_MM - 3 },
          { x: widthMm / 2, y: 10 },
        ]),
        stroke: SOFT,
        strokeMm: 0.4,
        dash: [2, 2],
      },
      {
        kind: 'label',
        at: { x: widthMm / 2, y: 5 },
        text: side === 'front' ? 'front, 6 o’clock' : 'back, 12 o’clock',
        sizeMm: radius,
        colour: LINE,
        anchor: 'middle',
      },
    ],
  }
}
