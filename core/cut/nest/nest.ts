import { ok, refuse, seededStream, seedFor, type Result } from '../../quantity'
import type { Lying } from './crowd'
import { cosSin } from './turned'
import { areaOf, coarse, firstLayout, type LaidSheet } from './firstLayout'
import { areBoxes } from './boxes'
import { usedShare, type Try } from './improve'
import { movesFor, replaced } from './moves'
import { openedBy, openingsFor } from './openings'
import type { JobProblem, NestJob, NestLayout, NestPlacement } from './job'
import { shapesOf } from './shape'
import { stocksOf } from './stock'

/** A search that has a complete layout at any time, and a better one later. */
export type Nesting = {
  /** The best layout so far. */
  readonly layout: () => NestLayout
  /**
   * Whole sheets, and paper they take: all but the emptiest, and the used part of that. Remnants take none: they are
   * there.
   */
  readonly measure: () => NestMeasure
  /** Tries one thing to improve it; a few tens of milliseconds at most. @returns whether it helped */
  readonly step: () => boolean
}

export type NestMeasure = {
  readonly sheets: number
  /** Paper of all whole sheets that are opened. */
  readonly openedMm2: number
  /** The same, of the emptiest only the part that is used. */
  readonly paperMm2: number
  readonly piecesMm2: number
}

const SAME_MM2 = 0.01

/** Whether a layout takes less: less paper opened, be it fewer sheets or smaller ones; of the same, less used. */
export const isLess = (one: NestMeasure, other: NestMeasure): boolean =>
  one.openedMm2 < other.openedMm2 - SAME_MM2 ||
  (one.openedMm2 < other.openedMm2 + SAME_MM2 && one.paperMm2 < other.paperMm2 - SAME_MM2)

/** Of several that were found, the one that takes least; of equals the first. None of none. */
export const leastOf = <Found extends { readonly measure: NestMeasure }>(
  found: readonly (Found | null)[],
): Found | null =>
  found.reduce((best, each) => (each && (!best || isLess(each.measure, best.measure)) ? each : best), null)

/**
 * Starts a search. The same job, seed and number of steps give the same layout.
 */
export function startNesting(job: NestJob, seed: number): Result<Nesting, JobProblem> {
  const shapes = shapesOf(job)
  const stocks = stocksOf(job)
  const all = shapes
    .map((shape) => ({ shape, count: job.parts[shape.part]!.quantity }))
    .sort((one, other) => other.shape.areaMm2 - one.shape.areaMm2)
  const first = firstLayout(all, stocks, coarse(shapes), job.gap)
  if (first.left.length > 0)
    return refuse({
      code: 'too-few-sheets',
      part: job.parts[first.left[0]!.shape.part]!.id,
      left: first.left.reduce((sum, { count }) => sum + count, 0),
    })
  const stream = seededStream(seedFor(seed, 0))
  const openings = openingsFor(all, stocks, job.gap, stream, first.sheets)
  const moves = movesFor(areBoxes(all, stocks) ? job.gap : null, stream)
  let underWay: Try | null = null
  let sheets: readonly LaidSheet[] = first.sheets
  let best = { sheets, measure: measureOf(sheets) }

  const keep = (next: readonly LaidSheet[]): boolean => {
    const measure = measureOf(next)
    const isBetter = isLess(measure, best.measure)
    if (isBetter) best = { sheets: next, measure }
    return isBetter
  }

  const step = (): boolean => {
    if (openings.length > 0) {
      const next = openings[0]!()
      if (next === 'trying') return false
      openings.shift()
      const isBetter = next !== null && keep(next)
      if (isBetter) sheets = next
      return isBetter
    }
    underWay ??= moves.next(sheets)
    const outcome = underWay()
    if (outcome === 'trying') return false
    underWay = null
    moves.learn(outcome !== 'nothing')
    if (outcome === 'nothing') return false
    sheets = replaced(sheets, outcome)
    return keep(sheets)
  }

  return ok({ layout: () => layoutOf(best.sheets, job), measure: () => best.measure, step })
}

function measureOf(sheets: readonly LaidSheet[]): NestMeasure {
  const whole = sheets.filter(({ stock }) => !stock.isRemnant)
  const spare = whole.reduce((most, sheet) => Math.max(most, (1 - usedShare(sheet)) * sheet.stock.paperMm2), 0)
  const openedMm2 = openedBy(sheets)
  return {
    sheets: whole.length,
    openedMm2,
    paperMm2: openedMm2 - spare,
    piecesMm2: sheets.reduce((sum, { pieces }) => sum + areaOf(pieces), 0),
  }
}

/** Placements by the job's own origins. */
function layoutOf(sheets: readonly LaidSheet[], job: NestJob): NestLayout {
  return {
    placements: sheets.flatMap(({ stock, pieces }, sheetIndex) =>
      pieces.map((piece) => ({
        part: job.parts[piece.shape.part]!.id,
        sheetIndex,
        sheetId: stock.sheet.id,
        ...placed(piece),
      })),
    ),
  }
}

/** Where a piece lies. What is round is turned as its part allows, however the pattern lies that it was found in. */
function placed({ shape, x, y, turn: found, face }: Lying): Omit<NestPlacement, 'part' | 'sheetIndex' | 'sheetId'> {
  const turn = shape.isRound ? shape.turns![0]! : found
  const { middle, mirrored } = shape.faces[face]!
  const [cos, sin] = cosSin(turn)
  const degrees = (turn * 180) / Math.PI
  const rotationDeg = Math.abs(degrees - Math.round(degrees)) < 1e-9 ? Math.round(degrees) : degrees
  return { x: x - (middle.x * cos - middle.y * sin), y: y - (middle.x * sin + middle.y * cos), rotationDeg, mirrored }
}
