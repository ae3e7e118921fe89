/**
 * Papers as pages to print: text that flows, tables whose heads are repeated, pictures made to fit, boxes to tick,
 * lines to sign on.
 */
import fontkit from '@pdf-lib/fontkit'
import { PDFDocument, type PDFFont, type PDFPage } from 'pdf-lib'
import type { Block, Paper } from '../deliver'
import { colour, drawShape, POINTS_PER_MM, PRINT_PAPERS, type PrintPaper } from './pdf'

const MARGIN_MM = 17
const INK = '#2a1c2c'
const SOFT = '#65545f'
const RULE = '#dccfbd'
const SIZE = { title: 20, heading: 12.5, text: 9.6, small: 8 } as const
const LEADING = 1.36
const CELL_PAD = 5
const TICK = 8

type Fonts = { readonly plain: PDFFont; readonly bold: PDFFont }
type Pages = {
  readonly document: PDFDocument
  readonly fonts: Fonts
  readonly width: number
  readonly height: number
  page: PDFPage
  y: number
  head: (() => void) | null
}

const margin = MARGIN_MM * POINTS_PER_MM
const usable = ({ width }: Pages): number => width - 2 * margin

function turnPage(pages: Pages): void {
  pages.page = pages.document.addPage([pages.width, pages.height])
  pages.y = pages.height - margin
  pages.head?.()
}

/** Makes room for something so high, on the next page if it must. */
function room(pages: Pages, points: number): void {
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

function write(
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

const tickBox = (pages: Pages, x: number, y: number): void =>
  pages.page.drawRectangle({ x, y, width: TICK, height: TICK, borderWidth: 0.9, borderColor: colour(SOFT) })

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

function writeTable(pages: Pages, { head, rows, numbers, ticks }: Extract<Block, { kind: 'table' }>): void {
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

/** Pictures side by side, as large as half the page allows. */
function writePictures(pages: Pages, { pictures }: Extract<Block, { kind: 'pictures' }>): void {
  const gap = 12
  const each = (usable(pages) - gap * (pictures.length - 1)) / pictures.length
  const scale = Math.min(
    ...pictures.map(({ picture }) =>
      Math.min(each / (picture.widthMm * POINTS_PER_MM), (pages.height * 0.5) / (picture.heightMm * POINTS_PER_MM)),
    ),
  )
  const high = Math.max(...pictures.map(({ picture }) => picture.heightMm)) * POINTS_PER_MM * scale
  room(pages, high + SIZE.small * 2)
  pages.y -= high
  pictures.forEach(({ picture }, at) => {
    const left = margin + at * (each + gap) + (each - picture.widthMm * POINTS_PER_MM * scale) / 2
    for (const shape of picture.shapes)
      drawShape(pages.page, shape, left / POINTS_PER_MM, pages.y / POINTS_PER_MM, pages.fonts, scale)
  })
  pages.y -= 10
}

async function writePhotos(pages: Pages, { photos }: Extract<Block, { kind: 'photos' }>): Promise<void> {
  const width = (usable(pages) - 12) / 2
  for (const [at, photo] of photos.entries()) {
    if (photo.dataUrl.startsWith('data:image/webp')) continue
    const image = photo.dataUrl.startsWith('data:image/png')
      ? await pages.document.embedPng(photo.dataUrl)
      : await pages.document.embedJpg(photo.dataUrl)
    const high = (width * photo.heightPx) / photo.widthPx
    if (at % 2 === 0) {
      room(pages, high + 8)
      pages.y -= high + 8
    }
    pages.page.drawImage(image, { x: margin + (at % 2) * (width + 12), y: pages.y, width, height: high })
  }
  pages.y -= 8
}

async function writeBlock(pages: Pages, block: Block): Promise<void> {
  switch (block.kind) {
    case 'heading':
      room(pages, SIZE.heading * 4)
      pages.y -= 5
      write(pages, block.text, { size: SIZE.heading, bold: true, after: 2 })
      return
    case 'lines':
      for (const line of block.lines) {
        room(pages, SIZE.text * LEADING)
        pages.page.drawText('•', {
          x: margin,
          y: pages.y - SIZE.text * LEADING,
          size: SIZE.text,
          font: pages.fonts.plain,
          color: colour(SOFT),
        })
        write(pages, line, { size: SIZE.text, left: 11, after: 1.5 })
      }
      pages.y -= 5
      return
    case 'note':
      write(pages, block.text, { size: SIZE.text, bold: true, after: 6 })
      return
    case 'table':
      writeTable(pages, block)
      return
    case 'pictures':
      writePictures(pages, block)
      return
    case 'photos':
      await writePhotos(pages, block)
      return
    case 'signature':
      for (const line of block.lines) {
        room(pages, 46)
        pages.y -= 40
        pages.page.drawLine({
          start: { x: margin, y: pages.y },
          end: { x: margin + usable(pages) * 0.6, y: pages.y },
          thickness: 0.8,
          color: colour(INK),
        })
        pages.y -= 2
        write(pages, line, { size: SIZE.small, ink: SOFT })
      }
  }
}

/**
 * Papers one after the other, each on a page of its own, numbered over all.
 * @param fonts static font files, so that any name prints
 */
export async function writePapersPdf(
  papers: readonly Paper[],
  title: string,
  size: PrintPaper,
  fonts: { readonly plain: Uint8Array; readonly bold: Uint8Array },
): Promise<Uint8Array> {
  const document = await PDFDocument.create()
  document.registerFontkit(fontkit)
  document.setTitle(title)
  const embedded: Fonts = {
    plain: await document.embedFont(fonts.plain, { subset: true }),
    bold: await document.embedFont(fonts.bold, { subset: true }),
  }
  const { widthMm, heightMm } = PRINT_PAPERS[size]
  const [width, height] = [widthMm * POINTS_PER_MM, heightMm * POINTS_PER_MM]
  for (const paper of papers) {
    const pages: Pages = {
      document,
      fonts: embedded,
      width,
      height,
      page: document.addPage([width, height]),
      y: height - margin,
      head: null,
    }
    write(pages, paper.title, { size: SIZE.title, bold: true })
    write(pages, paper.under, { size: SIZE.text, ink: SOFT, after: 9 })
    for (const block of paper.blocks) await writeBlock(pages, block)
  }
  document.getPages().forEach((page, at, all) =>
    page.drawText(`${title}, page ${at + 1} of ${all.length}`, {
      x: margin,
      y: margin / 2,
      size: SIZE.small,
      font: embedded.plain,
      color: colour(SOFT),
    }),
  )
  return document.save()
}
