/**
 * Papers as pages to print: text that flows, tables whose heads are repeated, pictures made to fit, boxes to tick,
 * lines to sign on.
 */
import fontkit from '@pdf-lib/fontkit'
import { PDFDocument } from 'pdf-lib'
import type { Block, Paper } from '../deliver'
import { colour, drawShape, POINTS_PER_MM, PRINT_PAPERS, type PrintPaper } from './pdf/drawings'
import { INK, SOFT, SIZE, LEADING, margin, usable, room, write, type Fonts, type Pages } from './pdf/page'
import { writeTable } from './pdf/table'

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
