import { isWithin, sectionAt, wallPoint, type StandingTier } from '../cake'
import type { Spot } from '../compose'
import { add, outward, scale, type Point, type Point3 } from '../geometry'
import { sightLine, viewAt, type Viewpoint } from './viewpoint'

/** A point of the cake under a place of its picture. */
export type Touched = { readonly point: Point3; readonly tier: number; readonly on: 'side' | 'top' }

const STEP_MM = 1.5
const EDGE_MM = 2

/**
 * What lies under a place of the picture (y up, mm): the first point of a tier on the line of sight; null beside the
 * cake.
 */
export function touchedAt(stack: readonly StandingTier[], look: Viewpoint, place: Point): Touched | null {
  const { from, along } = sightLine(place, look)
  const far = Math.hypot(from[0], from[1], from[2] - look.aimMm)
  const pointAt = (distance: number): Point3 => add(from, scale(along, distance))
  const inside = (point: Point3): StandingTier | undefined =>
    stack.find(
      (tier) =>
        point[2] >= tier.footMm &&
        point[2] <= tier.topMm &&
        isWithin({ x: point[0], y: point[1] }, sectionAt(tier, point[2]), tier.turnDeg, tier.middle),
    )
  for (let distance = far - 1200; distance < far + 1200; distance += STEP_MM) {
    const tier = inside(pointAt(distance))
    if (!tier) continue
    let [outer, inner] = [distance - STEP_MM, distance]
    for (let halving = 0; halving < 12; halving += 1) {
      const middle = (outer + inner) / 2
      if (inside(pointAt(middle))) inner = middle
      else outer = middle
    }
    const point = pointAt(inner)
    return { point, tier: tier.index, on: point[2] > tier.topMm - EDGE_MM / 4 ? 'top' : 'side' }
  }
  return null
}

/** Straight through the air between two points, mm. */
export const straightMm = (one: Point3, other: Point3): number =>
  Math.hypot(one[0] - other[0], one[1] - other[1], one[2] - other[2])

/** The place of the cake under a place of its picture, as compositions reckon it; null beside the cake. */
export function spotAt(stack: readonly StandingTier[], look: Viewpoint, place: Point): Spot | null {
  const touched = touchedAt(stack, look, place)
  if (!touched) return null
  const { middle, topMm } = stack[touched.tier]!
  const [right, back] = [touched.point[0] - middle.x, touched.point[1] - middle.y]
  return {
    tier: touched.tier,
    on: touched.on,
    angleDeg: (Math.atan2(right, -back) * 180) / Math.PI,
    heightMm: touched.on === 'top' ? topMm : touched.point[2],
    outMm: touched.on === 'top' ? Math.hypot(right, back) : 0,
  }
}

/** Where a place of the cake is in space. */
export function pointOfSpot(
  { tier: index, on, angleDeg, heightMm, outMm }: Spot,
  stack: readonly StandingTier[],
): Point3 {
  const tier = stack[index]!
  return on === 'side'
    ? wallPoint(tier, angleDeg, heightMm).point
    : add([tier.middle.x, tier.middle.y, tier.topMm], scale(outward(angleDeg), outMm))
}

/** Whether a place of the cake faces the viewer. */
export function facesViewer(spot: Spot, stack: readonly StandingTier[], look: Viewpoint): boolean {
  if (spot.on === 'top') return true
  const view = viewAt({ ...look, awayMm: null })
  return view(outward(wallPoint(stack[spot.tier]!, spot.angleDeg, spot.heightMm).facingDeg)).near > view([0, 0, 0]).near
}
