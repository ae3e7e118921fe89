import { ok, refuse, seededStream, seedFor, type Result } from '../../quantity'
import { cosSin, type Lying } from './crowd'
import { areaOf, finenessFor, firstLayout, type LaidSheet } from './firstLayout'
import { compress, exchange, insert, usedShare } from './improve'
import type { JobProblem, NestJob, NestLayout } from './job'
import { shapesOf } from './shape'
import { stocksOf } from './stock'

/** A search that has a complete layout at any time, and a better one later. */
export type Nesting = {
  /** The best layout so far. */
  readonly layout: () => NestLayout
  /** Sheets, and paper they take: whole ones, and the used part of the emptiest. */
  readonly measure: () => NestMeasure
  /** Tries one thing to improve it; a few tens of milliseconds at most. @returns whether it helped */
  readonly step: () => boolean
}

export type NestMeasure = { readonly sheets: number, readonly paperMm2: number, readonly piecesMm2: number }

const never = (): boolean => false

/**
 * Starts a search. The same job, seed and number of steps give the same layout.
 * @param stop asked now and then; a step that is stopped changes nothing
 */
export function startNesting(job: NestJob, seed: number, stop: () => boolean = never): Result<Nesting, JobProblem> {
  const shapes = shapesOf(job)
  const stocks = stocksOf(job)
  const all = shapes.map((shape) => ({ shape, count: job.parts[shape.part]!.quantity })).sort((one, other) => other.shape.areaMm2 - one.shape.areaMm2)
  const first = firstLayout(all, stocks, finenessFor(shapes), job.gap)
  if (first.left.length > 0) return refuse({ code: 'too-few-sheets', part: job.parts[first.left[0]!.shape.part]!.id, left: first.left.reduce((sum, { count }) => sum + count, 0) })
  let sheets: readonly LaidSheet[] = first.sheets
  const stream = seededStream(seedFor(seed, 0))
  let stepMm = 6

  const replace = (changes: ReadonlyMap<LaidSheet, LaidSheet>): void => {
    sheets = sheets.map((sheet) => changes.get(sheet) ?? sheet).filter(({ pieces }) => pieces.length > 0)
  }

  const step = (): boolean => {
    const emptiest = emptiestOf(sheets)
    const others = sheets.filter((sheet) => sheet !== emptiest)
    const kind = stream()
    if (others.length > 0 && kind < 0.5) {
      const at = Math.floor(stream() * emptiest.pieces.length)
      const target = others[Math.floor(stream() * others.length)]!
      const pieces = insert(target, emptiest.pieces[at]!.shape, stream, stop)
      if (!pieces) return false
      replace(new Map([[target, { ...target, pieces }], [emptiest, { ...emptiest, pieces: emptiest.pieces.filter((_, index) => index !== at) }]]))
      return true
    }
    if (others.length > 0 && kind < 0.75) {
      const at = Math.floor(stream() * emptiest.pieces.length)
      const target = others[Math.floor(stream() * others.length)]!
      const out = Math.floor(stream() * target.pieces.length)
      const [coming, going] = [emptiest.pieces[at]!.shape, target.pieces[out]!.shape]
      if (coming.areaMm2 <= going.areaMm2 * 1.001) return false
      const pieces = exchange(target, out, coming, stream, stop)
      if (!pieces) return false
      const rest = { ...emptiest, pieces: emptiest.pieces.filter((_, index) => index !== at) }
      const back = insert(rest, going, stream, stop)
      if (!back) return false
      replace(new Map([[target, { ...target, pieces }], [emptiest, { ...emptiest, pieces: back }]]))
      return true
    }
    const pieces = compress(emptiest, stepMm, usedAlong(emptiest), stream, stop)
    if (!pieces) { stepMm = Math.max(0.3, stepMm * 0.8); return false }
    stepMm = Math.min(12, stepMm * 1.5)
    replace(new Map([[emptiest, { ...emptiest, pieces }]]))
    return true
  }

  return ok({ layout: () => layoutOf(sheets, job), measure: () => measureOf(sheets), step })
}

const usedAlong = ({ stock: { room } }: LaidSheet): 'x' | 'y' => room.high - room.low >= room.right - room.left ? 'y' : 'x'

const emptiestOf = (sheets: readonly LaidSheet[]): LaidSheet => sheets.reduce((best, sheet) => areaOf(sheet.pieces) / sheet.stock.paperMm2 < areaOf(best.pieces) / best.stock.paperMm2 ? sheet : best)

function measureOf(sheets: readonly LaidSheet[]): NestMeasure {
  const emptiest = sheets.reduce((best, sheet) => (1 - usedShare(sheet)) * sheet.stock.paperMm2 > (1 - usedShare(best)) * best.stock.paperMm2 ? sheet : best)
  const whole = sheets.reduce((sum, sheet) => sum + sheet.stock.paperMm2, 0)
  return { sheets: sheets.length, paperMm2: whole - (1 - usedShare(emptiest)) * emptiest.stock.paperMm2, piecesMm2: sheets.reduce((sum, { pieces }) => sum + areaOf(pieces), 0) }
}

/** Placements by the job's own origins. */
function layoutOf(sheets: readonly LaidSheet[], job: NestJob): NestLayout {
  return { placements: sheets.flatMap(({ stock, pieces }, sheetIndex) => pieces.map((piece) => ({ part: job.parts[piece.shape.part]!.id, sheetIndex, sheetId: stock.sheet.id, ...placed(piece) }))) }
}

function placed({ shape, x, y, turn, face }: Lying): { x: number, y: number, rotationDeg: number, mirrored: boolean } {
  const { middle, mirrored } = shape.faces[face]!
  const [cos, sin] = cosSin(turn)
  const degrees = turn * 180 / Math.PI
  const rotationDeg = Math.abs(degrees - Math.round(degrees)) < 1e-9 ? Math.round(degrees) : degrees
  return { x: x - (middle.x * cos - middle.y * sin), y: y - (middle.x * sin + middle.y * cos), rotationDeg, mirrored }
}
