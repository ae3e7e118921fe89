/** From the work of a commission to tasks, with what each waits for and what it occupies. */
import type { Job } from './task'
import type { Making, MakingStep, Turn } from './work'
import { afterTurn } from './afterTurn'
import { Collected, turnLuck, turnWords, type TaskOf, type PlannedTask, type Lying, type Done } from './collected'
import { cakeTasks, skinOn, type CakeTasks } from './orderOnCake'
import type { TimetableQuestion } from './question'
import { makingDoubt, spareOf } from './spare'

/** A job with what its tasks are called and shown as. */
export type TimetableJob = {
  readonly job: Job
  readonly tasks: readonly PlannedTask[]
  readonly lying: readonly Lying[]
}

/** What is fried keeps so long. */
const FRESH_MIN = 24 * 60
/** Work up to so long is done in one go. */
const ONE_GO_MIN = 90

/**
 * Everything to be done for a commission, with its waits and what it occupies.
 * @param level how much time is left to spare where the doubt is; none at 0
 */
export function timetableJob(question: TimetableQuestion, level = 0): TimetableJob {
  const plan = new Collected(question.pins)
  const cake = cakeTasks(plan, question, level)
  for (const making of question.work.making) addMaking(plan, making, cake, level, question.people.length === 1)
  for (const chain of question.work.inTurn) chain.slice(1).forEach((task, at) => plan.then(chain[at]!, task))
  const { tasks, waits, holds, lying } = plan
  const { resources, people, eventAt, aheadMin } = question
  return { tasks, lying, job: { tasks, waits, holds, resources, people, endAt: eventAt - aheadMin } }
}

/** All steps of a decoration, turn by turn. */
function addMaking(plan: Collected, making: Making, cake: CakeTasks, level: number, isAlone: boolean): void {
  let before: readonly (readonly Done[])[] = []
  let suppleMin: number | null = null
  for (const step of making.steps) {
    before = step.turns.map((turn, at) => {
      const of = { decoration: making.decoration, step: step.id, turn: at + 1, turns: step.turns.length }
      addTurn(plan, making, step, turn, of)
      // Alone, one takes turn by turn as they are numbered.
      if (isAlone && at > 0) plan.then(step.turns[at - 1]!.task, turn.task)
      const last = before.at(-1)
      for (const done of step.turnsOf ? [before[at]!] : before)
        for (const { task, restMin, drying } of done)
          plan.then(task, turn.task, restMin, {
            drying: drying ?? null,
            // What is left for a later turn is kept covered.
            mostMin: suppleMin !== null && at === 0 && done === last ? restMin + suppleMin : null,
          })
      return afterTurn(plan, making, step, turn, of)
    })
    suppleMin = step.suppleMin
  }
  const done = before.flat()
  const spareMin = spareOf(makingDoubt(making), level)
  if (making.skin) skinOn(plan, making, done, cake, spareMin)
  // What goes off within a day is made for the hour it is set on the cake.
  else
    for (const { task, restMin, drying } of done)
      plan.then(task, cake.made, restMin, {
        drying: drying ?? null,
        spareMin: making.goesOff ? Math.min(spareMin, FRESH_MIN / 2) : spareMin,
        mostMin: making.goesOff ? restMin + FRESH_MIN : null,
      })
  for (const [at, { task, name, hands, rest }] of making.again.entries()) {
    plan.add(task, 'make', name, hands.value, {
      luck: `${making.luck} again ${at + 1}`,
      splits: hands.value > ONE_GO_MIN,
      keeps: making.goesOff ? 'no' : 'days',
      group: making.decoration,
    })
    plan.then(task, making.skin ? making.steps.at(-1)!.turns[0]!.task : cake.made, rest.value)
  }
}

function addTurn(plan: Collected, making: Making, step: MakingStep, turn: Turn, of: TaskOf): void {
  const isLaid = step.hold !== null || step.turnsOf !== null
  plan.add(turn.task, 'make', `${making.name}: ${step.name.toLowerCase()}${turnWords(turn, of)}`, turn.hands.value, {
    splits: !isLaid && (step.putDown || turn.hands.value > ONE_GO_MIN),
    keeps: making.goesOff ? 'no' : step.onCake ? 'day' : 'days',
    group: making.decoration,
    of,
    luck: turnLuck(making, of),
  })
}
