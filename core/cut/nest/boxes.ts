/** Rectangles on rectangular sheets: rows where they fill rows, and a skyline filled from below where they do not. */
import type { Lying } from './crowd'
import { without, type LaidSheet, type Remaining } from './firstLayout'
import { fillRows } from './rows'
import type { Stock } from './stock'
import { anyTaste, fillSkyline } from './skyline'
import { SAME_MM, isSame, waysOf, lie, type Box } from './box'

/** Whether all pieces of a job are rectangles that lie square, and all sheets are rectangles. */
export const areBoxes = (all: Remaining, stocks: readonly Stock[]): boolean =>
  all.every(({ shape }) => shape.box !== null && waysOf(shape).length > 0) &&
  stocks.every(({ room }) => room.kind === 'rect' && room.obstacles.length === 0)

/** All boxes, sheet after sheet; on each the fullest of some fillings. */
export function layBoxes(
  all: Remaining,
  stock: Stock,
  gapMm: number,
  stream: () => number,
  tries: number,
): readonly LaidSheet[] | null {
  const sheets: LaidSheet[] = []
  let left = all
  while (left.length > 0) {
    if (sheets.length >= stock.count) return null
    const pieces = fullest(left, stock, gapMm, stream, tries)
    if (pieces.length === 0) return null
    sheets.push({ stock, pieces })
    left = without(left, pieces)
  }
  return sheets
}

export function fullest(
  remaining: Remaining,
  { room }: Stock,
  gapMm: number,
  stream: () => number,
  tries: number,
): readonly Lying[] {
  const all = remaining.reduce((sum, { count }) => sum + count, 0)
  let best: { readonly pieces: readonly Lying[]; readonly worth: number } | null = null
  for (let attempt = 0; attempt < tries; attempt += 1) {
    const pieces = fillSkyline(room, remaining, gapMm, anyTaste(stream), stream)
    const height =
      pieces.length === all
        ? Math.max(
            ...pieces.map(
              ({ y, turn, shape: { box } }) => y + (isSame(Math.abs(Math.sin(turn)), 1) ? box![0] : box![1]) / 2,
            ),
          )
        : 0
    const worth = pieces.reduce((sum, { shape }) => sum + shape.areaMm2, 0) - height * 1e-3
    if (!best || worth > best.worth) best = { pieces, worth }
  }
  return best?.pieces ?? []
}

/**
 * Strips cut in rows across (or along) the sheet: those of one height share rows, rows share sheets; both are filled
 * as bars are.
 * @returns none when some rectangle cannot lie that way
 */
export function layRows(
  all: Remaining,
  stock: Stock,
  gapMm: number,
  along: 'x' | 'y',
  stream: () => number,
): readonly LaidSheet[] | null {
  const { room } = stock
  const [across, up] = [room.right - room.left + gapMm, room.high - room.low + gapMm]
  const [rowCapacity, sheetCapacity] = along === 'x' ? [across, up] : [up, across]
  const classes = new Map<number, Box[]>()
  for (const { shape, count } of all) {
    const lengthOf = ({ widthMm, heightMm }: Box): number => (along === 'x' ? widthMm : heightMm)
    const way = [...waysOf(shape)]
      .sort((one, other) => lengthOf(other) - lengthOf(one))
      .find((box) => lengthOf(box) + gapMm <= rowCapacity + SAME_MM)
    if (!way) return null
    const thick = Math.round((along === 'x' ? way.heightMm : way.widthMm) * 1000)
    const alike = classes.get(thick) ?? []
    for (let each = 0; each < count; each += 1) alike.push(way)
    classes.set(thick, alike)
  }
  const rows = [...classes].flatMap(([thick, boxes]) =>
    fillRows(
      boxes.map(({ widthMm, heightMm }) => (along === 'x' ? widthMm : heightMm) + gapMm),
      rowCapacity,
      stream,
      3000,
    ).map((row) => ({ thickMm: thick / 1000, boxes: row.map((at) => boxes[at]!) })),
  )
  const onSheets = fillRows(
    rows.map(({ thickMm }) => thickMm + gapMm),
    sheetCapacity,
    stream,
    1000,
  )
  if (onSheets.length > stock.count) return null
  return onSheets.map((indexes): LaidSheet => {
    const pieces: Lying[] = []
    let thickAt = 0
    for (const { thickMm, boxes } of indexes.map((at) => rows[at]!)) {
      let lengthAt = 0
      for (const box of boxes) {
        pieces.push(
          along === 'x'
            ? lie(box, room.left + lengthAt, room.low + thickAt)
            : lie(box, room.left + thickAt, room.low + lengthAt),
        )
        lengthAt += (along === 'x' ? box.widthMm : box.heightMm) + gapMm
      }
      thickAt += thickMm + gapMm
    }
    return { stock, pieces }
  })
}
