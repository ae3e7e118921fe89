import type { StockShape } from '../material'
import { found, typed, type Working } from '../quantity'

/** Kept free at both ends of a sheet, mm. */
const EDGES_MM = 10
const USUAL_LONG_MM = 297
const USUAL_SHORT_MM = 210

/**
 * How long a sheet is laid along a tier: as was typed, else as long as the paper gives; a sheet is turned upright where
 * what is cut from it is higher than its short side.
 */
export function sheetAlong(asked: number | null, cutHighMm: number, shapes: readonly StockShape[] = []): Working {
  if (asked !== null) return typed('sheet long', asked, 'length', 'Arrange')
  const [first] = shapes.filter((shape) => shape.kind === 'rect')
  const sides = first ? [first.widthMm, first.heightMm] : [USUAL_SHORT_MM, USUAL_LONG_MM]
  const [short, long] = [Math.min(...sides), Math.max(...sides)]
  return cutHighMm <= short - EDGES_MM
    ? found('sheet long', long - EDGES_MM, 'length', 'as long as the paper gives')
    : found('sheet long', short - EDGES_MM, 'length', 'turned upright, since the tier is tall')
}
