/** From the work of a commission to tasks, with what each waits for and what it occupies. */
import type { Moment } from '../quantity'
import type { Job, Person, Resource } from './task'
import type { Completion, Making, MakingStep, Turn, Work } from './work'
import { afterTurn } from './afterTurn'
import { Collected, turnWords, type TaskOf, type PlannedTask, type Lying, type Done } from './collected'

export type TimetableQuestion = {
  readonly eventAt: Moment
  /** On the road, with stops. */
  readonly driveMin: number
  /**
   * Minutes the cake stands out of the refrigerator until paper may go on it, or, when it is kept chilled, until it
   * may be shown; 0 when nothing is chilled.
   */
  readonly warmMin: number
  readonly warmedFor: 'placing' | 'showing'
  /** Ready so long before the event, minutes. */
  readonly aheadMin: number
  readonly completion: Completion
  readonly work: Work
  /** Mats, trays, places in the oven, moulds: how many there are of what steps occupy. */
  readonly resources: readonly Resource[]
  readonly people: readonly Person[]
  /** Tasks that were put at an hour by hand. */
  readonly pins: Readonly<Record<string, Moment>>
}

/** A job with what its tasks are called and shown as. */
export type TimetableJob = {
  readonly job: Job
  readonly tasks: readonly PlannedTask[]
  readonly lying: readonly Lying[]
}

/** A covered tier chills so long before it is stacked. Usual practice. */
const CHILL_MIN = 60
/** What is fried keeps so long. */
const FRESH_MIN = 24 * 60
/** Work up to so long is done in one go. */
const ONE_GO_MIN = 90

const WHOLE = { splits: true }
const ON_THE_DAY = { anyHour: true }

/** What is done at the cake, from covering to handing over. */
type CakeTasks = { readonly stack: string | null; readonly made: string }

/** Everything to be done for a commission, with its waits and what it occupies. */
export function timetableJob(question: TimetableQuestion): TimetableJob {
  const plan = new Collected(question.pins)
  const cake = cakeTasks(plan, question)
  for (const making of question.work.making) addMaking(plan, making, cake)
  for (const chain of question.work.inTurn) chain.slice(1).forEach((task, at) => plan.then(chain[at]!, task))
  const { tasks, waits, holds, lying } = plan
  const { resources, people, eventAt, aheadMin } = question
  return { tasks, lying, job: { tasks, waits, holds, resources, people, endAt: eventAt - aheadMin } }
}

/** The work at the cake and on the road. */
function cakeTasks(plan: Collected, { work, completion, driveMin, warmMin, warmedFor }: TimetableQuestion): CakeTasks {
  const photograph =
    work.photograph.value > 0
      ? plan.add('photograph', 'photograph', 'Photograph, hand over', work.photograph.value, ON_THE_DAY)
      : null
  const isPlaced = work.place.value > 0
  const atVenue =
    completion === 'atVenue' && isPlaced
      ? plan.add('place', 'place', 'Place the decorations at the venue', work.place.value, ON_THE_DAY)
      : null
  const drive = plan.add('drive', 'drive', 'Drive', driveMin, ON_THE_DAY)
  const loadCar = plan.add('loadCar', 'loadCar', 'Load the car', work.loadCar.value, ON_THE_DAY)
  const boxing = completion === 'beforeDriving' ? 'Box the cake' : 'Pack airtight'
  const pack = plan.add('pack', 'pack', boxing, work.pack.value, WHOLE)
  const here =
    completion === 'beforeDriving' && isPlaced
      ? plan.add('place', 'place', 'Place the decorations', work.place.value, WHOLE)
      : null
  plan.then(atVenue, photograph)
  plan.then(drive, atVenue ?? photograph)
  plan.then(loadCar, drive)
  plan.then(pack, loadCar)
  plan.then(here, pack)
  const made = here ?? pack

  const stack = work.stack.value > 0 ? plan.add('stack', 'stack', 'Stack the tiers', work.stack.value) : null
  const cover = work.cover.value > 0 ? plan.add('cover', 'cover', 'Cover the tiers', work.cover.value, WHOLE) : null
  plan.then(cover, stack, CHILL_MIN)
  plan.then(stack, made)
  if (warmMin > 0) {
    const byItself = { byHand: false, anyHour: true }
    const warm = plan.add('warm', 'warm', 'Cake out of the refrigerator, warms through', warmMin, byItself)
    plan.then(stack, warm)
    plan.then(warm, warmedFor === 'placing' ? (atVenue ?? here ?? photograph) : photograph)
  }
  return { stack, made }
}

/** All steps of a decoration, turn by turn. */
function addMaking(plan: Collected, making: Making, { stack, made }: CakeTasks): void {
  let before: readonly (readonly Done[])[] = []
  for (const step of making.steps) {
    before = step.turns.map((turn, at) => {
      const of = { decoration: making.decoration, step: step.id, turn: at + 1, turns: step.turns.length }
      addTurn(plan, making, step, turn, of)
      for (const { task, restMin } of step.turnsOf ? before[at]! : before.flat()) plan.then(task, turn.task, restMin)
      if (step.onTheCake) plan.then(stack, turn.task)
      return afterTurn(plan, making, step, turn, of)
    })
  }
  // What goes off within a day is made for the hour it is set on the cake.
  for (const { task, restMin } of before.flat())
    plan.then(task, made, restMin, making.goesOff ? restMin + FRESH_MIN : null)
  for (const { task, name, hands, rest } of making.again) {
    plan.add(task, 'make', name, hands.value, {
      splits: hands.value > ONE_GO_MIN,
      keeps: !making.goesOff,
      group: making.decoration,
    })
    plan.then(task, made, rest.value)
  }
}

function addTurn(plan: Collected, making: Making, step: MakingStep, turn: Turn, of: TaskOf): void {
  const isLaid = step.hold !== null || step.turnsOf !== null
  plan.add(turn.task, 'make', `${making.name}: ${step.name.toLowerCase()}${turnWords(turn, of)}`, turn.hands.value, {
    splits: !isLaid && (step.putDown || turn.hands.value > ONE_GO_MIN),
    keeps: !step.onTheCake && !making.goesOff,
    group: making.decoration,
    of,
  })
}
