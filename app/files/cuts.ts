import type { CutSheet, SheetSize } from '#core/cut'
import { download, fileNameFor } from './download'

/** How far a knife goes on over the start of a line, mm. */
const OVERCUT_MM = 1

/** Sheets as a DXF drawing at true size. */
export async function saveDrawing(
  sheets: readonly CutSheet[],
  size: SheetSize,
  name: string,
  ending: string,
): Promise<void> {
  const { writeDxf } = await import('#core/format/cuts')
  download(writeDxf(sheets, size), fileNameFor(name, `${ending}.dxf`), 'image/vnd.dxf')
}

/** One sheet as a plotter's file, lines in the order of cutting. */
export async function savePlotter(sheet: CutSheet, name: string, number: number): Promise<void> {
  const { writePlotter } = await import('#core/format/cuts')
  download(writePlotter(sheet, OVERCUT_MM), fileNameFor(name, `-sheet-${number}.plt`), 'application/vnd.hp-hpgl')
}
