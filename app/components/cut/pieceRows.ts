import type { PieceClass, PlannedDecoration } from '#core/decoration'
import { paperOf } from '#core/material'
import type { Plan } from '#core/plan'
import type { Working } from '#core/quantity'

/** A row of the piece list: one kind of piece, of one size and shade, for one decoration. */
export type PieceRow = {
  readonly id: string
  readonly decoration: string
  readonly technique: string
  readonly piece: string
  readonly paper: string
  readonly face: string
  readonly colour: string
  readonly finish: string
  readonly cut: readonly [Working, Working]
  readonly seen: readonly [Working, Working]
  readonly sizeMm: number
  readonly needed: Working
  readonly spares: Working
  /** Places of its elements among all on the stand. */
  readonly places: readonly number[]
}

/** What a piece is called, with its disc where it is a portion of one. */
const pieceName = ({ name, sector }: PieceClass): string => (sector ? `${name} of ${sector.discMm} mm` : name)

const rowOf = (made: PlannedDecoration, piece: PieceClass, foretold: readonly string[], first: number): PieceRow => ({
  id: piece.id,
  decoration: made.id,
  technique: made.name,
  piece: pieceName(piece),
  paper: paperOf(made.paper).name,
  face: piece.face,
  colour: foretold[piece.shade] ?? piece.colour,
  finish: made.finishes.map(({ name }) => name.toLowerCase()).join(', '),
  cut: [piece.width, piece.height],
  seen: [piece.seenWidth, piece.seenHeight],
  sizeMm: Math.max(piece.width.value, piece.height.value),
  needed: piece.needed,
  spares: piece.spares,
  places: made.elements.flatMap(({ index }, at) => (piece.members.includes(index) ? [first + at] : [])),
})

/** Every piece of a plan, decoration after decoration. */
export function pieceRows({ decorations, dishes }: Pick<Plan, 'decorations' | 'dishes'>): readonly PieceRow[] {
  let first = 0
  return decorations.flatMap((made) => {
    const rows = made.classes.map((piece) => rowOf(made, piece, dishes.foretold[made.id] ?? [], first))
    first += made.elements.length
    return rows
  })
}
