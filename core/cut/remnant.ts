/** Parts of sheets that are measured by hand: typed corners, or corners touched on a photograph beside a ruler. */
import type { Point } from '../geometry'
import { ok, refuse, type Result } from '../quantity'
import { boxOf } from './sheet'
import { crossingOf, ringAreaMm2 } from './nest/ring'

export type CornerProblem =
  | { readonly code: 'not-a-corner'; readonly line: number; readonly text: string }
  | { readonly code: 'too-few'; readonly corners: number }
  | { readonly code: 'too-many'; readonly corners: number }
  | { readonly code: 'crosses'; readonly at: Point }
  | { readonly code: 'too-small'; readonly areaMm2: number }
  | { readonly code: 'too-large'; readonly widthMm: number; readonly heightMm: number }
  | { readonly code: 'no-scale' }

const MOST_CORNERS = 200
const LEAST_MM2 = 400
/** No sheet that is sold is longer. */
const LARGEST_MM = 700

/** What is wrong with measured corners, and what to do. */
export function cornerSentence(problem: CornerProblem): string {
  switch (problem.code) {
    case 'not-a-corner':
      return `Line ${problem.line}, “${problem.text}”, is not a corner. Write across and up in mm, such as 120 80.`
    case 'too-few':
      return (
        `${problem.corners === 0 ? 'No corner' : problem.corners === 1 ? 'One corner' : 'Two corners'} ` +
        `so far: an outline has three at least.`
      )
    case 'too-many':
      return `${problem.corners} corners are more than ${MOST_CORNERS}. Leave out those on nearly straight edges.`
    case 'crosses':
      return (
        `The outline crosses itself near ${problem.at.x.toFixed(0)}, ${problem.at.y.toFixed(0)} ` +
        `mm. Give the corners in order round the edge.`
      )
    case 'too-small':
      return `It holds ${(problem.areaMm2 / 100).toFixed(1)} cm²: too small to cut from. Tear it up for glue.`
    case 'too-large':
      return (
        `It would be ${problem.widthMm.toFixed(0)} × ${problem.heightMm.toFixed(0)} mm, ` +
        `larger than any sheet. Check the unit, or the length of the ruler.`
      )
    case 'no-scale':
      return 'Touch both ends of a length that you know, such as a ruler, and type how long it is.'
  }
}

/** Corners as they were typed: a line each, across and up in mm, a decimal comma allowed where a space parts them. */
export function readCorners(text: string): Result<readonly Point[], CornerProblem> {
  const corners: Point[] = []
  for (const [at, line] of text.split(/\r?\n/).entries()) {
    if (line.trim() === '') continue
    const parts = line.trim().split(/\s*[;\t]\s*|\s+/)
    const numbers = (
      parts.length === 1 ? parts[0]!.split(',') : parts.map((part) => part.replace(/,$/, '').replace(',', '.'))
    ).map((part) => (part.trim() === '' ? NaN : Number(part)))
    const [x, y] = numbers
    if (numbers.length !== 2 || !Number.isFinite(x) || !Number.isFinite(y))
      return refuse({ code: 'not-a-corner', line: at + 1, text: line.trim().slice(0, 40) })
    corners.push({ x: x!, y: y! })
  }
  return ok(corners)
}

/**
 * Corners touched on a photograph taken from straight above, in mm: their scale is that of a length which is known.
 * A photograph's y runs down, an outline's up.
 */
export function cornersOnPhoto(
  touched: readonly Point[],
  from: Point,
  to: Point,
  lengthMm: number,
): Result<readonly Point[], CornerProblem> {
  const lengthPx = Math.hypot(to.x - from.x, to.y - from.y)
  if (!(lengthPx > 0) || !(lengthMm > 0)) return refuse({ code: 'no-scale' })
  return ok(touched.map(({ x, y }) => ({ x: (x * lengthMm) / lengthPx, y: (-y * lengthMm) / lengthPx })))
}

/**
 * Corners as the outline of a remnant from the lower left of its box, to a tenth of a millimetre; or why they are
 * none.
 */
export function remnantOutline(corners: readonly Point[]): Result<[number, number][], CornerProblem> {
  if (corners.length < 3) return refuse({ code: 'too-few', corners: corners.length })
  if (corners.length > MOST_CORNERS) return refuse({ code: 'too-many', corners: corners.length })
  const { x: left, y: low, widthMm, heightMm } = boxOf(corners)
  if (Math.max(widthMm, heightMm) > LARGEST_MM) return refuse({ code: 'too-large', widthMm, heightMm })
  const outline = corners.map(({ x, y }): [number, number] => [
    Math.round((x - left) * 10) / 10,
    Math.round((y - low) * 10) / 10,
  ])
  const ring = outline.map(([x, y]) => ({ x, y }))
  const crossing = crossingOf(ring)
  if (crossing) return refuse({ code: 'crosses', at: crossing })
  const areaMm2 = Math.abs(ringAreaMm2(ring))
  return areaMm2 < LEAST_MM2 ? refuse({ code: 'too-small', areaMm2 }) : ok(outline)
}
