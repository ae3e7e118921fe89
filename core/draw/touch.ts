import { add, cross, dot, minus, scale, type Point3 } from '../geometry'
import type { Sight } from './viewpoint'
import type { Solid, SolidPart } from './solid'
import { SHADE } from './tierSolid'

/** What a line of sight meets first, and where. */
export type Met = { readonly solid: Solid; readonly point: Point3; readonly distanceMm: number }

type Ball = { readonly middle: Point3; readonly radiusMm: number }
const knownBalls = new WeakMap<SolidPart, Ball>()

/** A ball that holds a part: what misses it misses the part. */
function ballOf(part: SolidPart): Ball {
  const before = knownBalls.get(part)
  if (before) return before
  const { positions } = part
  const [least, most] = [
    [Infinity, Infinity, Infinity],
    [-Infinity, -Infinity, -Infinity],
  ]
  positions.forEach((value, at) => {
    least[at % 3] = Math.min(least[at % 3]!, value)
    most[at % 3] = Math.max(most[at % 3]!, value)
  })
  const middle = least.map((low, axis) => (low + most[axis]!) / 2) as unknown as Point3
  const ball = { middle, radiusMm: Math.hypot(...least.map((low, axis) => most[axis]! - low)) / 2 }
  knownBalls.set(part, ball)
  return ball
}

function missesBall({ from, along }: Sight, { middle, radiusMm }: Ball): boolean {
  const to = minus(middle, from)
  const forward = dot(to, along)
  return dot(to, to) - forward * forward > radiusMm * radiusMm
}

/** Distance along a line of sight to a triangle, from either side; infinite where it misses. Möller and Trumbore, 1997. */
function distanceTo({ from, along }: Sight, a: Point3, b: Point3, c: Point3): number {
  const [one, other] = [minus(b, a), minus(c, a)]
  const across = cross(along, other)
  const slant = dot(one, across)
  if (Math.abs(slant) < 1e-9) return Infinity
  const to = minus(from, a)
  const u = dot(to, across) / slant
  if (u < 0 || u > 1) return Infinity
  const turned = cross(to, one)
  const v = dot(along, turned) / slant
  return v < 0 || u + v > 1 ? Infinity : dot(other, turned) / slant
}

/** What is met first along a line of sight; null where it meets nothing. Shades are not met. */
export function metBy(sight: Sight, solids: readonly Solid[]): Met | null {
  let nearest: { readonly solid: Solid; readonly distanceMm: number } | null = null
  for (const solid of solids)
    for (const part of solid.parts) {
      if (part.matter === SHADE || missesBall(sight, ballOf(part))) continue
      const { positions, corners } = part
      const at = (corner: number): Point3 => {
        const first = corners[corner]! * 3
        return [positions[first]!, positions[first + 1]!, positions[first + 2]!]
      }
      for (let corner = 0; corner < corners.length; corner += 3) {
        const distanceMm = distanceTo(sight, at(corner), at(corner + 1), at(corner + 2))
        if (distanceMm > 0 && distanceMm < (nearest?.distanceMm ?? Infinity)) nearest = { solid, distanceMm }
      }
    }
  return nearest && { ...nearest, point: add(sight.from, scale(sight.along, nearest.distanceMm)) }
}
