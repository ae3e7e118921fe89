/** Round pieces by punch: rows of a hexagon's grid, in bands no deeper than the punch reaches from both sides. */
import { cornersAlong } from '../geometry'
import { shapeBox, type StockShape } from '../material'
import { boxOf, CHORD_MM, type CutLayout, type CutPart, type CutPiece, type CutSheet, type StraightCut } from './sheet'
import { finishedSingly } from './singly'
import type { CuttingTools } from './way'

const ROUND_SHARE = 0.01

/** The diameter of a part that is a disc; else null. */
export function discDiameterOf({ outline, holes }: CutPart): number | null {
  const corners = cornersAlong(outline, CHORD_MM)
  const { x, y, widthMm, heightMm } = boxOf(corners)
  const [middleX, middleY] = [x + widthMm / 2, y + heightMm / 2]
  const away = corners.map((corner) => Math.hypot(corner.x - middleX, corner.y - middleY))
  return holes.length === 0 && corners.length >= 12 && Math.max(...away) - Math.min(...away) < ROUND_SHARE * widthMm
    ? Math.max(widthMm, heightMm)
    : null
}

/** Rows in the deepest band that is in reach: the middle row's holes are as far in as the punch reaches. */
const rowsInBand = (diameterMm: number, riseMm: number, throatMm: number): number =>
  throatMm < diameterMm / 2 ? 0 : Math.floor((2 * (throatMm - diameterMm / 2)) / riseMm + 1e-9) + 1

/**
 * One part after the other, each on sheets of its own; the last sheet of each is filled from below, so that what is
 * left is one straight piece. The last stack is punched fewer at once where that opens fewer sheets.
 */
export function layPunched(
  parts: readonly CutPart[],
  shape: StockShape,
  plies: number,
  tools: CuttingTools,
): CutLayout {
  const laid = parts.map((part) =>
    finishedSingly([part], plies, ([each], many) => punchedOf(each!, shape, many, tools)),
  )
  let number = 0
  return {
    leftOut: laid.flatMap(({ leftOut }) => leftOut),
    sheets: laid.flatMap(({ sheets }) =>
      sheets.map((sheet) => ({
        ...sheet,
        pieces: sheet.pieces.map((piece) => ({ ...piece, number: (number += 1) })),
      })),
    ),
  }
}

/** One part, `plies` sheets at once. */
function punchedOf(
  part: CutPart,
  shape: StockShape,
  plies: number,
  { marginMm, knifeGapMm, throatMm }: CuttingTools,
): CutLayout {
  const refused = (why: string): CutLayout => ({ sheets: [], leftOut: [{ part, wantsLarger: false, why }] })
  const diameter = discDiameterOf(part)
  if (diameter === null)
    return refused(`${part.name} is not round; a punch cuts discs. Choose strips and boxes, or a template.`)
  const spots = spotsOn(diameter, shape, marginMm, knifeGapMm, throatMm)
  if (spots.holes.length === 0)
    return refused(
      `${part.name} (${diameter.toFixed(0)} mm): the punch does not reach its middle, or the sheet is too small.`,
    )
  const wanted = Math.ceil(part.quantity / plies)
  const corner = boxOf(cornersAlong(part.outline, CHORD_MM))
  const sheets = Array.from({ length: Math.ceil(wanted / spots.holes.length) }, (_, stack): CutSheet => {
    const before = stack * spots.holes.length
    const holes = spots.holes.slice(0, wanted - before)
    const top = Math.max(...holes.map(({ y }) => y)) + diameter / 2
    return {
      shape,
      plies,
      pieces: holes.map(({ x, y }, at): CutPiece => ({
        part,
        number: before + at + 1,
        x: x - corner.x - corner.widthMm / 2,
        y: y - corner.y - corner.heightMm / 2,
        rotationDeg: 0,
        mirrored: false,
      })),
      cuts: spots.cuts.slice(0, 1 + spots.cuts.findIndex(({ from }) => from.y >= top - 1e-9)),
    }
  })
  return { sheets, leftOut: [] }
}

/** Holes of one sheet from below, and the straight cuts between bands. */
function spotsOn(
  diameter: number,
  shape: StockShape,
  marginMm: number,
  gapMm: number,
  throatMm: number,
): { readonly holes: readonly { readonly x: number; readonly y: number }[]; readonly cuts: readonly StraightCut[] } {
  const { widthMm, heightMm } = shapeBox(shape)
  const pitch = diameter + gapMm
  const rise = (pitch * Math.sqrt(3)) / 2
  const most = rowsInBand(diameter, rise, throatMm)
  const holes: { x: number; y: number }[] = []
  const cuts: StraightCut[] = []
  let low = marginMm
  while (most > 0 && low + diameter <= heightMm - marginMm + 1e-9) {
    const rows = Math.min(most, Math.floor((heightMm - marginMm - low - diameter) / rise + 1e-9) + 1)
    for (let row = 0; row < rows; row += 1) {
      const shift = row % 2 === 1 ? pitch / 2 : 0
      const count = Math.floor((widthMm - 2 * marginMm - diameter - shift) / pitch + 1e-9) + 1
      for (let at = 0; at < count; at += 1)
        holes.push({ x: marginMm + diameter / 2 + shift + at * pitch, y: low + diameter / 2 + row * rise })
    }
    low += diameter + (rows - 1) * rise + gapMm
    cuts.push({ from: { x: 0, y: low - gapMm / 2 }, to: { x: widthMm, y: low - gapMm / 2 } })
  }
  if (shape.kind === 'rect') return { holes, cuts }
  const middle = shape.diameterMm / 2
  const isOnDisc = ({ x, y }: { readonly x: number; readonly y: number }): boolean =>
    Math.hypot(x - middle, y - middle) + diameter / 2 <= middle - marginMm + 1e-9
  return { holes: holes.filter(isOnDisc), cuts }
}
