import type { Picture } from '#core/draw'
import type { PrintPaper } from '#core/format/pdf/drawings'
import { download, fileNameFor } from './download'

/** Pictures as an SVG at true size, saved under a name made from the commission's. */
export async function saveSheetsAsSvg(
  sheets: readonly Picture[],
  title: string,
  name: string,
  ending: string,
): Promise<void> {
  const { writeSvg } = await import('#core/format/svg')
  download(writeSvg(sheets, title), fileNameFor(name, `${ending}.svg`), 'image/svg+xml')
}

/** Pictures as a PDF at true size, tiled where larger than the paper. */
export async function saveSheetsAsPdf(
  sheets: readonly Picture[],
  title: string,
  paper: PrintPaper,
  name: string,
  ending: string,
): Promise<void> {
  const [{ writePdf }, { pdfFonts }] = await Promise.all([import('#core/format/pdf/drawings'), import('./pdfFonts')])
  download(
    await writePdf(sheets, title, paper, await pdfFonts()),
    fileNameFor(name, `${ending}.pdf`),
    'application/pdf',
  )
}
