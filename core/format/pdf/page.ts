/** Pages of a paper: where the pen stands, when a page turns, words written and broken. */
import type { PDFDocument } from 'pdf-lib'
import type { PDFFont, PDFPage } from 'pdf-lib'
import { colour, POINTS_PER_MM } from './drawings'

const MARGIN_MM = 17
export const INK = '#2a1c2c'
export const SOFT = '#65545f'
export const RULE = '#dccfbd'
export const SIZE = { title: 20, heading: 12.5, text: 9.6, small: 8 } as const
export const LEADING = 1.36

export type Fonts = { readonly plain: PDFFont; readonly bold: PDFFont }
export type Pages = {
  readonly document: PDFDocument
  readonly fonts: Fonts
  readonly width: number
  readonly height: number
  page: PDFPage
  y: number
  head: (() => void) | null
}

export const margin = MARGIN_MM * POINTS_PER_MM
export const usable = ({ width }: Pages): number => width - 2 * margin

function turnPage(pages: Pages): void {
  pages.page = pages.document.addPage([pages.width, pages.height])
  pages.y = pages.height - margin
  pages.head?.()
}

/** Makes room for something so high, on the next page if it must. */
export function room(pages: Pages, points: number): void {
  if (pages.y - points < margin + SIZE.small * 2) turnPage(pages)
}

/** Words of a text as lines no wider than asked; a word that is wider by itself is broken. */
export function wrapped(
  text: string,
  width: number,
  size: number,
  font: Pick<PDFFont, 'widthOfTextAtSize'>,
): readonly string[] {
  const fits = (line: string): boolean => font.widthOfTextAtSize(line, size) <= width
  const lines: string[] = []
  let line = ''
  for (const word of text.split(/\s+/).filter((each) => each !== '')) {
    const together = line === '' ? word : `${line} ${word}`
    if (fits(together)) {
      line = together
      continue
    }
    if (line !== '') lines.push(line)
    line = word
    while (!fits(line) && line.length > 1) {
      let end = line.length - 1
      while (end > 1 && !fits(line.slice(0, end))) end -= 1
      lines.push(line.slice(0, end))
      line = line.slice(end)
    }
  }
  return line === '' && lines.length > 0 ? lines : [...lines, line]
}

/** Writes words from the pen on, broken to the width; turns the page where they end it. */
export function write(
  pages: Pages,
  text: string,
  {
    size,
    bold = false,
    ink = INK,
    left = 0,
    after = 0,
  }: {
    readonly size: number
    readonly bold?: boolean
    readonly ink?: string
    readonly left?: number
    readonly after?: number
  },
): void {
  const font = bold ? pages.fonts.bold : pages.fonts.plain
  for (const line of wrapped(text, usable(pages) - left, size, font)) {
    room(pages, size * LEADING)
    pages.y -= size * LEADING
    pages.page.drawText(line, { x: margin + left, y: pages.y, size, font, color: colour(ink) })
  }
  pages.y -= after
}

export const TICK = 8

export const tickBox = (pages: Pages, x: number, y: number): void =>
  pages.page.drawRectangle({ x, y, width: TICK, height: TICK, borderWidth: 0.9, borderColor: colour(SOFT) })
