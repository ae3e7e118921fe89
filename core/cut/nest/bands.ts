/**
 * Sheets filled in bands, one shape after the other in its best rows; what stays free between and above is filled as
 * it comes.
 */
import { fillSheet, without, type Fineness, type LaidSheet, type Remaining } from './firstLayout'
import { fillLattice } from './fillLattice'
import { type Lattice } from './lattice'
import { troubleOf } from './energy'
import { crowdOf, type Lying } from './crowd'
import type { Stamp } from './raster'
import { rectangleRoom, type Room } from './room'
import type { Shape } from './shape'
import type { Stock } from './stock'

/** Whether rows run across the sheet or up it. */
export type RowsRun = 'across' | 'up'

/** The room as rows see it: for rows up the sheet, turned by a quarter. */
export const roomForRows = (room: Room, run: RowsRun): Room =>
  run === 'across' ? room : rectangleRoom(room.low, -room.right, room.high, -room.left)

const QUARTER = Math.PI / 2

/** Pieces laid in a room turned by a quarter, on the sheet itself. */
const onSheet = (pieces: readonly Lying[], run: RowsRun): readonly Lying[] =>
  run === 'across' ? pieces : pieces.map((piece) => ({ ...piece, x: -piece.y, y: piece.x, turn: piece.turn + QUARTER }))

/** Lattices of shapes for rows of both directions. */
export type Lattices = ReadonlyMap<Shape, Readonly<Record<RowsRun, readonly Lattice[]>>>

const MOST_ROWS = 14

/** Rows of one shape that a sheet may have: how many pieces lie in one, and how high so many are together. */
type Rows = {
  readonly lattice: Lattice
  readonly shape: Shape
  readonly count: number
  readonly perRow: number
  readonly most: number
}

const heightOf = ({ lattice: { rowMm, riseMm } }: Rows, rows: number): number =>
  rows === 0 ? 0 : rowMm + (rows - 1) * riseMm

/** Rows of a few lattices of a shape, those first that take most for their height. */
function rowsOf(lattices: readonly Lattice[], room: Room, count: number): readonly Rows[] {
  const rows = lattices.flatMap((lattice): readonly Rows[] => {
    const pieces = fillLattice(lattice, room, Infinity)
    if (pieces.length === 0 || troubleOf(crowdOf(room, pieces)).deepest > 0) return []
    const most = Math.floor((room.high - room.low - lattice.rowMm) / lattice.riseMm + 1e-9) + 1
    const perRow = pieces.length / most
    return [
      { lattice, shape: lattice.shape, count, perRow, most: Math.min(MOST_ROWS, most, Math.ceil(count / perRow)) },
    ]
  })
  return [...rows].sort((one, other) => other.perRow / other.lattice.riseMm - one.perRow / one.lattice.riseMm)
}

/**
 * How many rows of each shape fill a height with most paper; a shape may be worth more or less than its area, so that
 * other mixtures come out.
 */
function chooseRows(
  rows: readonly Rows[],
  heightMm: number,
  gapMm: number,
  worth: readonly number[],
): readonly number[] {
  let best: { readonly chosen: readonly number[]; readonly value: number } = { chosen: rows.map(() => 0), value: 0 }
  const choose = (at: number, leftMm: number, chosen: readonly number[], value: number, laid: number): void => {
    if (at === rows.length) {
      if (value > best.value) best = { chosen, value }
      return
    }
    const each = rows[at]!
    const before = at > 0 && rows[at - 1]!.shape === each.shape ? laid : 0
    for (let count = 0; count <= each.most; count += 1) {
      const takes = heightOf(each, count) + (count > 0 ? gapMm : 0)
      if (takes > leftMm + gapMm + 1e-9) break
      const more = Math.max(0, Math.min(each.count - before, count * each.perRow))
      if (count > 0 && more === 0) break
      choose(at + 1, leftMm - takes, [...chosen, count], value + worth[at]! * each.shape.areaMm2 * more, before + more)
    }
  }
  choose(0, heightMm, [], 0, 0)
  return best.chosen
}

const MOST_IN_CHOICE = 4
/** Kinds of rows, of all shapes together, that are weighed against one another for a sheet. */
const MOST_ALTERNATIVES = 9

type BandSettings = {
  readonly stamps: ReadonlyMap<Shape, readonly Stamp[]>
  readonly fineness: Fineness
  readonly gapMm: number
}

/**
 * Sheet after sheet, the rows that fill it best, and what else finds room.
 * @param worth what a shape counts for beside its area; others give other layouts
 * @returns sheets with everything on them, or null when stock runs out or something fits nowhere
 */
export function layBands(
  all: Remaining,
  worth: ReadonlyMap<Shape, number>,
  run: RowsRun,
  stock: Stock,
  lattices: Lattices,
  { stamps, fineness, gapMm }: BandSettings,
): readonly LaidSheet[] | null {
  const sheets: LaidSheet[] = []
  const { room } = stock
  const isPlain = room.kind === 'rect' && room.obstacles.length === 0
  const free = isPlain ? roomForRows(room, run) : room
  const known = new Map([...lattices].map(([shape, found]) => [shape, rowsOf(found[run], free, Infinity)]))
  let left = all
  while (left.length > 0) {
    if (sheets.length >= stock.count) return null
    const inRows = left
      .filter(({ shape }) => (known.get(shape) ?? []).length > 0)
      .slice(0, isPlain ? MOST_IN_CHOICE : 1)
    const alternatives = isPlain ? Math.max(1, Math.floor(MOST_ALTERNATIVES / inRows.length)) : 1
    const rows = inRows.flatMap(({ shape, count }) =>
      known
        .get(shape)!
        .slice(0, alternatives)
        .map((each): Rows => ({ ...each, count, most: Math.min(each.most, Math.ceil(count / each.perRow)) })),
    )
    const pieces = isPlain
      ? onSheet(
          bandsOf(
            rows,
            chooseRows(
              rows,
              free.high - free.low,
              gapMm,
              rows.map(({ shape }) => worth.get(shape) ?? 1),
            ),
            free,
            gapMm,
          ),
          run,
        )
      : rows.flatMap(({ lattice, count }) => fillLattice(lattice, room, count))
    const filled = fillSheet(room, without(left, pieces), stamps, fineness, gapMm, pieces)
    if (filled.length === 0) return null
    sheets.push({ stock, pieces: filled })
    left = without(left, filled)
  }
  return sheets
}

/** Chosen rows, one band above the other; kinds of rows of one shape share what there is of it. */
function bandsOf(rows: readonly Rows[], chosen: readonly number[], room: Room, gapMm: number): readonly Lying[] {
  const left = new Map(rows.map(({ shape, count }) => [shape, count]))
  let low = room.low
  return rows.flatMap((each, at) => {
    const rowsHere = chosen[at]!
    if (rowsHere === 0) return []
    const band = fillLattice(
      each.lattice,
      rectangleRoom(room.left, low, room.right, Math.min(room.high, low + heightOf(each, rowsHere) + 1e-6)),
      left.get(each.shape)!,
    )
    left.set(each.shape, left.get(each.shape)! - band.length)
    low += heightOf(each, rowsHere) + gapMm + CLEAR_MM
    return band
  })
}

/**
 * Bands stand this much farther apart than the gap, because outlines are drawn a little larger to have fewer corners.
 */
const CLEAR_MM = 0.05
