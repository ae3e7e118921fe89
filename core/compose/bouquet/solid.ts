import { edgePoints, reachMm, sectionAt, type StandingTier } from '../../cake'
import type { Point, Point3 } from '../../geometry'

const EDGE_STEPS = 60
const RADIANS = Math.PI / 180

/** How far a point seen from above lies outside a closed line, mm; below 0 inside. */
function outsideEdge(x: number, y: number, edge: readonly Point[]): number {
  let [least, inside] = [Infinity, false]
  let from = edge[edge.length - 1]!
  for (const to of edge) {
    const [dx, dy] = [to.x - from.x, to.y - from.y]
    const squared = dx * dx + dy * dy
    const share = squared > 0 ? Math.min(1, Math.max(0, ((x - from.x) * dx + (y - from.y) * dy) / squared)) : 0
    least = Math.min(least, Math.hypot(x - from.x - share * dx, y - from.y - share * dy))
    if (from.y > y !== to.y > y && x < from.x + ((y - from.y) / (to.y - from.y)) * dx) inside = !inside
    from = to
  }
  return inside ? -least : least
}

/**
 * How far points are from the cake: below 0 inside a tier, a separator or the board's plane.
 * A leaning side is taken at the point's own height.
 * @returns distance of a point, mm
 */
export function clearOfCake(stack: readonly StandingTier[]): (point: Point3) => number {
  const solids = stack.flatMap((tier) => {
    const round = tier.shape.kind === 'round'
    const edge = round || tier.taperDeg !== 0 ? null : edgePoints(tier.shape, tier.turnDeg, tier.middle, EDGE_STEPS)
    const sideways = ([x, y, z]: Point3): number => {
      if (edge) return outsideEdge(x, y, edge)
      const section = sectionAt(tier, z)
      if (round) return Math.hypot(x - tier.middle.x, y - tier.middle.y) - reachMm(section, 0)
      return outsideEdge(x, y, edgePoints(section, tier.turnDeg, tier.middle, EDGE_STEPS))
    }
    const own = { footMm: tier.footMm, topMm: tier.topMm, sideways }
    if (!tier.spacer) return [own]
    const { acrossMm, footMm } = tier.spacer
    return [
      own,
      {
        footMm,
        topMm: tier.footMm,
        sideways: ([x, y]: Point3) => Math.hypot(x - tier.middle.x, y - tier.middle.y) - acrossMm / 2,
      },
    ]
  })
  return (point) => {
    let least = point[2]
    for (const { footMm, topMm, sideways } of solids) {
      const upright = Math.max(footMm - point[2], point[2] - topMm)
      if (upright >= least) continue
      const across = sideways(point)
      least = Math.min(least, across > 0 && upright > 0 ? Math.hypot(across, upright) : Math.max(across, upright))
    }
    return least
  }
}

/** The angle of a point round a tier's middle, degrees from the front, to the right above 0. */
export const angleRound = ({ middle }: StandingTier, [x, y]: Point3): number =>
  Math.atan2(x - middle.x, middle.y - y) / RADIANS
