/**
 * A timetable lived through: everything in its planned order, no earlier than planned, later where it must; what has
 * happened stays as it was.
 */
import { MINUTES_PER_DAY, type Moment } from '../quantity'
import { earliestIn, firstEndingAfter, freeBefore, NEAR_MIN, takeOut, withoutAll, type FreeTime } from './freeTime'
import { grouped } from './prepared'
import type { Job, Person, PlacedTask, Schedule, Task, Wait } from './task'
import type { Stretch } from './workingHours'

const none: readonly never[] = []
const startOf = ({ parts }: PlacedTask): Moment => parts[0]!.from
const endOf = ({ parts }: PlacedTask): Moment => parts.at(-1)!.to

/** Work as it happened: done, or still under way. */
export type Happened = { readonly from: Moment; readonly to: Moment | null }

/** How long things really take, and what has happened by now. */
export type Living = {
  readonly minutesOf: (inTurn: InTurn, turn: number) => number
  readonly restOf: (waited: Waited) => number
  readonly happened: ReadonlyMap<string, Happened>
  /** Nothing that has not begun begins before. */
  readonly now: Moment
}

/** A wait for an earlier turn. */
type Waited = { readonly wait: Wait; readonly turn: number }

/** A task in its turn: as it was planned, what it waits for, and the turns that held its units before it. */
export type InTurn = {
  readonly task: Task
  readonly planned: PlacedTask
  /** Place among the people of whose hands it takes, or nobody. */
  readonly hands: number
  readonly waits: readonly Waited[]
  readonly unitsAfter: readonly number[]
  /** What is planned after it for the same person, in the order of time. */
  readonly laterOf: readonly Stretch[]
}

/** No turn. */
export const NO_TURN = -1
/** Nobody's hands. */
const NOBODY = -1

/** A timetable as it was lived, turn by turn. */
export type Lived = {
  readonly spells: readonly (readonly Stretch[])[]
  readonly ends: Float64Array
  /** The turn that made each late, or no turn. */
  readonly late: Int32Array
  /** How far that, or the task itself, went over, minutes; and whether that was drying. */
  readonly over: Float64Array
  readonly isDrying: Uint8Array
}

/**
 * Lives through a schedule. It is done hundreds of times for every plan, and so makes nothing it need not make.
 * @param free when each of the people could work, past the end too
 */
export function liveThrough(
  line: readonly InTurn[],
  free: readonly FreeTime[],
  { minutesOf, restOf, happened, now }: Living,
): Lived {
  const spells: (readonly Stretch[])[] = []
  const ends = new Float64Array(line.length)
  const late = new Int32Array(line.length).fill(NO_TURN)
  const over = new Float64Array(line.length)
  const isDrying = new Uint8Array(line.length)
  const left = free.map((stretches) => [...stretches])
  for (let turn = 0; turn < line.length; turn += 1) {
    const inTurn = line[turn]!
    const { task, planned, waits, unitsAfter, laterOf } = inTurn
    const minutes = minutesOf(inTurn, turn)
    const hands = inTurn.hands === NOBODY ? null : left[inTurn.hands]!
    const known = happened.size > 0 ? happened.get(task.id) : undefined
    if (known) {
      const spell = { from: known.from, to: known.to ?? Math.max(now, known.from + minutes) }
      if (hands) takeOut(hands, spell)
      spells.push([spell])
      ends[turn] = spell.to
      continue
    }
    let from = Math.max(planned.parts[0]!.from, now)
    let dried = 0
    for (const waited of waits) {
      const rest = restOf(waited)
      const until = ends[waited.turn]! + rest
      if (until <= from + NEAR_MIN) continue
      from = until
      late[turn] = waited.turn
      dried = rest - waited.wait.leastMin
    }
    for (const before of unitsAfter) {
      const until = ends[before]!
      if (until <= from + NEAR_MIN) continue
      from = until
      late[turn] = before
      dried = 0
    }
    const own =
      hands && !task.anyHour
        ? spellsFrom(planned, minutes, from, hands, free[inTurn.hands]!, laterOf)
        : [{ from, to: from + minutes }]
    if (hands) for (const spell of own) takeOut(hands, spell)
    const longer = minutes - task.durationMin
    spells.push(own)
    ends[turn] = own[own.length - 1]!.to
    over[turn] = Math.max(dried, longer)
    isDrying[turn] = (dried > 0 && dried > longer) || task.drying !== null ? 1 : 0
  }
  return { spells, ends, late, over, isDrying }
}

/** Whether every spell lies in free time. */
function isFree(spells: readonly Stretch[], free: FreeTime): boolean {
  for (const { from, to } of spells) {
    const holds = free[firstEndingAfter(free, from + NEAR_MIN)]
    if (!holds || holds.from > from + NEAR_MIN || holds.to < to - NEAR_MIN) return false
  }
  return true
}

const endingAfter = (stretches: readonly Stretch[], moment: Moment): readonly Stretch[] =>
  stretches.slice(firstEndingAfter(stretches, moment))

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
    if (from > latestFrom + NEAR_MIN || !clash(next, others)) return next
    const polite = whenFree(minutes, from, withoutAll(endingAfter(free, from), endingAfter(others, from)))
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
export function lineUp({ tasks, waits, people }: Job, { placed, held }: Schedule): readonly InTurn[] {
  const taskOf = new Map(tasks.map((task) => [task.id, task]))
  const waitsOf = grouped(waits, ({ after }) => after)
  const holdsOf = grouped(held, ({ hold }) => hold.from)
  const usersOf = grouped(held, ({ hold, unit }) => `${unit} ${hold.resource}`)
  const turnOf = new Map<string, number>()
  const isReady = ({ task }: PlacedTask): boolean =>
    (waitsOf.get(task) ?? none).every(({ before }) => turnOf.has(before))
  const left = [...placed].sort((one, other) => startOf(one) - startOf(other) || endOf(one) - endOf(other))
  const line: Omit<InTurn, 'laterOf'>[] = []
  while (left.length > 0) {
    const [planned] = left.splice(left.findIndex(isReady), 1)
    const id = planned!.task
    const unitsAfter = (holdsOf.get(id) ?? none).flatMap(({ hold, unit }) =>
      usersOf
        .get(`${unit} ${hold.resource}`)!
        .flatMap((other) => (other.hold === hold ? none : (turnOf.get(other.hold.until) ?? none))),
    )
    const waited = (waitsOf.get(id) ?? none).map((wait) => ({ wait, turn: turnOf.get(wait.before)! }))
    turnOf.set(id, line.length)
    const task = taskOf.get(id)!
    const hands = task.byHand ? people.findIndex((person) => person.id === planned!.person) : NOBODY
    line.push({ task, planned: planned!, hands, waits: waited, unitsAfter })
  }
  const spellsOf = grouped(
    line.flatMap(({ task, planned: { person, parts } }, turn) =>
      task.anyHour ? [] : parts.map((part) => ({ part, person, turn })),
    ),
    ({ person }) => person,
  )
  const inTime = new Map(
    [...spellsOf].map(([person, spells]) => [
      person,
      [...spells].sort((one, other) => one.part.from - other.part.from),
    ]),
  )
  return line.map((inTurn, turn) => ({
    ...inTurn,
    laterOf: (inTime.get(inTurn.planned.person) ?? none).flatMap((spell) => (spell.turn > turn ? spell.part : none)),
  }))
}
