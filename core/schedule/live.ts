/**
 * A timetable lived through: everything in its planned order, no earlier than planned, later where it must; what has
 * happened stays as it was.
 */
import { MINUTES_PER_DAY, type Moment } from '../quantity'
import { earliestIn, firstEndingAfter, freeBefore, NEAR_MIN, takeOut, withoutAll, type FreeTime } from './freeTime'
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

/**
 * Lives through a schedule. It is done hundreds of times for every plan, and so makes nothing it need not make.
 * @param free when people could work, past the end too
 */
export function liveThrough(
  line: readonly InTurn[],
  free: ReadonlyMap<string, FreeTime>,
  { minutesOf, restOf, happened, now }: Living,
): ReadonlyMap<string, Lived> {
  const done = new Map<string, Lived>()
  const endOf = (task: string): Moment => done.get(task)!.parts.at(-1)!.to
  const left = new Map<string, Stretch[]>()
  for (const [person, stretches] of free) left.set(person, [...stretches])
  for (const { task, planned, waits, unitsAfter, laterOf } of line) {
    const { parts, person } = planned
    const minutes = minutesOf(task, person)
    const hands = task.byHand && person !== null ? left.get(person)! : null
    const known = happened.get(task.id)
    if (known) {
      const spell = { from: known.from, to: known.to ?? Math.max(now, known.from + minutes) }
      if (hands) takeOut(hands, spell)
      done.set(task.id, { parts: [spell], late: null, over: 0, drying: false })
      continue
    }
    let from = Math.max(parts[0]!.from, now)
    let late: string | null = null
    let dried = 0
    let isDried = false
    for (const wait of waits) {
      const rest = restOf(wait)
      const until = endOf(wait.before) + rest
      if (until <= from + NEAR_MIN) continue
      from = until
      late = wait.before
      dried = rest - wait.leastMin
      isDried = dried > 0
    }
    for (const before of unitsAfter) {
      const until = endOf(before)
      if (until <= from + NEAR_MIN) continue
      from = until
      late = before
      dried = 0
      isDried = false
    }
    const spells =
      hands && !task.anyHour
        ? spellsFrom(planned, minutes, from, hands, free.get(person!)!, laterOf)
        : [{ from, to: from + minutes }]
    if (hands) for (const spell of spells) takeOut(hands, spell)
    const longer = minutes - task.durationMin
    const drying = (isDried && dried > longer) || task.drying !== null
    done.set(task.id, { parts: spells, late, over: Math.max(dried, longer), drying })
  }
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
