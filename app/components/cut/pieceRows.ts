import type { PlannedDecoration, PieceClass } from '#core/decoration'
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
  readonly cut: readonly [Working, Working] | null
  readonly cutWords: string
  readonly seen: readonly [Working, Working] | null
  readonly sizeMm: number
  readonly needed: Working
  readonly spares: Working
  /** What it is on the stand: kind and places among all of that kind. */
  readonly lit: { readonly kind: 'sail' | 'element'; readonly indexes: readonly number[] }
}

function paperRow(made: PlannedDecoration, piece: PieceClass, at: number, first: number): PieceRow {
  return {
    id: `${made.id} ${at}`,
    decoration: made.id,
    technique: made.name,
    piece: piece.name,
    paper: paperOf(made.paper).name,
    face: piece.face,
    colour: piece.colour,
    finish: made.finishes.map(({ name }) => name.toLowerCase()).join(', '),
    cut: [piece.width, piece.height],
    cutWords: '',
    seen: [piece.seenWidth, piece.seenHeight],
    sizeMm: Math.max(piece.width.value, piece.height.value),
    needed: piece.needed,
    spares: piece.spares,
    lit: {
      kind: 'element',
      indexes: made.elements.flatMap(({ index }, place) => (piece.members.includes(index) ? [first + place] : [])),
    },
  }
}

/** Every piece of a plan: the sails by portion and disc, then what is cut from sheets. */
export function pieceRows(plan: Pick<Plan, 'cutList' | 'arrangement' | 'bath' | 'decorations'>): readonly PieceRow[] {
  const sails = plan.cutList.sizeClasses.map((each): PieceRow => {
    const members = plan.arrangement.sails.flatMap(({ sized }, at) =>
      sized.portion === each.portion && sized.discMm === each.discMm ? [at] : [],
    )
    return {
      id: `sails ${each.portion} ${each.discMm}`,
      decoration: 'sails',
      technique: 'Soaked sail',
      piece: `${each.portion} disc`,
      paper: 'rice film',
      face: 'either face',
      colour: plan.bath?.steps[plan.arrangement.sails[members[0] ?? 0]?.shade ?? 0]?.predictedHex ?? '#efece2',
      finish: '',
      cut: null,
      cutWords: `${each.portion} of ${each.discMm} mm`,
      seen: null,
      sizeMm: each.discMm,
      needed: each.needed,
      spares: each.spares,
      lit: { kind: 'sail', indexes: members },
    }
  })
  let first = 0
  const paper = plan.decorations.flatMap((made) => {
    const rows = made.classes.map((piece, at) => paperRow(made, piece, at, first))
    first += made.elements.length
    return rows
  })
  return [...sails, ...paper]
}
