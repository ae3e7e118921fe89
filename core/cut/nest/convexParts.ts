import earcut from 'earcut'
import type { Point } from '../../geometry'
import { turnOf } from './ring'

/** Corners may dent by so much and still count as convex: twice the area of the dent, mm². */
const DENT_MM2 = 1e-9

/**
 * Convex polygons that together are an outline less its holes, counter-clockwise.
 * Triangles are joined across their longest shared edges as long as the joint stays convex.
 *
 * @param rings the outline, then its holes
 * @see Hertel and Mehlhorn 1983 (at most four times as many as the fewest)
 */
export function convexParts(rings: readonly (readonly Point[])[]): readonly (readonly Point[])[] {
  const [outline, ...holes] = rings
  if (holes.length === 0 && isConvex(outline!)) return [outline!]
  const points = rings.flat()
  const starts = holes.map((_, at) => rings.slice(0, at + 1).reduce((sum, ring) => sum + ring.length, 0))
  const indexes = earcut(
    points.flatMap(({ x, y }) => [x, y]),
    starts,
  )
  let polygons: (readonly number[])[] = []
  for (let at = 0; at < indexes.length; at += 3) {
    const triangle = [indexes[at]!, indexes[at + 1]!, indexes[at + 2]!]
    const area = turnOf(points[triangle[0]!]!, points[triangle[1]!]!, points[triangle[2]!]!)
    if (Math.abs(area) > DENT_MM2) polygons.push(area > 0 ? triangle : triangle.reverse())
  }
  for (;;) {
    const joint = bestJoint(polygons, points)
    if (!joint) break
    polygons = [...polygons.filter((_, at) => at !== joint.one && at !== joint.other), joint.polygon]
  }
  return polygons.map((polygon) => polygon.map((index) => points[index]!))
}

const isConvex = (ring: readonly Point[]): boolean =>
  ring.every((one, at) => turnOf(one, ring[(at + 1) % ring.length]!, ring[(at + 2) % ring.length]!) >= -DENT_MM2)

type Joint = { readonly one: number; readonly other: number; readonly polygon: readonly number[] }

function bestJoint(polygons: readonly (readonly number[])[], points: readonly Point[]): Joint | null {
  const edges = new Map<string, number>()
  polygons.forEach((polygon, at) =>
    polygon.forEach((from, corner) => edges.set(`${from} ${polygon[(corner + 1) % polygon.length]!}`, at)),
  )
  let best: (Joint & { length: number }) | null = null
  for (const [one, polygon] of polygons.entries()) {
    for (const [corner, from] of polygon.entries()) {
      const to = polygon[(corner + 1) % polygon.length]!
      const other = edges.get(`${to} ${from}`)
      if (other === undefined || other === one) continue
      const length = Math.hypot(points[to]!.x - points[from]!.x, points[to]!.y - points[from]!.y)
      if (best && length <= best.length) continue
      const joined = joinAt(polygon, polygons[other]!, from, to)
      if (isConvex(joined.map((index) => points[index]!))) best = { one, other, polygon: joined, length }
    }
  }
  return best
}

function joinAt(one: readonly number[], other: readonly number[], from: number, to: number): readonly number[] {
  const start = one.indexOf(to)
  const back = other.indexOf(from)
  return [
    ...one.map((_, step) => one[(start + step) % one.length]!),
    ...other.slice(1, -1).map((_, step) => other[(back + 1 + step) % other.length]!),
  ]
}
