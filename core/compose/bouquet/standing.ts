/** Where a bloom or spray stands in a bouquet, and how much room it leaves. */
import { add, cross, scale, unit, type Point3 } from '../../geometry'
import type { PlacedElement } from '../../technique'
import type { Bouquet } from './define'
import { type Line } from './line'
import { type Member } from './recipe'
import { directionOf, type Aim } from './room'

/** A ball that an element fills, for keeping others out. */
export type Ball = { readonly at: Point3; readonly radiusMm: number }

/** Petals and leaves give: balls may press into each other by this share of their radii together. */
const GIVES = 0.14
/** Rims of blooms may touch the cake, and no more, mm. */
export const TOUCHES_MM = 1.5
/** A bloom's face is so much of its width: petals at the rim are thin. */
const BLOOM_RADIUS = 0.45
/** Petal tips reach so much further than that, against the cake. */
const RIM = 1.12
/** How far before its back the middle of a bloom's ball lies, as a share of its radius. */
const BLOOM_AHEAD = 0.3
/** Balls along a spray: where on its length. */
const SPRAY_BALLS = [0.5, 0.76, 0.97] as const
/** Leaves reach out beyond the blooms by this share of their length, buds and filler a little. */
const BEYOND: Readonly<Record<string, number>> = { leaf: 0.42, bud: 0.2, filler: 0.25 }

export type Standing = {
  readonly pose: NonNullable<PlacedElement['pose']>
  readonly balls: readonly Ball[]
  readonly rim: readonly Point3[]
  readonly away: number
  readonly tier: number
}

/** An element where an aim puts it: its pose, the balls it fills, points of its rim. */
export function standing(
  { role, seen, form }: Member,
  size: number,
  bouquet: Bouquet,
  line: Line,
  aim: Aim,
  depth: number,
): Standing {
  const { from, towards, reachMm, away, tier, face } = directionOf(bouquet, line, aim)
  if (form.kind === 'bloom') {
    const radius = seen.widthMm * size * BLOOM_RADIUS
    const at = add(from, scale(towards, Math.max(radius * 0.5, (reachMm - radius * 0.6) * depth)))
    const right = unit(cross(towards, Math.abs(towards[2]) > 0.9 ? [1, 0, 0] : [0, 0, 1]))
    const up = cross(right, towards)
    const rim = Array.from({ length: 6 }, (_, step) =>
      add(
        at,
        add(
          scale(right, RIM * radius * Math.cos((step * Math.PI) / 3)),
          scale(up, RIM * radius * Math.sin((step * Math.PI) / 3)),
        ),
      ),
    )
    return {
      pose: { at: add(at, scale(towards, -BLOOM_AHEAD * radius)), axis: towards, face },
      balls: [{ at, radiusMm: radius }],
      rim: [at, ...rim],
      away,
      tier,
    }
  }
  const long = seen.heightMm * size
  const start = Math.max(1, reachMm * depth + (BEYOND[role] ?? 0.2) * long - long)
  const foot = add(from, scale(towards, start))
  const balls = SPRAY_BALLS.map((share): Ball => ({
    at: add(foot, scale(towards, share * long)),
    radiusMm: Math.max(1.5, (seen.widthMm * size * form.girth) / 2),
  }))
  return { pose: { at: foot, axis: towards, face }, balls, rim: balls.map(({ at }) => at), away, tier }
}

/** The room that is left between an element and what stands, mm; below 0 it presses in further than paper gives. */
export function roomLeft({ balls }: Pick<Standing, 'balls'>, placed: readonly Ball[]): number {
  let least = Infinity
  for (const {
    at: [x, y, z],
    radiusMm,
  } of balls) {
    for (const { at, radiusMm: other } of placed) {
      const [dx, dy, dz] = [at[0] - x, at[1] - y, at[2] - z]
      const room = Math.sqrt(dx * dx + dy * dy + dz * dz) - (radiusMm + other) * (1 - GIVES)
      if (room < least) least = room
      // What presses in too far is out, however far.
      if (least < 0) return least
    }
  }
  return least
}
