/** From the work of a commission to tasks, with what each waits for and what it occupies. */
import type { Moment, Working } from '../quantity'
import type { Hold, Job, Person, Resource, Task, Wait } from './task'
import type { Completion, Making, MakingStep, Turn, Work } from './work'

export type SlotKind =
  | 'warm'
  | 'cover'
  | 'stack'
  | 'make'
  | 'dry'
  | 'oven'
  | 'rest'
  | 'pack'
  | 'place'
  | 'loadCar'
  | 'drive'
  | 'photograph'
  | 'event'

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

/** Which step of which decoration a task is, and which turn of how many. */
export type TaskOf = {
  readonly decoration: string
  readonly step: string
  readonly turn: number
  readonly turns: number
}

/** A task with what it is shown as, and what it is a step of. */
export type PlannedTask = Task & { readonly kind: SlotKind; readonly of: TaskOf | null }

/** What lies somewhere after a task until another: what it is called, and on what. */
type Lying = {
  readonly id: string
  readonly kind: 'dry' | 'rest'
  readonly name: string
  readonly of: TaskOf
  readonly from: string
  /** Taken up by that task; or so many minutes after it was laid down. */
  readonly until: { readonly task: string } | { readonly afterMin: number; readonly since: string }
  /** The place it holds; none where it lies on a rack. */
  readonly place: string | null
}

/** A job with what its tasks are called and shown as. */
export type TimetableJob = {
  readonly job: Job
  readonly tasks: readonly PlannedTask[]
  readonly lying: readonly Lying[]
}

/** Trays cool so long before anything is lifted off. */
const COOLING_MIN = 10
/** A covered tier chills so long before it is stacked. Usual practice. */
const CHILL_MIN = 60
/** What is fried keeps so long. */
const FRESH_MIN = 24 * 60
/** Work up to so long is done in one go. */
const ONE_GO_MIN = 90

/** Collects tasks, waits and holds. */
class Collected {
  readonly tasks: PlannedTask[] = []
  readonly waits: Wait[] = []
  readonly holds: Hold[] = []
  readonly lying: Lying[] = []

  constructor(private readonly pins: TimetableQuestion['pins']) {}

  add(id: string, kind: SlotKind, name: string, durationMin: number, change: Partial<PlannedTask> = {}): string {
    this.tasks.push({
      id,
      kind,
      name,
      durationMin,
      byHand: true,
      splits: false,
      anyHour: false,
      endsBy: null,
      keeps: false,
      group: kind,
      of: null,
      pinnedAt: this.pins[id] ?? null,
      ...change,
    })
    return id
  }

  then(before: string | null, after: string | null, leastMin = 0, mostMin: number | null = null): void {
    if (before && after) this.waits.push({ before, after, leastMin, mostMin })
  }
}

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

/** A task that must be over, and how long after it work may go on. */
type Done = { readonly task: string; readonly restMin: number }

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

/** What a turn is called after its step. */
function turnWords({ load }: Turn, { turn, turns }: TaskOf): string {
  if (load) return `, load ${load.number}${load.again ? ', cut again' : ''}`
  return turns > 1 ? `, turn ${turn} of ${turns}` : ''
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

/** What must be over before work goes on from a turn; what it occupies meanwhile. */
function afterTurn(plan: Collected, making: Making, step: MakingStep, turn: Turn, of: TaskOf): readonly Done[] {
  const { hold, since, ovenMin } = step
  const restMin = step.rest.value
  if (since !== null) return [{ task: turn.task, restMin: 0 }, ...restSince(plan, making, step, turn, of)]
  if (!hold) return [{ task: turn.task, restMin }]
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
    if (!ovenMin) return [{ task: turn.task, restMin }]
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
  if (restMin === 0) {
    plan.holds.push({ resource: hold.place, units: turn.units, from: turn.task, until: turn.task })
    return [{ task: turn.task, restMin: 0 }]
  }
  const dry = addByItself(plan, `${turn.task}-dry`, 'dry', `${making.name}: ${hold.name}`, step.rest, of)
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
  return [{ task: began, restMin: step.rest.value }]
}

/** Something that goes on without hands. */
const addByItself = (plan: Collected, id: string, kind: SlotKind, name: string, minutes: Working, of: TaskOf): string =>
  plan.add(id, kind, name, minutes.value, {
    byHand: false,
    anyHour: true,
    keeps: kind === 'dry',
    group: kind === 'dry' ? of.decoration : kind,
    of,
  })
