/**
 * Strips and boxes: the sheet is cut into strips, the strips into boxes, each box into its piece; several sheets lie
 * on one another.
 */
import { cornersAlong } from '../geometry'
import { shapeBox, type StockShape } from '../material'
import { seededStream } from '../quantity'
import { fillRows } from './nest/rows'
import {
  boxOf,
  CHORD_MM,
  type CutLayout,
  type CutPart,
  type CutPiece,
  type CutSheet,
  type LeftOut,
  type SheetSize,
  type StraightCut,
} from './sheet'
import type { Cutting, CuttingTools } from './way'

/** A strip across the sheet with boxes of one part; `turned` boxes lie on their side. */
type Strip = {
  readonly part: CutPart
  readonly heightMm: number
  readonly widthMm: number
  readonly count: number
  readonly turned: boolean
  /** Kept between its boxes, and between it and the next strip; none along a ruler. */
  readonly gapMm: number
}

const ROW_TRIES = 12

/**
 * Sheets in strips and boxes, `plies` on one another, strips folded to so many `layers`. Every part takes whole boxes
 * with room for slip, none where a ruler holds the stack; strips of all parts share sheets, but what is torn begins at
 * the very edge of sheets of its own.
 * In the last stack some plies may hold pieces more than wanted.
 *
 * By hand: an A4 is 210 − 2 × 5 = 200 mm wide within its margin: 200 ÷ 7 = 28 strips of 7 mm along a ruler, and
 * ( 297 − 10 ) ÷ 105 = 2 of them one behind the other, 56. Torn strips 34 mm high: 210 ÷ 34 = 6.
 */
export function layByHand(
  parts: readonly CutPart[],
  shape: StockShape,
  cutting: Pick<Cutting, 'plies' | 'layers'>,
  tools: CuttingTools,
): CutLayout {
  const torn = parts.filter(({ edge }) => edge === 'torn')
  const cut = parts.filter(({ edge }) => edge !== 'torn')
  if (torn.length === 0) return layInStrips(cut, shape, cutting, tools)
  const [one, other] = [
    layInStrips(cut, shape, cutting, tools),
    layInStrips(torn, shape, { ...cutting, layers: 1 }, { ...tools, marginMm: 0 }),
  ]
  return { sheets: [...one.sheets, ...other.sheets], leftOut: [...one.leftOut, ...other.leftOut] }
}

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
    const free = part.edge ? { gapMm: 0, slipMm: 0 } : { gapMm: knifeGapMm, slipMm: slip }
    const found = stripsOf(part, plies, roomMm, highMm, free.gapMm, free.slipMm)
    if (!found) leftOut.push({ part, why: tooLarge(part, free.slipMm), wantsLarger: true })
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
      for (let at = 0; at < strip.count; at += 1) {
        const x = low + edgeMm + at * (strip.widthMm + strip.gapMm)
        const isLast = (at + 1) % layers === 0 || at + 1 === strip.count
        pieces.push({
          part: strip.part,
          number: (number += 1),
          mirrored: false,
          ...inBox(strip, x, y),
          ...(layers > 1 && { bundle }),
        })
        if (!isLast) continue
        bundle += 1
        cuts.push({
          from: { x: x + strip.widthMm + strip.gapMm / 2, y: y - strip.gapMm / 2 },
          to: { x: x + strip.widthMm + strip.gapMm / 2, y: top + strip.gapMm / 2 },
        })
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

/** The piece in the middle of its box. */
function inBox(
  { part, widthMm, heightMm, turned }: Strip,
  x: number,
  y: number,
): Pick<CutPiece, 'x' | 'y' | 'rotationDeg'> {
  const box = boxOf(cornersAlong(part.outline, CHORD_MM))
  const middle = { x: box.x + box.widthMm / 2, y: box.y + box.heightMm / 2 }
  return turned
    ? { x: x + widthMm / 2 + middle.y, y: y + heightMm / 2 - middle.x, rotationDeg: 90 }
    : { x: x + widthMm / 2 - middle.x, y: y + heightMm / 2 - middle.y, rotationDeg: 0 }
}

/** The strips of a part, upright or on their side, whichever take less height in all. */
function stripsOf(
  part: CutPart,
  plies: number,
  roomMm: number,
  highMm: number,
  gapMm: number,
  slipMm: number,
): readonly Strip[] | null {
  const box = boxOf(cornersAlong(part.outline, CHORD_MM))
  const boxes = Math.ceil(part.quantity / plies)
  const ways = [false, true].flatMap((turned): readonly (readonly Strip[])[] => {
    const [widthMm, heightMm] = [
      (turned ? box.heightMm : box.widthMm) + slipMm,
      (turned ? box.widthMm : box.heightMm) + slipMm,
    ]
    const inStrip = Math.floor((roomMm + gapMm) / (widthMm + gapMm) + 1e-9)
    if (inStrip < 1 || heightMm > highMm + 1e-9) return []
    return [
      Array.from({ length: Math.ceil(boxes / inStrip) }, (_, at) => ({
        part,
        widthMm,
        heightMm,
        turned,
        gapMm,
        count: Math.min(inStrip, boxes - at * inStrip),
      })),
    ]
  })
  const takes = (strips: readonly Strip[]): number => strips.reduce((sum, { heightMm }) => sum + heightMm + gapMm, 0)
  return ways.length === 0 ? null : ways.reduce((best, each) => (takes(each) < takes(best) ? each : best))
}

function tooLarge(part: CutPart, slipMm: number): string {
  const { widthMm, heightMm } = boxOf(cornersAlong(part.outline, CHORD_MM))
  return (
    `${part.name} (${(widthMm + slipMm).toFixed(0)} × ${(heightMm + slipMm).toFixed(0)} ` +
    `mm) is larger than the sheet within its margin.`
  )
}
