/** Sheets as they are locked and moved by hand. */
import { faultsOf, nestJobOf, type CutSheet, type CuttingTools, type KeptSheet, type LayoutFault } from '../../../cut'
import { type StockShape } from '../../../material'
import type { CutGroup } from './group'
import { gapOf, onOneSheet } from './laying'

/**
 * What is wrong with where the pieces of one sheet of a group lie, if they were laid so: too close, over the edge.
 * Indexes are those of the placements.
 */
export function sheetFaults(
  { parts, way, plies }: Pick<CutGroup, 'parts' | 'way' | 'plies'>,
  shape: StockShape,
  placements: KeptSheet['placements'],
  tools: CuttingTools,
): readonly LayoutFault[] {
  const { job } = nestJobOf('sheet', parts, [shape], tools.marginMm, gapOf(way, plies, tools))
  return job
    ? faultsOf(job, { placements: onOneSheet(placements, shape) }).filter(({ code }) => code !== 'quantity')
    : []
}

/** A sheet as it is kept when it is locked. */
export const keptSheetOf = (
  { paper, way, plies, colour }: Pick<CutGroup, 'paper' | 'way' | 'plies' | 'colour'>,
  { pieces, shape }: CutSheet,
): KeptSheet => ({
  paper,
  shape,
  way,
  plies,
  colour,
  placements: pieces.map(({ part, x, y, rotationDeg, mirrored }) => ({ part: part.id, x, y, rotationDeg, mirrored })),
})
