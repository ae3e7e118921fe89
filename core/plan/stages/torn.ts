/** Paper that is torn for slurry and glue: offcuts first, whole sheets for the rest. */
import type { PlannedDecoration } from '../../decoration'
import { paperOf, shapeDm2 } from '../../material'
import { offcutsFor, type MadeMixture } from '../../mixture'
import { derive, found, starting, sumOf } from '../../quantity'
import { paperItem, paperName, type SheetNeed } from '../../supply'
import type { CutGroup } from './cutting/group'

type TornInputs = {
  readonly decorations: readonly Pick<PlannedDecoration, 'cast' | 'paper' | 'shapes'>[]
  readonly mixtures: readonly MadeMixture[]
  readonly groups: readonly Pick<CutGroup, 'paper' | 'offcuts'>[]
}

/** Sheets that are torn whole since offcuts do not suffice; none where they do, or nothing is cast. */
export function tornSheets({ decorations, mixtures, groups }: TornInputs): SheetNeed | null {
  const cast = decorations.find((each) => each.cast !== null)
  const shape = cast?.shapes[0]
  if (!cast || !shape) return null
  const wanted = offcutsFor(mixtures)
  const offcuts = sumOf(
    'offcuts of wafer',
    'mass',
    'groups of sheets added up',
    groups.filter(({ paper }) => paperOf(paper).kind === 'wafer').map((each) => each.offcuts),
  )
  if (wanted.value <= offcuts.value) return null
  return {
    paper: cast.paper,
    shape,
    needed: derive(
      paperName(cast.paper, shape),
      'count',
      'torn whole, after offcuts',
      'round up( ( {wanted} − {offcuts} ) ÷ ( {sheet} × {weight} ) )',
      {
        wanted,
        offcuts,
        sheet: found('a sheet', shapeDm2(shape), 'area', 'its size'),
        weight: starting('weight of a dm²', paperOf(cast.paper).gramsPerDm2, 'mass', 'usual'),
      },
      (v) => Math.ceil((v.wanted - v.offcuts) / (v.sheet * v.weight) - 1e-9),
    ),
  }
}

/** Sheets that are cut, and those that are torn, each size of a paper once. */
export function withTorn(sheets: readonly SheetNeed[], torn: SheetNeed | null): readonly SheetNeed[] {
  if (!torn) return sheets
  const item = paperItem(torn.paper, torn.shape)
  const isSame = ({ paper, shape }: SheetNeed): boolean => paperItem(paper, shape) === item
  if (!sheets.some(isSame)) return [...sheets, torn]
  return sheets.map((each) =>
    isSame(each)
      ? {
          ...each,
          needed: sumOf(each.needed.label, 'count', 'cut and torn', [
            { ...each.needed, label: 'cut' },
            { ...torn.needed, label: 'torn whole' },
          ]),
        }
      : each,
  )
}
