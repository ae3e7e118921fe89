/** Laying draped pieces on mats or trays: which go on together, and where each lies. */
import { drapedFootprint, type Piece } from '../piece'

/** A flat thing that pieces dry on, mm. */
export type Former = { readonly lengthMm: number; readonly widthMm: number }

/** Where a piece lies on its former: its lower left corner and the room it takes, mm. */
type LaidPiece = {
  readonly piece: Piece
  readonly xMm: number
  readonly yMm: number
  readonly widthMm: number
  readonly heightMm: number
}

/** One filling of a former; `again` when its pieces are cut again in place of broken ones. */
export type FormerLoad = { readonly number: number; readonly laid: readonly LaidPiece[]; readonly again: boolean }

const GAP_MM = 12

type Footprint = { readonly piece: Piece; readonly widthMm: number; readonly heightMm: number }

/** Rows across the former, tallest first, each row as high as its first. Null when they do not all fit. */
function layInRows(footprints: readonly Footprint[], { lengthMm, widthMm }: Former): readonly LaidPiece[] | null {
  const laid: LaidPiece[] = []
  let x = 0
  let rowFoot = 0
  let rowHeight = 0
  for (const footprint of [...footprints].sort(
    (one, other) => other.heightMm - one.heightMm || one.piece.number - other.piece.number,
  )) {
    if (x > 0 && x + footprint.widthMm > lengthMm) {
      rowFoot += rowHeight + GAP_MM
      x = 0
      rowHeight = 0
    }
    if (x === 0) rowHeight = footprint.heightMm
    if (footprint.widthMm > lengthMm || rowFoot + footprint.heightMm > widthMm) return null
    laid.push({ ...footprint, xMm: x, yMm: rowFoot })
    x += footprint.widthMm + GAP_MM
  }
  return laid
}

/** A footprint that fits a former upright or turned a quarter; as it is when it fits neither way. */
function turnedToFit({ piece, widthMm, heightMm }: Footprint, former: Former): Footprint {
  const upright = widthMm <= former.lengthMm && heightMm <= former.widthMm
  return upright ? { piece, widthMm, heightMm } : { piece, widthMm: heightMm, heightMm: widthMm }
}

/**
 * Fills formers in the order of the bath, palest first: each load takes pieces while they fit.
 * @returns the loads, and the pieces too big for the former, which take one each
 */
export function fillFormers(
  pieces: readonly Piece[],
  gather: number,
  former: Former,
): { readonly loads: readonly FormerLoad[]; readonly tooBig: readonly Piece[] } {
  const paleFirst = [...pieces].sort((one, other) => one.shade - other.shade || one.number - other.number)
  const loads: FormerLoad[] = []
  const tooBig: Piece[] = []
  let waiting: Footprint[] = []
  let laid: readonly LaidPiece[] = []
  const close = (): void => {
    if (laid.length > 0) loads.push({ number: loads.length + 1, laid, again: false })
    waiting = []
    laid = []
  }
  for (const piece of paleFirst) {
    const footprint = turnedToFit({ piece, ...drapedFootprint(piece, gather) }, former)
    const together = layInRows([...waiting, footprint], former)
    if (!together) close()
    waiting.push(footprint)
    const onOwn = together ?? layInRows(waiting, former)
    laid = onOwn ?? [{ ...footprint, xMm: 0, yMm: 0 }]
    if (!onOwn) {
      tooBig.push(piece)
      close()
    }
  }
  close()
  return { loads, tooBig }
}
