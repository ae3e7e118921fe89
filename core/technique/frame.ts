import type { Point3 } from '../geometry'
import type { PlacedElement, Wall } from './define'

/** A point of an element in its own frame: across to its right, up from its foot, out of the cake; mm. */
export type Frame = (acrossMm: number, upMm: number, outMm: number) => Point3

const RADIANS = Math.PI / 180
const LEAST_PER_DEGREE = 0.2

/**
 * The frame of an element where it is placed. On a side it bends with the wall; on a top it stands upright, facing
 * outward.
 * It is rolled about a point so far above the foot, and mirrored when the element is.
 */
export function frameOf(
  { on, angleDeg, heightMm, outMm, rollDeg, mirrored }: PlacedElement,
  wall: Wall,
  rollAboutMm = 0,
): Frame {
  const [c, s] = [Math.cos(rollDeg * RADIANS), Math.sin(rollDeg * RADIANS)]
  const side = mirrored ? -1 : 1
  const rolled = (across: number, up: number): readonly [number, number] => {
    const [u, v] = [side * across, up - rollAboutMm]
    return [u * c + v * s, rollAboutMm - u * s + v * c]
  }
  if (on === 'top') {
    const facing = angleDeg * RADIANS
    return (across, up, out) => {
      const [u, v] = rolled(across, up)
      const foot = wall(angleDeg, heightMm + v, outMm + out)
      return [foot[0] + u * Math.cos(facing), foot[1] + u * Math.sin(facing), foot[2]]
    }
  }
  const [one, other] = [wall(angleDeg - 1, heightMm, 0), wall(angleDeg + 1, heightMm, 0)]
  const perDegree = Math.max(LEAST_PER_DEGREE, Math.hypot(one[0] - other[0], one[1] - other[1]) / 2)
  return (across, up, out) => {
    const [u, v] = rolled(across, up)
    return wall(angleDeg + u / perDegree, heightMm + v, out)
  }
}
