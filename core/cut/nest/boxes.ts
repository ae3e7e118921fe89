/** Rectangles on rectangular sheets: rows where they fill rows, and a skyline filled from below where they do not. */
import type { Lying } from './crowd'
import { without, type LaidSheet, type Remaining } from './firstLayout'
import { fillRows } from './rows'
import type { Shape } from './shape'
import type { Stock } from './stock'

/** A rectangle that may be laid one way or both. */
type Box = { readonly shape: Shape; readonly widthMm: number; readonly heightMm: number; readonly turn: number }

const SAME_MM = 1e-6
const isSame = (one: number, other: number): boolean => Math.abs(one - other) <= SAME_MM

/** The ways in which a rectangle may lie square to the sheet. */
function waysOf(shape: Shape): readonly Box[] {
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

/** Whether all pieces of a job are rectangles that lie square, and all sheets are rectangles. */
export const areBoxes = (all: Remaining, stocks: readonly Stock[]): boolean =>
  all.every(({ shape }) => shape.box !== null && waysOf(shape).length > 0) &&
  stocks.every(({ room }) => room.kind === 'rect' && !room.hasObstacles)

const lie = ({ shape, widthMm, heightMm, turn }: Box, x: number, y: number): Lying => ({
  shape,
  x: x + widthMm / 2,
  y: y + heightMm / 2,
  turn,
  face: 0,
})

type Level = { x: number; width: number; y: number }

/** How a skyline chooses: weights of what speaks for a rectangle at a place. */
type Taste = {
  readonly exact: number
  readonly flush: number
  readonly large: number
  readonly partner: number
  readonly chance: number
}

const anyTaste = (stream: () => number): Taste => ({
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
function fillSkyline(
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

/** All boxes, sheet after sheet; on each the fullest of some fillings. */
export function layBoxes(
  all: Remaining,
  stock: Stock,
  gapMm: number,
  stream: () => number,
  tries: number,
): readonly LaidSheet[] | null {
  const sheets: LaidSheet[] = []
  let left = all
  while (left.length > 0) {
    if (sheets.length >= stock.count) return null
    const pieces = fullest(left, stock, gapMm, stream, tries)
    if (pieces.length === 0) return null
    sheets.push({ stock, pieces })
    left = without(left, pieces)
  }
  return sheets
}

export function fullest(
  remaining: Remaining,
  { room }: Stock,
  gapMm: number,
  stream: () => number,
  tries: number,
): readonly Lying[] {
  const all = remaining.reduce((sum, { count }) => sum + count, 0)
  let best: { readonly pieces: readonly Lying[]; readonly worth: number } | null = null
  for (let attempt = 0; attempt < tries; attempt += 1) {
    const pieces = fillSkyline(room, remaining, gapMm, anyTaste(stream), stream)
    const height =
      pieces.length === all
        ? Math.max(
            ...pieces.map(
              ({ y, turn, shape: { box } }) => y + (isSame(Math.abs(Math.sin(turn)), 1) ? box![0] : box![1]) / 2,
            ),
          )
        : 0
    const worth = pieces.reduce((sum, { shape }) => sum + shape.areaMm2, 0) - height * 1e-3
    if (!best || worth > best.worth) best = { pieces, worth }
  }
  return best?.pieces ?? []
}

/**
 * Strips cut in rows across (or along) the sheet: those of one height share rows, rows share sheets; both are filled
 * as bars are.
 * @returns none when some rectangle cannot lie that way
 */
export function layRows(
  all: Remaining,
  stock: Stock,
  gapMm: number,
  along: 'x' | 'y',
  stream: () => number,
): readonly LaidSheet[] | null {
  const { room } = stock
  const [across, up] = [room.right - room.left + gapMm, room.high - room.low + gapMm]
  const [rowCapacity, sheetCapacity] = along === 'x' ? [across, up] : [up, across]
  const classes = new Map<number, Box[]>()
  for (const { shape, count } of all) {
    const lengthOf = ({ widthMm, heightMm }: Box): number => (along === 'x' ? widthMm : heightMm)
    const way = [...waysOf(shape)]
      .sort((one, other) => lengthOf(other) - lengthOf(one))
      .find((box) => lengthOf(box) + gapMm <= rowCapacity + SAME_MM)
    if (!way) return null
    const thick = Math.round((along === 'x' ? way.heightMm : way.widthMm) * 1000)
    const alike = classes.get(thick) ?? []
    for (let each = 0; each < count; each += 1) alike.push(way)
    classes.set(thick, alike)
  }
  const rows = [...classes].flatMap(([thick, boxes]) =>
    fillRows(
      boxes.map(({ widthMm, heightMm }) => (along === 'x' ? widthMm : heightMm) + gapMm),
      rowCapacity,
      stream,
      3000,
    ).map((row) => ({ thickMm: thick / 1000, boxes: row.map((at) => boxes[at]!) })),
  )
  const onSheets = fillRows(
    rows.map(({ thickMm }) => thickMm + gapMm),
    sheetCapacity,
    stream,
    1000,
  )
  if (onSheets.length > stock.count) return null
  return onSheets.map((indexes): LaidSheet => {
    const pieces: Lying[] = []
    let thickAt = 0
    for (const { thickMm, boxes } of indexes.map((at) => rows[at]!)) {
      let lengthAt = 0
      for (const box of boxes) {
        pieces.push(
          along === 'x'
            ? lie(box, room.left + lengthAt, room.low + thickAt)
            : lie(box, room.left + thickAt, room.low + lengthAt),
        )
        lengthAt += (along === 'x' ? box.widthMm : box.heightMm) + gapMm
      }
      thickAt += thickMm + gapMm
    }
    return { stock, pieces }
  })
}
