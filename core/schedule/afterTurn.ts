/** What waits for a turn: its rest, by hand or by itself. */
import type { Working } from '../quantity'
import type { Making, MakingStep, Turn } from './work'
import type { Drying } from './task'
import { COOLING_MIN, turnWords, type SlotKind, type TaskOf, type Done, type Collected } from './collected'

/** What must be over before work goes on from a turn; what it occupies meanwhile. */
export function afterTurn(plan: Collected, making: Making, step: MakingStep, turn: Turn, of: TaskOf): readonly Done[] {
  const { hold, since, ovenMin, drying } = step
  const restMin = step.rest.value
  if (since !== null) return [{ task: turn.task, restMin: 0 }, ...restSince(plan, making, step, turn, of)]
  if (!hold) return [{ task: turn.task, restMin, drying }]
  if (hold.untilStep !== null) {
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
    const oven = addByItself(
      plan,
      `${turn.task}-oven`,
      'oven',
      `${making.name}: in the oven${turnWords(turn, of)}`,
      ovenMin,
      of,
    )
    plan.then(turn.task, oven)
    plan.holds.push({ resource: 'oven', units: 1, from: oven, until: oven })
    return [{ task: oven, restMin: COOLING_MIN }]
  }
  if (restMin === 0 || hold.whileHands) {
    plan.holds.push({ resource: hold.place, units: turn.units, from: turn.task, until: turn.task })
    return [{ task: turn.task, restMin, drying }]
  }
  const dry = addByItself(plan, `${turn.task}-dry`, 'dry', `${making.name}: ${hold.name}`, step.rest, of, drying)
  plan.then(turn.task, dry)
  plan.holds.push({ resource: hold.place, units: turn.units, from: turn.task, until: dry })
  return [{ task: dry, restMin: 0 }]
}

/** A rest that began when a turn of an earlier step was done. */
function restSince(plan: Collected, making: Making, step: MakingStep, turn: Turn, of: TaskOf): readonly Done[] {
  const first = making.steps.find(({ id }) => id === step.since)!
  // In the oven it has set already.
  if (first.ovenMin) return []
  const began = first.turns[of.turn - 1]!.task
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

/** Something that goes on without hands. */
const addByItself = (
  plan: Collected,
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
  })
