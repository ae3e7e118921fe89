import type { Commission, Option } from '../../commission'
import {
  edgePoints,
  fitInBox,
  roundShape,
  sectionAt,
  stackHeightMm,
  type Box,
  type BoxFit,
  type Cake,
  type StandingTier,
} from '../../cake'
import { NO_REACH, together, type PlannedDecoration } from '../../decoration'
import type { Point } from '../../geometry'
import { derive, found, typed, type Working } from '../../quantity'

/** What stands in the box: whether it is decorated, and how many tiers, from the top, travel apart. */
type Travelling = { readonly decorated: boolean; readonly tiersApart: number }

/** How it travels: decorated or bare, how many tiers by themselves, how high it may reach above its board. */
export function travellingOf({ completion, box }: Commission['brief'], { cake, tiersApart }: Option) {
  const decorated = completion === 'beforeDriving'
  const mostTopMm = decorated ? box.heightMm - cake.board.thicknessMm : null
  return { travelling: { decorated, tiersApart: Math.min(tiersApart, cake.tiers.length - 1) }, mostTopMm }
}

/** A way to make it fit. */
export type BoxRemedy =
  | { readonly kind: 'placeAtVenue' }
  | { readonly kind: 'tiersApart'; readonly tiersApart: number }
  | { readonly kind: 'box'; readonly box: Box }

export type Fitting = {
  /** As it travels. */
  readonly fit: BoxFit
  /** The finished cake with everything on, over all, with its board. */
  readonly finished: Readonly<Record<'wide' | 'deep' | 'high', Working>>
  /** What would make it fit, the smallest change first; empty when it fits. */
  readonly remedies: readonly BoxRemedy[]
}

const BOX_STEP_MM = 10

/** Every point that may be furthest out on a tier: its foot, its rim, its spacer. */
const edgesOf = (tier: StandingTier): readonly Point[] => [
  ...edgePoints(tier.shape, tier.turnDeg, tier.middle),
  ...edgePoints(sectionAt(tier, tier.topMm), tier.turnDeg, tier.middle),
  ...(tier.spacer ? edgePoints(roundShape(tier.spacer.acrossMm), 0, tier.middle) : []),
]

/** The furthest of points from the middle, along an axis, on both sides. */
function span(values: readonly number[]): readonly [number, number] {
  let [least, most] = [0, 0]
  for (const value of values) {
    if (value < least) least = value
    if (value > most) most = value
  }
  return [least, most]
}

type Extent = {
  readonly tiers: readonly StandingTier[]
  readonly tierX: readonly [number, number]
  readonly tierY: readonly [number, number]
  readonly decoratedX: readonly [number, number]
  readonly decoratedY: readonly [number, number]
  readonly decoratedTopMm: number
}

function extentOf(
  stack: readonly StandingTier[],
  decorations: readonly PlannedDecoration[],
  { decorated, tiersApart }: Travelling,
): Extent {
  const tiers = stack.slice(0, stack.length - tiersApart)
  const edges = tiers.flatMap(edgesOf)
  const isOn = (tier: number): boolean => tier < tiers.length
  const { left, right, front, back, topMm } = decorations
    .filter(({ skin, elements }) => (decorated || skin) && isOn(elements[0]?.tier ?? 0))
    .reduce((reach, made) => together(reach, made.reach), NO_REACH)
  return {
    tiers,
    tierX: span(edges.map(({ x }) => x)),
    tierY: span(edges.map(({ y }) => y)),
    decoratedX: [left, right],
    decoratedY: [front, back],
    decoratedTopMm: topMm,
  }
}

type Ends = readonly [number, number]

/** The furthest of board, tiers and decorations to both sides of the board's middle. */
const ends = (boardMm: number, tiers: Ends, decorated: Ends): Ends => [
  Math.min(-boardMm / 2, tiers[0], decorated[0]),
  Math.max(boardMm / 2, tiers[1], decorated[1]),
]

/** How long board, tiers and decorations are together along an axis. */
function across(label: string, boardMm: number, tiers: Ends, decorated: Ends, isAll: boolean): Working {
  const [least, most] = ends(boardMm, tiers, decorated)
  const how = isAll
    ? 'the furthest of board, tiers and decorations'
    : 'the furthest of board, tiers and what travels on them'
  return derive(
    label,
    'length',
    'from the furthest on one side to the furthest on the other',
    '{one} + {other}',
    {
      one: found(label.includes('deep') ? 'to the front' : 'to the left', -least, 'length', how),
      other: found(label.includes('deep') ? 'to the back' : 'to the right', most, 'length', how),
    },
    (v) => v.one + v.other,
  )
}

function heightWorking(cake: Cake, { tiers, decoratedTopMm }: Extent): Working {
  const highest = tiers.reduce((most, tier) => (tier.topMm > most.topMm ? tier : most), tiers[0]!)
  const parts = cake.tiers
    .filter((_, at) => tiers[at]?.pile === highest.pile)
    .flatMap(({ heightMm, spacer }, at) => [
      ...(spacer
        ? [[`spacer${at}`, typed(`spacer below tier ${at + 1}`, spacer.heightMm, 'length', 'Tiers')] as const]
        : []),
      [`tier${at}`, typed(`tier ${at + 1}`, heightMm, 'length', 'Tiers')] as const,
    ])
  const stacked = derive(
    'tiers',
    'length',
    'heights added up',
    parts.map(([name]) => `{${name}}`).join(' + '),
    Object.fromEntries(parts),
    () => stackHeightMm(tiers),
  )
  return derive(
    'height with board',
    'length',
    'highest of cake and decorations',
    '{thickness} + higher of {stacked} and {decorations}',
    {
      thickness: typed('board', cake.board.thicknessMm, 'length', 'Tiers'),
      stacked,
      decorations: found('decorations rise', decoratedTopMm, 'length', 'drawn from their shapes'),
    },
    (v) => v.thickness + Math.max(v.stacked, v.decorations),
  )
}

/** Whether the cake, as it travels on its board, stands in the box with the front to the front. */
export function fitCake(
  cake: Cake,
  box: Box,
  stack: readonly StandingTier[],
  travelling: Travelling,
  decorations: readonly PlannedDecoration[] = [],
): BoxFit {
  const extent = extentOf(stack, decorations, travelling)
  const { acrossMm } = cake.board
  const { tierX, tierY, decoratedX, decoratedY } = extent
  const [left, right] = ends(acrossMm, tierX, decoratedX)
  const [front, back] = ends(acrossMm, tierY, decoratedY)
  const size = (label: string, mm: number): Working => typed(label, mm, 'length', 'Brief')
  return fitInBox(
    {
      wide: size('box width', box.widthMm),
      deep: size('box depth', box.depthMm),
      high: size('box height', box.heightMm),
    },
    {
      wide: across('wide', acrossMm, tierX, decoratedX, travelling.decorated),
      deep: across('deep', acrossMm, tierY, decoratedY, travelling.decorated),
      offRightMm: (left + right) / 2,
      offBackMm: (front + back) / 2,
      height: heightWorking(cake, extent),
    },
  )
}

function finishedSize(
  cake: Cake,
  stack: readonly StandingTier[],
  decorations: readonly PlannedDecoration[],
): Fitting['finished'] {
  const extent = extentOf(stack, decorations, { decorated: true, tiersApart: 0 })
  const { tierX, tierY, decoratedX, decoratedY } = extent
  return {
    wide: across('finished, wide', cake.board.acrossMm, tierX, decoratedX, true),
    deep: across('finished, deep', cake.board.acrossMm, tierY, decoratedY, true),
    high: heightWorking(cake, extent),
  }
}

const roundedUp = (mm: number): number => Math.ceil(mm / BOX_STEP_MM) * BOX_STEP_MM

/**
 * How the cake fits, how large it is when finished, and what would make it fit.
 * @param asWished what is placed where no lid is in the way: a larger box is one for that
 */
export function fitting(
  cake: Cake,
  box: Box,
  stack: readonly StandingTier[],
  travelling: Travelling,
  decorations: readonly PlannedDecoration[],
  asWished: () => readonly PlannedDecoration[],
): Fitting {
  const fit = fitCake(cake, box, stack, travelling, decorations)
  const fitsWith = (other: Travelling): boolean => fitCake(cake, box, stack, other, decorations).fits
  const more = Array.from(
    { length: cake.tiers.length - 1 - travelling.tiersApart },
    (_, at) => travelling.tiersApart + at + 1,
  )
  const apart = more.find((tiersApart) => fitsWith({ ...travelling, tiersApart }))
  const finished = finishedSize(cake, stack, decorations)
  if (fit.fits) return { fit, finished, remedies: [] }
  const { wide, deep, high } = fitCake(cake, box, stack, travelling, asWished()).neededMm
  const remedies: readonly BoxRemedy[] = [
    ...(travelling.decorated && fitsWith({ ...travelling, decorated: false })
      ? [{ kind: 'placeAtVenue' } as const]
      : []),
    ...(apart === undefined ? [] : [{ kind: 'tiersApart', tiersApart: apart } as const]),
    {
      kind: 'box',
      box: {
        widthMm: Math.max(box.widthMm, roundedUp(wide)),
        depthMm: Math.max(box.depthMm, roundedUp(deep)),
        heightMm: Math.max(box.heightMm, roundedUp(high)),
      },
    },
  ]
  return { fit, finished, remedies }
}
