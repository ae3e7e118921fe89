/** From which sizes of paper a decoration may be cut, and how many each would take. */
import type { Decoration } from '../commission'
import { isSameShape, paperOf, shapeBox, shapeDm2, type PaperId, type StockShape } from '../material'
import { techniqueOf } from '../technique'
import type { PieceClass } from './pieces'

/** Sheets that a decoration would take of a size; none where its pieces are larger than the sheet. */
export type ShapeChoice = {
  readonly shape: StockShape
  readonly sheets: number | null
  readonly paperDm2: number | null
}

/** Kept free at a sheet's edge and between pieces, mm. */
const EDGE_MM = 5
const GAP_MM = 2

/** The papers that a studio works with. */
type Shelf = readonly {
  readonly paper: PaperId
  readonly shape: StockShape
  readonly inUse: boolean
  readonly thicknessMm: number
}[]

/** What a decoration may be cut from: what it names, else what of its paper is in use, else what is usually sold. */
export function shapesFor(
  { paper, stock, technique }: Pick<Decoration, 'paper' | 'stock' | 'technique'>,
  shelf: Shelf,
) {
  if (stock.length > 0) return stock
  const own = shelf.filter((each) => each.paper === paper && each.inUse).map(({ shape }) => shape)
  const kind = techniqueOf(technique).fromDiscs ? 'disc' : 'rect'
  const fitting = own.filter((shape) => shape.kind === kind)
  if (fitting.length > 0) return fitting
  return own.length > 0 ? own : paperOf(paper).shapes.slice(0, 1)
}

/** How thick the thickest of some sheets of a paper is, mm: what dries last. As is usual where the studio has none. */
export function thicknessOf(paper: PaperId, shapes: readonly StockShape[], shelf: Shelf): number {
  const own = shelf.filter((each) => each.paper === paper && shapes.some((shape) => isSameShape(shape, each.shape)))
  return own.length > 0 ? Math.max(...own.map(({ thicknessMm }) => thicknessMm)) : paperOf(paper).thicknessMm
}

/** How many boxes of a size lie on a sheet in rows, upright or turned. */
function boxesOnSheet(widthMm: number, heightMm: number, shape: StockShape): number {
  const sheet = shapeBox(shape)
  const rows = (width: number, height: number): number =>
    Math.max(0, Math.floor((sheet.widthMm - 2 * EDGE_MM + GAP_MM) / (width + GAP_MM))) *
    Math.max(0, Math.floor((sheet.heightMm - 2 * EDGE_MM + GAP_MM) / (height + GAP_MM)))
  return Math.max(rows(widthMm, heightMm), rows(heightMm, widthMm))
}

/** What every usual size of the paper would take, the least paper first. */
export const sizeChoices = (paper: PaperId, classes: readonly PieceClass[]): readonly ShapeChoice[] =>
  paperOf(paper)
    .shapes.filter(({ kind }) => kind === 'rect')
    .map((shape): ShapeChoice => {
      const shares = classes.map(({ width, height, needed, spares }) => ({
        pieces: needed.value + spares.value,
        onSheet: boxesOnSheet(width.value, height.value, shape),
      }))
      const sheets =
        classes.length === 0 || shares.some(({ onSheet }) => onSheet === 0)
          ? null
          : Math.ceil(shares.reduce((sum, { pieces, onSheet }) => sum + pieces / onSheet, 0) - 1e-9)
      return { shape, sheets, paperDm2: sheets === null ? null : sheets * shapeDm2(shape) }
    })
    .sort((one, other) => (one.paperDm2 ?? Infinity) - (other.paperDm2 ?? Infinity))
