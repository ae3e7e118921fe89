import { convexHull, cross, dot, unit, type Point3 } from '../geometry'
import type { Mesh, MeshFace, MeshLine } from '../technique'

/** Each mesh in the grains it was asked for: a stand goes to and fro between few. */
const known = new WeakMap<Mesh, Map<number, Mesh>>()

/** Corners of a coarse face are thinned to this number. */
const MOST_CORNERS = 8
const MOST_ALONG = 6
const MOST_BEADS = 2
/** Lines for each so many faces; what has no faces is all lines. */
const LINE_SHARE = 3

const middleOf = (points: readonly Point3[]): Point3 => {
  const [x, y, z] = points.reduce(([ax, ay, az], [bx, by, bz]) => [ax + bx, ay + by, az + bz] as const, [
    0, 0, 0,
  ] as Point3)
  return [x / points.length, y / points.length, z / points.length]
}

const between = (one: Point3, other: Point3): Point3 => [one[0] - other[0], one[1] - other[1], one[2] - other[2]]

/** Every so many of a row, its first and last among them. */
const thinned = <Each>(row: readonly Each[], most: number): readonly Each[] =>
  row.length <= most
    ? row
    : Array.from({ length: most }, (_, at) => row[Math.round((at * (row.length - 1)) / (most - 1))]!)

/** Paper that hardly lets light through is painted solid: that is quicker. */
const solid = (opacity: number): number => (opacity > 0.8 ? 1 : opacity)

/** Faces that lie side by side as one: the corners of their hull in the plane that they face together. */
function joined(faces: readonly MeshFace[]): MeshFace {
  const [one] = faces
  if (faces.length === 1) return { ...one!, opacity: solid(one!.opacity) }
  const points = faces.flatMap((face) => face.points)
  const middle = middleOf(points)
  const normal = unit(
    faces.reduce<Point3>(
      (sum, face) => {
        const own = cross(between(face.points[1]!, face.points[0]!), between(face.points.at(-1)!, face.points[0]!))
        const side = dot(own, sum) < 0 ? -1 : 1
        return [sum[0] + side * own[0], sum[1] + side * own[1], sum[2] + side * own[2]]
      },
      [0, 0, 0],
    ),
  )
  const across = unit(cross(Math.abs(normal[2]) > 0.9 ? [1, 0, 0] : [0, 0, 1], normal))
  const up = cross(normal, across)
  const flat = points.map((point, index) => {
    const from = between(point, middle)
    return { x: dot(from, across), y: dot(from, up), index }
  })
  const corners = convexHull(flat).map(({ index }) => points[index]!)
  const half = faces[Math.floor(faces.length / 2)]!
  return {
    ...half,
    opacity: solid(half.opacity),
    points: thinned(corners, MOST_CORNERS),
    light: faces.reduce((sum, { light }) => sum + light, 0) / faces.length,
  }
}

/** Cut edges first, then the longest: what tells most of a shape. */
function fewLines(lines: readonly MeshLine[], most: number): readonly MeshLine[] {
  const telling = [...lines].sort(
    (one, other) => Number(other.edge ?? false) - Number(one.edge ?? false) || other.points.length - one.points.length,
  )
  return telling.slice(0, most).map((line) => ({ ...line, points: thinned(line.points, MOST_ALONG) }))
}

/**
 * An element drawn with no more than so many faces, for while the stand turns: neighbouring faces become one.
 * What is coarse follows from the mesh alone, so it is kept.
 */
export function coarsened(mesh: Mesh, mostFaces: number): Mesh {
  const grains = known.get(mesh) ?? new Map<number, Mesh>()
  const before = grains.get(mostFaces)
  if (before) return before
  const size = Math.ceil(mesh.faces.length / mostFaces)
  const coarse: Mesh = {
    faces:
      size <= 1
        ? mesh.faces
        : Array.from({ length: Math.ceil(mesh.faces.length / size) }, (_, group) =>
            joined(mesh.faces.slice(group * size, (group + 1) * size)),
          ),
    lines: fewLines(mesh.lines, mesh.faces.length > 0 ? Math.floor(mostFaces / LINE_SHARE) : mostFaces),
    beads: thinned(mesh.beads ?? [], MOST_BEADS),
  }
  grains.set(mostFaces, coarse)
  known.set(mesh, grains)
  return coarse
}
