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

/**
 * Hands at a step: its pieces, its elements and getting ready, what there is of each.
 * @param timed how long these hands take, where it was timed often enough
 */
export function handsAt(
  step: Pick<Step, 'id' | 'name' | 'minutes'>,
  technique: string,
  pieces: Working,
  elements: Working,
  own: TypedMinutes,
  timed: Learned['hands'],
): Working {
  const key = stepKey(technique, step.id)
  const { perPiece = 0, perElement = 0, fixed = 0 } = step.minutes
  const [byPiece, byElement] = [perPiece > 0, perElement > 0]
  const usual = derive(
    step.name.toLowerCase(),
    'duration',
    'hands-on time',
    [
      ...(byPiece ? ['{pieces} × {perPiece}'] : []),
      ...(byElement ? ['{elements} × {perElement}'] : []),
      ...(fixed > 0 ? ['{fixed}'] : []),
    ].join(' + ') || '0',
    {
      ...(byPiece && { pieces, perPiece: minutesEach('for a piece', perPiece, key, own) }),
      ...(byElement && {
        elements,
        perElement: minutesEach('for an element', perElement, key, byPiece ? {} : own),
      }),
      ...(fixed > 0 && { fixed: starting('to begin', fixed, 'duration', 'guess') }),
    },
    (v) =>
      elements.value === 0
        ? 0
        : (v.pieces ?? 0) * (v.perPiece ?? 0) + (v.elements ?? 0) * (v.perElement ?? 0) + (v.fixed ?? 0),
  )
  // What was typed stands.
  const factor = key in own ? undefined : timed[key]
  return factor ? asTimed(usual, factor) : usual
}
