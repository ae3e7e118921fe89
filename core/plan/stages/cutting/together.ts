/** Strips of several decorations from the same sheets, where that saves one. */
import { cuttingMinutes, sheetsIn, type CuttingTools } from '../../../cut'
import type { layByRule } from './laying'
import type { CuttingPrices } from './settled'
import type { Sharing } from './sharing'

/** Work that shares sheets; and how many it would take if it did not, where it was joined to save some. */
export type Together = { readonly group: Sharing; readonly sheetsApart: number | null }

/** Strips could come from the same sheets: of one paper, size and colour, coated alike, none of them folded. */
const areAlike = (one: Sharing, other: Sharing): boolean =>
  [one, other].every(({ cutting }) => cutting.way === 'boxes' && cutting.layers === 1) && one.kin === other.kin

/** Both as one, so many sheets at once as the one that takes fewer. */
function joined(one: Sharing, other: Sharing): Sharing {
  const [fewer, more] = one.cutting.plies <= other.cutting.plies ? [one, other] : [other, one]
  return { ...fewer, parts: [...fewer.parts, ...more.parts], counts: [...fewer.counts, ...more.counts] }
}

/**
 * The same work with groups joined that differ only in how many sheets are cut at once, where that saves a sheet and
 * costs no more in paper and time: the pair that saves most first, until none does.
 * @param lay lays a group by its rule, and may remember it
 */
export function cutTogether(
  groups: readonly Sharing[],
  tools: CuttingTools,
  { sheetEach, hour }: CuttingPrices,
  lay: typeof layByRule,
): readonly Together[] {
  const taken = ({ parts, shapes, cutting }: Sharing) => {
    const layout = lay({ parts, shapes, cutting, tools })
    const sheets = sheetsIn(layout.sheets)
    const minutes = cuttingMinutes(layout.sheets, cutting.way, tools).value
    return { sheets, cost: sheets * sheetEach + (minutes / 60) * hour, leftOut: layout.leftOut.length }
  }
  let left: readonly Together[] = groups.map((group) => ({ group, sheetsApart: null }))
  for (;;) {
    const pairs = left.flatMap((one, at) =>
      left.slice(at + 1).flatMap((other) => (areAlike(one.group, other.group) ? [[one, other] as const] : [])),
    )
    const better = pairs.flatMap(([one, other]) => {
      const group = joined(one.group, other.group)
      const [apart, also, both] = [taken(one.group), taken(other.group), taken(group)]
      const saved = apart.sheets + also.sheets - both.sheets
      const isCheaper = both.cost <= apart.cost + also.cost && both.leftOut <= apart.leftOut + also.leftOut
      return saved > 0 && isCheaper
        ? [
            {
              one,
              other,
              group,
              saved,
              sheetsApart: (one.sheetsApart ?? apart.sheets) + (other.sheetsApart ?? also.sheets),
            },
          ]
        : []
    })
    if (better.length === 0) return left
    const { one, other, group, sheetsApart } = better.reduce((best, each) => (each.saved > best.saved ? each : best))
    left = left.flatMap((each) => (each === one ? [{ group, sheetsApart }] : each === other ? [] : [each]))
  }
}
