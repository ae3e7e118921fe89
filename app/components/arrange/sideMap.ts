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
  readonly toMap: (angleDeg: number, heightMm: number) => { readonly x: number; readonly y: number }
  readonly fromMap: (x: number, y: number) => { readonly angleDeg: number; readonly heightMm: number }
}

const GAP_MM = 10

/** Lays a stack of tiers out flat. `toMap` and `fromMap` are each other's inverse within the bands. */
export function sideMapOf(stack: readonly StandingTier[]): SideMap {
  const top = stack.at(-1)!.topMm + GAP_MM * (stack.length - 1)
  const liftOf = (index: number): number => GAP_MM * index
  const indexAt = (heightMm: number): number => {
    const found = stack.findIndex(({ topMm }) => heightMm < topMm)
    return found === -1 ? stack.length - 1 : found
  }
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
    toMap: (angleDeg, heightMm) => {
      const index = indexAt(heightMm)
      return { x: alongAt(scales[index]!, angleDeg), y: top - heightMm - liftOf(index) }
    },
    fromMap: (x, y) => {
      const lifted = Math.min(top, Math.max(0, top - y))
      const above = stack.findIndex(({ topMm }, index) => lifted <= topMm + liftOf(index) + GAP_MM / 2)
      const index = above === -1 ? stack.length - 1 : above
      const { footMm, topMm } = stack[index]!
      const highest = index === stack.length - 1 ? topMm : topMm - 0.01
      return {
        angleDeg: angleAt(scales[index]!, x),
        heightMm: Math.min(highest, Math.max(footMm, lifted - liftOf(index))),
      }
    },
  }
}
