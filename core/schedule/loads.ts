/** Laying damp pieces on mats or trays: which go on together, and where each lies. */

/** A flat thing that pieces dry on, mm. */
export type Former = { readonly lengthMm: number; readonly widthMm: number }

/** A piece to lay: which part it is of, its place in the order of dipping, the room it takes, mm. */
export type PieceToLay = {
  readonly part: string
  readonly order: number
  readonly widthMm: number
  readonly heightMm: number
}

/** Where a piece lies on its former: its lower left corner and the room it takes, mm. */
export type LaidPiece = PieceToLay & { readonly xMm: number; readonly yMm: number }

/** One filling of a former. */
export type Filling = { readonly laid: readonly LaidPiece[] }

const GAP_MM = 12

/** Rows across the former, tallest first, each row as high as its first. Null when they do not all fit. */
function layInRows(pieces: readonly PieceToLay[], { lengthMm, widthMm }: Former): readonly LaidPiece[] | null {
  const laid: LaidPiece[] = []
  let x = 0
  let rowFoot = 0
  let rowHeight = 0
  const tallestFirst = [...pieces.keys()].sort(
    (one, other) => pieces[other]!.heightMm - pieces[one]!.heightMm || one - other,
  )
  for (const piece of tallestFirst.map((at) => pieces[at]!)) {
    if (x > 0 && x + piece.widthMm > lengthMm) {
      rowFoot += rowHeight + GAP_MM
      x = 0
      rowHeight = 0
    }
    if (x === 0) rowHeight = piece.heightMm
    if (piece.widthMm > lengthMm || rowFoot + piece.heightMm > widthMm) return null
    laid.push({ ...piece, xMm: x, yMm: rowFoot })
    x += piece.widthMm + GAP_MM
  }
  return laid
}

/** A piece that fits a former upright or turned a quarter; as it is when it fits neither way. */
function turnedToFit(piece: PieceToLay, former: Former): PieceToLay {
  const upright = piece.widthMm <= former.lengthMm && piece.heightMm <= former.widthMm
  return upright ? piece : { ...piece, widthMm: piece.heightMm, heightMm: piece.widthMm }
}

/**
 * Fills formers in the order of dipping: each takes pieces while they fit.
 * @returns the fillings, and how many pieces are too big for the former, which take one each
 */
export function fillFormers(
  pieces: readonly PieceToLay[],
  former: Former,
): { readonly fillings: readonly Filling[]; readonly tooBig: number } {
  const inOrder = [...pieces].sort((one, other) => one.order - other.order)
  const fillings: Filling[] = []
  let tooBig = 0
  let waiting: PieceToLay[] = []
  let laid: readonly LaidPiece[] = []
  const close = (): void => {
    if (laid.length > 0) fillings.push({ laid })
    waiting = []
    laid = []
  }
  for (const each of inOrder) {
    const piece = turnedToFit(each, former)
    const together = layInRows([...waiting, piece], former)
    if (!together) close()
    waiting.push(piece)
    const onOwn = together ?? layInRows(waiting, former)
    laid = onOwn ?? [{ ...piece, xMm: 0, yMm: 0 }]
    if (onOwn) continue
    tooBig += 1
    close()
  }
  close()
  return { fillings, tooBig }
}
