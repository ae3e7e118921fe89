/** What a decoration takes and leaves besides paper: what is used up, steps of its finishes, holding parts to take out. */
import type { StandingTier } from '../cake'
import type { Decoration } from '../commission'
import { benchSupplyOf, paperOf, type BenchSupplyId } from '../material'
import { derive, several, starting, type Working } from '../quantity'
import {
  finishOf,
  fixed,
  untilHandled,
  type AnyTechnique,
  type FinishedExtent,
  type FinishId,
  type Gauge,
  type PlacedElement,
  type Step,
  type Wiring,
} from '../technique'
import { PLACING } from './labour'

const FINISH_FIXED_MIN = 3
/** Setting an element on the cake takes so long unless its technique says otherwise. */
const PLACE_MIN = 2

/** Something used up at the bench: how much, and at which step. */
export type Used = { readonly supply: BenchSupplyId; readonly at: string; readonly amount: Working }

/** What a technique and finishes use up besides paper, colour and mixtures. */
export function usedBy(
  { supplies = [] }: AnyTechnique,
  finishes: readonly FinishAt[],
  count: Working,
  pieces: Working,
  extent: FinishedExtent | null,
): readonly Used[] {
  const own = supplies.map(({ supply, at, per, amount }): Used => {
    const { name, kind } = benchSupplyOf(supply)
    const each = starting(
      per === 'job' ? 'for the job' : per === 'piece' ? 'for a piece' : 'for one',
      amount,
      kind,
      'guess',
    )
    if (per === 'job') return { supply, at, amount: { ...each, label: name } }
    const of = per === 'piece' ? pieces : count
    return {
      supply,
      at,
      amount: derive(name, kind, 'used at the bench', '{of} × {each}', { of, each }, (v) => v.of * v.each),
    }
  })
  return [
    ...own,
    ...finishes.flatMap(({ finish, step }): readonly Used[] => {
      const { wipes } = finishOf(finish)
      if (!wipes || !extent) return []
      const { kind, name } = benchSupplyOf(wipes.supply)
      const each = starting('for a dm²', wipes.perDm2, kind, 'guess')
      const amount = derive(
        name,
        kind,
        'used at the bench',
        '{area} × {each}',
        { area: extent.area, each },
        (v) => v.area * v.each,
      )
      return [{ supply: wipes.supply, at: step, amount }]
    }),
  ]
}

/** How many elements of each size, the biggest first. */
function sizesOf(elements: readonly PlacedElement[]): readonly { readonly size: number; readonly count: number }[] {
  const counts = new Map<number, number>()
  elements.forEach(({ size }) => counts.set(size, (counts.get(size) ?? 0) + 1))
  return [...counts].map(([size, count]) => ({ size, count })).sort((one, other) => other.size - one.size)
}

/** What elements of each size are wired with, and how many of that size; what stands in a dummy needs no holder. */
export function wiringOf(
  technique: AnyTechnique,
  parameters: Decoration['parameters'],
  elements: readonly PlacedElement[],
  stack: readonly StandingTier[],
): readonly { readonly wiring: Wiring; readonly count: number }[] {
  const isInDummy = ({ tier }: PlacedElement): boolean => stack[tier]?.isDummy ?? false
  const wired = (some: readonly PlacedElement[], change: Partial<Wiring> = {}) =>
    sizesOf(some).flatMap(({ size, count }) => {
      const wiring = technique.wiring?.(parameters, size)
      return wiring ? [{ wiring: { ...wiring, ...change }, count }] : []
    })
  return [...wired(elements.filter((each) => !isInDummy(each))), ...wired(elements.filter(isInDummy), { holders: 0 })]
}

/** Wires to cut, those alike together: their gauge, what they carry, how long, how many. */
export type WiresAlike = {
  readonly gauge: Gauge
  readonly name: string
  readonly lengthMm: number
  readonly count: number
}

/** The wires of a decoration as they are cut, to whole millimetres. */
export function wiresOf(wiring: readonly { readonly wiring: Wiring; readonly count: number }[]): readonly WiresAlike[] {
  const alike = new Map<string, WiresAlike>()
  for (const { wiring: of, count } of wiring)
    for (const { name, gauge, length, perElement } of of.wires) {
      const lengthMm = Math.ceil(length.value)
      const key = `${gauge} ${name} ${lengthMm}`
      alike.set(key, { gauge, name, lengthMm, count: (alike.get(key)?.count ?? 0) + count * perElement })
    }
  return [...alike.values()]
}

/** Why its paper or a finish must not be used, in words; none when they may. */
export function unfitOf(technique: AnyTechnique, { paper, finishes }: Decoration): string | null {
  if (!technique.papers.includes(paper))
    return technique.unfit[paper] ?? `${technique.name} is not made of ${paperOf(paper).name}.`
  const refused = finishes.find(({ finish }) => !technique.finishes.includes(finish))
  return refused ? `${technique.name} does not take “${finishOf(refused.finish).name.toLowerCase()}”.` : null
}

/** What holds elements, and comes out before the cake is cut unless it stays. */
export type Removal = { readonly id: string; readonly name: string; readonly count: number; readonly stays: boolean }

/** What holds all elements, added up by thing: smaller ones may take fewer. */
export function removalsOf(
  technique: AnyTechnique,
  parameters: Decoration['parameters'],
  elements: readonly PlacedElement[],
): readonly Removal[] {
  const partsIn = (size: number, id: string): number =>
    technique
      .holdingParts(parameters, size)
      .filter((part) => part.id === id)
      .reduce((all, { perElement }) => all + perElement, 0)
  const countOf = (id: string): number => elements.reduce((sum, { size }) => sum + partsIn(size, id), 0)
  return technique
    .holdingParts(parameters)
    .map(({ id, name, stays = false }) => ({ id, name, count: countOf(id), stays }))
}

/** A sheet that is coloured before anything is cut from it. */
const COLOUR_WHOLE: Step = {
  id: 'colourWhole',
  name: 'Colour the sheets whole',
  say: 'Brush or mist each sheet thinly, along and across, and dry it flat under parchment before anything is cut.',
  minutes: { perSheet: 1.5, fixed: 10 },
  colours: true,
  rest: untilHandled(40),
}

/** A finish put on, as a step: the second of a kind has a step of its own. */
export type FinishAt = { readonly finish: FinishId; readonly step: string; readonly turn: number }

/** The steps of finishes in their order, each with an id of its own. */
export const finishesAt = (finishes: readonly { readonly finish: FinishId }[]): readonly FinishAt[] =>
  finishes.map(({ finish }, at) => {
    const turn = finishes.slice(0, at).filter((each) => each.finish === finish).length + 1
    return { finish, step: turn === 1 ? finish : `${finish}-${turn}`, turn }
  })

/** A finish as a step, with its drying. */
function finishStep({ finish, step: id, turn }: FinishAt): Step {
  const { step, perElementMin, driesMin } = finishOf(finish)
  return {
    id,
    name: turn === 1 ? step.name : `${step.name}, colour ${turn}`,
    say: step.say,
    minutes: { perElement: perElementMin, fixed: FINISH_FIXED_MIN },
    ...(driesMin > 0 && { rest: fixed(driesMin) }),
  }
}

/** Whether a finish goes on whole sheets. What is soaked would lose what came before. */
const isEarly = (technique: Pick<AnyTechnique, 'steps'>, finish: FinishId): boolean =>
  finishOf(finish).when === 'beforeCutting' && !technique.steps.some(({ soaks }) => soaks)

/** What whole sheets are coated or spattered with before they are cut: sheets alike can be shared. */
export const treatedAs = (
  technique: Pick<AnyTechnique, 'steps' | 'liquids'>,
  { finishes }: Pick<Decoration, 'finishes'>,
): string =>
  [
    ...(technique.liquids ?? []).flatMap(({ mixture, per }) => (per === 'sheetDm2' ? [mixture] : [])),
    ...finishes
      .filter(({ finish }) => isEarly(technique, finish))
      .map(({ finish, colour, share }) => `${finish}${colour.slice(1).toLowerCase()}${Math.round(share * 100)}`),
  ].join('+')

/** A step that is dried in the oven: what would lie on a mat, or anywhere, lies on a tray. */
function onTray(step: Step): Step {
  const dries = step.rest && 'until' in step.rest && !step.rest.since
  if (!dries || (step.hold && step.hold.place !== 'mat')) return step
  return { ...step, hold: { ...step.hold, place: 'tray', per: 'footprint' } }
}

/**
 * Steps at the bench in their order: what belongs on whole sheets, then those of the technique, then what is done to
 * dry pieces. What is soaked would lose a finish that came before. In the oven, pieces lie on trays.
 */
export function benchSteps(
  technique: Pick<AnyTechnique, 'steps'>,
  { finishes, cutting, drying }: Pick<Decoration, 'finishes' | 'cutting' | 'drying'>,
): readonly Step[] {
  const bench = technique.steps.filter(({ onCake }) => !onCake)
  const put = finishesAt(finishes)
  const early = put.filter(({ finish }) => isEarly(technique, finish))
  return [
    ...(cutting.colouredWhole && bench[0]?.cuts ? [COLOUR_WHOLE] : []),
    ...early.map(finishStep),
    ...(drying.way === 'oven' ? bench.map(onTray) : bench),
    ...put.filter((each) => !early.includes(each)).map(finishStep),
  ]
}

/**
 * The step that sets elements on the cake: its technique's own, or as most are set.
 * @param setMin till what fixes them holds; a skin rests so long, what is placed rests together with all else
 */
export function settingStep({ steps, element, skin, placeMin = PLACE_MIN }: AnyTechnique, setMin: number): Step {
  const own = steps.find(({ onCake }) => onCake) ?? {
    id: PLACING,
    name: `Place the ${several(element)}`,
    say: 'Foot first, where the placing guide has it; hold it till it sits.',
    minutes: { perElement: placeMin },
    onCake: true as const,
  }
  return skin && setMin > 0 ? { ...own, rest: fixed(setMin) } : own
}
