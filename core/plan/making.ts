/** From decorations to steps of work: hands, rests as this room lets paper dry, what they occupy. */
import { dryingCaseMin, dryingCurve, moistureAfter, moved, onMat, paperSheet, type Climate } from '../dry'
import type { UsedFactor } from '../learn'
import { derive, found, starting, sumOf, type Working } from '../quantity'
import type { MadeAgain, Making, MakingStep } from '../schedule'
import { MOULD_WORDS } from '../technique'
import { techniqueOf, type Paperwork } from './paperwork'

/** The room that usual rests are told for. */
const USUAL_ROOM: Climate = { airC: 22, humidity: 0.475 }
/** Rests this long are for setting; shorter ones, from here on, for drying till it can be handled. Minutes. */
const SETTING_FROM_MIN = 600
const DRYING_FROM_MIN = 20
const HORIZON_H = 96

/**
 * How many times as long paper takes in a room as usual: till it can be handled, till it stands firm. None where it
 * never does.
 */
export type Slowing = {
  readonly handle: number | null
  readonly firm: number | null
  /**
   * Minutes until paper with glycerin, before a fan, is dry to the touch; none where it never is. It stays flexible.
   */
  readonly conditionedTouchMin: number | null
}

/** What usual rests are reckoned by: thin wafer that is to be handled, a little thicker that is to stand. */
const CASES = { handle: ['waferHandle', 0.28], firm: ['waferFirm', 0.3] } as const

/** A sheet brushed with conditioner on a mat, a fan on it. */
const CONDITIONED = { sheet: paperSheet('wafer', 0.28), waterGPerDm2: 1, glycerinGG: 0.2 } as const

/** How a room slows drying against the one that usual rests are told for. */
export function slowingOf(room: Climate): Slowing {
  const minutes = (state: 'handle' | 'firm', air: Climate): number | null => {
    const [id, thicknessMm] = CASES[state]
    return dryingCaseMin(id, thicknessMm, air)
  }
  const ratio = (state: 'handle' | 'firm'): number | null => {
    const here = minutes(state, room)
    return here === null ? null : here / minutes(state, USUAL_ROOM)!
  }
  const { sheet, waterGPerDm2, glycerinGG } = CONDITIONED
  const wrap = dryingCurve({
    sheet,
    startMoisture: moistureAfter(sheet, waterGPerDm2),
    surroundings: moved(onMat(room), 'fan'),
    roomC: room.airC,
    horizonH: HORIZON_H,
    glycerinGG,
  })
  return { handle: ratio('handle'), firm: ratio('firm'), conditionedTouchMin: wrap.reachedMin.touch }
}

/** A rest in this room; where paper never gets so far, the usual rest four times over, in an oven or a dry box. */
export function restMin(usualMin: number, { handle, firm }: Pick<Slowing, 'handle' | 'firm'>): number {
  if (usualMin < DRYING_FROM_MIN) return usualMin
  const slowing = usualMin >= SETTING_FROM_MIN ? firm : handle
  return Math.round(usualMin * Math.min(NEVER, slowing ?? NEVER))
}

/** A rest with its working. */
function restOf({ name, waitMin }: Paperwork['steps'][number], slowing: Slowing, drying: UsedFactor | null): Working {
  const here = restMin(waitMin, slowing)
  const label = `rest after “${name.toLowerCase()}”`
  const usual = derive(
    label,
    'duration',
    'rest in this room',
    '{usual} × {slower}',
    {
      usual: starting('usual rest', waitMin, 'duration', 'usual'),
      slower: found(
        'as long in this room',
        waitMin > 0 ? here / waitMin : 1,
        'ratio',
        'two walks of the drying curve, here and at 22 °C and 47.5 %',
      ),
    },
    () => here,
  )
  // Rests for glue are not drying.
  if (!drying || waitMin < DRYING_FROM_MIN) return usual
  return derive(
    label,
    'duration',
    'as you logged it',
    '{usual} × {yours}',
    {
      usual: { ...usual, label: 'by the curve' },
      yours: found('in your room', drying.median, 'ratio', `learned from ${drying.trials} of your trials`),
    },
    (v) => Math.round(v.usual * v.yours),
  )
}

type MadeOf = Pick<
  Paperwork,
  'id' | 'name' | 'technique' | 'steps' | 'stepHands' | 'hands' | 'place' | 'pieces' | 'count' | 'onTheCake'
>
/** Pieces asked for again at the bench. */
type AgainAsked = { readonly id: string; readonly many: number }

/** Hands for pieces made again: every step of a piece, and getting ready once. */
const againHands = ({ many }: AgainAsked, steps: Paperwork['steps']): Working =>
  derive(
    'made again',
    'duration',
    'hands-on time',
    '{pieces} × {each} + {begin}',
    {
      pieces: found('pieces', many, 'count', 'asked for at the bench'),
      each: starting(
        'all steps of a piece',
        steps.reduce((sum, { perPieceMin }) => sum + perPieceMin, 0),
        'duration',
        'guess',
      ),
      begin: starting('to begin', Math.max(...steps.map(({ fixedMin }) => fixedMin)), 'duration', 'guess'),
    },
    (v) => v.pieces * v.each + v.begin,
  )

const NEVER = 4

/** Decorations that must set and never stand firm in this room. */
export const neverFirmOf = (
  made: readonly Pick<Paperwork, 'name' | 'steps' | 'elements'>[],
  { firm }: Slowing,
): readonly string[] =>
  firm !== null
    ? []
    : made
        .filter(
          ({ steps, elements }) => elements.length > 0 && steps.some(({ waitMin }) => waitMin >= SETTING_FROM_MIN),
        )
        .map(({ name }) => name.toLowerCase())

/** A decoration as work, step by step. */
export function makingOf(
  { id, name, technique, steps, stepHands, hands, place, pieces, count, onTheCake }: MadeOf,
  slowing: Slowing,
  drying: UsedFactor | null,
  recuts: readonly AgainAsked[] = [],
): Making {
  const { occupies: occupied = [], heat } = techniqueOf(technique)
  return {
    id,
    name,
    hands:
      recuts.length > 0
        ? sumOf(hands.label, 'duration', 'made again too', [hands, ...recuts.map((recut) => againHands(recut, steps))])
        : hands,
    place,
    goesOff: heat === 'oil',
    again: recuts.map((recut): MadeAgain => ({
      id: recut.id,
      name: `${name}: make ${recut.many} again`,
      hands: againHands(recut, steps),
      rest: steps
        .map((step) => restOf(step, slowing, drying))
        .reduce((one, other) => (other.value > one.value ? other : one)),
    })),
    steps: steps.map((step, at): MakingStep => {
      const holds = occupied.find((each) => each.step === step.id)
      const units = holds?.per === 'piece' ? pieces.value : holds?.per === 'element' ? count.value : 1
      return {
        id: step.id,
        name: step.name,
        hands: stepHands[at]!,
        rest: restOf(step, slowing, drying),
        hold: holds ? { resource: holds.mould, name: `in ${MOULD_WORDS[holds.mould]}`, units } : null,
        onTheCake: onTheCake && at === steps.length - 1,
      }
    }),
  }
}
