import { rectangle } from '../geometry'
import type { Picture, Shape } from './shape'

/** What stands on the label of a dish: its place in the order of work, its colour, what goes in, what is dipped. */
export type DishLabel = {
  readonly place: number
  readonly name: string
  readonly hex: string
  readonly doses: readonly string[]
  readonly pieces: string
}

const [WIDE_MM, HIGH_MM, EDGE_MM] = [90, 50, 5]
const INK = '#2a1c2c'
const SWATCH_MM = 18
const LONGEST = 44

const shortened = (text: string): string => (text.length > LONGEST ? `${text.slice(0, LONGEST - 1)}…` : text)

/** Labels to cut out and lay before the dishes, two in a row, the first at the top left. */
export function dishLabels(title: string, labels: readonly DishLabel[]): Picture {
  const rows = Math.max(1, Math.ceil(labels.length / 2))
  const heightMm = rows * HIGH_MM + 12
  const line = (x: number, y: number, text: string, sizeMm: number, bold = false): Shape => ({
    kind: 'label',
    at: { x, y },
    text: shortened(text),
    sizeMm,
    colour: INK,
    anchor: 'start',
    bold,
  })
  return {
    widthMm: 2 * WIDE_MM,
    heightMm,
    shapes: [
      ...labels.flatMap(({ place, name, hex, doses, pieces }, at): readonly Shape[] => {
        const [left, top] = [(at % 2) * WIDE_MM, heightMm - 12 - Math.floor(at / 2) * HIGH_MM]
        return [
          {
            kind: 'outline',
            outline: rectangle(left, top - HIGH_MM, WIDE_MM, HIGH_MM),
            stroke: '#b9aa9a',
            strokeMm: 0.2,
            dash: [2, 2],
          },
          {
            kind: 'outline',
            outline: rectangle(left + WIDE_MM - EDGE_MM - SWATCH_MM, top - EDGE_MM - SWATCH_MM, SWATCH_MM, SWATCH_MM),
            fill: hex,
            stroke: INK,
            strokeMm: 0.2,
          },
          line(left + EDGE_MM, top - 13, `${place}`, 10, true),
          line(left + EDGE_MM + 12, top - 11, name, 5, true),
          ...doses.map((dose, row) => line(left + EDGE_MM, top - 24 - row * 6, dose, 4.6)),
          line(left + EDGE_MM, top - HIGH_MM + 5, pieces, 4),
        ]
      }),
      line(0, heightMm - 6, title, 4),
    ],
  }
}
