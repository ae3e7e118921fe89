import type { Point3 } from '../geometry'

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
