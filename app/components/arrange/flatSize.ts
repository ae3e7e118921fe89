import { boxOf } from '#core/cut'
import type { PieceClass } from '#core/decoration'
import { cornersAlong } from '#core/geometry'

/** How wide and high something is drawn flat, mm. */
export type FlatSize = { readonly widthMm: number; readonly heightMm: number }

const CHORD_MM = 0.5

/** The box round a piece and its flaps as it lies, arcs and all, mm. */
export const flatBox = ({ outline, flaps }: Pick<PieceClass, 'outline' | 'flaps'>): ReturnType<typeof boxOf> =>
  boxOf([outline, ...flaps].flatMap((each) => cornersAlong(each, CHORD_MM)))

/** A window that takes each of some pieces, so that all are drawn to one scale. */
export const largestOf = (pieces: readonly Pick<PieceClass, 'outline' | 'flaps'>[]): FlatSize => {
  const boxes = pieces.map(flatBox)
  return {
    widthMm: Math.max(1, ...boxes.map(({ widthMm }) => widthMm)),
    heightMm: Math.max(1, ...boxes.map(({ heightMm }) => heightMm)),
  }
}
