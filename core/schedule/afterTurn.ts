/** What waits for a turn: its rest, by hand or by itself. */
import { derive, type Working } from '../quantity'
import type { Making, MakingStep, Turn } from './work'
import type { Drying } from './task'
import { COOLING_MIN, turnLuck, turnWords, type SlotKind, type TaskOf, type Done, type Collected } from './collected'

/** What must be over before work goes on from a turn; what it occupies meanwhile. */
export function afterTurn(plan: Collected, making: Making, step: MakingStep, turn: Turn, of: TaskOf): readonly Done[] {
  const { hold, since, ovenMin, drying, air } = step
  const restMin = step.rest.value
  if (since !== null) return [{ task: turn.task, restMin: 0 }, ...restSince(plan, making, step, turn, of)]
  if (hold && hold.untilStep !== null) {
    const until = making.steps.find(({ id }) => id === hold.untilStep)!.turns[of.turn - 1]!.task
    plan.holds.push({ resource: hold.place, units: turn.units, from: turn.task, until })
    const name = `${making.name}: ${ovenMin ? 'on its tray' : 'dries'}${turnWords(turn, of)}`
    plan.lying.push({
      id: `${turn.task}-lies`,
      kind: 'dry',
      name,
      of,
      from: turn.task,
      until: { task: until },
      place: hold.place,
    })
    if (!ovenMin) return [{ task: turn.task, restMin, drying }]
    return [{ task: addOven(plan, making, turn, of, ovenMin), restMin: COOLING_MIN }]
  }
  if (hold && ovenMin) {
    const oven = addOven(plan, making, turn, of, ovenMin)
    plan.holds.push({ resource: hold.place, units: turn.units, from: turn.task, until: oven })
    return [{ task: oven, restMin: COOLING_MIN }]
  }
  const isOver = hold !== null && (restMin === 0 || hold.whileHands)
  if (isOver) plan.holds.push({ resource: hold.place, units: turn.units, from: turn.task, until: turn.task })
  const lies = isOver ? null : hold
  if (restMin === 0 || (!lies && !air)) return [{ task: turn.task, restMin, drying }]
  const where = [lies?.name, air?.name].filter((name) => name !== undefined).join(', ')
  const dry = addByItself(plan, making, `${turn.task}-dry`, 'dry', `${making.name}: ${where}`, step.rest, of, drying)
  plan.then(turn.task, dry)
  if (lies) plan.holds.push({ resource: lies.place, units: turn.units, from: turn.task, until: dry })
  if (air) plan.holds.push({ resource: air.place, units: 1, from: dry, until: dry })
  return [{ task: dry, restMin: 0 }]
}

/** What lies wet on its tray goes into the oven within so long. Usual practice. */
const WET_MOST_MIN = 120

/** A load in the oven, which nobody leaves alone. @returns its task */
function addOven(plan: Collected, making: Making, turn: Turn, of: TaskOf, ovenMin: Working): string {
  const name = `${making.name}: in the oven${turnWords(turn, of)}`
  const oven = addByItself(plan, making, `${turn.task}-oven`, 'oven', name, ovenMin, of)
  plan.then(turn.task, oven, 0, { mostMin: WET_MOST_MIN })
  plan.holds.push({ resource: 'oven', units: 1, from: oven, until: oven })
  return oven
}

/** A rest that began when a turn of an earlier step was done. */
function restSince(plan: Collected, making: Making, step: MakingStep, turn: Turn, of: TaskOf): readonly Done[] {
  const first = making.steps.find(({ id }) => id === step.since)!
  // In the oven it has set already.
  if (first.ovenMin) return []
  const began = first.turns[of.turn - 1]!.task
  if (step.air) {
    const { place, name } = step.air
    const words = `${making.name}: sets ${name}${turnWords(turn, of)}`
    // What goes onto a rack is lifted first; a fan and a dry room have it from when it was laid down.
    const isMoved = place === 'rack'
    const { rest, drying } = isMoved ? sinceLifted(first, step) : step
    const sets = addByItself(plan, making, `${turn.task}-dry`, 'dry', words, rest, of, drying)
    const from = isMoved ? turn.task : began
    plan.then(from, sets)
    plan.holds.push({ resource: place, units: 1, from, until: sets })
    return [{ task: sets, restMin: 0 }]
  }
  plan.lying.push({
    id: `${turn.task}-rests`,
    kind: 'rest',
    name: `${making.name}: sets${turnWords(turn, of)}`,
    of,
    from: turn.task,
    until: { afterMin: step.rest.value, since: began },
    place: null,
  })
  return [{ task: began, restMin: step.rest.value, drying: step.drying }]
}

/** What is left of a rest once the one before it is over, with which it began. */
const sinceLifted = (first: MakingStep, step: MakingStep): Pick<MakingStep, 'rest' | 'drying'> => ({
  rest: derive(
    step.rest.label,
    'duration',
    'what is left',
    '{set} − {firm}',
    { set: step.rest, firm: first.rest },
    (v) => Math.max(1, v.set - v.firm),
  ),
  drying: step.drying &&
    first.drying && {
      usuallyMin: Math.max(1, step.drying.usuallyMin - first.drying.usuallyMin),
      deviation: step.drying.deviation,
    },
})

/** Something that goes on without hands. */
const addByItself = (
  plan: Collected,
  making: Making,
  id: string,
  kind: SlotKind,
  name: string,
  minutes: Working,
  of: TaskOf,
  drying: Drying | null = null,
): string =>
  plan.add(id, kind, name, minutes.value, {
    byHand: false,
    // An oven is not left alone, and its load is taken out.
    anyHour: kind !== 'oven',
    keeps: kind === 'dry' ? 'days' : 'no',
    group: kind === 'dry' ? of.decoration : kind,
    of,
    drying,
    luck: `${turnLuck(making, of)} ${kind}`,
  })
