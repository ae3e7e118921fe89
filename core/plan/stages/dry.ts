/** How paper dries here: estimates for what is soaked, and how much slower or quicker than usual the rest is. */
import type { PlannedDecoration } from '../../decoration'
import {
  dryingCaseMin,
  dryingRemedies,
  estimateDrying,
  paperSheet,
  type Climate,
  type DryingEstimate,
  type DryingLearned,
  type DryingRemedy,
  type Readiness,
} from '../../dry'
import { driedPaper, type DryState, type Learned, type UsedFactor } from '../../learn'
import type { Drying } from '../../schedule'
import { paperOf, type Paper, type PaperId } from '../../material'
import { derive, found, NINETY_PERCENT, starting, type Working } from '../../quantity'
import { fixed, type Step } from '../../technique'

/** The room that usual rests are told for. */
const USUAL_ROOM: Climate = { airC: 22, humidity: 0.475 }
/** A room in a damp spell. */
const DAMP = 0.75
/** Where paper never gets so far it is dried otherwise, and a caution says how: this many times as long as usual. */
const AT_MOST = 4
/** Rests shorter than this are for glue and cooling; no drying is learned from them. Minutes. */
const DRYING_FROM_MIN = 20
/** One piece strays so far from the next, deviation of its logarithm. */
const PIECE_DEVIATION = 0.25
/** A paper and a room that nothing was logged of. */
const UNKNOWN_ROOM_DEVIATION = Math.hypot(0.3, 0.38)
/** Nine pieces of ten are ready within so many times what they usually take. */
const NINE_IN_TEN = starting('for nine pieces of ten', Math.exp(NINETY_PERCENT * PIECE_DEVIATION), 'ratio', 'usual')

type Ratios = { readonly handle: number | null; readonly firm: number | null }

/**
 * How many times as long paper takes in a room as usual: till it can be handled, till it stands firm. None where it
 * never does.
 */
export type Slowing = Readonly<Record<Paper['kind'], Ratios>>

/** What usual rests are reckoned by: thin paper that is to be handled, a little thicker that is to stand. */
const CASES = {
  wafer: { handle: ['waferHandle', 0.28], firm: ['waferFirm', 0.3] },
  film: { handle: ['filmHandle', 0.2], firm: ['filmHandle', 0.2] },
} as const

/** How a room slows drying against the one that usual rests are told for. */
export function slowingOf(room: Climate): Slowing {
  const ratio = (kind: Paper['kind'], state: keyof Ratios): number | null => {
    const [id, thicknessMm] = CASES[kind][state]
    const here = dryingCaseMin(id, thicknessMm, room)
    return here === null ? null : here / dryingCaseMin(id, thicknessMm, USUAL_ROOM)!
  }
  const ratios = (kind: Paper['kind']): Ratios => ({ handle: ratio(kind, 'handle'), firm: ratio(kind, 'firm') })
  return { wafer: ratios('wafer'), film: ratios('film') }
}

/** Soaked paper drying in one way, for all decorations that dry so: here, in a damp spell, and what would be quicker. */
export type SoakedDrying = {
  readonly id: string
  readonly paper: PaperId
  readonly drying: PlannedDecoration['drying']
  readonly decorations: readonly string[]
  readonly estimate: DryingEstimate
  readonly whenDamp: DryingEstimate
  readonly remedies: readonly DryingRemedy[]
}

/** Whether some step waits until soaked paper has dried. */
const isSoaked = ({ steps }: Pick<PlannedDecoration, 'steps'>): boolean =>
  steps.some(({ rest }) => rest && 'until' in rest && rest.from === 'soaked')

const dryingKey = ({ paper, drying }: Pick<PlannedDecoration, 'paper' | 'drying'>): string =>
  [paper, drying.way, drying.soakWaterC, drying.way === 'oven' ? drying.ovenC : ''].join(' ')

type DryInputs = {
  readonly decorations: readonly Pick<PlannedDecoration, 'id' | 'paper' | 'drying' | 'steps' | 'elements'>[]
  readonly workroom: Climate
  readonly venue: Climate
  readonly transport: Climate
  readonly learned: Learned['drying']
  readonly limit: DryingLearned['limit']
}

/** Each way in which soaked paper dries in this job. */
export function dryStage(inputs: DryInputs): readonly SoakedDrying[] {
  const { decorations, workroom, venue, transport, learned, limit } = inputs
  const groups = new Map<string, DryInputs['decorations'][number][]>()
  for (const each of decorations.filter((one) => one.elements.length > 0 && isSoaked(one)))
    groups.set(dryingKey(each), [...(groups.get(dryingKey(each)) ?? []), each])
  return [...groups].map(([id, members]): SoakedDrying => {
    const { paper, drying } = members[0]!
    const { kind, thicknessMm } = paperOf(paper)
    const sheet = paperSheet(kind, thicknessMm)
    const way: DryingEstimate['way'] = drying.way === 'oven' ? 'oven' : 'mat'
    const { soakWaterC, ovenC } = drying
    const known = { factor: learned[driedPaper(paper, 'firm')] ?? null, limit }
    const question = { sheet, way, soakWaterC, ovenC, venue, transport, learned: known }
    return {
      id,
      paper,
      drying,
      decorations: members.map((each) => each.id),
      estimate: estimateDrying({ ...question, workroom }),
      whenDamp: estimateDrying({ ...question, workroom: { ...workroom, humidity: DAMP } }),
      remedies: dryingRemedies(sheet, workroom, ovenC),
    }
  })
}

/** How soaked paper of a decoration dries. */
export const dryingOf = (dryings: readonly SoakedDrying[], decoration: string): SoakedDrying | null =>
  dryings.find(({ decorations }) => decorations.includes(decoration)) ?? null

/** What is needed to know a rest. */
export type RestFacts = {
  readonly paper: PaperId
  readonly slowing: Slowing
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

/** A rest after a step, with its working; none where soaked film never gets so far. */
export function restAfter(
  { name, rest = fixed(0) }: Pick<Step, 'name' | 'rest'>,
  facts: RestFacts,
): PlannedRest | null {
  const label = `rest after “${name.toLowerCase()}”`
  if ('fixedMin' in rest) return { planned: starting(label, rest.fixedMin, 'duration', 'usual'), drying: null }
  if (rest.from === 'soaked') return soakedRest(label, rest.until, facts)
  return dampRest(label, rest.usualMin, stateOf(rest.until), facts)
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
 * A rest of damped paper: usual practice as this room slows it, and as it was logged; for nine pieces of ten, and no
 * less than practice until there are logs.
 *
 * By hand, half an hour in a room twice as slow: 30 × 2 × 1.378 = 83 min. In a room that is twice as quick: 30 × 0.5 ×
 * 1.378 = 21, so 30 min.
 */
function dampRest(
  label: string,
  usualMin: number,
  state: DryState,
  { paper, slowing, learned, swap }: RestFacts,
): PlannedRest {
  const ratio = Math.min(AT_MOST, slowing[paperOf(paper).kind][state] ?? AT_MOST)
  const factor = usualMin < DRYING_FROM_MIN ? undefined : learned[driedPaper(paper, state)]
  const usual = starting('usual practice', usualMin, 'duration', 'usual')
  const curve = derive(
    'by the curve',
    'duration',
    'practice in this room',
    ['{usual} × {slower}', ...(swap ? ['{swap}'] : []), ...(factor ? ['{yours}'] : [])].join(' × '),
    {
      usual,
      slower: found(
        'as long in this room',
        ratio,
        'ratio',
        'two walks of the drying curve, here and at 22 °C and 47.5 %; at most four times',
      ),
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

/** Decorations of damped paper that never get as dry in this room as one of their steps asks. */
export const neverDryOf = (
  decorations: readonly Pick<PlannedDecoration, 'name' | 'steps' | 'setting' | 'elements' | 'paper'>[],
  slowing: Slowing,
): readonly string[] =>
  decorations
    .filter(
      ({ steps, setting, elements, paper }) =>
        elements.length > 0 &&
        [...steps, setting].some(
          ({ rest }) =>
            rest &&
            'until' in rest &&
            rest.from === 'damp' &&
            slowing[paperOf(paper).kind][stateOf(rest.until)] === null,
        ),
    )
    .map(({ name }) => name.toLowerCase())
