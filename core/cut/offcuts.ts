/** What is left of sheets: straight pieces worth keeping, and the rest by weight. */
import { cornersAlong, laidOut, outlineAreaMm2 } from '../geometry'
import { shapeDm2 } from '../material'
import { boxOf, CHORD_MM, sizeOf, type CutSheet } from './sheet'

/** A rectangle that one straight cut takes off a sheet, mm from its lower left. */
export type Remainder = { readonly x: number; readonly y: number; readonly widthMm: number; readonly heightMm: number }

/** Smaller ones are torn up for glue. */
const LEAST_SIDE_MM = 40
const LEAST_AREA_MM2 = 6000

const MM2_PER_DM2 = 10_000

/**
 * The larger of what lies above all pieces and what lies to their right; none when it is too small to be of use. A
 * remnant is used up.
 */
export function remainderOf(sheet: CutSheet, gapMm: number): Remainder | null {
  const { pieces, remnant, shape } = sheet
  if (pieces.length === 0 || remnant || shape.kind === 'disc') return null
  const { widthMm, heightMm } = sizeOf(sheet)
  const boxes = pieces.map((piece) => boxOf(cornersAlong(laidOut(piece.part.outline, piece), CHORD_MM * 40)))
  const top = Math.max(...boxes.map((box) => box.y + box.heightMm)) + gapMm
  const right = Math.max(...boxes.map((box) => box.x + box.widthMm)) + gapMm
  const above: Remainder = { x: 0, y: top, widthMm, heightMm: heightMm - top }
  const beside: Remainder = { x: right, y: 0, widthMm: widthMm - right, heightMm }
  const best = above.widthMm * above.heightMm >= beside.widthMm * beside.heightMm ? above : beside
  return Math.min(best.widthMm, best.heightMm) >= LEAST_SIDE_MM && best.widthMm * best.heightMm >= LEAST_AREA_MM2
    ? best
    : null
}

/** Paper of a sheet, dm²: all of a whole one, what there is of a remnant. */
export const paperDm2 = ({ remnant, shape }: CutSheet): number =>
  remnant ? Math.abs(outlineAreaMm2(remnant.outline)) / MM2_PER_DM2 : shapeDm2(shape)

/** Paper that becomes neither pieces nor a remainder, dm², of one ply. */
export function offcutDm2(sheet: CutSheet, gapMm: number): number {
  const kept = remainderOf(sheet, gapMm)
  const pieces = sheet.pieces.reduce(
    (sum, { part: { outline, holes } }) =>
      sum + Math.abs(outlineAreaMm2(outline)) - holes.reduce((all, hole) => all + Math.abs(outlineAreaMm2(hole)), 0),
    0,
  )
  return Math.max(0, paperDm2(sheet) - pieces / MM2_PER_DM2 - (kept ? (kept.widthMm * kept.heightMm) / MM2_PER_DM2 : 0))
}
