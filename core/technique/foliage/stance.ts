import { add, scale } from '../../geometry'
import type { PlacedElement, Wall } from '../define'
import { frameOf, type Frame } from '../frame'
import { facingBasis } from '../petal/stance'

/** How a branch grows from where it is placed: up a side or up and out from a top, along its own axis in a bouquet. */
export function branchStance(element: PlacedElement, wall: Wall): Frame {
  if (!element.pose) return frameOf(element, wall)
  const { at, axis } = element.pose
  const { right, up } = facingBasis(axis)
  // In a bouquet a branch runs along its axis and shows its face upwards.
  return (across, ahead, off) => add(at, add(scale(right, across), add(scale(axis, ahead), scale(up, off))))
}
