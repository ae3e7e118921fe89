/** How many sheets of each size a job opens. */
import { sumOf, type Working } from '../../../quantity'
import { paperItem, type SheetNeed } from '../../../supply'
import type { CutGroup } from './group'

/** Sheets and discs of all groups, each size of a paper once. */
export function sheetNeeds(groups: readonly Pick<CutGroup, 'needs'>[]): readonly SheetNeed[] {
  const bySize = new Map<string, SheetNeed[]>()
  for (const need of groups.flatMap(({ needs }) => needs)) {
    const item = paperItem(need.paper, need.shape)
    bySize.set(item, [...(bySize.get(item) ?? []), need])
  }
  return [...bySize.values()].map((needs) => {
    const [{ paper, shape, needed }] = needs as [SheetNeed, ...SheetNeed[]]
    if (needs.length === 1) return { paper, shape, needed }
    const parts = needs.map((need, at) => ({ ...need.needed, label: `cut together, ${at + 1}` }))
    return { paper, shape, needed: sumOf(needed.label, 'count', 'sheets cut together added up', parts) }
  })
}

/** All sheets and discs. */
export const allSheets = (needs: readonly SheetNeed[]): Working =>
  sumOf(
    'sheets',
    'count',
    'all sizes added up',
    needs.map(({ needed }) => needed),
  )
