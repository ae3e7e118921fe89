import type { Working } from '#core/quantity'
import type { PlannedOption } from './useOptionPlans'

/** A line of the comparison: one figure of each option, null where there is none, with the words for none. */
export type CompareRow = {
  readonly name: string
  readonly figures: readonly (Working | null)[]
  readonly words: readonly string[]
  readonly differs: boolean
}

/** What is compared, option by option. A line differs when not all of its values are the same. */
export function compareRows(planned: readonly PlannedOption[]): readonly CompareRow[] {
  const row = (
    name: string,
    figureOf: (each: PlannedOption) => Working | null,
    wordsOf: (each: PlannedOption) => string = () => '',
  ): CompareRow => {
    const figures = planned.map(figureOf)
    const words = planned.map(wordsOf)
    const shown = figures.map((figure, at) => (figure ? String(figure.value) : words[at]!))
    return { name, figures, words, differs: new Set(shown).size > 1 }
  }
  const tally =
    (id: string) =>
    ({ plan }: PlannedOption): Working | null =>
      plan.tally.find((each) => each.id === id)?.working ?? null
  const none =
    (id: string) =>
    ({ plan }: PlannedOption): string =>
      plan.tally.find((each) => each.id === id)?.none ?? ''
  /** Words for a figure that the cake does not have. */
  const absent =
    (id: string, words: string) =>
    (each: PlannedOption): string =>
      tally(id)(each) ? '' : words
  return [
    row('high, finished', ({ plan }) => plan.finished.high),
    row('wide, finished', ({ plan }) => plan.finished.wide),
    row('free above in the box', ({ plan }) => plan.fit.clearance.high),
    row('free at each side', ({ plan }) => plan.fit.clearance.wide),
    row('surface', ({ plan }) => plan.cake.surface),
    row('pieces', tally('pieces'), absent('pieces', 'no decorations yet')),
    row('sheets and discs', tally('paper'), absent('paper', 'none')),
    row('colour mixed', tally('colours'), absent('colours', 'none')),
    row('hands-on', tally('handsOn')),
    row('start by', tally('startBy'), none('startBy')),
    row('cost', tally('cost')),
    row('needs a look', tally('warnings')),
  ]
}
