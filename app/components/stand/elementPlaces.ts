import type { PieceClass, PlannedDecoration } from '#core/decoration'

/** Where on the stand the elements of some pieces are: places among all elements, decoration after decoration. */
export function placesOf(
  decorations: readonly PlannedDecoration[],
  isTheirs: (piece: PieceClass, decoration: PlannedDecoration) => boolean,
): readonly number[] {
  let first = 0
  return decorations.flatMap((decoration) => {
    const start = first
    first += decoration.elements.length
    const members = new Set(
      decoration.classes.filter((piece) => isTheirs(piece, decoration)).flatMap((piece) => piece.members),
    )
    return decoration.elements.flatMap(({ index }, at) => (members.has(index) ? [start + at] : []))
  })
}
