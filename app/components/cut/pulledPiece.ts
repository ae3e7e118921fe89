/** Pieces that are pulled about on the drawing of a sheet. */
import type { SheetSize } from '#core/cut'
import type { Point } from '#core/geometry'

/** Air round a drawn sheet, mm. */
export const AIR_MM = 1

/**
 * Where a piece lies, mm, y up, after it went so far, px, y down.
 * @param widthPx how wide the sheet is drawn, with its air
 */
export function movedOnSheet({ x, y }: Point, went: Point, { widthMm }: SheetSize, widthPx: number): Point {
  const mmPerPx = widthPx > 0 ? (widthMm + 2 * AIR_MM) / widthPx : 0
  return { x: x + went.x * mmPerPx, y: y - went.y * mmPerPx }
}
