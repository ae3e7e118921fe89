import { knifeLines, type CutSheet } from '../../cut'
import type { Point } from '../../geometry'

/** Steps of a plotter, for a millimetre. */
const STEPS_PER_MM = 40

const steps = ({ x, y }: Point): string => `${Math.round(x * STEPS_PER_MM)},${Math.round(y * STEPS_PER_MM)}`

/** One sheet as pen-plotter commands (HP-GL): straight cuts first, then pieces in their order, what is inside first. */
export function writePlotter({ pieces, cuts }: CutSheet, overcutMm: number): string {
  const line = ([first, ...rest]: readonly Point[]): string => `PU${steps(first!)};PD${rest.map(steps).join(',')};`
  return (
    [
      'IN;',
      'SP1;',
      ...cuts.map(({ from, to }) => line([from, to])),
      ...knifeLines(pieces, overcutMm).map(({ points }) => line(points)),
      'PU0,0;',
      'SP0;',
    ].join('\n') + '\n'
  )
}
