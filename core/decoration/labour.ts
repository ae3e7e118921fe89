/** Hands-on minutes of a decoration, step by step. */
import { type Learned, asTimed } from '../learn'
import { derive, starting, typed, type Working } from '../quantity'
import type { Step } from '../technique'

/** What a step of a technique is called in the ledger, and where its minutes are typed. */
export const stepKey = (technique: string, step: string): string => `${technique} ${step}`

/** The step that stands for placing one on the cake. */
export const PLACING = 'place'

/** Minutes typed for steps, by their key; each for a piece, or for an element where a step is counted by those. */
export type TypedMinutes = Readonly<Record<string, number>>

/** Minutes for one: typed, or what its technique begins with. */
export const minutesEach = (label: string, began: number, key: string, own: TypedMinutes): Working =>
  key in own ? typed(label, own[key]!, 'duration', 'Timetable') : starting(label, began, 'duration', 'guess')

/** No step is done in less, minutes: what somebody turns to takes a moment. */
export const LEAST_STEP_MIN = 1

/** What cutting the pieces of a decoration takes: minutes, and the sheets they come from. */
export type CutShare = { readonly minutes: Working; readonly sheets: Working }

/**
 * Hands at a step: its pieces, its elements, its sheets and getting ready, what there is of each; where pieces are cut,
 * what the way of cutting takes. Minutes typed for a piece stand for all of it.
 * @param timed how long these hands take, where it was timed often enough
 * @param cut what Cut says of its pieces; none where nothing is cut yet
 * @param pours how often a pan is filled; none for what is not cast
 */
export function handsAt(
  step: Pick<Step, 'id' | 'name' | 'minutes' | 'cuts'>,
  technique: string,
  pieces: Working,
  elements: Working,
  own: TypedMinutes,
  timed: Learned['hands'],
  cut: CutShare | null,
  pours: Working | null = null,
): Working {
  const key = stepKey(technique, step.id)
  const { perPiece = 0, perElement = 0, perSheet = 0, perPour = 0, fixed = 0 } = step.minutes
  const isTyped = key in own
  const byElement = perElement > 0
  const byPiece = perPiece > 0 || (isTyped && step.cuts === true && !byElement)
  const cutting = step.cuts && !isTyped ? cut : null
  const minutesOf = (v: Readonly<Record<string, number>>): number =>
    (v.cutting ?? 0) +
    (v.sheets ?? 0) * (v.perSheet ?? 0) +
    (v.pours ?? 0) * (v.perPour ?? 0) +
    (v.pieces ?? 0) * (v.perPiece ?? 0) +
    (v.elements ?? 0) * (v.perElement ?? 0) +
    (v.fixed ?? 0)
  const usual = derive(
    step.name.toLowerCase(),
    'duration',
    'hands-on time',
    [
      ...(cutting ? ['{cutting}'] : []),
      ...(perSheet > 0 && cut ? ['{sheets} × {perSheet}'] : []),
      ...(pours && perPour > 0 ? ['{pours} × {perPour}'] : []),
      ...(byPiece ? ['{pieces} × {perPiece}'] : []),
      ...(byElement ? ['{elements} × {perElement}'] : []),
      ...(fixed > 0 ? ['{fixed}'] : []),
    ].join(' + ') || '0',
    {
      ...(cutting && { cutting: cutting.minutes }),
      ...(perSheet > 0 && cut && { sheets: cut.sheets, perSheet: minutesEach('for a sheet', perSheet, key, own) }),
      ...(pours && perPour > 0 && { pours, perPour: minutesEach('for a pour', perPour, key, own) }),
      ...(byPiece && { pieces, perPiece: minutesEach('for a piece', perPiece, key, own) }),
      ...(byElement && {
        elements,
        perElement: minutesEach('for an element', perElement, key, byPiece ? {} : own),
      }),
      ...(fixed > 0 && { fixed: starting('to begin', fixed, 'duration', 'guess') }),
    },
    (v) => (elements.value === 0 ? 0 : Math.max(LEAST_STEP_MIN, minutesOf(v))),
  )
  // What was typed stands.
  const factor = isTyped ? undefined : timed[key]
  return factor ? asTimed(usual, factor) : usual
}
