/** From decorations to work: turns, loads on mats and trays, hands, rests, what they occupy. */
import { handsAt, type PlannedDecoration } from '../../decoration'
import { derive, found, sumOf, type Working } from '../../quantity'
import { cutEachOf, cutShareOf } from './cutting/share'
import { type Load, type MadeAgain, type Making, type MakingStep, type Turn } from '../../schedule'
import { mixtureOf, withoutAny } from '../../mixture'
import { AT_PLACE, techniqueOf, type Ingredient, type PlaceId, type Step } from '../../technique'
import { bathStep, type Bath } from '../../tint'
import { dryingOf } from './dry'
import { airAfter, restAfter, type PlannedRest, type RestFacts } from './rests'
import { orderInBath, loadsOf, recutsOf, dosesOf, type Loads, type Dosed } from './loads'
import { loadHands, shareOf, againHands } from './turnHands'
import type { WorkInputs } from './workInputs'

/** Making all decorations, and tasks that go one after the other at a bath. */
export type MakingWork = {
  readonly making: readonly Making[]
  readonly inTurn: readonly (readonly string[])[]
  /** Pieces larger than what they lie on. */
  readonly tooBig: number
  /** Decorations, by id, that never get dry enough here. */
  readonly neverSet: readonly string[]
}

/** The task of a step of a decoration, or of one of its turns. */
const taskOf = (decoration: string, step: string, turn: number, turns: number): string =>
  turns > 1 ? `${decoration}-${step}-${turn + 1}` : `${decoration}-${step}`

/** How many there are of a place. */
export function countOf(
  place: PlaceId,
  { mats, trays, ovenPlaces, moulds }: Pick<WorkInputs, 'mats' | 'trays' | 'ovenPlaces' | 'moulds'>,
): number {
  if (place === 'mat') return mats.count
  if (place === 'tray') return trays.count
  return place === 'oven' ? ovenPlaces : moulds[place]
}

/** Units taken by each turn: as few turns as what there is allows, as even as they go; one where there is none, so that it is said. */
function evenTurns(units: number, count: number): readonly number[] {
  if (count === 0) return [1]
  const turns = Math.ceil(units / count)
  return Array.from({ length: turns }, (_, turn) => Math.ceil((units - turn) / turns))
}

/** Turns of a step that occupies places by piece, element or all at once. */
function placedTurns(decoration: PlannedDecoration, step: Step, hands: Working, inputs: WorkInputs): readonly Turn[] {
  const { hold } = step
  const wanted = hold?.per === 'piece' ? decoration.wholes.value : hold?.per === 'element' ? decoration.count.value : 1
  const units = hold ? evenTurns(wanted, countOf(hold.place, inputs)) : [0]
  return units.map((each, at) => ({
    task: taskOf(decoration.id, step.id, at, units.length),
    hands: shareOf(hands, units.length),
    units: each,
    load: null,
  }))
}

/** What replaces a mixture of a decoration and dries the most slowly; none where a client wants nothing left out. */
function slowestSwap({ technique }: PlannedDecoration, unwanted: readonly Ingredient[]): RestFacts['swap'] {
  const swaps = (techniqueOf(technique).liquids ?? []).flatMap(({ mixture }) => {
    const { name, swap } = withoutAny(mixtureOf(mixture), unwanted)
    return swap ? [{ name, times: swap.driesTimes }] : []
  })
  return swaps.reduce<RestFacts['swap']>((slow, each) => (slow && slow.times >= each.times ? slow : each), null)
}

/** The longest of some minutes. */
const longest = (rests: readonly Working[]): Working =>
  rests.reduce((one, other) => (other.value > one.value ? other : one))

/** A decoration as work, step by step; none where it never gets dry. */
function makingOf(
  decoration: PlannedDecoration,
  luck: string,
  loads: readonly Load[],
  dosed: Dosed,
  inputs: WorkInputs,
): Making | null {
  const { id, technique, name, skin, wholes, count } = decoration
  // A skin is glued on as a step of its own; all else is placed together.
  const steps = skin ? [...decoration.steps, decoration.setting] : decoration.steps
  const cut = cutShareOf(inputs.groups, id)
  const cutEach = cutEachOf(cut, wholes)
  const handsOf = (step: Step): Working =>
    handsAt(
      step,
      technique,
      wholes,
      count,
      inputs.stepMinutes,
      inputs.learned.hands,
      cut,
      decoration.cast?.pours ?? null,
    )
  const soaked = dryingOf(inputs.dryings, id)?.estimate ?? null
  const facts: RestFacts = {
    paper: decoration.paper,
    thicknessMm: decoration.thicknessMm,
    drying: decoration.drying,
    slowing: inputs.slowing,
    soaked,
    learned: inputs.learned.drying,
    swap: slowestSwap(decoration, inputs.unwanted),
  }
  const rests = steps.map((step) => restAfter(step, facts))
  if (rests.some((rest) => rest === null)) return null
  const isLoaded = (step: Step): boolean =>
    step.hold?.per === 'footprint' || (step.turnsOf !== undefined && loads.length > 0)
  const made = steps.map((step, at): MakingStep => {
    const turns = isLoaded(step)
      ? loads.map((load): Turn => ({
          task: `${id}-${step.id}-${load.number}`,
          hands: loadHands(
            decoration,
            step,
            load,
            step.colours ? dosed(id, load) : 0,
            soaked?.soak ?? null,
            cutEach,
            inputs,
          ),
          units: 1,
          load,
        }))
      : placedTurns(decoration, step, handsOf(step), inputs)
    const place = step.hold?.place
    const air = airAfter(step, steps, decoration.drying.way)
    // In the oven soaked film sets at once, and is lifted off when it has cooled.
    const ovenRest = soaked?.ready.set.planned ?? rests[at]!.planned
    return {
      id: step.id,
      name: step.name,
      turns,
      rest: rests[at]!.planned,
      drying: rests[at]!.drying,
      since: step.rest && 'since' in step.rest ? (step.rest.since ?? null) : null,
      ovenMin:
        place === 'tray'
          ? derive('in the oven', 'duration', 'till it is dry', '{dry}', { dry: ovenRest }, (v) => Math.ceil(v.dry))
          : null,
      hold: place
        ? {
            place,
            name: AT_PLACE[place],
            untilStep: step.hold?.untilStep ?? null,
            whileHands: step.hold?.whileHands ?? false,
          }
        : null,
      air: air && { place: air, name: AT_PLACE[air] },
      turnsOf: step.turnsOf ?? null,
      putDown: step.putDown ?? false,
      suppleMin: step.suppleMin ?? null,
      onCake: step.onCake ?? false,
    }
  })
  const again = loads.length > 0 ? [] : recutsOf(decoration, inputs.recuts)
  const hands = [
    ...made.flatMap(({ turns }) => turns.map((turn) => turn.hands)),
    ...again.map((recut) => againHands(recut, steps, cutEach)),
  ]
  return {
    decoration: id,
    name,
    luck,
    hands: sumOf(`make: ${name.toLowerCase()}`, 'duration', 'steps added up', hands),
    place: skin ? found('placing', 0, 'duration', 'glued on as one of its steps') : decoration.place,
    skin,
    tiers: [...new Set(decoration.elements.map(({ tier }) => tier))].sort((one, other) => one - other),
    goesOff: techniqueOf(technique).heat === 'oil',
    steps: made,
    again: again.map((recut): MadeAgain => ({
      task: recut.id,
      name: `${name}: make ${recut.many} again`,
      hands: againHands(recut, steps, cutEach),
      rest: longest((rests as readonly PlannedRest[]).map(({ planned }) => planned)),
    })),
  }
}

/** All decorations as work. */
export function workStage(inputs: WorkInputs): MakingWork {
  const wanted = inputs.decorations.filter(({ elements }) => elements.length > 0)
  const isLaid = ({ steps }: PlannedDecoration): boolean => steps.some(({ hold }) => hold?.per === 'footprint')
  const bathOf = ({ id }: PlannedDecoration): Bath | null =>
    inputs.baths.find(({ uses }) => uses.some(({ decoration }) => decoration === id)) ?? null
  const laid = new Map(
    wanted.filter(isLaid).map((each): [string, Loads] => {
      const bath = bathOf(each)
      const all = Array.from({ length: each.colour.steps }, (_, step) => step)
      const own = bath ? orderInBath(bath).filter(({ decoration }) => decoration === each.id) : []
      return [each.id, loadsOf(each, own.length > 0 ? own.map(({ steps }) => steps) : [all], inputs)]
    }),
  )
  const loadsIn = (id: string): readonly Load[] => laid.get(id)?.loads ?? []
  const chains = inputs.baths.map((bath) => {
    const stepsIn = (id: string, load: Load): readonly number[] => {
      const { classes, colour } = wanted.find((each) => each.id === id)!
      const shades = load.laid.map(({ part }) => classes.find((piece) => piece.id === part)!.shade)
      return [...new Set(shades)].map((shade) => bathStep(shade, colour.steps)).sort((one, other) => one - other)
    }
    const order = bath.uses.flatMap(({ decoration }) =>
      loadsIn(decoration).map((load) => ({ decoration, load, steps: stepsIn(decoration, load) })),
    )
    return order.sort(
      (one, other) =>
        Number(one.load.again) - Number(other.load.again) ||
        one.steps[0]! - other.steps[0]! ||
        one.steps.at(-1)! - other.steps.at(-1)!,
    )
  })
  const dosed = chains.map(dosesOf)
  const doses: Dosed = (decoration, load) => dosed.reduce((sum, of) => sum + of(decoration, load), 0)
  const luckOf = ({ technique }: PlannedDecoration, at: number): string =>
    `${technique} ${wanted.slice(0, at + 1).filter((each) => each.technique === technique).length}`
  const making = wanted.map((each, at) => makingOf(each, luckOf(each, at), loadsIn(each.id), doses, inputs))
  const colouring = (id: string): string =>
    wanted.find((each) => each.id === id)!.steps.find(({ colours }) => colours)?.id ?? ''
  return {
    making: making.filter((each) => each !== null),
    inTurn: chains.map((order) =>
      order.map(({ decoration, load }) => `${decoration}-${colouring(decoration)}-${load.number}`),
    ),
    tooBig: [...laid.values()].reduce((sum, each) => sum + each.tooBig, 0),
    neverSet: wanted.filter((_, at) => making[at] === null).map(({ id }) => id),
  }
}
