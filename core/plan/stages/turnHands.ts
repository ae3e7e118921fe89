/** Hands for a load, a turn, and pieces made again. */
import { stepKey, minutesEach, LEAST_STEP_MIN, type PlannedDecoration } from '../../decoration'
import type { Recut } from '../../ledger'
import { asTimed } from '../../learn'
import { derive, found, starting, type Working } from '../../quantity'
import { paceWorking, type Load } from '../../schedule'
import { type Step } from '../../technique'
import type { WorkInputs } from './workInputs'

/** Hands for what lies on one former: each piece takes its time, or as long as it must soak; each new shade a dose. */
export function loadHands(
  decoration: PlannedDecoration,
  step: Step,
  load: Load,
  doses: number,
  soak: Working | null,
  cutEach: Working,
  { pace, stepMinutes, learned }: WorkInputs,
): Working {
  const { technique, pieces: total } = decoration
  const key = stepKey(technique, step.id)
  const began = minutesEach('for a piece', step.minutes.perPiece ?? 0, key, stepMinutes)
  const timed = key in stepMinutes ? undefined : learned.hands[key]
  const pieces = derive(
    `pieces in load ${load.number}`,
    'count',
    'of the cut list',
    'of {total}',
    { total },
    () => load.laid.length,
  )
  const soaks = step.soaks && soak !== null
  const isCutAgain = load.again && step.soaks === true
  const begin = step.minutes.fixed ?? 0
  return derive(
    `${step.name.toLowerCase()}, load ${load.number}`,
    'duration',
    'hands-on time',
    [
      soaks ? '{pieces} × longer of {each} and {soak}' : '{pieces} × {each}',
      ...(doses > 0 ? ['{doses} × {dose}'] : []),
      ...(isCutAgain ? ['{pieces} × {cut}'] : []),
      ...(begin > 0 ? ['{begin}'] : []),
    ].join(' + '),
    {
      pieces,
      each: timed ? asTimed(began, timed) : began,
      ...(soaks && { soak }),
      ...(doses > 0 && {
        doses: found('doses', doses, 'count', 'shades that are mixed for it'),
        dose: paceWorking(pace, 'doseMin', learned.hands),
      }),
      ...(isCutAgain && { cut: cutEach }),
      ...(begin > 0 && { begin: starting('to begin', begin, 'duration', 'guess') }),
    },
    (v) =>
      Math.max(
        LEAST_STEP_MIN,
        v.pieces! * Math.max(v.each!, v.soak ?? 0) +
          (v.doses ?? 0) * (v.dose ?? 0) +
          v.pieces! * (v.cut ?? 0) +
          (v.begin ?? 0),
      ),
  )
}

/** A share of the hands at a step. */
export const shareOf = (hands: Working, turns: number): Working =>
  turns === 1
    ? hands
    : derive(
        hands.label,
        'duration',
        'shared by turns',
        '{hands} ÷ {turns}',
        { hands, turns: found('turns', turns, 'count', 'as many as what it lies in allows') },
        (v) => v.hands / v.turns,
      )

/** Hands for pieces made again: every step of a piece, and getting ready once. */
export const againHands = ({ many }: Recut, steps: readonly Step[], cut: Working): Working =>
  derive(
    'made again',
    'duration',
    'hands-on time',
    '{pieces} × ( {cut} + {each} ) + {begin}',
    {
      pieces: found('pieces', many, 'count', 'asked for at the bench'),
      cut,
      each: starting(
        'all steps of a piece',
        steps.reduce((sum, { minutes }) => sum + (minutes.perPiece ?? 0), 0),
        'duration',
        'guess',
      ),
      begin: starting('to begin', Math.max(...steps.map(({ minutes }) => minutes.fixed ?? 0)), 'duration', 'guess'),
    },
    (v) => Math.max(LEAST_STEP_MIN, v.pieces * (v.cut + v.each) + v.begin),
  )
