/** Figures that are told while hours are still searched, and where each figure of the tally stands. */
import type { TallyFigure, TallyId } from './plan'

/** As they stand from left to right. */
const IN_ORDER: readonly TallyId[] = ['pieces', 'paper', 'colours', 'handsOn', 'startBy', 'cost', 'warnings']
/** What is not known before hours are found. */
const BY_HOURS: readonly TallyId[] = ['startBy', 'warnings']

export const inOrder = (figures: readonly TallyFigure[]): readonly TallyFigure[] =>
  [...figures].sort((one, other) => IN_ORDER.indexOf(one.id) - IN_ORDER.indexOf(other.id))

/** Whether a figure is only known once hours are found. */
export const isByHours = ({ id }: TallyFigure): boolean => BY_HOURS.includes(id)

/** A tally until the whole plan is there: the figures that are ahead of it, and what hangs on hours as it was. */
export const tallyWith = (ahead: readonly TallyFigure[], before: readonly TallyFigure[]): readonly TallyFigure[] =>
  inOrder([...ahead, ...before.filter(isByHours)])
