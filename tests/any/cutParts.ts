/** Parts to be cut from an A4, and what is said of how they were laid. */
import { faultsOf, nestJobOf, type CutLayout, type CutPart } from '../../core/cut'
import type { Outline } from '../../core/geometry'

/** One sheet at a time, strips flat. */
export const FLAT = { plies: 1, layers: 1 }
export const A4 = { kind: 'rect', widthMm: 210, heightMm: 297 } as const
/** A part of one outline, so many times. */
export const part = (id: string, outline: Outline, quantity: number): CutPart => ({
  id,
  decoration: 'd',
  name: id,
  colour: '#ffffff',
  outline,
  holes: [],
  quantity,
  mirror: false,
  members: [],
})

/** What the checker of nesting says of a layout made otherwise: parts counted once for each ply. */
export function faultsIn({ sheets }: CutLayout, parts: readonly CutPart[], gapMm: number): readonly string[] {
  const { job } = nestJobOf('check', parts, [A4], 0, gapMm)
  const placements = sheets.flatMap(({ pieces }, sheetIndex) =>
    pieces.map(({ part: { id }, x, y, rotationDeg, mirrored }) => ({
      part: id,
      sheetIndex,
      sheetId: '210x297',
      x,
      y,
      rotationDeg,
      mirrored,
    })),
  )
  return faultsOf(job!, { placements })
    .map(({ code }) => code)
    .filter((code) => code !== 'quantity')
}

/** How many pieces of a part lie on all sheets, those that lie on one another too. */
export const counted = ({ sheets }: CutLayout, id: string): number =>
  sheets.reduce((sum, { plies, pieces }) => sum + plies * pieces.filter((piece) => piece.part.id === id).length, 0)
