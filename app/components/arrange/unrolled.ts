import type { StandingTier } from '#core/cake'
import { wholePart } from '#core/draw'
import { convexHull, type Point } from '#core/geometry'
import type { Mesh, PlacedElement } from '#core/technique'
import type { SideMap } from './sideMap'

/** The outline of an element on the unrolled side, as SVG points; empty for one that stands on the top. */
export function unrolledOutline(element: PlacedElement, mesh: Mesh, tier: StandingTier, map: SideMap): string {
  if (element.on === 'top') return ''
  const points = wholePart(mesh).map(([x, y, z]): Point => {
    const angle = (Math.atan2(x - tier.middle.x, -(y - tier.middle.y)) * 180) / Math.PI
    const near = angle + 360 * Math.round((element.angleDeg - angle) / 360)
    return map.toMap(tier.index, near, Math.min(tier.topMm - 0.01, Math.max(tier.footMm, z)))
  })
  return convexHull(points)
    .map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`)
    .join(' ')
}
