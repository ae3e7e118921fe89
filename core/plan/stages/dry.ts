/** How paper dries here: estimates for what is soaked, and how much slower or quicker than usual the rest is. */
import type { PlannedDecoration } from '../../decoration'
import {
  dryingCaseMin,
  dryingCurve,
  dryingRemedies,
  estimateDrying,
  moistureAfter,
  moved,
  onMat,
  paperSheet,
  type Climate,
  type DryingEstimate,
  type DryingLearned,
  type DryingRemedy,
} from '../../dry'
import type { UsedFactor } from '../../learn'
import { paperOf, type Paper, type PaperId } from '../../material'
import { derive, found, starting, type Working } from '../../quantity'
import { fixed, type Step } from '../../technique'

/** The room that usual rests are told for. */
const USUAL_ROOM: Climate = { airC: 22, humidity: 0.475 }
/** A room in a damp spell. */
const DAMP = 0.75
const HORIZON_H = 96
/** A rest takes at most so many times as long as usual: after that it is dried in an oven or a dry box. */
const AT_MOST = 4
/** Rests shorter than this are for glue and cooling; no drying is learned from them. Minutes. */
const DRYING_FROM_MIN = 20

type Ratios = { readonly handle: number | null; readonly firm: number | null }

/**
 * How many times as long paper takes in a room as usual: till it can be handled, till it stands firm. None where it
 * never does.
 */
export type Slowing = Readonly<Record<Paper['kind'], Ratios>> & {
  /**
   * Minutes until paper with glycerin, before a fan, is dry to the touch; none where it never is. It stays flexible.
   */
  readonly conditionedTouchMin: number | null
}

/** What usual rests are reckoned by: thin paper that is to be handled, a little thicker that is to stand. */
const CASES = {
  wafer: { handle: ['waferHandle', 0.28], firm: ['waferFirm', 0.3] },
  film: { handle: ['filmHandle', 0.2], firm: ['filmHandle', 0.2] },
} as const

/** A sheet brushed with conditioner on a mat, a fan on it. */
const CONDITIONED = { sheet: paperSheet('wafer', 0.28), waterGPerDm2: 1, glycerinGG: 0.2 } as const

/** How a room slows drying against the one that usual rests are told for. */
export function slowingOf(room: Climate): Slowing {
  const ratio = (kind: Paper['kind'], state: keyof Ratios): number | null => {
    const [id, thicknessMm] = CASES[kind][state]
    const here = dryingCaseMin(id, thicknessMm, room)
    return here === null ? null : here / dryingCaseMin(id, thicknessMm, USUAL_ROOM)!
  }
  const ratios = (kind: Paper['kind']): Ratios => ({ handle: ratio(kind, 'handle'), firm: ratio(kind, 'firm') })
  const { sheet, waterGPerDm2, glycerinGG } = CONDITIONED
  const wrap = dryingCurve({
    sheet,
    startMoisture: moistureAfter(sheet, waterGPerDm2),
    surroundings: moved(onMat(room), 'fan'),
    roomC: room.airC,
    horizonH: HORIZON_H,
    glycerinGG,
  })
  return { wafer: ratios('wafer'), film: ratios('film'), conditionedTouchMin: wrap.reachedMin.touch }
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
  readonly learned: Readonly<Partial<Record<PaperId, UsedFactor>>>
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
    const known = { factor: learned[paper] ?? null, limit }
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

/** A rest of damped paper here; where it never gets so far, the usual rest four times over. */
export function dampRestMin(usualMin: number, state: keyof Ratios, slowing: Ratios): number {
  return Math.round(usualMin * Math.min(AT_MOST, slowing[state] ?? AT_MOST))
}

/** What is needed to know a rest. */
type RestFacts = {
  readonly kind: Paper['kind']
  readonly slowing: Slowing
  readonly soaked: DryingEstimate | null
  readonly factor: UsedFactor | null
}

/** A rest after a step, with its working; none where paper never gets so far. */
export function restAfter({ name, rest = fixed(0) }: Pick<Step, 'name' | 'rest'>, facts: RestFacts): Working | null {
  const label = `rest after “${name.toLowerCase()}”`
  if ('fixedMin' in rest) return starting(label, rest.fixedMin, 'duration', 'usual')
  if (rest.from === 'soaked') {
    const planned = facts.soaked?.ready[rest.until].planned ?? null
    return (
      planned && derive(label, 'duration', 'to the next minute', '{planned}', { planned }, (v) => Math.ceil(v.planned))
    )
  }
  const state = rest.until === 'firm' || rest.until === 'set' ? 'firm' : 'handle'
  const here = dampRestMin(rest.usualMin, state, facts.slowing[facts.kind])
  const usual = derive(
    label,
    'duration',
    'rest in this room',
    '{usual} × {slower}',
    {
      usual: starting('usual rest', rest.usualMin, 'duration', 'usual'),
      slower: found(
        'as long in this room',
        here / rest.usualMin,
        'ratio',
        'two walks of the drying curve, here and at 22 °C and 47.5 %',
      ),
    },
    () => here,
  )
  const { factor } = facts
  if (!factor || rest.usualMin < DRYING_FROM_MIN) return usual
  return derive(
    label,
    'duration',
    'as you logged it',
    '{usual} × {yours}',
    {
      usual: { ...usual, label: 'by the curve' },
      yours: found('in your room', factor.median, 'ratio', `learned from ${factor.trials} of your trials`),
    },
    (v) => Math.round(v.usual * v.yours),
  )
}

/** Decorations of damped paper that must stand and never stand firm in this room. */
export const neverFirmOf = (
  decorations: readonly Pick<PlannedDecoration, 'name' | 'steps' | 'elements' | 'paper'>[],
  slowing: Slowing,
): readonly string[] =>
  decorations
    .filter(
      ({ steps, elements, paper }) =>
        elements.length > 0 &&
        slowing[paperOf(paper).kind].firm === null &&
        steps.some(({ rest }) => rest && 'until' in rest && rest.from === 'damp' && rest.until === 'firm'),
    )
    .map(({ name }) => name.toLowerCase())
