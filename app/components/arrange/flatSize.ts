import { boxOf } from '#core/cut'
import type { PieceClass } from '#core/decoration'
import { cornersAlong } from '#core/geometry'

/** How wide and high something is drawn flat, mm. */
export type FlatSize = { readonly widthMm: number; readonly heightMm: number }

const CHORD_MM = 0.5

/** The box round a piece and its flaps as it lies, arcs and all, mm. */
export const flatBox = ({ outline, flaps }: Pick<PieceClass, 'outline' | 'flaps'>): ReturnType<typeof boxOf> =>
  boxOf([outline, ...flaps].flatMap((each) => cornersAlong(each, CHORD_MM)))

/** Room in which a flat piece is drawn, px: how many millimetres a square beside it shows at the same scale. */
const ROOM_PX = { wide: 144, high: 80 } as const
const EDGES = 1.12

/** How many millimetres a square picture as high as a flat piece's shows at its scale. */
export const sideAtScale = ({ widthMm, heightMm }: FlatSize): number => {
  const edge = (EDGES - 1) * Math.max(widthMm, heightMm)
  return Math.max(heightMm + edge, ((widthMm + edge) * ROOM_PX.high) / ROOM_PX.wide)
}

/** The same window made to take an element beside the pieces, as it is seen. */
export const takingToo = (window: FlatSize, seen: FlatSize): FlatSize => ({
  widthMm: Math.max(window.widthMm, seen.widthMm),
  heightMm: Math.max(window.heightMm, seen.heightMm),
})

/** A window that takes each of some pieces, so that all are drawn to one scale. */
export const largestOf = (pieces: readonly Pick<PieceClass, 'outline' | 'flaps'>[]): FlatSize => {
  const boxes = pieces.map(flatBox)
  return {
    widthMm: Math.max(1, ...boxes.map(({ widthMm }) => widthMm)),
    heightMm: Math.max(1, ...boxes.map(({ heightMm }) => heightMm)),
  }
}
