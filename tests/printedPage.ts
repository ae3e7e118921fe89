/** Pages of a PDF as pixels, by a reader that knows nothing of ours, and what is measured on them. */
import { execFileSync } from 'node:child_process'
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

const DOTS_PER_INCH = 600
const MM_PER_DOT = 25.4 / DOTS_PER_INCH
const DARK = 128

export type PrintedPage = {
  readonly width: number
  readonly height: number
  readonly isDark: (x: number, y: number) => boolean
}

/** Every page of a PDF in black and white, 600 dots to the inch. */
export function printedPages(pdf: Buffer): readonly PrintedPage[] {
  const folder = mkdtempSync(join(tmpdir(), 'lamellon-pages-'))
  try {
    writeFileSync(join(folder, 'sheets.pdf'), pdf)
    execFileSync('pdftoppm', ['-r', String(DOTS_PER_INCH), '-gray', 'sheets.pdf', 'page'], { cwd: folder })
    return readdirSync(folder)
      .filter((name) => name.endsWith('.pgm'))
      .sort()
      .map((name) => pageOf(readFileSync(join(folder, name))))
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}

/** A greyscale page as pdftoppm writes it: a head of three lines, then a byte for each dot. */
function pageOf(bytes: Buffer): PrintedPage {
  const head = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(bytes.subarray(0, 60).toString('latin1'))!
  const [width, height] = [Number(head[1]), Number(head[2])]
  const start = head[0].length
  return { width, height, isDark: (x, y) => bytes[start + y * width + x]! < DARK }
}

type Run = { readonly y: number; readonly from: number; readonly to: number }

/** Dark dots without a gap along every row. */
function runsOf({ width, height, isDark }: PrintedPage): readonly Run[] {
  const runs: Run[] = []
  for (let y = 0; y < height; y += 1) {
    let from = 0
    for (let x = 0; x <= width; x += 1) {
      if (x < width && isDark(x, y)) continue
      if (x > from) runs.push({ y, from, to: x })
      from = x + 1
    }
  }
  return runs
}

/** Middles of the dark strokes that a row crosses, in dots. */
function strokesAlong({ isDark }: PrintedPage, { y, from, to }: Run): readonly number[] {
  const middles: number[] = []
  let began = -1
  for (let x = from; x <= to; x += 1) {
    if (x < to && isDark(x, y)) {
      if (began < 0) began = x
    } else if (began >= 0) {
      middles.push((began + x - 1) / 2)
      began = -1
    }
  }
  return middles
}

/** Half a millimetre more or less than a ruler of 100: a print that is out by more is no ruler at all. */
const isAboutRuler = ({ from, to }: Run): boolean => Math.abs((to - from) * MM_PER_DOT - 100) < 0.6
/** Above its line, where only the ticks of whole centimetres reach. */
const ABOVE_MM = 3

/** Where the ticks of whole centimetres of the ruler are, mm from its first; none when the page has no whole ruler. */
export function rulerTicksMm(page: PrintedPage): readonly number[] {
  for (const { y, from, to } of runsOf(page).filter(isAboutRuler)) {
    const marks = strokesAlong(page, { y: y - Math.round(ABOVE_MM / MM_PER_DOT), from: from - 5, to: to + 5 })
    if (marks.length === 11) return marks.map((each) => (each - marks[0]!) * MM_PER_DOT)
  }
  return []
}
