import { pointAt, polyline, type Outline, type Point } from '../geometry'
import { between, seededStream } from '../quantity'

/** What is printed or painted on a panel before it is cut. */
export const PRINTS = ['plain', 'sprigs', 'stripes'] as const
export const PRINT_LABELS = { plain: 'plain', sprigs: 'sprigs', stripes: 'fine stripes' } as const

/** A stroke of a print on the flat panel, mm from its lower left corner. */
export type PrintStroke = { readonly points: readonly [Point, Point, ...Point[]]; readonly widthMm: number }

/** Sprigs stand about so far apart, and no row of them is nearer to an edge than the margin. */
const SPRIG_MM = 46
const STRIPE_MM = 9
const MARGIN_MM = 5
const LEAF_PAIRS = 3

/**
 * The strokes printed on a panel, mm, y up: none when plain, standing sprigs that lean each their own way, or stripes.
 * The same seed gives the same print.
 */
export function printOn(
  print: (typeof PRINTS)[number],
  { widthMm, heightMm }: { readonly widthMm: number; readonly heightMm: number },
  seed: number,
): readonly PrintStroke[] {
  if (print === 'plain' || widthMm <= 2 * MARGIN_MM || heightMm <= 2 * MARGIN_MM) return []
  if (print === 'stripes') {
    const stripes = Math.max(1, Math.round(widthMm / STRIPE_MM))
    return Array.from({ length: stripes }, (_, stripe) => {
      const x = ((stripe + 0.5) * widthMm) / stripes
      return {
        points: [
          { x, y: 0 },
          { x, y: heightMm },
        ],
        widthMm: 1.6,
      }
    })
  }
  const stream = seededStream(seed)
  const [columns, rows] = [Math.max(1, Math.round(widthMm / SPRIG_MM)), Math.max(1, Math.round(heightMm / SPRIG_MM))]
  const long = Math.min((0.78 * heightMm) / rows, (0.85 * widthMm) / columns)
  return Array.from({ length: columns * rows }, (_, sprig) => {
    const [column, row] = [sprig % columns, Math.floor(sprig / columns)]
    const middle = {
      x: ((column + 0.5 + between(stream, -0.1, 0.1)) * widthMm) / columns,
      y: ((row + 0.5) * heightMm) / rows,
    }
    return sprigAt(middle, long, 90 + (column % 2 === 0 ? 1 : -1) * between(stream, 6, 22))
  }).flat()
}

/** A stem with leaves in pairs, smaller towards its tip, and one at the tip. */
function sprigAt(middle: Point, longMm: number, leanDeg: number): readonly PrintStroke[] {
  const foot = pointAt(middle, leanDeg + 180, longMm / 2)
  const at = (share: number): Point => pointAt(foot, leanDeg, share * longMm)
  const leaf = (share: number, turnDeg: number): PrintStroke => ({
    points: [at(share), pointAt(at(share), leanDeg + turnDeg, longMm * (0.3 - 0.16 * share))],
    widthMm: longMm * 0.06,
  })
  const pairs = Array.from({ length: LEAF_PAIRS }, (_, pair) => 0.2 + 0.25 * pair)
  return [
    { points: [foot, at(0.85)], widthMm: longMm * 0.022 },
    ...pairs.flatMap((share) => [leaf(share, 48), leaf(share, -48)]),
    leaf(0.8, 0),
  ]
}

/** The strokes as outlines, for the drawing of the flat piece. */
export const printOutlines = (strokes: readonly PrintStroke[]): readonly Outline[] =>
  strokes.map(({ points }) => polyline(points))
