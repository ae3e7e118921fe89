/** How long work rests after a step: by practice, by this room and its way of drying, and as it was logged. */
import type { PlannedDecoration } from '../../decoration'
import {
  dryingCaseMin,
  DRYING_WORDS,
  USUAL_ROOM,
  type Climate,
  type DryingCaseId,
  type DryingEstimate,
  type DryingWay,
  type Readiness,
} from '../../dry'
import { driedPaper, type DryState, type Learned, type UsedFactor } from '../../learn'
import { paperOf, type Paper, type PaperId } from '../../material'
import { derive, found, NINETY_PERCENT, starting, type Working } from '../../quantity'
import type { Drying } from '../../schedule'
import { fixed, techniqueOf, waysToDry, type Rest, type Step } from '../../technique'

/** Rests shorter than this are for glue and cooling; no drying is learned from them. Minutes. */
const DRYING_FROM_MIN = 20
/** One piece strays so far from the next, deviation of its logarithm. */
const PIECE_DEVIATION = 0.25
/** A paper and a room that nothing was logged of. */
const UNKNOWN_ROOM_DEVIATION = Math.hypot(0.3, 0.38)
/** Nine pieces of ten are ready within so many times what they usually take. */
const NINE_IN_TEN = starting('for nine pieces of ten', Math.exp(NINETY_PERCENT * PIECE_DEVIATION), 'ratio', 'usual')

/** What usual rests are reckoned by: thin paper that is to be handled, a little thicker that is to stand. */
const CASES = {
  wafer: { handle: ['waferHandle', 0.28], firm: ['waferFirm', 0.3] },
  film: { handle: ['filmHandle', 0.2], firm: ['filmHandle', 0.2] },
} as const

type CurveMinutes = Readonly<Record<DryState, number | null>>

/**
 * Minutes by the curve until damped paper can be handled and stands firm, in each way of drying in air; none where it
 * never does. The oven's warmth is each decoration's own.
 */
type ByWay = Readonly<Record<Paper['kind'], Readonly<Record<'room' | 'fan' | 'dryRoom', CurveMinutes>>>>

/** How long the curve has damped paper of usual thickness dry in this room, and in the room that usual rests are told for. */
export type Slowing = { readonly room: Climate; readonly here: ByWay; readonly usual: ByWay }

function byWay(room: Climate): ByWay {
  const minutes = (kind: Paper['kind'], way: DryingWay): CurveMinutes => {
    const of = ([id, thicknessMm]: readonly [DryingCaseId, number]) => dryingCaseMin(id, thicknessMm, room, way)
    const handle = of(CASES[kind].handle)
    // Film counts as firm when it can be handled.
    return { handle, firm: kind === 'film' ? handle : of(CASES[kind].firm) }
  }
  const ways = (kind: Paper['kind']) => ({
    room: minutes(kind, 'room'),
    fan: minutes(kind, 'fan'),
    dryRoom: minutes(kind, 'dryRoom'),
  })
  return { wafer: ways('wafer'), film: ways('film') }
}

/** How a room slows drying against the one that usual rests are told for. */
export const slowingOf = (room: Climate): Slowing => ({ room, here: byWay(room), usual: byWay(USUAL_ROOM) })

/**
 * Minutes by the curve in a way of drying, here or in the usual room; none where paper never gets so far. Film counts by
 * its own thickness, wafer by that of the case: it comes by thickness, and practice is told for each.
 */
function curveMin(
  { slowing, paper, thicknessMm }: Pick<RestFacts, 'slowing' | 'paper' | 'thicknessMm'>,
  at: 'here' | 'usual',
  state: DryState,
  { way, ovenC }: Pick<PlannedDecoration['drying'], 'way' | 'ovenC'>,
): number | null {
  const { kind } = paperOf(paper)
  const [id, usualMm] = CASES[kind][state]
  const ownMm = kind === 'film' && at === 'here' ? thicknessMm : usualMm
  if (way === 'oven' || ownMm !== usualMm)
    return dryingCaseMin(id, ownMm, at === 'here' ? slowing.room : USUAL_ROOM, way, ovenC)
  return slowing[at][kind][way === 'fan' || way === 'dryRoom' ? way : 'room'][state]
}

/** What is needed to know a rest. */
export type RestFacts = {
  readonly paper: PaperId
  readonly thicknessMm: number
  readonly slowing: Slowing
  readonly drying: PlannedDecoration['drying']
  readonly soaked: DryingEstimate | null
  readonly learned: Learned['drying']
  /** What a mixture is replaced by, and how many times as long it takes to dry. */
  readonly swap: { readonly name: string; readonly times: number } | null
}

/** A rest as it is planned, and what it usually takes where it is drying. */
export type PlannedRest = { readonly planned: Working; readonly drying: Drying | null }

/** How far a room and a paper may be off from the curve; less, the more was logged. */
const roomDeviation = (factor: UsedFactor | undefined): number =>
  factor ? Math.sqrt(Math.max(0, factor.deviation ** 2 - PIECE_DEVIATION ** 2)) : UNKNOWN_ROOM_DEVIATION

const stateOf = (until: Readiness): DryState => (until === 'firm' || until === 'set' ? 'firm' : 'handle')

/** A rest after a step, with its working; none where paper never gets so far. */
export function restAfter(
  { name, rest = fixed(0), onCake }: Pick<Step, 'name' | 'rest' | 'onCake'>,
  facts: RestFacts,
): PlannedRest | null {
  const label = `rest after “${name.toLowerCase()}”`
  if ('fixedMin' in rest) return { planned: starting(label, rest.fixedMin, 'duration', 'usual'), drying: null }
  if (rest.from === 'soaked') return soakedRest(label, rest.until, facts)
  // No fan and no oven is at the cake.
  return dampRest(label, rest, onCake ? { ...facts, drying: { ...facts.drying, way: 'room' } } : facts)
}

function soakedRest(label: string, until: Readiness, { paper, soaked, learned }: RestFacts): PlannedRest | null {
  const { planned, median } = soaked?.ready[until] ?? { planned: null, median: null }
  if (!planned || !median) return null
  return {
    planned: derive(label, 'duration', 'to the next minute', '{planned}', { planned }, (v) => Math.ceil(v.planned)),
    drying: { usuallyMin: median.value, deviation: roomDeviation(learned[driedPaper(paper, 'firm')]) },
  }
}

/**
 * A rest of damped paper: usual practice as its way of drying and this room have it, and as it was logged; for nine
 * pieces of ten, and no less than practice until there are logs.
 *
 * By hand, half an hour in a room twice as slow: 30 × 2 × 1.378 = 83 min. In a room that is twice as quick: 30 × 0.5 ×
 * 1.378 = 21, so 30 min.
 */
function dampRest(label: string, rest: DampRest, facts: RestFacts): PlannedRest | null {
  const { paper, learned, swap, drying } = facts
  const state = stateOf(rest.until)
  const here = curveMin(facts, 'here', state, drying)
  const usualCurve = curveMin(facts, 'usual', state, drying)
  const toldFor = curveMin(facts, 'usual', state, { ...drying, way: rest.usualIn ?? 'room' })
  if (usualCurve === null || here === null || toldFor === null) return null
  const factor = rest.usualMin < DRYING_FROM_MIN ? undefined : learned[driedPaper(paper, state)]
  const usual = practiceOf(rest, drying.way, usualCurve / toldFor)
  const curve = derive(
    'by the curve',
    'duration',
    'practice in this room',
    ['{usual} × {slower}', ...(swap ? ['{swap}'] : []), ...(factor ? ['{yours}'] : [])].join(' × '),
    {
      usual,
      slower: found('as long in this room', here / usualCurve, 'ratio', TWO_WALKS),
      ...(swap && { swap: starting(`with ${swap.name.toLowerCase()}`, swap.times, 'ratio', 'usual') }),
      ...(factor && {
        yours: found('in your room', factor.median, 'ratio', `learned from ${factor.trials} of your trials`),
      }),
    },
    (v) => v.usual! * v.slower! * (v.swap ?? 1) * (v.yours ?? 1),
  )
  const inputs = { curve, spread: NINE_IN_TEN }
  const planned = factor
    ? derive(label, 'duration', 'as you logged it', '{curve} × {spread}', inputs, (v) => Math.round(v.curve * v.spread))
    : derive(
        label,
        'duration',
        'the longer of curve and practice',
        'longer of {curve} × {spread} and {usual}',
        { ...inputs, usual },
        (v) => Math.round(Math.max(v.curve * v.spread, v.usual)),
      )
  return { planned, drying: { usuallyMin: curve.value, deviation: roomDeviation(factor) } }
}

const TWO_WALKS = 'two walks of the drying curve, here and at 22 °C and 47.5 %'

type DampRest = Extract<Rest, { readonly until: Readiness }>

/** Usual practice, as told or, in another way of drying than it is told for, as much longer or shorter by the curve. */
function practiceOf({ usualMin, usualIn = 'room' }: DampRest, way: DryingWay, share: number): Working {
  const told = starting('usual practice', usualMin, 'duration', 'usual')
  if (way === usualIn || share === 1) return told
  const as = found(`as long ${DRYING_WORDS[way].name.toLowerCase()}`, share, 'ratio', 'two walks of the drying curve')
  return derive(
    'usual practice',
    'duration',
    'practice in this way',
    '{told} × {as}',
    { told, as },
    (v) => v.told * v.as,
  )
}

/** Whether paper dries so long after a step at the bench that it matters in what. */
const isDried = ({ rest, onCake }: Step): boolean =>
  !onCake && rest !== undefined && 'until' in rest && rest.usualMin >= DRYING_FROM_MIN

/** Ways in which a decoration may dry; none where nothing of it dries for long. */
export const waysFor = ({ technique, steps }: Pick<PlannedDecoration, 'technique' | 'steps'>): readonly DryingWay[] =>
  steps.some(isDried) ? waysToDry(techniqueOf(technique)) : []

/** What stands over pieces or holds them while they dry after a step, besides what they lie on; none for most. */
export function airAfter(step: Step, steps: readonly Step[], way: DryingWay): 'fan' | 'rack' | 'dryRoom' | null {
  if (way !== 'fan' && way !== 'rack' && way !== 'dryRoom') return null
  if (!isDried(step)) return null
  // Of rests that began together the longest has it: it goes on when the pieces are taken up.
  const goesOn = steps.some((later) => later.rest && 'since' in later.rest && later.rest.since === step.id)
  return goesOn ? null : way
}
