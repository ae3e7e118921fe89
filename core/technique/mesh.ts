import type { Point3 } from '../geometry'

/**
 * An element as the stand draws it: thin faces, lines for edges and folds, round beads. `light` lightens above 0 and
 * darkens below; `tint` stands in for the element's colour.
 * `edge` marks lines that run along a cut edge, which can be gilded; `printed` lines lie on their face as ink does,
 * however far it reaches away.
 */
export type MeshFace = {
  readonly points: readonly Point3[]
  readonly opacity: number
  readonly light: number
  readonly tint?: string
}
export type MeshLine = {
  readonly points: readonly Point3[]
  readonly widthMm: number
  readonly light: number
  readonly opacity: number
  readonly edge?: true
  readonly printed?: true
  readonly tint?: string
}
export type MeshBead = { readonly at: Point3; readonly radiusMm: number; readonly tint: string; readonly shine: number }
export type Mesh = {
  readonly faces: readonly MeshFace[]
  readonly lines: readonly MeshLine[]
  readonly beads?: readonly MeshBead[]
}
