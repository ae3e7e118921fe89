import { add, cross, scale, unit, type Point3 } from '../../geometry'
import { between } from '../../quantity'
import type { PlacedElement, Wall } from '../define'
import { frameOf } from '../frame'
import type { BloomFrame } from './bloom'

/** How far a bloom looks up from straight out: little on a side, more where it stands on a top; degrees. */
const LOOKS_UP_DEG = { side: 14, top: 42 } as const
const STRAYS_DEG = 13
const RADIANS = Math.PI / 180

/** Right and up of something that looks along an axis: up is as near to the sky as can be. */
function facingBasis(axis: Point3): { readonly right: Point3; readonly up: Point3 } {
  const sky: Point3 = Math.abs(axis[2]) > 0.97 ? [0, 1, 0] : [0, 0, 1]
  const right = unit(cross(axis, sky))
  return { right, up: cross(right, axis) }
}

/**
 * How a bloom looks from where it is placed: out of a side, up and out from a top, along its own axis in a bouquet; a
 * little its own way each.
 * @param acrossMm finished diameter: a bloom on a side touches it with its back, on a top it stands on its stem
 */
export function bloomStance(element: PlacedElement, wall: Wall, acrossMm: number, stream: () => number): BloomFrame {
  const roll = element.rollDeg * RADIANS
  const [tilt, turn] = [
    (LOOKS_UP_DEG[element.on] + between(stream, -STRAYS_DEG, STRAYS_DEG)) * RADIANS,
    between(stream, -STRAYS_DEG, STRAYS_DEG) * RADIANS,
  ]
  const rolled = (right: number, up: number): readonly [number, number] => [
    right * Math.cos(roll) + up * Math.sin(roll),
    up * Math.cos(roll) - right * Math.sin(roll),
  ]
  if (element.pose) {
    const { at, axis } = element.pose
    const { right, up } = facingBasis(axis)
    return (x, y, out) => {
      const [u, v] = rolled(x, y)
      return add(at, add(scale(right, u), add(scale(up, v), scale(axis, out))))
    }
  }
  const at = frameOf({ ...element, rollDeg: 0 }, wall)
  const half = acrossMm / 2
  const stem = element.on === 'top' ? half * 0.55 : half
  return (x, y, out) => {
    const [u, v] = rolled(x, y)
    const [leaned, ahead] = [v * Math.cos(tilt) + out * Math.sin(tilt), out * Math.cos(tilt) - v * Math.sin(tilt)]
    const [across, depth] = [u * Math.cos(turn) + ahead * Math.sin(turn), ahead * Math.cos(turn) - u * Math.sin(turn)]
    return at(across, stem + leaned, 1 + half * Math.sin(tilt) + half * Math.abs(Math.sin(turn)) + depth)
  }
}
