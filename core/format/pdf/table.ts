/** Tables on a page. */
import type { PDFFont } from 'pdf-lib'
import type { Block } from '../../deliver'
import { colour } from './drawings'
import {
  TICK,
  tickBox,
  INK,
  SOFT,
  RULE,
  SIZE,
  LEADING,
  margin,
  usable,
  room,
  wrapped,
  type Fonts,
  type Pages,
} from './page'

const CELL_PAD = 5

/** Columns as wide as their longest cells ask, the widest ones giving way when all together are wider than the page. */
function columnWidths(
  rows: readonly (readonly string[])[],
  numbers: readonly number[],
  width: number,
  { plain, bold }: Fonts,
): readonly number[] {
  const wanted = (rows[0] ?? []).map(
    (_, column) =>
      Math.max(...rows.map((row, at) => (at === 0 ? bold : plain).widthOfTextAtSize(row[column] ?? '', SIZE.text))) +
      2 * CELL_PAD,
  )
  const least = (rows[0] ?? []).map(
    (_, column) =>
      Math.max(
        ...rows.map((row) =>
          Math.max(...(row[column] ?? '').split(' ').map((word) => plain.widthOfTextAtSize(word, SIZE.text))),
        ),
      ) +
      2 * CELL_PAD,
  )
  const total = wanted.reduce((sum, each) => sum + each, 0)
  // Numbers stand close to what they count.
  if (total <= width)
    return wanted.map((each, at) =>
      numbers.includes(at) ? each : each + (width - total) / Math.max(1, wanted.length - numbers.length),
    )
  const base = least.reduce((sum, each) => sum + each, 0)
  const spare = Math.max(0, width - base)
  const over = wanted.map((each, at) => each - least[at]!)
  const all = over.reduce((sum, each) => sum + each, 0)
  return least.map((each, at) =>
    base > width ? (each * width) / base : each + (all > 0 ? (spare * over[at]!) / all : 0),
  )
}

/** Writes a table, its head again on each page. */
export function writeTable(pages: Pages, { head, rows, numbers, ticks }: Extract<Block, { kind: 'table' }>): void {
  const shift = ticks ? TICK + 6 : 0
  const widths = columnWidths([head, ...rows], numbers, usable(pages) - shift, pages.fonts)
  const starts = widths.map(
    (_, column) => margin + shift + widths.slice(0, column).reduce((sum, each) => sum + each, 0),
  )
  const writeRow = (row: readonly string[], font: PDFFont, ink: string, isHead: boolean): void => {
    const cells = row.map((cell, column) =>
      wrapped(cell, widths[column]! - 2 * CELL_PAD, isHead ? SIZE.small : SIZE.text, font),
    )
    const lines = Math.max(...cells.map((each) => each.length))
    const high = lines * SIZE.text * LEADING + 3
    if (!isHead) room(pages, high)
    const top = pages.y
    cells.forEach((cell, column) =>
      cell.forEach((line, at) => {
        const size = isHead ? SIZE.small : SIZE.text
        const x = numbers.includes(column)
          ? starts[column]! + widths[column]! - CELL_PAD - font.widthOfTextAtSize(line, size)
          : starts[column]! + CELL_PAD
        pages.page.drawText(line, { x, y: top - (at + 1) * SIZE.text * LEADING + 2, size, font, color: colour(ink) })
      }),
    )
    if (ticks && !isHead) tickBox(pages, margin, top - SIZE.text * LEADING + 1)
    pages.y -= high
    pages.page.drawLine({
      start: { x: margin, y: pages.y + 1 },
      end: { x: margin + usable(pages), y: pages.y + 1 },
      thickness: 0.5,
      color: colour(RULE),
    })
  }
  const writeHead = (): void => writeRow(head, pages.fonts.plain, SOFT, true)
  room(pages, 4 * SIZE.text * LEADING)
  writeHead()
  pages.head = writeHead
  for (const row of rows) writeRow(row, pages.fonts.plain, INK, false)
  pages.head = null
  pages.y -= 8
}
