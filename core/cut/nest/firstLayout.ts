import { bestTurn } from './fitsOn'
import { troubleOf } from './energy'
import { crowdOf, type Lying } from './crowd'
import { hullOf, turnedCopy } from './turned'
import { block, blockLying, lowestPlace, rasterOf, stampOf, usefulTurns, type FreePlace, type Stamp } from './raster'
import type { Room } from './room'
import type { Shape } from './shape'
import type { Stock } from './stock'

/** A sheet with what lies on it. */
export type LaidSheet = { readonly stock: Stock; readonly pieces: readonly Lying[] }

/** Pieces that are still to be laid, as counts of each shape. */
export type Remaining = readonly { readonly shape: Shape; readonly count: number }[]

/** How fine to look: size of a cell, and turns tried of each shape. */
export type Fineness = { readonly cellMm: number; readonly turns: number }

const GROWN_MM = 0.008

/** Cells and turns for a layout that comes at once, even of many shapes on many sheets. */
export function coarse(shapes: readonly Shape[]): Fineness {
  const isMany = shapes.length > 12
  return { cellMm: cellFor(shapes, isMany ? 9 : 20), turns: isMany ? 6 : shapes.length > 6 ? 8 : 12 }
}

/** Cells and turns for a layout that may take a second. */
export const fine = (shapes: readonly Shape[]): Fineness => ({ cellMm: cellFor(shapes, 20), turns: 12 })

const cellFor = (shapes: readonly Shape[], across: number): number =>
  Math.max(0.6, Math.min(3, Math.sqrt(Math.min(...shapes.map(({ areaMm2 }) => areaMm2))) / across))

/** Stamps made once for all sheets of a layout. */
export const stampsOf = (shapes: readonly Shape[], fineness: Fineness): ReadonlyMap<Shape, readonly Stamp[]> =>
  new Map(shapes.map((shape) => [shape, stampsFor(shape, fineness)]))

const stampsFor = (shape: Shape, { cellMm, turns }: Fineness): readonly Stamp[] =>
  usefulTurns(shape, turns).flatMap((turn) => shape.faces.map((_, face) => stampOf(shape, face, turn, cellMm)))

/** Runs a piece of work that pauses now and then to its end. */
function finish<Outcome>(work: Generator<undefined, Outcome>): Outcome {
  let next = work.next()
  while (!next.done) next = work.next()
  return next.value
}

/**
 * Fills one sheet: shapes in their order, each at its lowest free place, until none of it fits. Pieces that lie there
 * already stay.
 */
export const fillSheet = (...settings: Parameters<typeof filling>): readonly Lying[] => finish(filling(...settings))

/** The same, with a pause after each shape. */
export function* filling(
  room: Room,
  remaining: Remaining,
  stamps: ReadonlyMap<Shape, readonly Stamp[]>,
  { cellMm }: Fineness,
  gapMm: number,
  lying: readonly Lying[] = [],
): Generator<undefined, readonly Lying[]> {
  const raster = rasterOf(room, cellMm, gapMm / 2 + (gapMm > 0 ? GROWN_MM : 0))
  blockLying(raster, lying)
  const pieces: Lying[] = [...lying]
  for (const { shape, count } of remaining) {
    for (let left = count; left > 0; left -= 1) {
      let best: { readonly stamp: Stamp; readonly place: FreePlace } | null = null
      for (const stamp of stamps.get(shape)!) {
        const place = lowestPlace(raster, stamp)
        if (
          place &&
          (!best ||
            place.top < best.place.top - 1e-9 ||
            (place.top <= best.place.top + 1e-9 && place.column < best.place.column))
        )
          best = { stamp, place }
      }
      if (!best) break
      block(raster, best.stamp, best.place.column, best.place.row)
      pieces.push(best.place)
    }
    yield
  }
  return pieces
}

/** What is left of counts when pieces are laid. */
export function without(remaining: Remaining, pieces: readonly Lying[]): Remaining {
  const laid = new Map<Shape, number>()
  for (const { shape } of pieces) laid.set(shape, (laid.get(shape) ?? 0) + 1)
  return remaining
    .map(({ shape, count }) => ({ shape, count: count - (laid.get(shape) ?? 0) }))
    .filter(({ count }) => count > 0)
}

export const areaOf = (pieces: readonly Lying[]): number => pieces.reduce((sum, { shape }) => sum + shape.areaMm2, 0)

/** A piece alone in the middle of a sheet, turned as it fits best; none when it does not. */
function alone(shape: Shape, { room }: Stock): Lying | null {
  const middle = { x: (room.left + room.right) / 2, y: (room.low + room.high) / 2 }
  for (const [face, each] of shape.faces.entries()) {
    const hull = [...each.hullX].map((x, at) => ({ x, y: each.hullY[at]! }))
    const turns = shape.turns ?? [bestTurn(hull, room.right - room.left, room.high - room.low).turn]
    for (const turn of turns) {
      const { hullX, hullY } = hullOf(turnedCopy(each, turn))
      const x = middle.x - (Math.min(...hullX) + Math.max(...hullX)) / 2
      const y = middle.y - (Math.min(...hullY) + Math.max(...hullY)) / 2
      const lying = { shape, x, y, turn, face }
      if (troubleOf(crowdOf(room, [lying])).deepest === 0) return lying
    }
  }
  return null
}

/** Sheets with what lies on them, and what found no place because stock ran out. */
export type Filled = { readonly sheets: readonly LaidSheet[]; readonly left: Remaining }

/** A complete layout at once, sheet after sheet: each time the kind of sheet that is filled best. */
export const firstLayout = (...settings: Parameters<typeof sheetAfterSheet>): Filled =>
  finish(sheetAfterSheet(...settings))

/**
 * The same, with pauses.
 * @param kind when given, whole sheets of other kinds are taken only for all that is left
 */
export function* sheetAfterSheet(
  all: Remaining,
  stocks: readonly Stock[],
  fineness: Fineness,
  gapMm: number,
  kind: Stock | null = null,
): Generator<undefined, Filled> {
  const stamps = new Map<Shape, readonly Stamp[]>()
  for (const { shape } of all) {
    stamps.set(shape, stampsFor(shape, fineness))
    yield
  }
  const sheets: LaidSheet[] = []
  let left = all
  while (left.length > 0) {
    const filled: LaidSheet[] = []
    for (const stock of stocks) {
      if (sheets.filter((sheet) => sheet.stock === stock).length >= stock.count) continue
      let pieces = yield* filling(stock.room, left, stamps, fineness, gapMm)
      const single =
        pieces.length > 0 ? null : left.map(({ shape }) => alone(shape, stock)).find((piece) => piece !== null)
      if (single) pieces = yield* filling(stock.room, without(left, [single]), stamps, fineness, gapMm, [single])
      const isAllowed = kind === null || stock === kind || stock.isRemnant || without(left, pieces).length === 0
      if (pieces.length > 0 && isAllowed) filled.push({ stock, pieces })
    }
    if (filled.length === 0) break
    const best = filled.reduce((one, other) => (worth(other, left) > worth(one, left) ? other : one))
    sheets.push(best)
    left = without(left, best.pieces)
  }
  return { sheets, left }
}

/** Remnants are taken before whole sheets unless they would hold next to nothing. */
const REMNANT_FROM = 0.2

/**
 * Paper that is used of a sheet; a sheet that takes all that is left counts by its size alone, and remnants come
 * first.
 */
function worth({ stock, pieces }: LaidSheet, left: Remaining): number {
  const takesAll = without(left, pieces).length === 0
  const filled = areaOf(pieces) / stock.paperMm2
  return filled + (stock.isRemnant && filled > REMNANT_FROM ? 2 : takesAll ? 1 : 0)
}
