/** The figures that are always on the screen, each with its working; none for what is not on the cake. */
import { LEAVES, type Caution, type Leaf } from '../../care'
import type { OwnPiece } from '../../cut'
import type { PlannedDecoration } from '../../decoration'
import { paperOf, sheetCount } from '../../material'
import {
  counted,
  dateClockText,
  derive,
  found,
  percent,
  printNumber,
  printQuantity,
  several,
  sumOf,
  typed,
  type UnitSystem,
  type Working,
} from '../../quantity'
import { couldBeginLater, type Work } from '../../schedule'
import type { SheetNeed } from '../../supply'
import { powderG } from '../../tint'
import { inOrder } from '../figuresAhead'
import type { LeafState, Plan, TallyFigure, TallyId } from '../plan'
import { allSheets } from './cutting/needs'
import type { DishWork } from './tint'

type PartsAhead = {
  readonly decorations: readonly PlannedDecoration[]
  readonly ownPieces: readonly OwnPiece[]
  readonly sheets: readonly SheetNeed[]
  readonly dishes: Pick<DishWork, 'dishes' | 'baths' | 'dyes'>
  readonly work: Work
  readonly cost: Working
  readonly units: UnitSystem
}

type TallyParts = PartsAhead & {
  readonly startBy: Working | null
  readonly timetable: Plan['timetable']
  readonly cautions: readonly Caution[]
}

const figure = (id: TallyId, label: string, working: Working | null, beside = '', none = ''): TallyFigure => ({
  id,
  label,
  working,
  beside,
  none,
})

/** All figures of a plan, in the order they stand in. */
export const tallyOf = ({ startBy, timetable, cautions, ...ahead }: TallyParts): readonly TallyFigure[] =>
  inOrder([
    ...figuresAhead(ahead),
    figure('startBy', 'start by', startBy, startWords(timetable), noStartWords(timetable)),
    figure('warnings', 'needs a look', warningCount(cautions), wordsFor(cautions)),
  ])

/** Figures that hang on no hour, and so can be told before hours are found. */
export function figuresAhead({
  decorations,
  sheets,
  dishes,
  work,
  cost,
  units,
  ownPieces,
}: PartsAhead): readonly TallyFigure[] {
  const own = ownPieces.reduce((sum, { quantity }) => sum + quantity, 0)
  const loads = loadsOf(work)
  const made = decorations.filter(({ elements }) => elements.length > 0)
  const pieces = sumOf('pieces', 'count', 'decorations added up', [
    ...made.map((each) => ({ ...each.pieces, label: each.name.toLowerCase() })),
    ...(own > 0 ? [typed('own pieces', own, 'count', 'Cut')] : []),
  ])
  const paper = allSheets(sheets)
  const colours = colourVolume(dishes)
  return [
    ...(pieces.value > 0
      ? [figure('pieces', 'pieces', pieces, [...elementWords(made), ...(own > 0 ? [`${own} own`] : [])].join(', '))]
      : []),
    ...(paper.value > 0 ? [figure('paper', 'paper', paper, sheetWords(sheets))] : []),
    ...(colours ? [figure('colours', 'colours', colours, colourWords(dishes, units))] : []),
    figure(
      'handsOn',
      'hands-on',
      work.total,
      loads === 0 ? '' : loads === 1 ? '1 load to dry' : `${loads} loads to dry`,
    ),
    figure('cost', 'cost', cost, 'paper, colour, hands'),
  ]
}

/** "31 ± 2 blooms, 1 bow": what is called alike is counted together, with how many more or fewer. */
function elementWords(made: readonly PlannedDecoration[]): readonly string[] {
  return [...new Set(made.map(({ one }) => one))].map((one) => {
    const alike = made.filter((each) => each.one === one)
    const count = alike.reduce((sum, each) => sum + each.count.value, 0)
    const spread = Math.round(Math.hypot(...alike.map((each) => each.spread)))
    return spread > 0 ? `${count} ± ${spread} ${several(one)}` : counted(count, one)
  })
}

/** "13 A4", "4 discs of 220 mm"; the paper too where there are several. */
function sheetWords(sheets: readonly SheetNeed[]): string {
  const isOne = new Set(sheets.filter(({ shape }) => shape.kind === 'rect').map(({ paper }) => paper)).size < 2
  return sheets
    .map(({ paper, shape, needed }) => {
      const words = sheetCount(shape, needed.value)
      return isOne || shape.kind === 'disc' ? words : `${words} ${paperOf(paper).name.toLowerCase()}`
    })
    .join(', ')
}

/** All that is mixed. */
function colourVolume({ dishes, baths }: PartsAhead['dishes']): Working | null {
  const all = [
    ...baths.map(({ startMl, uses }) => named(startMl, uses)),
    ...dishes.map(({ ml, uses }) => named(ml, uses)),
  ]
  return all.length === 0 ? null : sumOf('colours', 'volume', 'baths and dishes added up', all)
}

const named = (ml: Working, uses: readonly { readonly name: string }[]): Working => ({
  ...ml,
  label: uses.map(({ name }) => name.toLowerCase()).join(', '),
})

function colourWords({ dishes, baths, dyes }: PartsAhead['dishes'], units: UnitSystem): string {
  const isPowder = (id: string): boolean => dyes.film.some(({ dye }) => dye.id === id && dye.base === 'powder')
  const dripped = baths.flatMap(({ steps }) => steps.flatMap(({ wholeDrops }) => Object.entries(wholeDrops)))
  const drops = dripped.reduce((sum, [dye, many]) => sum + (isPowder(dye) ? 0 : many), 0)
  const powder = dripped.reduce((sum, [dye, many]) => sum + (isPowder(dye) ? powderG(many) : 0), 0)
  return [
    ...(baths.length > 0 ? [baths.length === 1 ? '1 bath' : `${baths.length} baths`] : []),
    ...(drops > 0 ? [`${printQuantity(drops, 'count', units)} drops`] : []),
    ...(powder > 0 ? [`${printNumber(powder, 2)} g powder`] : []),
    ...(dishes.length > 0 ? [dishes.length === 1 ? '1 dish' : `${dishes.length} dishes`] : []),
  ].join(', ')
}

/** Loads on mats and trays. */
const loadsOf = ({ making }: Work): number =>
  making.flatMap(({ steps }) => steps.flatMap(({ turns, hold }) => (hold?.untilStep ? turns : []))).length

/** The last possible start, which is no more than a gamble; when to leave, once work was begun. */
function startWords(timetable: Plan['timetable']): string {
  if (!timetable.ok) return ''
  const { leaveAt, last } = timetable.value
  return last && couldBeginLater(timetable.value)
    ? `last possible ${dateClockText(last.startBy)}, ${percent(last.chance.value)}`
    : `leave ${dateClockText(leaveAt)}`
}

/** Why there is no hour to start. */
function noStartWords(timetable: Plan['timetable']): string {
  if (timetable.ok) return ''
  if (timetable.error.code === 'never-sets') return 'not in this room'
  return timetable.error.code === 'nothing-to-make' ? 'nothing yet' : 'not possible'
}

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

/** Leaves that have nothing to say until something is on the cake. */
const NEEDS_DECORATION: readonly Leaf[] = ['arrange', 'cut', 'tint', 'dry', 'timetable', 'supply', 'make', 'deliver']

/** Whether a leaf is empty, ready, or needs a look, from the cautions that belong to it. */
export function leafStatesOf(cautions: readonly Caution[], isDecorated: boolean): Readonly<Record<Leaf, LeafState>> {
  const stateOf = (leaf: Leaf): LeafState => {
    if (!isDecorated && NEEDS_DECORATION.includes(leaf)) return 'empty'
    const here = cautions.filter((caution) => caution.leaf === leaf)
    return here.some(({ severity }) => severity === 'stop')
      ? 'stop'
      : here.some(({ severity }) => severity === 'look')
        ? 'look'
        : 'ready'
  }
  return Object.fromEntries(LEAVES.map((leaf) => [leaf, stateOf(leaf)])) as Record<Leaf, LeafState>
}
