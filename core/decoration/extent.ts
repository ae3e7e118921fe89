/** What pieces come to: their faces and edges, and how many are in hand. */
import { outlineAreaMm2, outlineLengthMm } from '../geometry'
import { derive, found, several, sumOf, type Working } from '../quantity'
import type { FinishedExtent } from '../technique'
import type { PieceClass } from './pieces'

const MM2_PER_DM2 = 10_000

/** Pieces as they are handled, spares too: plies laid on one another are one. */
export function wholesOf(classes: readonly PieceClass[], pieces: Working): Working {
  if (classes.every(({ plies }) => plies === 1)) return pieces
  const many = classes.reduce((sum, { needed, spares, plies }) => sum + (needed.value + spares.value) / plies, 0)
  return derive(
    'pieces in hand',
    'count',
    'plies laid together',
    'of {pieces}, those of several plies as one',
    { pieces },
    () => many,
  )
}

/** One face of a piece, dm². */
export const faceDm2 = ({ outline, holes }: Pick<PieceClass, 'outline' | 'holes'>): number =>
  (Math.abs(outlineAreaMm2(outline)) - holes.reduce((sum, hole) => sum + Math.abs(outlineAreaMm2(hole)), 0)) /
  MM2_PER_DM2

/** Edge and face of all pieces, spares too, that a finish is counted by. */
export function extentOf(classes: readonly PieceClass[]): FinishedExtent {
  const over = (label: string, kind: 'length' | 'area', each: string, of: (piece: PieceClass) => number): Working =>
    sumOf(
      label,
      kind,
      'pieces added up',
      classes.map((piece) =>
        derive(
          `${label} of ${several(piece.name)}`,
          kind,
          'pieces and spares',
          '( {needed} + {spares} ) × {each}',
          { needed: piece.needed, spares: piece.spares, each: found(each, of(piece), kind, 'of its outline') },
          (v) => (v.needed + v.spares) * v.each,
        ),
      ),
    )
  return {
    edge: over('cut edges', 'length', 'edge of one', ({ outline, holes }) =>
      [outline, ...holes].reduce((sum, each) => sum + outlineLengthMm(each), 0),
    ),
    area: over('faces', 'area', 'face of one', faceDm2),
  }
}
