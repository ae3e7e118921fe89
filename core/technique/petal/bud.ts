import type { Point3 } from '../../geometry'
import { between, seededStream } from '../../quantity'
import type { Mesh, MeshFace } from '../mesh'
import type { BloomFrame } from './bloom'

const ROWS = [0, 0.25, 0.55, 0.82, 1] as const
const CALYX_POINTS = 5

/** How far a closed bud reaches out at a share of its length. */
const girthAt = (up: number): number => Math.sin(Math.PI * (0.08 + 0.92 * up) ** 0.8) ** 0.8

/**
 * A closed bud standing up along its stem: petals wound round each other, tips a little open, a pointed calyx round
 * its foot.
 */
export function budMesh(
  {
    acrossMm,
    longMm,
    petals,
    calyx,
  }: { readonly acrossMm: number; readonly longMm: number; readonly petals: number; readonly calyx: string },
  seed: number,
  at: BloomFrame,
): Mesh {
  const stream = seededStream(seed)
  const [radius, turned, lean] = [acrossMm / 2, between(stream, 0, 6.28), between(stream, -0.16, 0.16)]
  const pointAt = (round: number, up: number, girth: number): Point3 =>
    at(girth * Math.sin(round) + lean * longMm * up, longMm * (up - 0.5), girth * Math.cos(round) + radius)
  const wound = Array.from({ length: petals }, (_, petal) => {
    const [from, span] = [turned + (petal / petals) * 2 * Math.PI, ((2 * Math.PI) / petals) * 1.35]
    const grown = 1 + 0.06 * petal
    const [shorter, light] = [between(stream, 0.9, 1), between(stream, -0.06, 0.08)]
    const columns = [0, 1 / 3, 2 / 3, 1]
    const points = ROWS.map((up) =>
      columns.map((side) =>
        pointAt(
          from + (side + 0.3 * up) * span,
          up * shorter,
          radius * grown * (up === 1 ? 0.16 + 0.2 * side : girthAt(up)),
        ),
      ),
    )
    const faces = ROWS.slice(1).flatMap((up, row): MeshFace[] =>
      columns.slice(1).map((_side, column) => ({
        points: [
          points[row]![column]!,
          points[row]![column + 1]!,
          points[row + 1]![column + 1]!,
          points[row + 1]![column]!,
        ],
        opacity: 0.97,
        light: light + 0.2 * up - 0.08,
      })),
    )
    return { faces, edge: points.map((row) => row[3]!) }
  })
  const sepals = Array.from({ length: CALYX_POINTS }, (_, sepal): MeshFace => {
    const round = turned + (sepal / CALYX_POINTS) * 2 * Math.PI
    const half = Math.PI / CALYX_POINTS
    return {
      points: [
        pointAt(round, -0.04, radius * 0.2),
        pointAt(round - half, 0.12, radius * 1.02),
        pointAt(round, 0.42 + between(stream, -0.06, 0.08), radius * 1.08),
        pointAt(round + half, 0.12, radius * 1.02),
      ],
      opacity: 0.98,
      light: between(stream, -0.1, 0.06),
      tint: calyx,
    }
  })
  return {
    faces: [...wound.flatMap(({ faces }) => faces), ...sepals],
    lines: [
      ...wound.map(({ edge }) => ({ points: edge, widthMm: 0.45, light: 0.36, opacity: 0.8, edge: true as const })),
      { points: [pointAt(0, 0, 0), pointAt(0, -0.35, 0)], widthMm: 1, light: -0.15, opacity: 1, tint: calyx },
    ],
  }
}
