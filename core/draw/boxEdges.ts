import type { Point, Point3 } from '../geometry'
import { viewAt, type Viewpoint } from './viewpoint'

export type BoxEdge = {
  readonly id: string
  readonly from: Point
  readonly to: Point
  /** Whether it lies behind what is in the box. */
  readonly isBehind: boolean
}

/** Corners by their bits: right, back, up. An edge joins two that differ in one of them. */
const CORNERS = [0, 1, 2, 3, 4, 5, 6, 7] as const
const DIRECTIONS = [1, 2, 4] as const

/** The edges of the box that the cake travels in, as they are seen, y up. @param footMm height of its floor */
export function boxEdges(
  { widthMm, depthMm, heightMm }: { readonly widthMm: number; readonly depthMm: number; readonly heightMm: number },
  footMm: number,
  look: Viewpoint,
): readonly BoxEdge[] {
  const at = (corner: number): Point3 => [
    (corner & 1 ? 1 : -1) * (widthMm / 2),
    (corner & 2 ? 1 : -1) * (depthMm / 2),
    footMm + (corner & 4 ? heightMm : 0),
  ]
  const view = viewAt(look)
  const seen = CORNERS.map((corner) => view(at(corner)))
  const farthest = CORNERS.reduce<number>((far, corner) => (seen[corner]!.near < seen[far]!.near ? corner : far), 0)
  return CORNERS.flatMap((from) =>
    DIRECTIONS.filter((bit) => (from & bit) === 0).map((bit) => ({
      id: `${from}-${from | bit}`,
      from: seen[from]!,
      to: seen[from | bit]!,
      isBehind: from === farthest || (from | bit) === farthest,
    })),
  )
}
