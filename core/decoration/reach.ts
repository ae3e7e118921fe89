import type { StandingTier } from '../cake'
import type { Decoration } from '../commission'
import { add, scale, type Point3 } from '../geometry'
import type { PlacedElement, SeenSize } from '../technique'
import { meshesOf } from './meshes'

/**
 * How far something reaches on the cake: to the left and front below 0, to the right and back above, and the highest
 * above the board; mm.
 */
export type Reach = {
  readonly left: number
  readonly right: number
  readonly front: number
  readonly back: number
  readonly topMm: number
}

export const NO_REACH: Reach = { left: 0, right: 0, front: 0, back: 0, topMm: 0 }

/** The reach of points given in rows. One pass, since there are thousands of them at every edit. */
export function reachOf(rows: Iterable<readonly Point3[]>): Reach {
  let [left, right, front, back, topMm] = [0, 0, 0, 0, 0]
  for (const row of rows) {
    for (const [x, y, z] of row) {
      left = Math.min(left, x)
      right = Math.max(right, x)
      front = Math.min(front, y)
      back = Math.max(back, y)
      topMm = Math.max(topMm, z)
    }
  }
  return { left, right, front, back, topMm }
}

/** The reach of two things together. */
export const together = (one: Reach, other: Reach): Reach => ({
  left: Math.min(one.left, other.left),
  right: Math.max(one.right, other.right),
  front: Math.min(one.front, other.front),
  back: Math.max(one.back, other.back),
  topMm: Math.max(one.topMm, other.topMm),
})

/**
 * How far what a bouquet holds reaches: a ball round each bloom, a rod along each spray. Quicker than drawing them,
 * and never less.
 */
export function reachOfPosed(
  elements: readonly PlacedElement[],
  { widthMm, heightMm }: SeenSize,
  isBloom: boolean,
): Reach {
  return reachOf(
    elements.flatMap(({ pose, size }) => {
      if (!pose) return []
      const [girth, long] = [(widthMm * size) / 2, isBloom ? (widthMm * size) / 2 : heightMm * size]
      const tip = add(pose.at, scale(pose.axis, long))
      return [pose.at, tip].map((end): readonly Point3[] => [
        add(end, [-girth, -girth, -girth]),
        add(end, [girth, girth, isBloom ? girth : girth / 2]),
      ])
    }),
  )
}

/** How far a decoration reaches as it is drawn. */
export function reachOfDrawn(
  decoration: Decoration,
  elements: readonly PlacedElement[],
  stack: readonly StandingTier[],
): Reach {
  return reachOf(
    meshesOf(decoration, elements, stack).flatMap(({ faces, lines }) =>
      [...faces, ...lines].map(({ points }) => points),
    ),
  )
}
