/**
 * Strips and boxes: the sheet is cut into strips, the strips into boxes or triangles, each box into its piece; several
 * sheets lie on one another.
 */
import { cornersAlong, type Point } from '../geometry'
import { shapeBox, type StockShape } from '../material'
import { seededStream } from '../quantity'
import { fillRows } from './nest/rows'
import { finishedSingly } from './singly'
import { boxStrips, triangleOf, zigzagStrips, type Spacing, type Strip } from './strip'
import {
  boxOf,
  CHORD_MM,
  sheetsIn,
  type CutLayout,
  type CutPart,
  type CutPiece,
  type CutSheet,
  type LeftOut,
  type SheetSize,
  type StraightCut,
} from './sheet'
import type { Cutting, CuttingTools } from './way'

const ROW_TRIES = 12

/**
 * Sheets in strips and boxes, `plies` on one another, strips folded to so many `layers`. Every part takes whole boxes
 * with room for slip, none where a ruler holds the stack; strips of all parts share sheets, but what is torn and what is
 * cut to and fro begins at the very edge of sheets of its own, its strips across the sheet or up it.
 * The last stack is cut fewer at once where that opens fewer sheets; else some of its plies may hold pieces more than
 * wanted.
 *
 * By hand: an A4 is 210 − 2 × 5 = 200 mm wide within its margin: 200 ÷ 7 = 28 strips of 7 mm along a ruler, and
 * ( 297 − 10 ) ÷ 105 = 2 of them one behind the other, 56. Torn strips 34 mm high: 210 ÷ 34 = 6. Triangles 99 mm high on
 * a base of 105 mm: three strips of 99 mm, in each one up, one down, one up, 105 + 105 = 210 mm; nine.
 */
export function layByHand(
  parts: readonly CutPart[],
  shape: StockShape,
  cutting: Pick<Cutting, 'plies' | 'layers'>,
  tools: CuttingTools,
): CutLayout {
  const isFlush = (part: CutPart): boolean => part.edge === 'torn' || triangleOf(part) !== null
  const laid = (some: readonly CutPart[], layers: number, marginMm: number, along = shape): CutLayout =>
    finishedSingly(some, cutting.plies, (each, plies) =>
      layInStrips(each, along, { plies, layers }, { ...tools, marginMm }),
    )
  const [flush, within] = [parts.filter(isFlush), parts.filter((part) => !isFlush(part))]
  const one = laid(within, cutting.layers, tools.marginMm)
  const across = laid(flush, 1, 0)
  const up = shape.kind === 'rect' ? quarterTurned(laid(flush, 1, 0, onItsSide(shape)), shape) : across
  const other = takesLess(up, across) ? up : across
  return { sheets: [...one.sheets, ...other.sheets], leftOut: [...one.leftOut, ...other.leftOut] }
}

type Rectangle = Extract<StockShape, { readonly kind: 'rect' }>

const onItsSide = ({ kind, widthMm, heightMm }: Rectangle): Rectangle => ({
  kind,
  widthMm: heightMm,
  heightMm: widthMm,
})

/** A layout on sheets that lay on their side, as the sheets stand. */
function quarterTurned({ sheets, leftOut }: CutLayout, shape: Rectangle): CutLayout {
  const turned = <At extends Point>(at: At): At => ({ ...at, x: shape.widthMm - at.y, y: at.x })
  return {
    leftOut,
    sheets: sheets.map((sheet) => ({
      ...sheet,
      shape,
      pieces: sheet.pieces.map((piece) => ({ ...turned(piece), rotationDeg: (piece.rotationDeg + 90) % 360 })),
      cuts: sheet.cuts.map(({ from, to }) => ({ from: turned(from), to: turned(to) })),
    })),
  }
}

/** Whether a layout leaves out fewer parts than another, or takes fewer sheets. */
const takesLess = (one: CutLayout, other: CutLayout): boolean =>
  one.leftOut.length < other.leftOut.length ||
  (one.leftOut.length === other.leftOut.length && sheetsIn(one.sheets) < sheetsIn(other.sheets))

function layInStrips(
  parts: readonly CutPart[],
  shape: StockShape,
  { plies, layers }: Pick<Cutting, 'plies' | 'layers'>,
  { marginMm, knifeGapMm, slipMm }: CuttingTools,
): CutLayout {
  const slip = slipMm * (plies * layers - 1)
  // Slip may reach into the margin: what lies there is cut away anyway.
  const edgeMm = marginMm - Math.min(slip, marginMm) / 2
  const { low, size: sheet } = straightRoom(shape)
  const [roomMm, highMm] = [sheet.widthMm - 2 * edgeMm, sheet.heightMm - 2 * edgeMm]
  const leftOut: LeftOut[] = []
  const strips = parts.flatMap((part) => {
    const isHeld = part.edge !== undefined || triangleOf(part) !== null
    const spacing = isHeld ? { gapMm: 0, slipMm: 0 } : { gapMm: knifeGapMm, slipMm: slip }
    const found = stripsOf(part, plies, roomMm, highMm, spacing)
    if (!found) leftOut.push({ part, why: tooLarge(part, spacing.slipMm), wantsLarger: true })
    return found ?? []
  })
  let [number, bundle] = [0, 0]
  const sheets = fillRows(
    strips.map(({ heightMm, gapMm }) => heightMm + gapMm),
    // Above the last strip there is no gap.
    highMm + Math.min(knifeGapMm, ...strips.map(({ gapMm }) => gapMm)),
    seededStream(1),
    ROW_TRIES,
  ).map((indexes): CutSheet => {
    let y = low + edgeMm
    const pieces: CutPiece[] = []
    const cuts: StraightCut[] = []
    for (const strip of indexes.map((at) => strips[at]!).sort((one, other) => other.heightMm - one.heightMm)) {
      const top = y + strip.heightMm
      cuts.push({
        from: { x: low, y: top + strip.gapMm / 2 },
        to: { x: low + sheet.widthMm, y: top + strip.gapMm / 2 },
      })
      const [x0, y0] = [low + edgeMm, y]
      const moved = ({ from, to }: StraightCut): StraightCut => ({
        from: { x: x0 + from.x, y: y0 + from.y },
        to: { x: x0 + to.x, y: y0 + to.y },
      })
      if (strip.cutBefore) cuts.push(moved(strip.cutBefore))
      for (let at = 0; at < strip.count; at += 1) {
        const { x, y: up, rotationDeg } = strip.pieceAt(at)
        const isLast = (at + 1) % layers === 0 || at + 1 === strip.count
        pieces.push({
          part: strip.part,
          number: (number += 1),
          mirrored: false,
          x: x0 + x,
          y: y0 + up,
          rotationDeg,
          ...(strip.frees && { freed: true }),
          ...(layers > 1 && { bundle }),
        })
        if (!isLast) continue
        bundle += 1
        cuts.push(moved(strip.cutAfter(at)))
      }
      y = top + strip.gapMm
    }
    return { shape, plies, pieces, cuts }
  })
  return { sheets, leftOut }
}

/** Where strips lie: all of a rectangle; of a disc the square within it, the rim cut away first. */
function straightRoom(shape: StockShape): { readonly low: number; readonly size: SheetSize } {
  if (shape.kind === 'rect') return { low: 0, size: shapeBox(shape) }
  const side = shape.diameterMm / Math.SQRT2
  return { low: (shape.diameterMm - side) / 2, size: { widthMm: side, heightMm: side } }
}

/** The strips of a part, upright, on their side or to and fro, whichever take less height in all. */
function stripsOf(
  part: CutPart,
  plies: number,
  roomMm: number,
  highMm: number,
  spacing: Spacing,
): readonly Strip[] | null {
  const quantity = Math.ceil(part.quantity / plies)
  const ways = [
    ...zigzagStrips(part, quantity, roomMm),
    ...[false, true].map((isTurned) => boxStrips(part, quantity, roomMm, isTurned, spacing)),
  ].filter((strips) => strips.length > 0 && strips[0]!.heightMm <= highMm + 1e-9)
  const takes = (strips: readonly Strip[]): number =>
    strips.reduce((sum, { heightMm, gapMm }) => sum + heightMm + gapMm, 0)
  return ways.length === 0 ? null : ways.reduce((best, each) => (takes(each) < takes(best) ? each : best))
}

function tooLarge(part: CutPart, slipMm: number): string {
  const { widthMm, heightMm } = boxOf(cornersAlong(part.outline, CHORD_MM))
  return (
    `${part.name} (${(widthMm + slipMm).toFixed(0)} × ${(heightMm + slipMm).toFixed(0)} ` +
    `mm) is larger than the sheet within its margin.`
  )
}
