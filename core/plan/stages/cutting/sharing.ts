/** Which parts share sheets. */
import { type CutPart, type SettledCutting } from '../../../cut'
import { shapeKey } from '../../../material'
import { type Working } from '../../../quantity'
import type { CutGroup } from './group'
import type { SettledWork } from './settled'
import { partsOf } from './work'

/** Parts that share sheets, before they are laid out. */
export type Sharing = Pick<CutGroup, 'id' | 'paper' | 'shapes' | 'colour'> & {
  /** What is alike of those that could share sheets if they were cut alike. */
  readonly kin: string
  readonly cutting: SettledCutting
  readonly parts: CutPart[]
  readonly counts: Working[]
}

/**
 * What share sheets: of one paper, size and way, so many at once; of one colour where sheets are coloured whole; coated or
 * spattered alike where that is done to whole sheets.
 */
export function sharing(work: readonly SettledWork[]): readonly Sharing[] {
  const groups = new Map<string, Sharing>()
  for (const each of work) {
    const { paper, shapes, cutting, classes, treated } = each
    const { plies, layers, colouredWhole } = cutting
    partsOf(each).forEach((part, at) => {
      // What is torn is torn along a ruler, whatever the rest is cut by.
      const way = part.edge === 'torn' ? 'boxes' : cutting.way
      const { needed, spares } = classes[at]!
      const colour = colouredWhole ? part.colour.toLowerCase() : null
      // Portions name the disc they come from: all of a paper share discs.
      const stock = [paper, ...(way === 'sectors' ? [] : shapes.map(shapeKey))]
      const whole = [...(colour ? [colour.slice(1)] : []), ...(treated ? [treated] : [])]
      const hands = [
        way,
        ...(way === 'machine' || way === 'sectors' ? [] : [plies]),
        ...(way === 'boxes' && layers > 1 ? [`folded${layers}`] : []),
      ]
      const id = [...stock, ...hands, ...whole].join('-')
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
          kin: [...stock, ...whole].join('-'),
          cutting: { ...cutting, way },
          parts: [part],
          counts: [needed, spares],
        })
    })
  }
  return [...groups.values()]
}
