/** Boxes laid along a skyline. */
import type { Lying } from './crowd'
import { type Remaining } from './firstLayout'
import type { Stock } from './stock'
import { SAME_MM, isSame, waysOf, lie, type Box } from './box'

type Level = { x: number; width: number; y: number }

/** How a skyline chooses: weights of what speaks for a rectangle at a place. */
type Taste = {
  readonly exact: number
  readonly flush: number
  readonly large: number
  readonly partner: number
  readonly chance: number
}

export const anyTaste = (stream: () => number): Taste => ({
  exact: 1 + 3 * stream(),
  flush: 2 * stream(),
  large: 4 * stream(),
  partner: 2 * stream(),
  chance: stream() ** 2,
})

/**
 * Fills a sheet from below: the lowest, leftmost stretch of the skyline takes the rectangle that suits it best, until
 * nothing fits.
 * @see Burke, Kendall and Whitwell 2004 (best fit)
 */
export function fillSkyline(
  room: Stock['room'],
  remaining: Remaining,
  gapMm: number,
  taste: Taste,
  stream: () => number,
): readonly Lying[] {
  const [wide, high] = [room.right - room.left + gapMm, room.high - room.low + gapMm]
  const counts = remaining.map(({ count }) => count)
  const ways = remaining.map(({ shape }) => waysOf(shape))
  const largest = Math.max(...remaining.map(({ shape }) => shape.areaMm2))
  const widths = new Set(ways.flatMap((each) => each.map(({ widthMm }) => Math.round((widthMm + gapMm) * 100))))
  const skyline: Level[] = [{ x: 0, width: wide, y: 0 }]
  const pieces: Lying[] = []
  for (;;) {
    const lowest = skyline.reduce((best, level, at) => (level.y < skyline[best]!.y - SAME_MM ? at : best), 0)
    const { x, width, y } = skyline[lowest]!
    if (y >= high) break
    const [leftWall, rightWall] = [
      lowest > 0 ? skyline[lowest - 1]!.y : Infinity,
      lowest + 1 < skyline.length ? skyline[lowest + 1]!.y : Infinity,
    ]
    let best: { readonly score: number; readonly box: Box; readonly at: number } | null = null
    for (const [at, count] of counts.entries()) {
      if (count === 0) continue
      for (const box of ways[at]!) {
        const [boxWide, boxHigh] = [box.widthMm + gapMm, box.heightMm + gapMm]
        if (boxWide > width + SAME_MM || y + boxHigh > high + SAME_MM) continue
        const top = y + boxHigh
        const score =
          (isSame(boxWide, width)
            ? taste.exact
            : widths.has(Math.round((width - boxWide) * 100))
              ? taste.partner * 0.6
              : 0) +
          (isSame(top, leftWall) || isSame(top, rightWall) || isSame(top, high) ? taste.flush : 0) +
          (taste.large * box.shape.areaMm2) / largest +
          taste.chance * stream()
        if (!best || score > best.score) best = { score, box, at }
      }
    }
    if (!best) {
      raise(skyline, lowest, Math.min(leftWall, rightWall, high))
      continue
    }
    const { box, at } = best
    const [boxWide, boxHigh] = [box.widthMm + gapMm, box.heightMm + gapMm]
    const atRight =
      isSame(y + boxHigh, rightWall) ||
      (!isSame(y + boxHigh, leftWall) && rightWall > leftWall && rightWall !== Infinity)
    const from = atRight ? x + width - boxWide : x
    pieces.push(lie(box, room.left + from, room.low + y))
    counts[at]! -= 1
    cover(skyline, lowest, from, boxWide, y + boxHigh)
  }
  return pieces
}

/** Lifts a stretch to its lower neighbour: nothing fits there. */
function raise(skyline: Level[], at: number, to: number): void {
  skyline[at]!.y = to
  merge(skyline)
}

function cover(skyline: Level[], at: number, from: number, width: number, top: number): void {
  const { x, width: whole, y } = skyline[at]!
  const parts: Level[] = []
  if (from > x + SAME_MM) parts.push({ x, width: from - x, y })
  parts.push({ x: from, width, y: top })
  if (from + width < x + whole - SAME_MM) parts.push({ x: from + width, width: x + whole - from - width, y })
  skyline.splice(at, 1, ...parts)
  merge(skyline)
}

function merge(skyline: Level[]): void {
  for (let at = skyline.length - 1; at > 0; at -= 1) {
    if (!isSame(skyline[at]!.y, skyline[at - 1]!.y)) continue
    skyline[at - 1]!.width += skyline[at]!.width
    skyline.splice(at, 1)
  }
}
