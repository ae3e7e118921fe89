import { convexHull, type Point } from '../geometry'
import type { View } from './viewpoint'
import type { Solid } from './solid'
import { SHADE } from './tierSolid'

/** The outline of something as it is seen, y up. */
export function outlineSeen({ parts }: Solid, view: View): readonly Point[] {
  const seen: Point[] = []
  for (const { matter, positions } of parts) {
    if (matter === SHADE) continue
    for (let at = 0; at < positions.length; at += 3)
      seen.push(view([positions[at]!, positions[at + 1]!, positions[at + 2]!]))
  }
  return convexHull(seen)
}
