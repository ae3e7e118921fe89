import type { Point } from '../geometry'
import type { CoveringId } from '../material'
import { insetShape, type Shape } from './shape'

/** What is free on a tier's top round the tier above it, mm. On the top tier: from the middle outwards. */
export type Ledge = {
  readonly leastMm: number
  readonly mostMm: number
  /** How far the tier above reaches over the edge, at most; 0 when it stands inside. */
  readonly overhangMm: number
  /** Width on which a foot can stand at the narrowest place: clear of the wall above and of the rim. */
  readonly lipMm: number
}

/**
 * A tier standing in its place: heights above the board's top, the surface it offers. Plain data, so that it can go to
 * the screen.
 */
export type StandingTier = {
  readonly id: string
  readonly index: number
  /** Which pile it belongs to: tiers on one another, beside other piles on the board. */
  readonly pile: number
  /** Whether another tier stands on it. */
  readonly carries: boolean
  readonly covering: CoveringId
  /** Nobody eats it: no filling, no crumb coat, wires may go straight in. */
  readonly isDummy: boolean
  readonly colour: string | null
  /** The section at the foot. */
  readonly shape: Shape
  readonly turnDeg: number
  readonly taperDeg: number
  readonly middle: Point
  readonly footMm: number
  readonly topMm: number
  /** The separator below it, from what it stands on up to its foot. */
  readonly spacer: { readonly acrossMm: number; readonly footMm: number } | null
  /** Round the foot. */
  readonly perimeterMm: number
  /** What is left free on its top round whatever stands there. */
  readonly ledge: Ledge
}

/** A tier in its place before anything stands on it. */
export type PlacedTier = Omit<StandingTier, 'ledge' | 'carries'>

/** The section of a standing tier at a height above the board; at its foot or top when the height lies beyond. */
export const sectionAt = (
  { shape, footMm, topMm, taperDeg }: Pick<StandingTier, 'shape' | 'footMm' | 'topMm' | 'taperDeg'>,
  heightMm: number,
): Shape =>
  insetShape(shape, (Math.min(topMm, Math.max(footMm, heightMm)) - footMm) * Math.tan((taperDeg * Math.PI) / 180))
