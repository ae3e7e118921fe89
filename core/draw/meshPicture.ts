import { convexHull, type Outline, type Point, type Point3 } from '../geometry'
import type { Mesh } from '../technique'
import { darken, lighten } from './shading'
import type { Fade, Shape } from './shape'
import { asOutline } from './tierBlock'
import { lightAt, viewAt, type View } from './view'

/**
 * `shade` is what throws a shadow: the hull, or the faces of what is mostly gaps. It and the outline are worked out
 * when they are asked for: while the stand turns nobody touches it.
 */
export type DrawnMesh = {
  readonly shapes: readonly Shape[]
  readonly outline: readonly Point[]
  readonly shade: readonly (readonly Point[])[]
  readonly near: number
}

/**
 * Thin paper seen from either side: lit where it faces the light, deeper where it turns away. Written out in numbers:
 * it is asked for every face at every turn.
 */
function faceTone(colour: string, points: readonly Point3[], light: Point3, own: number): string {
  const [at, next, last] = [points[0]!, points[1]!, points[points.length - 1]!]
  const [ax, ay, az] = [next[0] - at[0], next[1] - at[1], next[2] - at[2]]
  const [bx, by, bz] = [last[0] - at[0], last[1] - at[1], last[2] - at[2]]
  const [x, y, z] = [ay * bz - az * by, az * bx - ax * bz, ax * by - ay * bx]
  const length = Math.sqrt(x * x + y * y + z * z)
  const faced = length > 0 ? Math.abs(x * light[0] + y * light[1] + z * light[2]) / length : Math.abs(light[2])
  const lit = 0.34 * faced - 0.12 + own
  return lit >= 0 ? lighten(colour, Math.min(0.8, lit)) : darken(colour, Math.min(0.6, -lit))
}

type Known = { readonly turnDeg: number; readonly colour: string; readonly drawn: DrawnMesh }
const known = new WeakMap<Mesh, Known>()

/**
 * An element as it is seen from a side. The last drawing of each mesh is kept: most edits and all hovering leave it as
 * it is.
 */
export function drawMesh(mesh: Mesh, colour: string, turnDeg: number): DrawnMesh {
  const before = known.get(mesh)
  if (before && before.turnDeg === turnDeg && before.colour === colour) return before.drawn
  const drawn = drawFaces(mesh, colour, viewAt(turnDeg), lightAt(turnDeg))
  known.set(mesh, { turnDeg, colour, drawn })
  return drawn
}

/** An element alone, seen from the front, for pictures of it without a cake. */
export const pictureOfMesh = (mesh: Mesh, colour: string): Pick<DrawnMesh, 'shapes' | 'outline'> =>
  drawMesh(mesh, colour, 0)

/** The faces and lines of an element from far to near, its outline, and how near it is. */
function drawFaces({ faces, lines, beads = [] }: Mesh, colour: string, view: View, light: Point3): DrawnMesh {
  const seenAll: Point[] = []
  const flats: (readonly Point[])[] = []
  const parts: { readonly near: number; readonly shape: Shape }[] = []
  let [nearSum, count] = [0, 0]
  const seen = (points: readonly Point3[]): { readonly flat: readonly Point[]; readonly near: number } => {
    const flat = points.map(view)
    flat.forEach((point) => {
      nearSum += point.near
      count += 1
      seenAll.push(point)
    })
    return { flat, near: flat.reduce((sum, { near }) => sum + near, 0) / flat.length }
  }
  for (const { points, opacity, light: own, tint } of faces) {
    const { flat, near } = seen(points)
    flats.push(flat)
    const fill = faceTone(tint ?? colour, points, light, own)
    parts.push({ near, shape: { kind: 'outline', outline: asOutline(spread(flat)), fill, fillOpacity: opacity } })
  }
  for (const { points, widthMm, light: own, opacity, tint, printed } of lines) {
    const { flat, near } = seen(points)
    const stroke = own >= 0 ? lighten(tint ?? colour, own) : darken(tint ?? colour, -own)
    parts.push({
      near: near + (printed ? PRINT_NEARER_MM : LINE_NEARER_MM),
      shape: { kind: 'outline', outline: asOutline(flat, false), stroke, strokeMm: widthMm, strokeOpacity: opacity },
    })
  }
  for (const { at, radiusMm, tint, shine } of beads) {
    const {
      flat: [middle],
      near,
    } = seen([at])
    parts.push({
      near: near + radiusMm + LINE_NEARER_MM,
      shape: {
        kind: 'outline',
        outline: disc(middle!, radiusMm),
        fill: shine > 0 ? gleam(middle!, radiusMm, tint, shine) : tint,
        ...(shine > 0 && { stroke: darken(tint, 0.3), strokeMm: 0.25, strokeOpacity: 0.6 }),
      },
    })
    seenAll.push(
      { x: middle!.x - radiusMm, y: middle!.y - radiusMm },
      { x: middle!.x + radiusMm, y: middle!.y + radiusMm },
    )
  }
  parts.sort((one, other) => one.near - other.near)
  let hull: readonly Point[] | null = null
  const outline = (): readonly Point[] => (hull ??= convexHull(seenAll))
  return {
    shapes: parts.map(({ shape }) => shape),
    get outline() {
      return outline()
    },
    get shade() {
      return shadeOf(flats, outline)
    },
    near: count > 0 ? nearSum / count : 0,
  }
}

/** Faces are drawn a little larger, so that no seam shows between them; cheaper than a line round each. */
const SEAM_MM = 0.22

function spread(points: readonly Point[]): readonly Point[] {
  let [x, y] = [0, 0]
  for (const point of points) {
    x += point.x
    y += point.y
  }
  x /= points.length
  y /= points.length
  const [first] = points
  const away = Math.hypot(first!.x - x, first!.y - y)
  const by = away > SEAM_MM ? 1 + SEAM_MM / away : 1
  return points.map((point) => ({ x: x + (point.x - x) * by, y: y + (point.y - y) * by }))
}

/** Faces beyond this number fill their hull well enough. */
const MOST_SHADING = 60
const GAPPY = 0.75
const FEW = 6

const signedArea = (points: readonly Point[]): number =>
  points.reduce((sum, { x, y }, at) => {
    const next = points[(at + 1) % points.length]!
    return sum + x * next.y - next.x * y
  }, 0) / 2

/** What throws the shadow of faces within their hull; all outlines run the same way round, so that they fill as one. */
function shadeOf(flats: readonly (readonly Point[])[], hullOf: () => readonly Point[]): readonly (readonly Point[])[] {
  if (flats.length === 0 || flats.length > MOST_SHADING) return [hullOf()]
  const areas = flats.map(signedArea)
  if (
    flats.length > FEW &&
    areas.reduce((sum, area) => sum + Math.abs(area), 0) > GAPPY * Math.abs(signedArea(hullOf()))
  )
    return [hullOf()]
  return flats.map((flat, at) => (areas[at]! < 0 ? [...flat].reverse() : flat))
}

const BEAD_STEPS = 12
const disc = ({ x, y }: Point, radius: number): Outline =>
  asOutline(
    Array.from({ length: BEAD_STEPS }, (_, step) => ({
      x: x + radius * Math.cos((step / BEAD_STEPS) * 2 * Math.PI),
      y: y + radius * Math.sin((step / BEAD_STEPS) * 2 * Math.PI),
    })),
  )

/** A ball lit from above left: pale there, deep below right. */
const gleam = ({ x, y }: Point, radius: number, tint: string, shine: number): Fade => ({
  from: { x: x - radius * 0.7, y: y + radius * 0.7 },
  to: { x: x + radius * 0.7, y: y - radius * 0.7 },
  stops: [
    { at: 0, colour: lighten(tint, 0.85 * shine) },
    { at: 0.45, colour: tint },
    { at: 1, colour: darken(tint, 0.4) },
  ],
})

/** Edges and folds lie on their faces, not in them. */
const LINE_NEARER_MM = 1
/** A print on the far end of a panel is further from the eye than the panel's middle, by less than this. */
const PRINT_NEARER_MM = 250
