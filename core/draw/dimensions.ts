import { extentMm, sectionAt, stackHeightMm, type Board, type StandingTier } from '../cake'
import type { Point } from '../geometry'
import { viewAt, type Viewpoint } from './viewpoint'

/**
 * A dimension line on the picture of the stand: its ends, y up, the length it gives, and where its figure is written.
 */
export type Dimension = {
  readonly id: string
  readonly from: Point
  readonly to: Point
  readonly lengthMm: number
  readonly at: 'right' | 'below' | 'left'
}

const ASIDE_MM = 16
/** Looked down upon more steeply than this, heights are too short to read. */
const STEEP_DEG = 55

/**
 * Heights of tiers and spacers at the right, the whole at the left, widths as seen at each foot.
 * Heights are drawn where their edges are seen; the figures are the true ones.
 */
export function dimensionsOf(stack: readonly StandingTier[], board: Board, look: Viewpoint): readonly Dimension[] {
  const { turnDeg } = look
  const view = viewAt(look)
  const widths = stack.map((tier) => {
    const foot = extentMm(tier.shape, tier.turnDeg + turnDeg)
    const rim = extentMm(sectionAt(tier, tier.topMm), tier.turnDeg + turnDeg)
    const middle = view([tier.middle.x, tier.middle.y, tier.footMm])
    return { tier, middle, half: foot.sideways, widest: Math.max(foot.sideways, rim.sideways) }
  })
  const right = Math.max(board.acrossMm / 2, ...widths.map(({ middle, widest }) => middle.x + widest)) + ASIDE_MM
  const level = (heightMm: number): number => view([0, 0, heightMm]).y
  const heights = stack.flatMap((tier): Dimension[] => [
    ...(tier.spacer
      ? [
          {
            id: `spacer-${tier.index}`,
            from: { x: right, y: level(tier.spacer.footMm) },
            to: { x: right, y: level(tier.footMm) },
            lengthMm: tier.footMm - tier.spacer.footMm,
            at: 'right' as const,
          },
        ]
      : []),
    {
      id: `height-${tier.index}`,
      from: { x: right, y: level(tier.footMm) },
      to: { x: right, y: level(tier.topMm) },
      lengthMm: tier.topMm - tier.footMm,
      at: 'right',
    },
  ])
  const whole: Dimension = {
    id: 'whole',
    from: { x: -right, y: level(-board.thicknessMm) },
    to: { x: -right, y: level(stackHeightMm(stack)) },
    lengthMm: stackHeightMm(stack) + board.thicknessMm,
    at: 'left',
  }
  const across = widths.map(({ tier, middle, half }): Dimension => {
    const y = level(tier.footMm + 14)
    return {
      id: `width-${tier.index}`,
      from: { x: middle.x - half, y },
      to: { x: middle.x + half, y },
      lengthMm: 2 * half,
      at: 'below',
    }
  })
  return look.downDeg > STEEP_DEG ? across : [...heights, whole, ...across]
}
