import type { Outline, Point } from '../geometry'

/** A colour running from one point to another. */
export type Fade = {
  readonly from: Point
  readonly to: Point
  readonly stops: readonly { readonly at: number; readonly colour: string }[]
}

type Paint = {
  readonly fill?: string | Fade
  readonly fillOpacity?: number
  readonly stroke?: string
  readonly strokeMm?: number
  readonly strokeOpacity?: number
  readonly dash?: readonly number[]
}

/** A plain shape to be shown by a screen or written by a format: mm, y up. */
export type Shape =
  | (Paint & { readonly kind: 'outline'; readonly outline: Outline })
  | {
      readonly kind: 'label'
      readonly at: Point
      readonly text: string
      readonly sizeMm: number
      readonly colour: string
      readonly anchor: 'start' | 'middle' | 'end'
      readonly bold?: boolean
    }

/** Shapes and the room they take, from (0, 0) to the width and height, mm. */
export type Picture = { readonly widthMm: number; readonly heightMm: number; readonly shapes: readonly Shape[] }
