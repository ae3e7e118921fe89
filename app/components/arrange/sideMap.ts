import { alongAt, angleAt, edgeScale, perimeterMm as perimeterOf, sectionAt, type StandingTier } from '#core/cake'

/** The cake's side unrolled: tiers as bands one over the other with gaps between, front in the middle, mm, y down. */
export type SideMap = {
  readonly halfWidthMm: number
  readonly heightMm: number
  /** `rim` is how wide a band is at its upper edge: less than at its lower where the side leans in. */
  readonly bands: readonly {
    readonly left: number
    readonly top: number
    readonly width: number
    readonly height: number
    readonly rim: number
  }[]
  /** Where a place on a tier's side lies. */
  readonly toMap: (tier: number, angleDeg: number, heightMm: number) => { readonly x: number; readonly y: number }
  readonly fromMap: (
    x: number,
    y: number,
  ) => { readonly tier: number; readonly angleDeg: number; readonly heightMm: number }
}

const GAP_MM = 10

/**
 * Lays tiers out flat, cakes that stand loose over one another. `toMap` and `fromMap` are each other's inverse within
 * the bands.
 */
export function sideMapOf(stack: readonly StandingTier[]): SideMap {
  const pileTops = stack.filter(({ carries }) => !carries).map(({ topMm }) => topMm)
  const liftOf = (index: number): number =>
    GAP_MM * index + pileTops.slice(0, stack[index]!.pile).reduce((sum, topMm) => sum + topMm, 0)
  const top = stack.at(-1)!.topMm + liftOf(stack.length - 1)
  const scales = stack.map(edgeScale)
  return {
    halfWidthMm: Math.max(...stack.map(({ perimeterMm }) => perimeterMm)) / 2,
    heightMm: top,
    bands: stack.map(({ perimeterMm, footMm, topMm }, index) => ({
      left: -perimeterMm / 2,
      width: perimeterMm,
      top: top - topMm - liftOf(index),
      height: topMm - footMm,
      rim: perimeterOf(sectionAt(stack[index]!, topMm)),
    })),
    toMap: (tier, angleDeg, heightMm) => {
      const index = Math.min(tier, stack.length - 1)
      return { x: alongAt(scales[index]!, angleDeg), y: top - heightMm - liftOf(index) }
    },
    fromMap: (x, y) => {
      const lifted = Math.min(top, Math.max(0, top - y))
      const above = stack.findIndex(({ topMm }, index) => lifted <= topMm + liftOf(index) + GAP_MM / 2)
      const index = above === -1 ? stack.length - 1 : above
      const { footMm, topMm } = stack[index]!
      const highest = index === stack.length - 1 ? topMm : topMm - 0.01
      return {
        tier: index,
        angleDeg: angleAt(scales[index]!, x),
        heightMm: Math.min(highest, Math.max(footMm, lifted - liftOf(index))),
      }
    },
  }
}
