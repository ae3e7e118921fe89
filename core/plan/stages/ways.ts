/** Ways of cutting one decoration, compared in sheets, strokes and minutes. */
import {
  CUTTING_WAYS,
  cuttingMinutes,
  discDiameterOf,
  nestJobOf,
  strokesOf,
  WAY_WORDS,
  type CutSheet,
  type CuttingTools,
  type CuttingWay,
} from '../../cut'
import { shapeDm2, type StockShape } from '../../material'
import { counted, printDuration, starting } from '../../quantity'
import { partsOf, type CutWork } from './cutting/work'
import { isLaidByHand, layByRule, pliesOf } from './cutting/laying'
import { holeless } from './cutting/figures'

/**
 * A way of cutting one decoration by itself, to compare: sheets, strokes and minutes; about, until it was laid out so.
 */
export type WayChoice = {
  readonly way: CuttingWay
  readonly sheets: number | null
  readonly strokes: number
  readonly minutes: number
  readonly about: boolean
  readonly advised: boolean
}

const MM2_PER_DM2 = 10_000
/** How much of a sheet becomes pieces when outlines are laid closely, before that is tried. */
const USUAL_FILL = starting('usual share of the paper', 0.7, 'share', 'guess')
const PUNCH_FROM = 12

/**
 * Every way for one decoration alone, and which is advised: the one that costs least in paper and time, a machine only
 * when it is chosen already.
 */
export function wayChoices(work: CutWork, tools: CuttingTools, sheetEach: number, hour: number): readonly WayChoice[] {
  const parts = partsOf(work)
  if (parts.length === 0) return []
  // Portions of discs are a way for what is one; what is torn is torn in strips, whatever else there is.
  const isTorn = parts.some(({ edge }) => edge === 'torn')
  const ways = isTorn
    ? (['boxes'] as const)
    : CUTTING_WAYS.filter((way) => way !== 'sectors' || parts.some(({ sector }) => sector))
  const choices = ways.map((way): Omit<WayChoice, 'advised'> => {
    const plies = pliesOf({ ...work.cutting, way })
    if (isLaidByHand(way)) {
      const { sheets, leftOut } = layByRule({ parts, shapes: work.shapes, cutting: { ...work.cutting, way }, tools })
      return {
        way,
        about: false,
        sheets: leftOut.length > 0 ? null : sheets.reduce((sum, each) => sum + each.plies, 0),
        strokes: strokesOf(sheets, way).value,
        minutes: cuttingMinutes(sheets, way, tools).value,
      }
    }
    const area = parts.reduce((sum, part) => sum + part.quantity * holeless(part), 0)
    const { leftOut } = nestJobOf('', parts, work.shapes, tools.marginMm, 0)
    const [shape] = work.shapes as [StockShape]
    const flat: CutSheet = {
      shape,
      plies,
      cuts: [],
      pieces: parts.flatMap((part) =>
        Array.from({ length: Math.ceil(part.quantity / plies) }, (_, number) => ({
          part,
          number,
          x: 0,
          y: 0,
          rotationDeg: 0,
          mirrored: false,
        })),
      ),
    }
    const stacks = Math.ceil(area / plies / (USUAL_FILL.value * shapeDm2(shape) * MM2_PER_DM2))
    const about = stacks * plies
    const sheets = Array.from({ length: stacks }, (_, at): CutSheet => (at === 0 ? flat : { ...flat, pieces: [] }))
    return {
      way,
      about: true,
      sheets: leftOut.length > 0 ? null : about,
      strokes: strokesOf(sheets, way).value,
      minutes: cuttingMinutes(sheets, way, tools).value,
    }
  })
  const costOf = ({ sheets, minutes }: Omit<WayChoice, 'advised'>): number =>
    sheets === null ? Infinity : sheets * sheetEach + (minutes / 60) * hour
  const isRound =
    parts.every((part) => discDiameterOf(part) !== null) &&
    parts.reduce((sum, { quantity }) => sum + quantity, 0) >= PUNCH_FROM
  const candidates = choices.filter(
    ({ way }) =>
      way === 'boxes' ||
      way === 'template' ||
      (way === 'sectors' && parts.every(({ sector }) => sector)) ||
      (way === 'punch' && isRound) ||
      (way === 'machine' && work.cutting.way === 'machine'),
  )
  const best = candidates.reduce((one, other) => (costOf(other) < costOf(one) ? other : one))
  return choices.map((each) => ({ ...each, advised: each === best && costOf(each) < Infinity }))
}

/** The way that is advised; strips and boxes where none is possible. */
export const advisedOf = (choices: readonly WayChoice[]): CuttingWay =>
  choices.find(({ advised }) => advised)?.way ?? 'boxes'

/** What a way takes of paper in words; null where it is not possible. */
export const paperTaken = ({ way, sheets }: WayChoice): string | null =>
  sheets === null ? null : counted(sheets, way === 'sectors' ? 'disc' : 'sheet')

/**
 * Why a way is advised, beside the next best: “1 sheet and 12 min, where template and knife takes 2 sheets and 40 min”;
 * nothing where there is only one.
 */
export function whyAdvised(choices: readonly WayChoice[]): string {
  const advised = choices.find((each) => each.advised)
  const [other] = choices
    .filter((each) => each !== advised && each.sheets !== null && each.way !== 'machine')
    .sort((one, next) => one.minutes - next.minutes)
  if (!advised || advised.sheets === null || !other) return ''
  const takes = (choice: WayChoice): string => `${paperTaken(choice)} and ${printDuration(Math.max(1, choice.minutes))}`
  return `${takes(advised)}, where ${WAY_WORDS[other.way].name.toLowerCase()} takes ${takes(other)}`
}
