/**
 * A timetable lived through: everything in its planned order, no earlier than planned, later where it must; what has
 * happened stays as it was.
 */
import { MINUTES_PER_DAY, type Moment } from '../quantity'
import { earliestIn, firstEndingAfter, freeBefore, takeOut, withoutAll, type FreeTime } from './freeTime'
import type { Job, Person, PlacedTask, Schedule, Task, Wait } from './task'
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

/** A task in its turn: as it was planned, what it waits for, and what held its units before it. */
export type InTurn = {
  readonly task: Task
  readonly planned: PlacedTask
  readonly waits: readonly Wait[]
  readonly unitsAfter: readonly string[]
  /** What is planned after it for the same person, in the order of time. */
  readonly laterOf: readonly Stretch[]
}

const NEAR_MIN = 1e-6

/** Lives through a schedule. @param free when people could work, past the end too */
export function liveThrough(
  line: readonly InTurn[],
  free: ReadonlyMap<string, FreeTime>,
  living: Living,
): ReadonlyMap<string, Lived> {
  const done = new Map<string, Lived>()
  const ends = new Map<string, Moment>()
  const live = (id: string, lived: Lived): void => {
    done.set(id, lived)
    ends.set(id, lived.parts.at(-1)!.to)
  }
  const left = new Map([...free].map(([person, stretches]) => [person, [...stretches]]))
  line.forEach(({ task, planned, waits, unitsAfter, laterOf }) => {
    const { parts, person } = planned
    const happened = living.happened.get(task.id)
    const minutes = living.minutesOf(task, person)
    const isWorked = task.byHand && person !== null
    const take = (spells: readonly Stretch[]): void => {
      if (isWorked) for (const spell of spells) takeOut(left.get(person)!, spell)
    }
    if (happened) {
      const spell = { from: happened.from, to: happened.to ?? Math.max(living.now, happened.from + minutes) }
      take([spell])
      live(task.id, { parts: [spell], late: null, over: 0, drying: false })
      return
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
    for (const wait of waits) {
      const rest = living.restOf(wait)
      push(ends.get(wait.before)! + rest, wait.before, rest > wait.leastMin, rest - wait.leastMin)
    }
    for (const before of unitsAfter) push(ends.get(before)!, before, false, 0)
    const spells =
      isWorked && !task.anyHour
        ? spellsFrom(planned, minutes, from, left.get(person)!, free.get(person)!, laterOf)
        : [{ from, to: from + minutes }]
    take(spells)
    const isDrying = (drying && dried > minutes - task.durationMin) || task.drying !== null
    live(task.id, { parts: spells, late, over: Math.max(dried, minutes - task.durationMin), drying: isDrying })
  })
  return done
}

/** Whether every spell lies in free time. */
function isFree(spells: readonly Stretch[], free: FreeTime): boolean {
  for (const { from, to } of spells) {
    const holds = free[firstEndingAfter(free, from + NEAR_MIN)]
    if (!holds || holds.from > from + NEAR_MIN || holds.to < to - NEAR_MIN) return false
  }
  return true
}

/** Whether some spell meets one of others in the order of time. */
function clash(spells: readonly Stretch[], others: readonly Stretch[]): boolean {
  for (const { from, to } of spells) {
    const other = others[firstEndingAfter(others, from)]
    if (other && other.from < to) return true
  }
  return false
}

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
 * When hands really are at it: as planned while it begins as planned and hands are free, longer where it takes longer.
 * What is late gives way to what others wait for more, as long as its own slack lasts; then it takes the next free hour.
 */
function spellsFrom(
  { parts: planned, latestFrom }: PlacedTask,
  minutes: number,
  from: Moment,
  free: FreeTime,
  whole: FreeTime,
  others: readonly Stretch[],
): readonly Stretch[] {
  const never: readonly Stretch[] = [{ from, to: Infinity }]
  const whenFree = (left: number, after: Moment, hours: FreeTime): readonly Stretch[] | null =>
    earliestIn(hours, left, after, true, whole)
  if (from > planned[0]!.from + NEAR_MIN || !isFree(planned, free)) {
    const next = whenFree(minutes, from, free) ?? never
    if (!clash(next, others)) return next
    const polite = whenFree(minutes, from, withoutAll(free, others))
    return polite && polite[0]!.from <= latestFrom + NEAR_MIN ? polite : next
  }
  // What takes no time at all is over where it begins.
  if (minutes <= NEAR_MIN) return [{ from, to: from }]
  const spells: Stretch[] = []
  let left = minutes
  for (const part of planned) {
    if (left <= NEAR_MIN) break
    const to = Math.min(part.to, part.from + left)
    spells.push({ from: part.from, to })
    left -= to - part.from
  }
  return left <= NEAR_MIN ? spells : [...spells, ...(whenFree(left, planned.at(-1)!.to, free) ?? never)]
}

/** Tasks as they were planned, each after all that it waits for, with what it waits for. */
export function lineUp({ tasks, waits }: Job, { placed, held }: Schedule): readonly InTurn[] {
  const taskOf = new Map(tasks.map((task) => [task.id, task]))
  const plannedOf = new Map(placed.map((each) => [each.task, each]))
  const planned = [...placed]
    .sort((one, other) => one.parts[0]!.from - other.parts[0]!.from || one.parts.at(-1)!.to - other.parts.at(-1)!.to)
    .map(({ task }) => task)
  const line: Omit<InTurn, 'laterOf'>[] = []
  const taken = new Set<string>()
  while (line.length < planned.length) {
    const next = planned.find(
      (id) => !taken.has(id) && waits.every(({ before, after }) => after !== id || taken.has(before)),
    )!
    const unitsAfter = held
      .filter(({ hold }) => hold.from === next)
      .flatMap(({ hold, unit }) =>
        held
          .filter(
            (other) =>
              other.hold !== hold &&
              other.hold.resource === hold.resource &&
              other.unit === unit &&
              taken.has(other.hold.until),
          )
          .map((other) => other.hold.until),
      )
    taken.add(next)
    line.push({
      task: taskOf.get(next)!,
      planned: plannedOf.get(next)!,
      waits: waits.filter(({ after }) => after === next),
      unitsAfter,
    })
  }
  return line.map((each, at) => ({
    ...each,
    laterOf: line
      .slice(at + 1)
      .flatMap(({ task, planned: { person, parts } }) => (person === each.planned.person && !task.anyHour ? parts : []))
      .sort((one, other) => one.from - other.from),
  }))
}
