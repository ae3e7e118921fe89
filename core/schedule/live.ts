/**
 * A timetable lived through: everything in its planned order, no earlier than planned, later where it must; what has
 * happened stays as it was.
 */
import { MINUTES_PER_DAY, type Moment } from '../quantity'
import { earliestIn, freeBefore, without, type FreeTime } from './freeTime'
import type { Job, Person, Schedule, Task, Wait } from './task'
import type { Stretch } from './workingHours'

/** Work as it happened: done, or still under way. */
export type Happened = { readonly from: Moment; readonly to: Moment | null }

/** How long things really take, and what has happened by now. */
export type Living = {
  readonly minutesOf: (task: Task, person: string | null) => number
  readonly restOf: (wait: Wait) => number
  readonly happened: ReadonlyMap<string, Happened>
  /** Nothing that has not begun begins before. */
  readonly now: Moment
}

/** A task as it was lived: its spells, what made it late, and how far that, or the task itself, went over. */
export type Lived = {
  readonly parts: readonly Stretch[]
  readonly late: string | null
  readonly over: number
  readonly drying: boolean
}

const NEAR_MIN = 1e-6

/** Lives through a schedule. @param free when people could work, past the end too */
export function liveThrough(
  job: Job,
  schedule: Schedule,
  order: readonly Task[],
  free: ReadonlyMap<string, FreeTime>,
  living: Living,
): ReadonlyMap<string, Lived> {
  const planned = new Map(schedule.placed.map((each) => [each.task, each]))
  const done = new Map<string, Lived>()
  const endOf = (id: string): Moment => done.get(id)!.parts.at(-1)!.to
  const left = new Map(free)
  for (const task of order) {
    const { parts, person } = planned.get(task.id)!
    const happened = living.happened.get(task.id)
    const minutes = living.minutesOf(task, person)
    if (happened) {
      const spell = { from: happened.from, to: happened.to ?? Math.max(living.now, happened.from + minutes) }
      if (person !== null && task.byHand) left.set(person, without(left.get(person)!, spell))
      done.set(task.id, { parts: [spell], late: null, over: 0, drying: false })
      continue
    }
    let [from, late, drying, dried] = [Math.max(parts[0]!.from, living.now), null as string | null, false, 0]
    const push = (to: Moment, by: string, byDrying: boolean, over: number): void => {
      if (to > from + NEAR_MIN) {
        from = to
        late = by
        drying = byDrying
        dried = over
      }
    }
    for (const wait of job.waits.filter(({ after }) => after === task.id)) {
      const rest = living.restOf(wait)
      push(endOf(wait.before) + rest, wait.before, rest > wait.leastMin, rest - wait.leastMin)
    }
    for (const { hold, unit } of schedule.held.filter(({ hold: { from: first } }) => first === task.id)) {
      const before = schedule.held.filter(
        (other) =>
          other.hold !== hold &&
          other.hold.resource === hold.resource &&
          other.unit === unit &&
          done.has(other.hold.until),
      )
      for (const other of before) push(endOf(other.hold.until), other.hold.until, false, 0)
    }
    const spells =
      task.byHand && !task.anyHour && person !== null
        ? spellsFrom(parts, minutes, from, left.get(person)!)
        : [{ from, to: from + minutes }]
    if (task.byHand && person !== null) for (const spell of spells) left.set(person, without(left.get(person)!, spell))
    done.set(task.id, {
      parts: spells,
      late,
      over: Math.max(dried, minutes - task.durationMin),
      drying: drying && dried > minutes - task.durationMin,
    })
  }
  return done
}

/** Whether every spell lies in free time. */
const isFree = (spells: readonly Stretch[], free: FreeTime): boolean =>
  spells.every(({ from, to }) => free.some((each) => each.from <= from + NEAR_MIN && each.to >= to - NEAR_MIN))

/** What runs late is finished up to so long past the end of the day rather than left for the next. */
const OVERTIME_MIN = 30

/** When somebody who stays on can work, back from a moment. */
export function freeWithOvertime(person: Person, before: Moment): FreeTime {
  const spells = person.hours.spells.map((spell, at, all) =>
    at === all.length - 1 ? { ...spell, toMin: Math.min(MINUTES_PER_DAY, spell.toMin + OVERTIME_MIN) } : spell,
  )
  return freeBefore({ ...person, hours: { ...person.hours, spells } }, before)
}

/**
 * When hands really are at it: as planned while it begins as planned and hands are free, longer where it takes longer;
 * else whenever they are free.
 */
function spellsFrom(planned: readonly Stretch[], minutes: number, from: Moment, free: FreeTime): readonly Stretch[] {
  const never: readonly Stretch[] = [{ from, to: Infinity }]
  const whenFree = (left: number, after: Moment): readonly Stretch[] => earliestIn(free, left, after, true) ?? never
  if (from > planned[0]!.from + NEAR_MIN || !isFree(planned, free)) return whenFree(minutes, from)
  const spells: Stretch[] = []
  let left = minutes
  for (const part of planned) {
    if (left <= NEAR_MIN) break
    const to = Math.min(part.to, part.from + left)
    spells.push({ from: part.from, to })
    left -= to - part.from
  }
  return left <= NEAR_MIN ? spells : [...spells, ...whenFree(left, planned.at(-1)!.to)]
}

/** Tasks as they were planned, each after all that it waits for. */
export function inOrder({ tasks, waits }: Job, { placed }: Schedule): readonly Task[] {
  const taskOf = new Map(tasks.map((task) => [task.id, task]))
  const planned = [...placed]
    .sort((one, other) => one.parts[0]!.from - other.parts[0]!.from || one.parts.at(-1)!.to - other.parts.at(-1)!.to)
    .map(({ task }) => task)
  const order: Task[] = []
  const taken = new Set<string>()
  while (order.length < planned.length) {
    const next = planned.find(
      (id) => !taken.has(id) && waits.every(({ before, after }) => after !== id || taken.has(before)),
    )!
    taken.add(next)
    order.push(taskOf.get(next)!)
  }
  return order
}
