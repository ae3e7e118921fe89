import { cornersAlong, type Outline, type Point } from '../geometry'
import { shapeBox, type StockShape } from '../material'
import type { Sector } from '../technique'

/** A flat piece to be cut, so many times: of one outline, colour and decoration. */
export type CutPart = {
  readonly id: string
  readonly decoration: string
  readonly name: string
  readonly colour: string
  readonly outline: Outline
  readonly holes: readonly Outline[]
  readonly quantity: number
  /** May be turned over: both faces are alike. */
  readonly mirror: boolean
  /** Indexes of the elements that such pieces make. */
  readonly members: readonly number[]
  /** Cut or torn along a ruler, edge to edge. */
  readonly edge?: 'ruler' | 'torn' | undefined
  /** The portion of a disc it is, when it is one. */
  readonly sector?: Sector | undefined
}

/**
 * Where a piece lies: mirrored, turned about its own origin, then moved, mm from the sheet's lower left. `number` is
 * its own on the whole job. Pieces of one `bundle` lie on one another in a folded strip and are cut out at once; one that
 * is `freed` is done once the straight cuts of its sheet are.
 */
export type CutPiece = {
  readonly part: CutPart
  readonly number: number
  readonly x: number
  readonly y: number
  readonly rotationDeg: number
  readonly mirrored: boolean
  readonly bundle?: number | undefined
  readonly freed?: boolean | undefined
}

/** A straight cut across a sheet before pieces are cut out, mm. */
export type StraightCut = { readonly from: Point; readonly to: Point }

/** A sheet as it is cut; `plies` of the same lie on one another. */
export type CutSheet = {
  /** What is bought to cut it from. */
  readonly shape: StockShape
  readonly plies: number
  readonly pieces: readonly CutPiece[]
  readonly cuts: readonly StraightCut[]
  /** The remnant it is, when it is no whole sheet: its outline from the corner of its own box. */
  readonly remnant?: { readonly id: string; readonly name: string; readonly outline: Outline } | undefined
}

/** Sheets of stacks, all that lie on one another. */
export const sheetsIn = (stacks: readonly Pick<CutSheet, 'plies'>[]): number =>
  stacks.reduce((sum, { plies }) => sum + plies, 0)

/** A size of sheet to lay on. */
export type SheetSize = { readonly widthMm: number; readonly heightMm: number }

/** The size of a sheet: the box round it. */
export function sizeOf({ remnant, shape }: Pick<CutSheet, 'remnant' | 'shape'>): SheetSize {
  return remnant ? boxOf(cornersAlong(remnant.outline, CHORD_MM)) : shapeBox(shape)
}

/** A part that lies on no sheet, and why. */
/** A part that lies on no sheet: why, and whether a larger sheet would take it. */
export type LeftOut = { readonly part: CutPart; readonly why: string; readonly wantsLarger: boolean }

export type CutLayout = { readonly sheets: readonly CutSheet[]; readonly leftOut: readonly LeftOut[] }

/** The width and height of an outline where it lies, and its lower left corner. */
export function boxOf(corners: readonly Point[]): {
  readonly x: number
  readonly y: number
  readonly widthMm: number
  readonly heightMm: number
} {
  const [xs, ys] = [corners.map(({ x }) => x), corners.map(({ y }) => y)]
  const [x, y] = [Math.min(...xs), Math.min(...ys)]
  return { x, y, widthMm: Math.max(...xs) - x, heightMm: Math.max(...ys) - y }
}

/** Curves are laid out as chords this near to them, mm. */
export const CHORD_MM = 0.01
