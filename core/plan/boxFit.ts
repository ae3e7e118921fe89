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
} from '../cake'
import type { Point } from '../geometry'
import { derive, found, typed, type Working } from '../quantity'
import type { Arrangement } from './arrange'
import type { Paperwork } from './paperwork'
import { reachOf, together } from './reach'

/** What stands in the box: whether the sails are on, and how many tiers, from the top, travel apart. */
export type Travelling = { readonly sailsOn: boolean; readonly tiersApart: number }

/** A way to make it fit. */
export type BoxRemedy =
  | { readonly kind: 'sailsAtVenue' }
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
  readonly sailX: readonly [number, number]
  readonly sailY: readonly [number, number]
  readonly sailTopMm: number
}

function extentOf(
  { stack, sails }: Arrangement,
  paperwork: readonly Paperwork[],
  { sailsOn, tiersApart }: Travelling,
): Extent {
  const tiers = stack.slice(0, stack.length - tiersApart)
  const edges = tiers.flatMap(edgesOf)
  const isOn = (tier: number): boolean => tier < tiers.length
  const rows = sailsOn ? sails.filter(({ place }) => isOn(place.tier)).flatMap(({ net }) => net.rows) : []
  const { left, right, front, back, topMm } = paperwork
    .filter(({ onTheCake, elements }) => (sailsOn || onTheCake) && isOn(elements[0]?.tier ?? 0))
    .reduce((reach, made) => together(reach, made.reach), reachOf(rows))
  return {
    tiers,
    tierX: span(edges.map(({ x }) => x)),
    tierY: span(edges.map(({ y }) => y)),
    sailX: [left, right],
    sailY: [front, back],
    sailTopMm: topMm,
  }
}

const furthest = ([least, most]: readonly [number, number]): number => Math.max(-least, most)

function heightWorking(cake: Cake, { tiers, sailTopMm }: Extent): Working {
  const parts = cake.tiers
    .slice(0, tiers.length)
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
    'highest of cake and sails',
    '{thickness} + higher of {stacked} and {sails}',
    {
      thickness: typed('board', cake.board.thicknessMm, 'length', 'Tiers'),
      stacked,
      sails: found('decorations rise', sailTopMm, 'length', 'drawn from their shapes'),
    },
    (v) => v.thickness + Math.max(v.stacked, v.sails),
  )
}

/** Whether the cake, as it travels on its board, stands in the box with the front to the front. */
export function fitCake(
  cake: Cake,
  box: Box,
  arrangement: Arrangement,
  travelling: Travelling,
  paperwork: readonly Paperwork[] = [],
): BoxFit {
  const extent = extentOf(arrangement, paperwork, travelling)
  const board = typed('board', cake.board.acrossMm, 'length', 'Tiers')
  const half = (label: string, tiers: readonly [number, number], sails: readonly [number, number]): Working =>
    derive(
      label,
      'length',
      'reach from the middle',
      'longest of {board} ÷ 2, {tiers}, {sails}',
      {
        board,
        tiers: found('tiers reach', furthest(tiers), 'length', 'drawn from their shapes'),
        sails: found(
          'decorations reach',
          furthest(sails),
          'length',
          travelling.sailsOn ? 'drawn from their shapes' : 'of what travels on the cake',
        ),
      },
      (v) => Math.max(v.board / 2, v.tiers, v.sails),
    )
  const size = (label: string, mm: number): Working => typed(label, mm, 'length', 'Brief')
  return fitInBox(
    {
      wide: size('box width', box.widthMm),
      deep: size('box depth', box.depthMm),
      high: size('box height', box.heightMm),
    },
    {
      sideways: half('reach sideways', extent.tierX, extent.sailX),
      frontBack: half('reach front and back', extent.tierY, extent.sailY),
      height: heightWorking(cake, extent),
    },
  )
}

function finishedSize(cake: Cake, arrangement: Arrangement, paperwork: readonly Paperwork[]): Fitting['finished'] {
  const extent = extentOf(arrangement, paperwork, { sailsOn: true, tiersApart: 0 })
  const across = (label: string, tiers: readonly [number, number], sails: readonly [number, number]): Working =>
    derive(
      label,
      'length',
      'from the furthest left to the furthest right',
      'longer of {board} and {cake}',
      {
        board: typed('board', cake.board.acrossMm, 'length', 'Tiers'),
        cake: found(
          'cake with decorations',
          Math.max(tiers[1], sails[1]) - Math.min(tiers[0], sails[0]),
          'length',
          'drawn from their shapes',
        ),
      },
      (v) => Math.max(v.board, v.cake),
    )
  return {
    wide: across('finished width', extent.tierX, extent.sailX),
    deep: across('finished depth', extent.tierY, extent.sailY),
    high: heightWorking(cake, extent),
  }
}

const roundedUp = (mm: number): number => Math.ceil(mm / BOX_STEP_MM) * BOX_STEP_MM

/** How the cake fits, how large it is when finished, and what would make it fit. */
export function fitting(
  cake: Cake,
  box: Box,
  arrangement: Arrangement,
  travelling: Travelling,
  paperwork: readonly Paperwork[],
): Fitting {
  const fit = fitCake(cake, box, arrangement, travelling, paperwork)
  const fitsWith = (other: Travelling): boolean => fitCake(cake, box, arrangement, other, paperwork).fits
  const more = Array.from(
    { length: cake.tiers.length - 1 - travelling.tiersApart },
    (_, at) => travelling.tiersApart + at + 1,
  )
  const apart = more.find((tiersApart) => fitsWith({ ...travelling, tiersApart }))
  const { wide, deep, high } = fit.neededMm
  const remedies: readonly BoxRemedy[] = fit.fits
    ? []
    : [
        ...(travelling.sailsOn && fitsWith({ ...travelling, sailsOn: false })
          ? [{ kind: 'sailsAtVenue' } as const]
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
  return { fit, finished: finishedSize(cake, arrangement, paperwork), remedies }
}
