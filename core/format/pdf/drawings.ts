import fontkit from '@pdf-lib/fontkit'
import { PDFDocument, rgb, type PDFFont, type PDFPage } from 'pdf-lib'
import { flipMove } from '../../geometry'
import type { Picture, Shape } from '../../draw'
import { pathData } from '../svg'

/** Paper a printer takes, mm, upright. */
export const PRINT_PAPERS = {
  A4: { widthMm: 210, heightMm: 297 },
  A3: { widthMm: 297, heightMm: 420 },
  letter: { widthMm: 215.9, heightMm: 279.4 },
} as const
export type PrintPaper = keyof typeof PRINT_PAPERS

export const POINTS_PER_MM = 72 / 25.4
const MARGIN_MM = 8
const OVERLAP_MM = 10

/** Where on a picture a page begins, mm from its lower left; which page of how many. */
export type Tile = {
  readonly xMm: number
  readonly yMm: number
  readonly column: number
  readonly row: number
  readonly columns: number
  readonly rows: number
}

/** The pages a picture takes at true size: as few as cover it, overlapping so that they can be joined. */
export function tilesFor(
  { widthMm, heightMm }: Pick<Picture, 'widthMm' | 'heightMm'>,
  paper: PrintPaper,
): readonly Tile[] {
  const usableWidth = PRINT_PAPERS[paper].widthMm - 2 * MARGIN_MM
  const usableHeight = PRINT_PAPERS[paper].heightMm - 2 * MARGIN_MM
  const across = (size: number, usable: number): number =>
    size <= usable ? 1 : 1 + Math.ceil((size - usable) / (usable - OVERLAP_MM))
  const columns = across(widthMm, usableWidth)
  const rows = across(heightMm, usableHeight)
  return Array.from({ length: columns * rows }, (_, at) => {
    const [column, row] = [at % columns, Math.floor(at / columns)]
    return {
      column,
      row,
      columns,
      rows,
      xMm: column * (usableWidth - OVERLAP_MM),
      yMm: heightMm - usableHeight - row * (usableHeight - OVERLAP_MM),
    }
  })
}

export const colour = (hex: string) => {
  const [r, g, b] = [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16) / 255) as [number, number, number]
  return rgb(r, g, b)
}

/**
 * One shape of a picture whose lower left corner lies there on the page, mm; `scale` makes the whole picture smaller.
 */
export function drawShape(
  page: PDFPage,
  shape: Shape,
  leftMm: number,
  footMm: number,
  fonts: { readonly plain: PDFFont; readonly bold: PDFFont },
  scale = 1,
): void {
  const points = POINTS_PER_MM * scale
  const [left, foot] = [leftMm / scale, footMm / scale]
  if (shape.kind === 'label') {
    const font = shape.bold ? fonts.bold : fonts.plain
    const size = shape.sizeMm * points
    const width = font.widthOfTextAtSize(shape.text, size)
    const shift = { start: 0, middle: width / 2, end: width }[shape.anchor]
    page.drawText(shape.text, {
      x: (shape.at.x + left) * points - shift,
      y: (shape.at.y + foot) * points - size * 0.35,
      size,
      font,
      color: colour(shape.colour),
    })
    return
  }
  page.drawSvgPath(pathData(flipMove(shape.outline, left, -foot)), {
    x: 0,
    y: 0,
    scale: points,
    ...(typeof shape.fill === 'string' ? { color: colour(shape.fill), opacity: shape.fillOpacity ?? 1 } : {}),
    ...(shape.stroke
      ? {
          borderColor: colour(shape.stroke),
          borderWidth: shape.strokeMm ?? 0.3,
          borderOpacity: shape.strokeOpacity ?? 1,
          ...(shape.dash ? { borderDashArray: [...shape.dash] } : {}),
        }
      : {}),
  })
}

/** Crosses at the corners of what two pages share, to lay them one on the other. */
function joiningMarks(page: PDFPage, { column, row, columns, rows }: Tile, paper: PrintPaper): void {
  if (columns * rows === 1) return
  const { widthMm, heightMm } = PRINT_PAPERS[paper]
  const xs = [
    column > 0 ? MARGIN_MM + OVERLAP_MM / 2 : null,
    column < columns - 1 ? widthMm - MARGIN_MM - OVERLAP_MM / 2 : null,
  ].filter((x) => x !== null)
  const ys = [
    row > 0 ? heightMm - MARGIN_MM - OVERLAP_MM / 2 : null,
    row < rows - 1 ? MARGIN_MM + OVERLAP_MM / 2 : null,
  ].filter((y) => y !== null)
  const cross = (x: number, y: number): void => {
    const line = (x1: number, y1: number, x2: number, y2: number): void =>
      page.drawLine({
        start: { x: x1 * POINTS_PER_MM, y: y1 * POINTS_PER_MM },
        end: { x: x2 * POINTS_PER_MM, y: y2 * POINTS_PER_MM },
        thickness: 0.6,
        color: colour('#2a1c2c'),
      })
    line(x - 4, y, x + 4, y)
    line(x, y - 4, x, y + 4)
  }
  for (const x of xs) [0.25, 0.75].forEach((share) => cross(x, heightMm * share))
  for (const y of ys) [0.25, 0.75].forEach((share) => cross(widthMm * share, y))
}

/**
 * Pictures at true size on a printer's paper, spread over several pages with joining marks when larger.
 * @param fonts static font files, so that any name prints
 */
export async function writePdf(
  pictures: readonly Picture[],
  title: string,
  paper: PrintPaper,
  fonts: { readonly plain: Uint8Array; readonly bold: Uint8Array },
): Promise<Uint8Array> {
  const document = await PDFDocument.create()
  document.registerFontkit(fontkit)
  document.setTitle(title)
  const embedded = {
    plain: await document.embedFont(fonts.plain, { subset: true }),
    bold: await document.embedFont(fonts.bold, { subset: true }),
  }
  const { widthMm, heightMm } = PRINT_PAPERS[paper]
  for (const picture of pictures) {
    const tiles = tilesFor(picture, paper)
    for (const tile of tiles) {
      const page = document.addPage([widthMm * POINTS_PER_MM, heightMm * POINTS_PER_MM])
      picture.shapes.forEach((shape) => drawShape(page, shape, MARGIN_MM - tile.xMm, MARGIN_MM - tile.yMm, embedded))
      joiningMarks(page, tile, paper)
      if (tiles.length > 1)
        page.drawText(
          `${title}: page ${tile.column + 1} of ${tile.columns} across, ${tile.row + 1} of ${tile.rows} down`,
          { x: MARGIN_MM * POINTS_PER_MM, y: 10, size: 8, font: embedded.plain, color: colour('#2a1c2c') },
        )
    }
  }
  return document.save()
}
