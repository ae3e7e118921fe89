import { add, cross, dot, scale, unit, type Point3 } from '../../geometry'
import type { PlacedElement, Wall } from '../define'
import { frameOf, type Frame } from '../frame'

/** A direction as far as it is square to an axis; another where it runs along it. */
function squareTo(axis: Point3, wanted: Point3): Point3 {
  const left = add(wanted, scale(axis, -dot(wanted, axis)))
  return Math.hypot(...left) > 0.05 ? unit(left) : unit(cross(axis, Math.abs(axis[2]) > 0.9 ? [1, 0, 0] : [0, 0, 1]))
}

/**
 * How a branch grows from where it is placed: up a side or up and out from a top, along its own axis in a bouquet, its
 * face shown as far as it can.
 */
export function branchStance(element: PlacedElement, wall: Wall): Frame {
  if (!element.pose) return frameOf(element, wall)
  const { at, axis, face } = element.pose
  const off = squareTo(axis, face)
  const right = cross(axis, off)
  return (across, ahead, out) => add(at, add(scale(right, across), add(scale(axis, ahead), scale(off, out))))
}
