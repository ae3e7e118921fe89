/** How far a decoration reaches beyond the cake. */
import type { StandingTier } from '../cake'
import type { Decoration } from '../commission'
import { add, scale, type Point3 } from '../geometry'
import { type PlacedElement, type SeenSize } from '../technique'
import { meshesOf } from './meshes'
import { reachOf, type Reach } from './reach'

/**
 * How far what a bouquet holds reaches: a ball round each bloom, a rod along each spray. Quicker than drawing them,
 * and never less.
 */
export function reachOfPosed(
  elements: readonly PlacedElement[],
  { widthMm, heightMm }: SeenSize,
  isBloom: boolean,
): Reach {
  return reachOf(
    elements.flatMap(({ pose, size }) => {
      if (!pose) return []
      const [girth, long] = [(widthMm * size) / 2, isBloom ? (widthMm * size) / 2 : heightMm * size]
      const tip = add(pose.at, scale(pose.axis, long))
      return [pose.at, tip].map((end): readonly Point3[] => [
        add(end, [-girth, -girth, -girth]),
        add(end, [girth, girth, isBloom ? girth : girth / 2]),
      ])
    }),
  )
}

export function reachOfDrawn(
  decoration: Decoration,
  elements: readonly PlacedElement[],
  stack: readonly StandingTier[],
): Reach {
  return reachOf(
    meshesOf(decoration, elements, stack).flatMap(({ faces, lines }) =>
      [...faces, ...lines].map(({ points }) => points),
    ),
  )
}
