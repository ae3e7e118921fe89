/** A box to be laid, upright or on its side. */
import type { Lying } from './crowd'
import type { Shape } from './shape'

/** A rectangle that may be laid one way or both. */
export type Box = { readonly shape: Shape; readonly widthMm: number; readonly heightMm: number; readonly turn: number }

export const SAME_MM = 1e-6
export const isSame = (one: number, other: number): boolean => Math.abs(one - other) <= SAME_MM

/** The ways in which a rectangle may lie square to the sheet. */
export function waysOf(shape: Shape): readonly Box[] {
  const [widthMm, heightMm] = shape.box!
  const may = (quarters: number): number | undefined =>
    shape.turns === null
      ? (quarters * Math.PI) / 2
      : shape.turns.find((turn) => [quarters, quarters + 2].some((each) => isSame(turn, (each * Math.PI) / 2)))
  const [upright, turned] = [may(0), may(1)]
  return [
    ...(upright === undefined ? [] : [{ shape, widthMm, heightMm, turn: upright }]),
    ...(turned === undefined || isSame(widthMm, heightMm)
      ? []
      : [{ shape, widthMm: heightMm, heightMm: widthMm, turn: turned }]),
  ]
}

/** A box where it lies: its part, turned, with its lower left corner at a point, mm. */
export const lie = ({ shape, widthMm, heightMm, turn }: Box, x: number, y: number): Lying => ({
  shape,
  x: x + widthMm / 2,
  y: y + heightMm / 2,
  turn,
  face: 0,
})
