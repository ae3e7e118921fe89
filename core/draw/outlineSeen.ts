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

/** Something as a flat patch of its colour. */
export type Patch = { readonly id: string; readonly outline: readonly Point[]; readonly colour: string }

const NOTHING = { positions: new Float32Array(3), colours: new Uint8Array(4) }
const HEX = 16
const hexOf = (colours: Uint8Array): string =>
  `#${[...colours.subarray(0, 3)].map((each) => each.toString(HEX).padStart(2, '0')).join('')}`

/**
 * The stand as flat patches from far to near, for screens that cannot draw it in depth. What stands behind a tier is
 * hidden by it.
 */
export const flatStand = (solids: readonly Solid[], view: View): readonly Patch[] =>
  solids
    .map((solid) => {
      const { positions, colours } = solid.parts[0] ?? NOTHING
      let near = 0
      for (let at = 0; at < positions.length; at += 3)
        near += view([positions[at]!, positions[at + 1]!, positions[at + 2]!]).near
      return {
        near: solid.kind === 'board' ? -Infinity : near / (positions.length / 3),
        patch: { id: solid.id, outline: outlineSeen(solid, view), colour: hexOf(colours) },
      }
    })
    .sort((one, other) => one.near - other.near)
    .map(({ patch }) => patch)
