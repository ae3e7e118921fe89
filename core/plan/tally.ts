import { LEAVES, type Caution, type Leaf } from '../care'
import type { CutDisc } from '../cut'
import { dayClockText, derive, found, printQuantity, type Moment, type UnitSystem, type Working } from '../quantity'
import type { SteppedBath } from '../tint'
import type { Arrangement } from './arrange'
import { allSheets, type CutGroup } from './cutting'
import type { LeafState, TallyFigure } from './plan'

type TallyParts = {
  readonly arrangement: Arrangement
  readonly groups: readonly CutGroup[]
  readonly pieces: Working
  readonly discs: readonly CutDisc[]
  readonly loads: number
  readonly leaveAt: Moment | null
  readonly bath: SteppedBath | null
  readonly handsOn: Working
  readonly cost: Working
  readonly startBy: Working | null
  readonly noStart: string
  readonly cautions: readonly Caution[]
  readonly units: UnitSystem
}

/** The figures that are always on the screen, each with its working. */
export function tallyOf({
  arrangement,
  groups,
  pieces,
  discs,
  loads,
  leaveAt,
  bath,
  handsOn,
  cost,
  startBy,
  noStart,
  cautions,
  units,
}: TallyParts): readonly TallyFigure[] {
  const figure = (
    id: TallyFigure['id'],
    label: string,
    working: Working | null,
    beside = '',
    none = '',
  ): TallyFigure => ({ id, label, working, beside, none })
  const { count, countSpread } = arrangement
  return [
    figure('sails', 'sails', count, count.value > 0 ? `± ${countSpread.value}, cut ${pieces.value}` : ''),
    figure('discs', 'discs', discCount(discs, pieces), bySize(discs)),
    figure(
      'paper',
      'sheets',
      allSheets(groups),
      groups.length > 0
        ? `${groups.reduce((sum, { parts }) => sum + parts.reduce((all, { quantity }) => all + quantity, 0), 0)} pieces`
        : '',
    ),
    figure(
      'bath',
      'bath',
      bath?.startMl ?? null,
      bath ? `${bath.steps.length} shades, ${printQuantity(bath.totalDrops.value, 'count', units)} drops` : '',
      'no bath',
    ),
    figure('handsOn', 'hands-on', handsOn, loads === 1 ? '1 load to dry' : `${loads} loads to dry`),
    figure('startBy', 'start by', startBy, leaveAt === null ? '' : `leave ${dayClockText(leaveAt)}`, noStart),
    figure('cost', 'cost', cost, 'film, paper, colour, hands'),
    figure('warnings', 'needs a look', warningCount(cautions), wordsFor(cautions)),
  ]
}

/** How many of each size: "4 of 220, 3 of 160". */
const bySize = (discs: readonly CutDisc[]): string =>
  [...new Set(discs.map(({ diameterMm }) => diameterMm))]
    .map((size) => `${discs.filter(({ diameterMm }) => diameterMm === size).length} of ${size}`)
    .join(', ')

const wordsFor = (cautions: readonly Caution[]): string =>
  cautions.some(({ severity }) => severity === 'stop')
    ? 'something stops the plan'
    : cautions.some(({ severity }) => severity === 'look')
      ? 'before you begin'
      : 'all in order'

/** Cautions that want a decision, counted. */
function warningCount(cautions: readonly Caution[]): Working {
  const counted = (severity: Caution['severity'], label: string): Working =>
    found(
      label,
      cautions.filter((caution) => caution.severity === severity).length,
      'count',
      'counted among the cautions of the leaves',
    )
  return derive(
    'needs a look',
    'count',
    'warnings counted',
    '{stop} + {look}',
    { stop: counted('stop', 'that stop the plan'), look: counted('look', 'to look at') },
    (v) => v.stop + v.look,
  )
}

/** Discs opened by the layout, with how they come about. */
export const discCount = (discs: readonly CutDisc[], pieces: Working): Working =>
  derive(
    'discs',
    'count',
    'portions share discs',
    '{pieces} laid on discs: a whole takes one, two halves or four quarters share one, small portions use what large discs leave',
    { pieces },
    () => discs.length,
  )

/** Whether a leaf is empty, ready, or needs a look, from the cautions that belong to it. */
export function leafStatesOf(
  cautions: readonly Caution[],
  hasSails: boolean,
  hasPaper: boolean,
): Readonly<Record<Leaf, LeafState>> {
  const needsSails: readonly Leaf[] = hasPaper
    ? ['tint', 'dry']
    : ['arrange', 'cut', 'tint', 'dry', 'timetable', 'supply', 'make', 'deliver']
  const stateOf = (leaf: Leaf): LeafState => {
    if (!hasSails && needsSails.includes(leaf)) return 'empty'
    const here = cautions.filter((caution) => caution.leaf === leaf)
    return here.some(({ severity }) => severity === 'stop')
      ? 'stop'
      : here.some(({ severity }) => severity === 'look')
        ? 'look'
        : 'ready'
  }
  return Object.fromEntries(LEAVES.map((leaf) => [leaf, stateOf(leaf)])) as Record<Leaf, LeafState>
}
