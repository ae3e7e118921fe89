import type { Point3 } from '../../geometry'
import { between, seededStream } from '../../quantity'
import type { PlacedElement, Wall } from '../define'
import { frameOf } from '../frame'
import type { Mesh, MeshFace, MeshLine } from '../mesh'
import { printOn, type PRINTS } from '../printed'

/** What of a panel's parameters is seen. */
type Panels = {
  readonly corners: 'none' | 'top' | 'all'
  readonly perCorner: number
  readonly accentMm: number
  readonly print: (typeof PRINTS)[number]
}

/** Enough that a sheet follows a rounded corner without going into it. */
const COLUMNS = 28
/** How much deeper than the paper the print is. */
const PRINT_LIGHT = -0.3
/** All faces are printed from one pattern. */
export const PATTERN = 3
/** Rows of what lies flat, after the sides: the top, then the bottom, which nobody sees. */
export const TOP_ROW = 1
export const BOTTOM_ROW = 2

/** A panel on its face, with its print and its corner accents. */
export function panelMesh({ corners, perCorner, accentMm, print }: Panels, element: PlacedElement, wall: Wall): Mesh {
  if (element.on === 'top' && element.row === BOTTOM_ROW) return { faces: [], lines: [] }
  const stream = seededStream(element.seed)
  const at = frameOf(element, wall)
  const face = element.face ?? { widthMm: 100, heightMm: 100 }
  const askew = between(stream, -0.5, 0.5)
  if (element.on === 'top') {
    const corner = (side: number, deep: number): Point3 =>
      at((side * face.widthMm) / 2, 0.6 + askew * 0.2, (deep * face.heightMm) / 2)
    const points = [corner(-1, 1), corner(1, 1), corner(1, -1), corner(-1, -1)]
    const strokes = printOn(print, face, PATTERN).map(({ points: stroke, widthMm }): MeshLine => ({
      points: stroke.map(({ x, y }) => corner((2 * x) / face.widthMm - 1, (2 * y) / face.heightMm - 1)),
      widthMm,
      light: PRINT_LIGHT,
      opacity: 0.7,
      printed: true,
    }))
    return {
      faces: [{ points, opacity: 0.96, light: 0.05 }],
      lines: [...strokes, { points: [...points, points[0]!], widthMm: 0.6, light: 0.5, opacity: 0.8, edge: true }],
    }
  }
  const pointAt = (share: number, up: number, out = 0.9): Point3 =>
    wall(element.angleDeg + share * element.spanDeg, element.heightMm + up * face.heightMm + askew * share, out)
  const faces: MeshFace[] = Array.from({ length: COLUMNS }, (_, column) => ({
    points: [
      pointAt(column / COLUMNS - 0.5, 0),
      pointAt((column + 1) / COLUMNS - 0.5, 0),
      pointAt((column + 1) / COLUMNS - 0.5, 1),
      pointAt(column / COLUMNS - 0.5, 1),
    ],
    opacity: 0.97,
    light: 0,
  }))
  const rim = [
    [-0.5, 0],
    [0.5, 0],
    [0.5, 1],
    [-0.5, 1],
    [-0.5, 0],
  ].map(([share, up]) => pointAt(share!, up!))
  const strokes = printOn(print, face, PATTERN).map(({ points, widthMm }): MeshLine => ({
    points: points.map(({ x, y }) => pointAt(x / face.widthMm - 0.5, y / face.heightMm)),
    widthMm,
    light: PRINT_LIGHT,
    opacity: 0.7,
    printed: true,
  }))
  const lines: MeshLine[] = [...strokes, { points: rim, widthMm: 0.7, light: 0.45, opacity: 0.9, edge: true }]
  const half = accentMm / 2
  const perShare = 1 / Math.max(1, face.widthMm)
  const tops = corners === 'none' ? [] : corners === 'top' ? [1] : [1, 0]
  for (const end of tops) {
    for (let each = 0; each < perCorner; each += 1) {
      const [along, high] = [
        0.5 - each * half * 0.9 * perShare,
        end === 1 ? face.heightMm - half * 0.6 - (each % 2) * half * 0.5 : half * 0.9 + (each % 2) * half * 0.5,
      ]
      // What reaches over the rim is folded down onto the top.
      const put = (right: number, up: number, out: number): Point3 => {
        const over = Math.max(0, high + up - face.heightMm)
        const angleDeg = element.angleDeg + (along + right * perShare) * element.spanDeg
        return wall(angleDeg, element.heightMm + high + up - over + (over > 0 ? out : 0), over > 0 ? -over : out)
      }
      const [left, low, right, top] = [put(-half, 0, 2.2), put(0, -half, 1.4), put(half, 0, 2.2), put(0, half, 1.4)]
      faces.push(
        { points: [low, right, top], opacity: 0.98, light: 0.14 },
        { points: [low, top, left], opacity: 0.98, light: -0.18 },
      )
      lines.push({ points: [left, low, right, top, left], widthMm: 0.6, light: -0.35, opacity: 0.7, edge: true })
    }
  }
  return { faces, lines }
}
