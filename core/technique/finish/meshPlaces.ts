/** Where the faces of an element lie within it, for finishes that follow its height or its edge. */
import type { Point3 } from '../../geometry'
import type { Mesh, MeshFace } from '../mesh'

export const middleOf = (points: readonly Point3[]): Point3 =>
  [0, 1, 2].map((axis) => points.reduce((sum, point) => sum + point[axis]!, 0) / points.length) as unknown as Point3

/** A share of the largest in a row of numbers that begins at the least. */
function shares(values: readonly number[]): readonly number[] {
  const [least, most] = [Math.min(...values), Math.max(...values)]
  return values.map((value) => (most > least ? (value - least) / (most - least) : 0.5))
}

/** How high each face lies in its element: 0 the lowest, 1 the highest. */
export const heightShares = ({ faces }: Mesh): readonly number[] =>
  shares(faces.map(({ points }) => middleOf(points)[2]))

/** How far from the element's middle each face lies: 0 the nearest, 1 the farthest. */
export function edgeShares({ faces }: Mesh): readonly number[] {
  const middles = faces.map(({ points }) => middleOf(points))
  if (middles.length === 0) return []
  const heart = middleOf(middles)
  return shares(middles.map((middle) => Math.hypot(middle[0] - heart[0], middle[1] - heart[1], middle[2] - heart[2])))
}

/** Some point of a face. */
export function pointOn({ points }: MeshFace, stream: () => number): Point3 {
  const weights = points.map(() => stream() + 0.05)
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  return [0, 1, 2].map((axis) =>
    points.reduce((sum, point, at) => sum + (point[axis]! * weights[at]!) / total, 0),
  ) as unknown as Point3
}
