/** The cake from the front and from the back, to scale, with everything that is placed numbered on it. */
import { extentMm, offWall, sectionAt, type StandingTier } from '../cake'
import type { Picture, Shape } from '../draw'
import { circle, polyline, rectangle, type Point } from '../geometry'
import type { Placing } from './placing'

const LINE = '#2a1c2c'
const SOFT = '#b9a894'
const FILL: Readonly<Record<Placing['stage'], string>> = { dressed: '#efe3cf', focal: '#eaa07f', large: '#f0c9a8', fill: '#cfe0cf' }
const EDGE_MM = 14
const SLICES = 6
const MOST_LABELS = 90

const RADIANS = Math.PI / 180

/** Whether something stands on the side that is seen; what lies on a top is seen from both. */
const isSeen = ({ on, angleDeg }: Placing, side: 'front' | 'back'): boolean => on === 'top' || (Math.abs(angleDeg) <= 90) === (side === 'front')

/** Where an element's foot is seen: to the right of the middle, and above the board. */
function seenAt({ on, tier, angleDeg, heightMm, outMm }: Placing, stack: readonly StandingTier[], side: 'front' | 'back'): Point {
  const standing = stack[tier]!
  const [x, y] = on === 'side' ? [offWall(standing, angleDeg, heightMm, 0)[0], heightMm] : [standing.middle.x + outMm * Math.sin(angleDeg * RADIANS), heightMm]
  return { x: side === 'front' ? x : -x, y }
}

/** Half the width of a tier at a height, seen from the front. */
const halfWidth = (tier: StandingTier, heightMm: number): number => extentMm(sectionAt(tier, heightMm), tier.turnDeg).sideways

/** The cake from one side. What is on already as it is dressed is pale and has no number. */
export function elevation(stack: readonly StandingTier[], board: { readonly acrossMm: number, readonly thicknessMm: number }, placings: readonly Placing[], side: 'front' | 'back'): Picture {
  const topMm = Math.max(...stack.map((tier) => tier.topMm), ...placings.map(({ heightMm, seenHeightMm }) => heightMm + seenHeightMm))
  const half = Math.max(board.acrossMm / 2, ...stack.map((tier) => halfWidth(tier, tier.footMm) + Math.abs(tier.middle.x)))
  const widthMm = 2 * (half + EDGE_MM)
  const heightMm = topMm + board.thicknessMm + 2 * EDGE_MM
  const at = ({ x, y }: Point): Point => ({ x: x + widthMm / 2, y: y + EDGE_MM + board.thicknessMm })
  const mirror = side === 'front' ? 1 : -1
  const tiers = stack.map((tier): Shape => {
    const levels = Array.from({ length: SLICES + 1 }, (_, slice) => tier.footMm + (tier.topMm - tier.footMm) * slice / SLICES)
    const middle = tier.middle.x * mirror
    const edge = [...levels.map((level) => at({ x: middle + halfWidth(tier, level), y: level })), ...[...levels].reverse().map((level) => at({ x: middle - halfWidth(tier, level), y: level }))]
    return { kind: 'outline', outline: polyline(edge as unknown as readonly [Point, ...Point[]], true), fill: '#fbf6ec', stroke: LINE, strokeMm: 0.7 }
  })
  const seen = placings.filter((each) => isSeen(each, side))
  const labelMm = Math.max(4.2, widthMm / 48)
  const marks = [...seen].reverse().flatMap((each): readonly Shape[] => {
    const foot = at(seenAt(each, stack, side))
    const radius = Math.max(labelMm * 0.9, Math.min(each.seenWidthMm, each.seenHeightMm) * 0.28)
    const middle = { x: foot.x, y: foot.y + Math.min(each.seenHeightMm / 2, radius * 1.3) }
    return [
      { kind: 'outline', outline: circle(middle, radius), fill: FILL[each.stage], fillOpacity: each.stage === 'dressed' ? 0.35 : 0.85, stroke: LINE, strokeMm: 0.3, strokeOpacity: each.stage === 'dressed' ? 0.3 : 0.9 },
      ...(each.stage === 'dressed' || seen.length > MOST_LABELS ? [] : [{ kind: 'label', at: middle, text: String(each.number), sizeMm: labelMm, colour: LINE, anchor: 'middle', bold: true } satisfies Shape]),
    ]
  })
  return {
    widthMm, heightMm,
    shapes: [
      { kind: 'outline', outline: rectangle(widthMm / 2 - board.acrossMm / 2, EDGE_MM, board.acrossMm, board.thicknessMm), fill: '#f1e6d6', stroke: LINE, strokeMm: 0.6 },
      ...tiers, ...marks,
      { kind: 'outline', outline: polyline([{ x: widthMm / 2, y: EDGE_MM - 4 }, { x: widthMm / 2, y: 4 }]), stroke: SOFT, strokeMm: 0.4, dash: [2, 2] },
      { kind: 'label', at: { x: widthMm / 2, y: 5 }, text: side === 'front' ? 'front, 6 o’clock' : 'back, 12 o’clock', sizeMm: labelMm, colour: LINE, anchor: 'middle' },
    ],
  }
}
