/** From decorations to work: turns, loads on mats and trays, hands, rests, what they occupy. */
import { stepKey, minutesEach, type PieceClass, type PlannedDecoration, type TypedMinutes } from '../../decoration'
import type { Recut } from '../../ledger'
import { asTimed, type Learned } from '../../learn'
import { paperOf } from '../../material'
import { derive, found, starting, sumOf, type Working } from '../../quantity'
import {
  fillFormers,
  paceWorking,
  type Load,
  type MadeAgain,
  type Making,
  type MakingStep,
  type Pace,
  type PieceToLay,
  type Turn,
} from '../../schedule'
import { PLACE_WORDS, techniqueOf, type PlaceId, type Step } from '../../technique'
import { bathStep, type Bath } from '../../tint'
import type { Workshop } from '../../workshop'
import { dryingOf, restAfter, type Slowing, type SoakedDrying } from './dry'

export type WorkInputs = {
  readonly decorations: readonly PlannedDecoration[]
  readonly baths: readonly Bath[]
  readonly dryings: readonly SoakedDrying[]
  readonly slowing: Slowing
  readonly learned: Pick<Learned, 'drying' | 'hands'>
  readonly recuts: readonly Recut[]
  readonly pace: Pace
  readonly stepMinutes: TypedMinutes
  readonly mats: Workshop['mats']
  readonly trays: Workshop['trays']
  readonly ovenPlaces: number
  readonly moulds: Workshop['moulds']
}

/** Making all decorations, and tasks that go one after the other at a bath. */
export type MakingWork = {
  readonly making: readonly Making[]
  readonly inTurn: readonly (readonly string[])[]
  /** Pieces larger than what they lie on. */
  readonly tooBig: number
  /** Decorations that never get dry enough here. */
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

/** A stretch of a bath's order that one decoration has for itself: the steps of the bath, from pale to deep. */
type Stretch = { readonly decoration: string; readonly steps: readonly number[] }

/**
 * Pale first over everything in a bath. Decorations take turns at each step, the one that was last begins the next, so
 * that few formers are taken up half full.
 */
function orderInBath(bath: Pick<Bath, 'uses' | 'ladder'>): readonly Stretch[] {
  const stretches: { decoration: string; steps: number[] }[] = []
  bath.ladder.forEach((_, step) => {
    const uses = step % 2 === 0 ? bath.uses : [...bath.uses].reverse()
    for (const { decoration } of uses) {
      const last = stretches.at(-1)
      if (last?.decoration === decoration) last.steps.push(step)
      else stretches.push({ decoration, steps: [step] })
    }
  })
  return stretches
}

/** Pieces of a decoration to lay, in the order of dipping; `many` of each class. */
function piecesToLay(
  { classes, colour }: PlannedDecoration,
  many: (piece: PieceClass) => number,
): readonly (PieceToLay & { readonly shade: number })[] {
  return classes.flatMap((piece, at) =>
    Array.from({ length: many(piece) }, () => ({
      part: piece.id,
      shade: piece.shade,
      order: bathStep(piece.shade, colour.steps) * classes.length + at,
      ...piece.lying,
    })),
  )
}

type Loads = { readonly loads: readonly Load[]; readonly tooBig: number }

/** What is laid on mats or trays for a decoration, stretch by stretch of its bath, then what was cut again. */
function loadsOf(decoration: PlannedDecoration, stretches: readonly (readonly number[])[], inputs: WorkInputs): Loads {
  const former = decoration.drying.way === 'oven' ? inputs.trays : inputs.mats
  const stepsOf = ({ shade }: { readonly shade: number }): number => bathStep(shade, decoration.colour.steps)
  const planned = piecesToLay(decoration, ({ needed, spares }) => needed.value + spares.value)
  const first = stretches.map((steps) =>
    fillFormers(
      planned.filter((piece) => steps.includes(stepsOf(piece))),
      former,
    ),
  )
  const again = recutsOf(decoration, inputs.recuts).map(({ part, many }) =>
    fillFormers(
      piecesToLay(decoration, ({ id }) => (id === part ? many : 0)),
      former,
    ),
  )
  const fillings = [
    ...first.flatMap((each) => each.fillings.map(({ laid }) => ({ laid, again: false }))),
    ...again.flatMap((each) => each.fillings.map(({ laid }) => ({ laid, again: true }))),
  ]
  return {
    loads: fillings.map((filling, at) => ({ ...filling, number: at + 1 })),
    tooBig: [...first, ...again].reduce((sum, each) => sum + each.tooBig, 0),
  }
}

const recutsOf = ({ classes }: PlannedDecoration, recuts: readonly Recut[]): readonly Recut[] =>
  recuts.filter(({ part }) => classes.some(({ id }) => id === part))

/** Hands for what lies on one former: each piece takes its time, or as long as it must soak; each new shade a dose. */
function loadHands(
  decoration: PlannedDecoration,
  step: Step,
  load: Load,
  doses: number,
  soak: Working | null,
  { pace, stepMinutes, learned }: WorkInputs,
): Working {
  const { technique, pieces: total } = decoration
  const key = stepKey(technique, step.id)
  const began = minutesEach('for a piece', step.perPieceMin, key, stepMinutes)
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
  const cuts = load.again && step.soaks ? decoration.steps[0] : undefined
  return derive(
    `${step.name.toLowerCase()}, load ${load.number}`,
    'duration',
    'hands-on time',
    [
      soaks ? '{pieces} × longer of {each} and {soak}' : '{pieces} × {each}',
      ...(doses > 0 ? ['{doses} × {dose}'] : []),
      ...(cuts ? ['{pieces} × {cut}'] : []),
    ].join(' + '),
    {
      pieces,
      each: timed ? asTimed(began, timed) : began,
      ...(soaks && { soak }),
      ...(doses > 0 && {
        doses: found('doses', doses, 'count', 'shades that are mixed for it'),
        dose: paceWorking(pace, 'doseMin', learned.hands),
      }),
      ...(cuts && { cut: minutesEach('to cut one', cuts.perPieceMin, stepKey(technique, cuts.id), stepMinutes) }),
    },
    (v) => v.pieces! * Math.max(v.each!, v.soak ?? 0) + (v.doses ?? 0) * (v.dose ?? 0) + v.pieces! * (v.cut ?? 0),
  )
}

/** A share of the hands at a step. */
const shareOf = (hands: Working, turns: number): Working =>
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

/** Turns of a step that occupies places by piece, element or all at once. */
function placedTurns(decoration: PlannedDecoration, step: Step, hands: Working, inputs: WorkInputs): readonly Turn[] {
  const { hold } = step
  const wanted = hold?.per === 'piece' ? decoration.pieces.value : hold?.per === 'element' ? decoration.count.value : 1
  const units = hold ? evenTurns(wanted, countOf(hold.place, inputs)) : [0]
  return units.map((each, at) => ({
    task: taskOf(decoration.id, step.id, at, units.length),
    hands: shareOf(hands, units.length),
    units: each,
    load: null,
  }))
}

/** The longest of some minutes. */
const longest = (rests: readonly Working[]): Working =>
  rests.reduce((one, other) => (other.value > one.value ? other : one))

/** Hands for pieces made again: every step of a piece, and getting ready once. */
const againHands = ({ many }: Recut, steps: readonly Step[]): Working =>
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

/** Which steps of a bath each load is the first to take, by the loads' place in its order. */
type Dosed = (decoration: string, load: Load) => number

/** A decoration as work, step by step; none where it never gets dry. */
function makingOf(
  decoration: PlannedDecoration,
  loads: readonly Load[],
  dosed: Dosed,
  inputs: WorkInputs,
): Making | null {
  const { id, technique, name, steps, stepHands } = decoration
  const soaked = dryingOf(inputs.dryings, id)?.estimate ?? null
  const inOven = decoration.drying.way === 'oven'
  const facts = {
    kind: paperOf(decoration.paper).kind,
    slowing: inputs.slowing,
    soaked,
    factor: inputs.learned.drying[decoration.paper] ?? null,
  }
  const rests = steps.map((step) => restAfter(step, facts))
  const setMin = soaked?.ready.set.planned ?? null
  if (rests.some((rest) => rest === null) || (inOven && soaked && !setMin)) return null
  const isLoaded = (step: Step): boolean =>
    step.hold?.per === 'footprint' || (step.turnsOf !== undefined && loads.length > 0)
  const made = steps.map((step, at): MakingStep => {
    const turns = isLoaded(step)
      ? loads.map((load): Turn => ({
          task: `${id}-${step.id}-${load.number}`,
          hands: loadHands(decoration, step, load, step.colours ? dosed(id, load) : 0, soaked?.soak ?? null, inputs),
          units: 1,
          load,
        }))
      : placedTurns(decoration, step, stepHands[at]!, inputs)
    const isOnFormer = step.hold?.per === 'footprint'
    const place = isOnFormer && inOven ? 'tray' : step.hold?.place
    return {
      id: step.id,
      name: step.name,
      turns,
      rest: rests[at]!,
      since: 'since' in step.rest ? (step.rest.since ?? null) : null,
      ovenMin:
        isOnFormer && inOven && setMin
          ? derive('in the oven', 'duration', 'till it is set', '{set}', { set: setMin }, (v) => Math.ceil(v.set))
          : null,
      hold: place ? { place, name: `in ${PLACE_WORDS[place]}`, untilStep: step.hold?.untilStep ?? null } : null,
      turnsOf: step.turnsOf ?? null,
      putDown: step.putDown ?? false,
      onTheCake: decoration.onTheCake && at === steps.length - 1,
    }
  })
  const again = loads.length > 0 ? [] : recutsOf(decoration, inputs.recuts)
  const hands = [
    ...made.flatMap(({ turns }) => turns.map((turn) => turn.hands)),
    ...again.map((recut) => againHands(recut, steps)),
  ]
  return {
    decoration: id,
    name,
    hands: sumOf(`make: ${name.toLowerCase()}`, 'duration', 'steps added up', hands),
    place: decoration.place,
    goesOff: techniqueOf(technique).heat === 'oil',
    steps: made,
    again: again.map((recut): MadeAgain => ({
      task: recut.id,
      name: `${name}: make ${recut.many} again`,
      hands: againHands(recut, steps),
      rest: longest(rests as readonly Working[]),
    })),
  }
}

/** How many steps of its bath each load is the first to take. */
function dosesOf(
  order: readonly { readonly decoration: string; readonly load: Load; readonly steps: readonly number[] }[],
): Dosed {
  const done = new Set<number>()
  const doses = new Map<string, number>()
  for (const { decoration, load, steps } of order) {
    const fresh = steps.filter((step) => !done.has(step))
    fresh.forEach((step) => done.add(step))
    doses.set(`${decoration} ${load.number}`, fresh.length)
  }
  return (decoration, load) => doses.get(`${decoration} ${load.number}`) ?? 0
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
  const making = wanted.map((each) => makingOf(each, loadsIn(each.id), doses, inputs))
  const colouring = (id: string): string =>
    wanted.find((each) => each.id === id)!.steps.find(({ colours }) => colours)?.id ?? ''
  return {
    making: making.filter((each) => each !== null),
    inTurn: chains.map((order) =>
      order.map(({ decoration, load }) => `${decoration}-${colouring(decoration)}-${load.number}`),
    ),
    tooBig: [...laid.values()].reduce((sum, each) => sum + each.tooBig, 0),
    neverSet: wanted.filter((_, at) => making[at] === null).map(({ name }) => name.toLowerCase()),
  }
}
