/** Numbers beside each other on a picture. */
import type { Picture } from '../draw'
import type { Point } from '../geometry'

/** Rounds of pushing tags apart, and how much of their overlap is undone in one. */
const ROUNDS = 400
const SAME_SPOT = 1e-3
const PUSH = 0.55
/** Tags touch from a little more than two radii, and what is left of an overlap after pushing does not show. */
const APART = 2 * 1.04
const TOUCHING = 2 * 0.97

/** A number on the picture: where it wants to be, and where it is put. */
type Tag = { readonly wants: Point; readonly at: Point }
type Paper = Pick<Picture, 'widthMm' | 'heightMm'>

const within = ({ x, y }: Point, radiusMm: number, { widthMm, heightMm }: Paper): Point => ({
  x: Math.min(widthMm - radiusMm, Math.max(radiusMm, x)),
  y: Math.min(heightMm - radiusMm, Math.max(radiusMm, y)),
})

const distance = (one: Point, other: Point): number => Math.hypot(one.x - other.x, one.y - other.y)

/** Tags pushed apart, round by round: a picture in which each stays near. Where they crowd, some may still touch. */
function pushedApart(wants: readonly Point[], radiusMm: number, paper: Paper): readonly Point[] {
  const at = wants.map((want) => ({ ...want }))
  const apart = APART * radiusMm
  for (let round = 0; round < ROUNDS; round += 1) {
    let moved = false
    for (let one = 0; one < at.length; one += 1)
      for (let other = one + 1; other < at.length; other += 1) {
        let [dx, dy] = [at[other]!.x - at[one]!.x, at[other]!.y - at[one]!.y]
        // Most are far from each other, and there are many rounds.
        if (Math.abs(dx) >= apart || Math.abs(dy) >= apart) continue
        // What lies on one spot goes apart in a direction of its own.
        if (Math.hypot(dx, dy) < SAME_SPOT)
          [dx, dy] = [SAME_SPOT * Math.cos(one + 2.4 * other), SAME_SPOT * Math.sin(one + 2.4 * other)]
        const length = Math.hypot(dx, dy)
        if (length >= apart) continue
        const push = ((apart - length) * PUSH) / length
        at[one]!.x -= dx * push
        at[one]!.y -= dy * push
        at[other]!.x += dx * push
        at[other]!.y += dy * push
        moved = true
      }
    for (const tag of at) Object.assign(tag, within(tag, radiusMm, paper))
    if (!moved) break
  }
  return at
}

/** The spot of a grid that is nearest to where a tag is and clear of others; none on a picture that is full. */
function nearestFree(at: Point, others: readonly Point[], radiusMm: number, paper: Paper): Point | null {
  const step = radiusMm / 2
  let best: Point | null = null
  for (let x = radiusMm; x <= paper.widthMm - radiusMm; x += step)
    for (let y = radiusMm; y <= paper.heightMm - radiusMm; y += step) {
      const spot = { x, y }
      if (best && distance(spot, at) >= distance(best, at)) continue
      if (others.every((other) => distance(spot, other) >= APART * radiusMm)) best = spot
    }
  return best
}

/**
 * Numbers put as near as can be to where they want to be, none over another, all on the picture. On a picture with no
 * room left they lie over one another.
 * @param radiusMm of a tag
 */
export function spreadTags(wants: readonly Point[], radiusMm: number, paper: Paper): readonly Tag[] {
  const at = [...pushedApart(wants, radiusMm, paper)]
  at.forEach((tag, index) => {
    const others = at.filter((_, other) => other !== index)
    if (others.some((other) => distance(tag, other) < TOUCHING * radiusMm))
      at[index] = nearestFree(tag, others, radiusMm, paper) ?? tag
  })
  return wants.map((want, index) => ({ wants: want, at: at[index]! }))
}
