import { cross, dot, minus, scale, unit, type Point3 } from '../geometry'
import { parsedColour } from './shading'

/** How light lies on something. */
export type Matter = {
  readonly name: string
  /** Share of a highlight: 0 dull, 1 like glass. */
  readonly gloss: number
  /** How much light comes through it: 0 none, 1 as through film. */
  readonly thin: number
  /** What the comb or the palette knife left. */
  readonly texture: 'smooth' | 'combed' | 'rough'
}

/** Triangles of one matter in the space of the cake: mm, z up. Colours are red, green, blue and cover, 0 to 255. */
export type SolidPart = {
  readonly matter: Matter
  readonly positions: Float32Array
  readonly normals: Float32Array
  readonly colours: Uint8Array
  readonly corners: Uint32Array
  /** So thin that it is left out while the stand moves. */
  readonly isFine: boolean
}

/** One thing on the stand, that can be touched and named. `kind` and `index` say which of the plan's it is. */
export type Solid = {
  readonly id: string
  readonly kind: 'board' | 'tier' | 'element' | 'accent'
  readonly index: number
  readonly parts: readonly SolidPart[]
}

/** A face of three or more corners that lie nearly in one plane, counted one way round. */
export type Face = { readonly points: readonly Point3[]; readonly colour: string; readonly cover: number }

/** Faces that meet at more than this keep an edge between them, as the cosine of the angle. */
const CREASED_COSINE = Math.cos((50 * Math.PI) / 180)
/** Corners nearer to each other than this are one corner. */
const SAME_MM = 0.05
/** Normals that differ by less than this in each direction are one. */
const SAME_LIGHT = 0.02

/** Places are counted from here in each direction, so that one number says where a corner lies. */
const MOST_PLACES = 2 ** 17
const placeOf = ([x, y, z]: Point3): number =>
  ((Math.round(x / SAME_MM) + MOST_PLACES / 2) * MOST_PLACES + Math.round(y / SAME_MM) + MOST_PLACES / 2) *
    MOST_PLACES +
  Math.round(z / SAME_MM) +
  MOST_PLACES / 2

type Triangle = {
  readonly corners: readonly [Point3, Point3, Point3]
  readonly normal: Point3
  readonly facing: Point3
  readonly face: Face
}

/** Corners of a face as triangles: from one side of it to the other, so that a folded strip keeps its folds. */
function trianglesOf(face: Face): readonly Triangle[] {
  const { points } = face
  const triangles: Triangle[] = []
  const add = (...at: readonly [number, number, number]): void => {
    const corners = at.map((each) => points[each]!) as unknown as Triangle['corners']
    const normal = cross(minus(corners[1], corners[0]), minus(corners[2], corners[0]))
    if (dot(normal, normal) > 1e-12) triangles.push({ corners, normal, facing: unit(normal), face })
  }
  let [low, high] = [0, points.length - 1]
  while (high - low >= 2) {
    add(low, low + 1, high)
    if (high - low > 2) add(low + 1, high - 1, high)
    low += 1
    high -= 1
  }
  return triangles
}

/**
 * A sheet or a skin of faces as triangles whose light runs on smoothly from face to face, but for sharp edges. Faces may
 * be counted either way round: paper has two sides.
 */
export function smoothPart(faces: readonly Face[], matter: Matter): SolidPart {
  const triangles = faces.flatMap(trianglesOf)
  const meeting = new Map<number, Triangle[]>()
  for (const triangle of triangles)
    for (const corner of triangle.corners) {
      const place = placeOf(corner)
      const there = meeting.get(place)
      if (there) there.push(triangle)
      else meeting.set(place, [triangle])
    }
  const builder = partBuilder(matter)
  for (const { corners, facing: own, face } of triangles) {
    builder.triangle(
      corners.map((corner) => {
        let sum: Point3 = [0, 0, 0]
        for (const other of meeting.get(placeOf(corner))!) {
          const facing = dot(other.facing, own)
          if (Math.abs(facing) < CREASED_COSINE) continue
          const side = facing < 0 ? -1 : 1
          sum = [sum[0] + side * other.normal[0], sum[1] + side * other.normal[1], sum[2] + side * other.normal[2]]
        }
        return builder.corner(corner, unit(sum), face.colour, face.cover)
      }) as [number, number, number],
    )
  }
  return builder.made()
}

/** Gathers corners and triangles; corners alike in place, normal and colour are kept once. */
export function partBuilder(matter: Matter, isFine = false) {
  const [positions, normals, colours, corners]: [number[], number[], number[], number[]] = [[], [], [], []]
  const known = new Map<number, number[]>()
  const isAlike = (index: number, normal: Point3, colour: readonly number[], cover: number): boolean => {
    if (colours[index * 4 + 3] !== cover) return false
    for (let axis = 0; axis < 3; axis += 1) {
      if (Math.abs(normals[index * 3 + axis]! - normal[axis]!) >= SAME_LIGHT) return false
      if (colours[index * 4 + axis] !== colour[axis]) return false
    }
    return true
  }
  return {
    corner(point: Point3, normal: Point3, colour: string, cover = 1): number {
      const [place, bytes, coverByte] = [placeOf(point), parsedColour(colour), Math.round(cover * 255)]
      const there = known.get(place)
      const before = there?.find((index) => isAlike(index, normal, bytes, coverByte))
      if (before !== undefined) return before
      const index = positions.length / 3
      positions.push(point[0], point[1], point[2])
      normals.push(normal[0], normal[1], normal[2])
      colours.push(bytes[0], bytes[1], bytes[2], coverByte)
      if (there) there.push(index)
      else known.set(place, [index])
      return index
    },
    triangle(triangle: readonly [number, number, number]): void {
      corners.push(...triangle)
    },
    made: (): SolidPart => ({
      matter,
      positions: Float32Array.from(positions),
      normals: Float32Array.from(normals),
      colours: Uint8Array.from(colours),
      corners: Uint32Array.from(corners),
      isFine,
    }),
  }
}

type Builder = ReturnType<typeof partBuilder>

const ROUND_WIRE = 3

/** A wire, a cut edge or a drawn line along points, as a tube of few sides. */
export function addTube(builder: Builder, points: readonly Point3[], radiusMm: number, colour: string): void {
  if (points.length < 2) return
  let aside: Point3 | null = null
  let before: readonly number[] | null = null
  points.forEach((point, at) => {
    const along = unit(minus(points[Math.min(points.length - 1, at + 1)]!, points[Math.max(0, at - 1)]!))
    // The tube must not twist: its side is carried on from ring to ring.
    const carried: Point3 = aside ?? (Math.abs(along[2]) > 0.9 ? [1, 0, 0] : [0, 0, 1])
    const first = unit(minus(carried, scale(along, dot(carried, along))))
    const second = cross(along, first)
    aside = first
    const ring = Array.from({ length: ROUND_WIRE }, (_, step) => {
      const angle = (step * 2 * Math.PI) / ROUND_WIRE
      const [c, s] = [Math.cos(angle), Math.sin(angle)]
      const normal: Point3 = [0, 1, 2].map((axis) => c * first[axis]! + s * second[axis]!) as unknown as Point3
      const place: Point3 = [0, 1, 2].map((axis) => point[axis]! + radiusMm * normal[axis]!) as unknown as Point3
      return builder.corner(place, normal, colour)
    })
    before?.forEach((from, step) => {
      const next = (step + 1) % ROUND_WIRE
      builder.triangle([from, before![next]!, ring[step]!])
      builder.triangle([before![next]!, ring[next]!, ring[step]!])
    })
    before = ring
  })
}

/** Beads thicker than this are rounder. */
const LARGE_BEAD_MM = 3.5

/** A bead, rounder where it is large. */
export function addBall(builder: Builder, middle: Point3, radiusMm: number, colour: string): void {
  const [around, rows] = radiusMm > LARGE_BEAD_MM ? [12, 8] : [7, 4]
  const at = (row: number, step: number): number => {
    const [tilt, turn] = [(row * Math.PI) / rows, (step * 2 * Math.PI) / around]
    const normal: Point3 = [Math.sin(tilt) * Math.cos(turn), Math.sin(tilt) * Math.sin(turn), Math.cos(tilt)]
    const place: Point3 = [0, 1, 2].map((axis) => middle[axis]! + radiusMm * normal[axis]!) as unknown as Point3
    return builder.corner(place, normal, colour)
  }
  for (let row = 0; row < rows; row += 1)
    for (let step = 0; step < around; step += 1) {
      const [a, b, c, d] = [at(row, step), at(row + 1, step), at(row + 1, step + 1), at(row, step + 1)]
      if (row < rows - 1) builder.triangle([a, b, c])
      if (row > 0) builder.triangle([a, c, d])
    }
}
