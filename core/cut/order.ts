/**
 * The order in which a sheet is cut: what is inside first, piece by piece from one edge to the other, so that what is
 * uncut stays one firm sheet.
 */
import { cornersAlong, laidOut, type Point } from '../geometry'
import { boxOf, CHORD_MM, type CutPiece } from './sheet'

/** One closed line for the knife: along its points and back to the first, then on over the start by an overcut. */
export type KnifeLine = { readonly piece: number; readonly points: readonly Point[]; readonly inner: boolean }

/** Pieces in the order of cutting: in bands from below, to and fro. */
export function inCuttingOrder<Piece extends Omit<CutPiece, 'number'>>(pieces: readonly Piece[]): readonly Piece[] {
  if (pieces.length === 0) return []
  const placed = pieces.map((piece) => {
    const box = boxOf(cornersAlong(laidOut(piece.part.outline, piece), CHORD_MM * 40))
    return { piece, x: box.x + box.widthMm / 2, y: box.y + box.heightMm / 2, highMm: box.heightMm }
  })
  const heights = placed.map(({ highMm }) => highMm).sort((one, other) => one - other)
  const bandMm = Math.max(1, heights[Math.floor(heights.length / 2)]!)
  const low = Math.min(...placed.map(({ y }) => y))
  return placed
    .map((each) => ({ ...each, band: Math.floor((each.y - low) / bandMm) }))
    .sort((one, other) => one.band - other.band || (one.band % 2 === 0 ? one.x - other.x : other.x - one.x))
    .map(({ piece }) => piece)
}

/** The knife follows curves this closely. */
const KNIFE_CHORD_MM = 0.003

/** Corners that turn by more than this are where a knife may start unseen, cosine. */
const SHARP_COS = Math.cos(Math.PI / 6)

/**
 * The knife's way over a sheet: each piece's holes, then its outline, in the order of the pieces.
 * A line starts at the sharp corner nearest to where the last ended, so that little way is lost and no curve shows
 * where it was begun; at its end the knife goes on by the overcut.
 */
export function knifeLines(pieces: readonly CutPiece[], overcutMm: number): readonly KnifeLine[] {
  let at: Point = { x: 0, y: 0 }
  return pieces.flatMap((piece) =>
    [...piece.part.holes, piece.part.outline].map((outline): KnifeLine => {
      const corners = cornersAlong(laidOut(outline, piece), KNIFE_CHORD_MM)
      const start = startOf(corners, at)
      const round = [...corners.slice(start), ...corners.slice(0, start)]
      const points = [...round, round[0]!, ...beyond(round, overcutMm)]
      at = points.at(-1)!
      return { piece: piece.number, points, inner: outline !== piece.part.outline }
    }),
  )
}

function startOf(corners: readonly Point[], from: Point): number {
  const isSharp = corners.map((corner, at) => {
    const [before, after] = [corners[(at + corners.length - 1) % corners.length]!, corners[(at + 1) % corners.length]!]
    const [inX, inY, outX, outY] = [corner.x - before.x, corner.y - before.y, after.x - corner.x, after.y - corner.y]
    return (inX * outX + inY * outY) / (Math.hypot(inX, inY) * Math.hypot(outX, outY) || 1) < SHARP_COS
  })
  const candidates = isSharp.some(Boolean) ? [...corners.keys()].filter((at) => isSharp[at]) : [...corners.keys()]
  const away = (at: number): number => Math.hypot(corners[at]!.x - from.x, corners[at]!.y - from.y)
  return candidates.reduce((best, at) => (away(at) < away(best) ? at : best), candidates[0]!)
}

/** Points past the start along the same line, so far as the overcut reaches. */
function beyond(round: readonly Point[], overcutMm: number): readonly Point[] {
  const points: Point[] = []
  let left = overcutMm
  for (let at = 0; left > 0 && at < round.length; at += 1) {
    const [one, two] = [round[at]!, round[(at + 1) % round.length]!]
    const length = Math.hypot(two.x - one.x, two.y - one.y)
    const share = Math.min(1, left / length)
    points.push({ x: one.x + share * (two.x - one.x), y: one.y + share * (two.y - one.y) })
    left -= length
  }
  return points
}

/** Way of the raised knife between lines, from the lower left corner, mm. */
export function travelMm(lines: readonly KnifeLine[]): number {
  let at: Point = { x: 0, y: 0 }
  let sum = 0
  for (const { points } of lines) {
    sum += Math.hypot(points[0]!.x - at.x, points[0]!.y - at.y)
    at = points.at(-1)!
  }
  return sum
}
