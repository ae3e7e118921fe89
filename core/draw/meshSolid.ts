import earcut from 'earcut'
import { cross, dot, unit, type Point3 } from '../geometry'
import type { Mesh, MeshFace } from '../technique'
import { darken, lighten } from './shading'
import { addBall, addTube, partBuilder, smoothPart, type Face, type Matter, type SolidPart } from './solid'

/** Film lets light through and shines where it is wet-set; wafer is matt, and shows a little light at its edge. */
export const FILM: Matter = { name: 'rice film', gloss: 0.55, thin: 1, texture: 'smooth' }
export const WAFER: Matter = { name: 'wafer paper', gloss: 0.05, thin: 0.45, texture: 'smooth' }
const WIRE: Matter = { name: 'wires and lines', gloss: 0.1, thin: 0.2, texture: 'smooth' }
const EDGE: Matter = { ...WIRE, name: 'edges and folds' }
/** Lines finer than this are edges and folds. */
const FINE_MM = 1.4
const BEAD: Matter = { name: 'beads', gloss: 0.9, thin: 0, texture: 'smooth' }
const DULL_BEAD: Matter = { name: 'centres', gloss: 0.08, thin: 0.1, texture: 'smooth' }

/** What makers draw lighter and darker by hand is half done by true light. */
const OWN_LIGHT = 0.5
/** Film that is laid in one layer covers what is behind it by so much. */
const FILM_COVER = 0.86
/** Faces of more corners than this may be hollow on a side. */
const MOST_PLAIN_CORNERS = 8

const shaded = (colour: string, light: number): string => (light >= 0 ? lighten(colour, light) : darken(colour, -light))

/** A large face as triangles in the plane that it lies in. */
function cutUp(points: readonly Point3[]): readonly (readonly Point3[])[] {
  let normal: Point3 = [0, 0, 0]
  points.forEach((point, at) => {
    const [one, other] = [point, points[(at + 1) % points.length]!]
    const turned = cross(one, other)
    normal = [normal[0] + turned[0], normal[1] + turned[1], normal[2] + turned[2]]
  })
  const facing = unit(normal)
  const across = unit(cross(Math.abs(facing[2]) > 0.9 ? [1, 0, 0] : [0, 0, 1], facing))
  const up = cross(facing, across)
  const corners = earcut(points.flatMap((point) => [dot(point, across), dot(point, up)]))
  return Array.from({ length: corners.length / 3 }, (_, at) =>
    [0, 1, 2].map((step) => points[corners[at * 3 + step]!]!),
  )
}

const facesOf = ({ points, light, tint }: MeshFace, colour: string, cover: number): readonly Face[] => {
  const own = shaded(tint ?? colour, light * OWN_LIGHT)
  const parts = points.length > MOST_PLAIN_CORNERS ? cutUp(points) : [points]
  return parts.map((part) => ({ points: part, colour: own, cover }))
}

const known = new WeakMap<Mesh, Map<string, readonly SolidPart[]>>()

/** The triangles of an element. What follows from mesh and colour alone is worked out once. */
export function meshParts(mesh: Mesh, colour: string, matter: Matter): readonly SolidPart[] {
  const key = `${matter.name} ${colour}`
  const before = known.get(mesh) ?? new Map<string, readonly SolidPart[]>()
  known.set(mesh, before)
  const made = before.get(key) ?? partsOf(mesh, colour, matter)
  before.set(key, made)
  return made
}

function partsOf({ faces, lines, beads = [] }: Mesh, colour: string, matter: Matter): readonly SolidPart[] {
  const cover = matter.thin === 1 ? FILM_COVER : 1
  const sheets = smoothPart(
    faces.flatMap((face) => facesOf(face, colour, cover)),
    matter,
  )
  const [wires, edges] = [partBuilder(WIRE), partBuilder(EDGE, true)]
  for (const { points, widthMm, light, opacity, tint } of lines)
    addTube(widthMm < FINE_MM ? edges : wires, points, widthMm / 2, shaded(tint ?? colour, light * opacity))
  const [shining, dull] = [partBuilder(BEAD), partBuilder(DULL_BEAD)]
  for (const { at, radiusMm, tint, shine } of beads) addBall(shine > 0 ? shining : dull, at, radiusMm, tint)
  return [sheets, wires.made(), edges.made(), shining.made(), dull.made()].filter(({ corners }) => corners.length > 0)
}
