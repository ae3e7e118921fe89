import { printDuration, printQuantity, printWorkingValue, type UnitSystem } from '#core/quantity'
import type { TallyFigure, TallyId } from '#core/plan'

/** How a figure of the tally changed by an edit, in words: "+2", "3 h earlier". */
export type Difference = { readonly text: string; readonly direction: 'up' | 'down' }

/** Words for one figure's change; null when it did not change or cannot be compared. */
export function differenceOf(before: TallyFigure, after: TallyFigure, units: UnitSystem): Difference | null {
  if (!before.working || !after.working) return null
  const change = after.working.value - before.working.value
  const shown = (figure: TallyFigure): string => printWorkingValue(figure.working!, units)
  if (shown(before) === shown(after)) return null
  const direction = change > 0 ? 'up' : 'down'
  const sign = change > 0 ? '+' : '−'
  switch (after.working.kind) {
    case 'moment':
      return { text: `${printDuration(Math.abs(change))} ${change > 0 ? 'later' : 'earlier'}`, direction }
    case 'duration':
      return { text: `${sign}${printDuration(Math.abs(change))}`, direction }
    case 'volume':
      return { text: `${sign}${printQuantity(Math.abs(change), 'volume', units)}`, direction }
    case 'money':
      return { text: `${sign}${printWorkingValue({ ...after.working, value: Math.abs(change) }, units)}`, direction }
    default:
      return { text: `${sign}${printQuantity(Math.abs(change), 'count', units)}`, direction }
  }
}

/** All changes between two tallies. */
export function differencesBetween(
  before: readonly TallyFigure[],
  after: readonly TallyFigure[],
  units: UnitSystem,
): Partial<Record<TallyId, Difference>> {
  return Object.fromEntries(
    after.flatMap((figure) => {
      const was = before.find(({ id }) => id === figure.id)
      const difference = was ? differenceOf(was, figure, units) : null
      return difference ? [[figure.id, difference]] : []
    }),
  )
}
