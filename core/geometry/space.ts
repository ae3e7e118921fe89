/**
 * Points and directions in the space of the cake, mm: x to the right seen from the front, y away from the viewer, z
 * up; the origin in the middle of the board's top.
 */
export type Point3 = readonly [number, number, number]

export const add = (one: Point3, other: Point3): Point3 => [one[0] + other[0], one[1] + other[1], one[2] + other[2]]
/** From the other to the one. */
export const minus = (one: Point3, other: Point3): Point3 => [one[0] - other[0], one[1] - other[1], one[2] - other[2]]
export const scale = (one: Point3, by: number): Point3 => [one[0] * by, one[1] * by, one[2] * by]
export const dot = (one: Point3, other: Point3): number => one[0] * other[0] + one[1] * other[1] + one[2] * other[2]
export const cross = (one: Point3, other: Point3): Point3 => [
  one[1] * other[2] - one[2] * other[1],
  one[2] * other[0] - one[0] * other[2],
  one[0] * other[1] - one[1] * other[0],
]

/** The same direction with length 1; straight up for no direction at all. */
export function unit(one: Point3): Point3 {
  const length = Math.hypot(...one)
  return length > 0 ? scale(one, 1 / length) : [0, 0, 1]
}

/** Outward from the cake's middle at an angle from the front, degrees, positive to the viewer's right. */
export const outward = (angleDeg: number): Point3 => {
  const angle = (angleDeg * Math.PI) / 180
  return [Math.sin(angle), -Math.cos(angle), 0]
}

/** The same angle between half a turn to the left, that included, and half a turn to the right, degrees. */
export const fromFront = (angleDeg: number): number => ((((angleDeg + 180) % 360) + 360) % 360) - 180
