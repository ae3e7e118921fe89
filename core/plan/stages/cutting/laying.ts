/** Parts laid on their sheets: by the rule of their way, or by what a search has found. */
import {
  faultsOf,
  jobKey,
  layByHand,
  layPunched,
  nestJobOf,
  paperDm2,
  shareDiscs,
  sheetsOf,
  STARTING_CUTTING,
  type CutAgain,
  type CutLayout,
  type CutPart,
  type CutSheet,
  type CuttingTools,
  type CuttingWay,
  type SettledCutting,
  type KeptSheet,
  type LeftOut,
  type NestLayout,
  type Remnant,
} from '../../../cut'
import { isSameShape, paperOf, shapeKey, shapeName, type PaperId, type StockShape } from '../../../material'
import type { Nested, CutGroup } from './group'

/** Whether a way lays pieces by a rule of its own, with no search. */
export const isLaidByHand = (way: CuttingWay): boolean => way === 'sectors' || way === 'boxes' || way === 'punch'
/** Kept between pieces, mm: the blade’s, and where stacked sheets slip. */
export const gapOf = (way: CuttingWay, plies: number, { machineGapMm, knifeGapMm, slipMm }: CuttingTools): number =>
  way === 'machine' ? machineGapMm : knifeGapMm + (way === 'template' ? slipMm * (plies - 1) : 0)
/** How many sheets are cut at once; a machine cuts one, discs are cut singly. */
export const pliesOf = ({ way, plies }: SettledCutting): number => (way === 'machine' || way === 'sectors' ? 1 : plies)

/** What is laid by a rule, on which sheets, and with what it is cut. */
export type ToLay = {
  readonly parts: readonly CutPart[]
  readonly shapes: readonly StockShape[]
  readonly cutting: SettledCutting
  readonly tools: CuttingTools
  readonly again?: readonly CutAgain[]
}

/** Pieces laid by the rule of their way, on the size that takes the least paper of those they fit on. */
export function layByRule({ parts, shapes, cutting, tools, again = [] }: ToLay): CutLayout {
  if (cutting.way === 'sectors') return shareDiscs(parts, again)
  const laid = shapes.map((shape) =>
    cutting.way === 'boxes'
      ? layByHand(parts, shape, cutting, tools)
      : layPunched(parts, shape, pliesOf(cutting), tools),
  )
  const paper = ({ sheets }: CutLayout): number => sheets.reduce((sum, each) => sum + each.plies * paperDm2(each), 0)
  return laid.reduce((best, each) => {
    const fewerLeft = each.leftOut.length - best.leftOut.length
    return fewerLeft < 0 || (fewerLeft === 0 && paper(each) < paper(best) - 1e-9) ? each : best
  })
}

/** Sheets for pieces cut again; portions come on what is left of their discs, where they are laid. */
export function cutAgain(
  parts: readonly CutPart[],
  shapes: readonly StockShape[],
  way: CuttingWay,
  tools: CuttingTools,
  again: readonly CutAgain[],
): readonly CutSheet[] {
  if (way === 'sectors') return []
  const wanted = again.flatMap(({ part, many }) =>
    parts.filter(({ id }) => id === part).map((like) => ({ ...like, quantity: many })),
  )
  const cutting: SettledCutting = { ...STARTING_CUTTING, way: way === 'punch' ? 'punch' : 'boxes', plies: 1 }
  return wanted.length === 0 ? [] : layByRule({ parts: wanted, shapes, cutting, tools }).sheets
}

/** Placements of one sheet by itself. */
export const onOneSheet = (placements: KeptSheet['placements'], shape: StockShape): NestLayout['placements'] =>
  placements.map((each) => ({ ...each, sheetIndex: 0, sheetId: shapeKey(shape) }))

/** Locked sheets first, then what a search has found for the rest; strips and boxes until it has. */
export function layClosely(
  wanted: readonly CutPart[],
  shapes: readonly StockShape[],
  way: CuttingWay,
  plies: number,
  tools: CuttingTools,
  kept: readonly KeptSheet[],
  remnants: readonly Remnant[],
  nested: Nested,
  lay: typeof layByRule,
): CutLayout & Pick<CutGroup, 'kept' | 'released' | 'search' | 'isNested'> {
  const gapMm = gapOf(way, plies, tools)
  // A stack is laid out once: its top sheet holds what every sheet of it does.
  const parts = wanted.map((part) => ({ ...part, quantity: Math.ceil(part.quantity / plies) }))
  const left = new Map(parts.map(({ id, quantity }) => [id, quantity]))
  const holding = kept.filter((sheet) => {
    const { job } = nestJobOf('locked', parts, [sheet.shape], tools.marginMm, gapMm)
    const counts = new Map<string, number>()
    for (const { part } of sheet.placements) counts.set(part, (counts.get(part) ?? 0) + 1)
    const holds =
      job !== null &&
      [...counts].every(([part, count]) => (left.get(part) ?? 0) >= count) &&
      faultsOf(job, {
        placements: onOneSheet(sheet.placements, sheet.shape),
      }).every(({ code }) => code === 'quantity')
    if (holds) for (const [part, count] of counts) left.set(part, left.get(part)! - count)
    return holds
  })
  const lockedSheets = holding.flatMap((sheet) =>
    sheetsOf({ placements: onOneSheet(sheet.placements, sheet.shape) }, parts, [sheet.shape]),
  )
  const rest = parts.flatMap((part) => {
    const quantity = left.get(part.id)!
    return quantity > 0 ? [{ ...part, quantity }] : []
  })
  const { job, leftOut } = nestJobOf('sheets', rest, shapes, tools.marginMm, gapMm, remnants)
  const key = job && jobKey(job)
  const layout = key === null ? undefined : nested[key]
  const strips =
    layout || rest.length === 0
      ? null
      : lay({
          parts: rest,
          shapes,
          cutting: { ...STARTING_CUTTING, way: 'boxes', plies: 1 },
          tools: { ...tools, knifeGapMm: gapMm },
        })
  const found = layout ? sheetsOf(layout, rest, shapes, remnants) : (strips?.sheets ?? [])
  const numbered = numberedOn([...lockedSheets, ...found]).map((sheet) => ({ ...sheet, plies }))
  return {
    sheets: numbered,
    leftOut,
    kept: holding,
    released: kept.length - holding.length,
    search: job && key !== null ? { key, job } : null,
    isNested: layout !== undefined,
  }
}

/** Pieces numbered on from sheet to sheet. */
export function numberedOn(sheets: readonly CutSheet[]): readonly CutSheet[] {
  let number = 0
  return sheets.map((sheet) => ({
    ...sheet,
    pieces: sheet.pieces.map((piece) => ({ ...piece, number: (number += 1) })),
  }))
}

/** What would take a part that fits on no sheet: a larger size of its paper, or making it of two. */
export function withRemedy(
  { part, why, wantsLarger }: LeftOut,
  paper: PaperId,
  shapes: readonly StockShape[],
  tools: CuttingTools,
): LeftOut {
  if (!wantsLarger) return { part, why, wantsLarger }
  const larger = paperOf(paper).shapes.filter(
    (shape) =>
      !shapes.some((own) => isSameShape(own, shape)) && nestJobOf('', [part], [shape], tools.marginMm, 0).job !== null,
  )
  const remedy =
    larger.length > 0
      ? `It fits on ${larger.map(shapeName).join(' or ')}.`
      : 'No size of this paper takes it: make it of two pieces that overlap.'
  return { part, why: `${why} ${remedy}`, wantsLarger }
}
