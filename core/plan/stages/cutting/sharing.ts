/** Which parts share sheets. */
import { type CutPart, type Cutting } from '../../../cut'
import { shapeKey } from '../../../material'
import { type Working } from '../../../quantity'
import { partsOf, type CutWork } from './work'
import type { CutGroup } from './group'

/** Parts that share sheets, before they are laid out. */
export type Sharing = Pick<CutGroup, 'id' | 'paper' | 'shapes' | 'colour'> & {
  readonly cutting: Cutting
  readonly parts: CutPart[]
  readonly counts: Working[]
}

/**
 * What share sheets: of one paper, size and way, so many at once; of one colour where sheets are coloured whole; coated or
 * spattered alike where that is done to whole sheets.
 */
export function sharing(work: readonly CutWork[]): readonly Sharing[] {
  const groups = new Map<string, Sharing>()
  for (const each of work) {
    const { paper, shapes, cutting, classes, treated } = each
    const { plies, layers, colouredWhole } = cutting
    partsOf(each).forEach((part, at) => {
      // What is torn is torn along a ruler, whatever the rest is cut by.
      const way = part.edge === 'torn' ? 'boxes' : cutting.way
      const { needed, spares } = classes[at]!
      const colour = colouredWhole ? part.colour.toLowerCase() : null
      const id = [
        paper,
        // Portions name the disc they come from: all of a paper share discs.
        ...(way === 'sectors' ? [] : shapes.map(shapeKey)),
        way,
        ...(way === 'machine' || way === 'sectors' ? [] : [plies]),
        ...(way === 'boxes' && layers > 1 ? [`folded${layers}`] : []),
        ...(colour ? [colour.slice(1)] : []),
        ...(treated ? [treated] : []),
      ].join('-')
      const group = groups.get(id)
      if (group) {
        group.parts.push(part)
        group.counts.push(needed, spares)
      } else
        groups.set(id, {
          id,
          paper,
          shapes,
          colour,
          cutting: { ...cutting, way },
          parts: [part],
          counts: [needed, spares],
        })
    })
  }
  return [...groups.values()]
}
