/**
 * A schedule with room to breathe: what keeps is done as soon as there is time, and a day is begun early rather than
 * ended late, so that damp and mishaps find hours to spare before the event.
 */
import { earliestIn, freeBefore, NEAR_MIN, withoutAll, type FreeTime } from './freeTime'
import { dayOf, type Moment } from '../quantity'
import { grouped } from './prepared'
import type { Job, PlacedTask, Schedule, Task, Wait } from './task'
import type { Stretch } from './workingHours'

/** What moves makes room for others: gone over again until nothing moves, or so often. */
const MOST_PASSES = 8
const none: readonly never[] = []

const startOf = ({ parts }: PlacedTask): number => parts[0]!.from
const endOf = ({ parts }: PlacedTask): number => parts.at(-1)!.to

/**
 * The same schedule with every task that keeps as early as free hands and formers allow, and none before the first
 * hand has to begin. Nothing becomes later, so that every rule that held still holds.
 */
export function smoothed(job: Job, schedule: Schedule): Schedule {
  const taskOf = new Map(job.tasks.map((task) => [task.id, task]))
  const begin = dayOf(schedule.startBy)
  const whole = new Map(
    job.people.map((person) => [person.id, freeBefore(person, job.endAt).filter(({ to }) => to > begin)]),
  )
  const now: Arranged = {
    startBy: schedule.startBy,
    placed: new Map(schedule.placed.map((each) => [each.task, each])),
    taken: takenTimes(schedule.placed),
    before: grouped(job.waits, ({ after }) => after),
    after: grouped(job.waits, ({ before }) => before),
    heldBefore: heldBefore(schedule),
    whole,
    opens: openings([...whole.values()]),
  }
  for (let pass = 0; pass < MOST_PASSES; pass += 1) {
    let hasMoved = false
    const order = [...now.placed.values()]
      .filter(({ task }) => {
        const { keeps, pinnedAt } = taskOf.get(task)!
        return keeps !== 'no' && pinnedAt === null
      })
      .sort((one, other) => startOf(one) - startOf(other))
    for (const each of order) {
      const moved = earlier(taskOf.get(each.task)!, each, now)
      if (!moved) continue
      now.placed.set(each.task, moved)
      if (moved.person !== null) now.taken.set(moved.person, movedTo(now.taken.get(moved.person)!, moved))
      hasMoved = true
    }
    if (!hasMoved) break
  }
  return { ...schedule, placed: schedule.placed.map(({ task }) => now.placed.get(task)!) }
}

/** What has its place, and what is asked of it for every task that might move. */
type Arranged = {
  readonly startBy: Moment
  readonly placed: Map<string, PlacedTask>
  /** When each person is at work on what, in the order of time. */
  readonly taken: Map<string, readonly Spell[]>
  readonly before: ReadonlyMap<string, readonly Wait[]>
  readonly after: ReadonlyMap<string, readonly Wait[]>
  /** Tasks that gave free the very unit that another takes. */
  readonly heldBefore: ReadonlyMap<string, readonly string[]>
  readonly whole: ReadonlyMap<string, FreeTime>
  readonly opens: ReadonlyMap<number, number>
}

/** When somebody is at work on what. */
type Spell = Stretch & { readonly task: string }

const spellsOf = ({ task, parts }: PlacedTask): readonly Spell[] => parts.map(({ from, to }) => ({ task, from, to }))
const inTime = (spells: readonly Spell[]): readonly Spell[] => [...spells].sort((one, other) => one.from - other.from)

function takenTimes(placed: readonly PlacedTask[]): Arranged['taken'] {
  const byHand = grouped(
    placed.filter(({ person }) => person !== null),
    ({ person }) => person!,
  )
  return new Map([...byHand].map(([person, own]) => [person, inTime(own.flatMap(spellsOf))]))
}

/** The spells of a person with one task moved. */
const movedTo = (spells: readonly Spell[], moved: PlacedTask): readonly Spell[] =>
  inTime([...spells.filter(({ task }) => task !== moved.task), ...spellsOf(moved)])

/** Of each task that takes units, the tasks whose holds of the same units end. */
function heldBefore({ held }: Schedule): ReadonlyMap<string, readonly string[]> {
  const ofUnit = grouped(held, ({ hold, unit }) => `${unit} ${hold.resource}`)
  const pairs = [...ofUnit.values()].flatMap((same) =>
    same.flatMap(({ hold }) =>
      same.filter((other) => other.hold !== hold).map((other) => ({ task: hold.from, before: other.hold.until })),
    ),
  )
  return new Map(
    [...grouped(pairs, ({ task }) => task)].map(([task, each]) => [task, each.map(({ before }) => before)]),
  )
}

/** When somebody begins to work, day by day. */
function openings(whole: readonly FreeTime[]): ReadonlyMap<number, number> {
  const opens = new Map<number, number>()
  for (const { from } of whole.flat()) opens.set(dayOf(from), Math.min(from, opens.get(dayOf(from)) ?? Infinity))
  return opens
}

/** No task is done before: what keeps till the end of its day only on that day, other things as long as they keep. */
function earliestOf({ keeps, notBefore }: Task, start: number, opens: ReadonlyMap<number, number>): number {
  const today = Math.min(start, opens.get(dayOf(start)) ?? start)
  return Math.max(keeps === 'day' ? today : -Infinity, notBefore ?? -Infinity)
}

/** A task at its earliest, if that is earlier than it is. */
function earlier(task: Task, now: PlacedTask, arranged: Arranged): PlacedTask | null {
  const { startBy, placed, before, after, heldBefore, opens } = arranged
  if (!task.byHand && !task.anyHour) return null
  const waited = (before.get(task.id) ?? none).map((wait) => endOf(placed.get(wait.before)!) + wait.leastMin)
  const units = (heldBefore.get(task.id) ?? none)
    .map((other) => endOf(placed.get(other)!))
    .filter((free) => free <= startOf(now) + NEAR_MIN)
  // What does not keep long moves as near to what follows as it must; that follows in its turn.
  const goesOff = (after.get(task.id) ?? none).flatMap(({ mostMin, after: next }) =>
    mostMin === null ? [] : [startOf(placed.get(next)!) - mostMin],
  )
  const near = goesOff.map((least) => least - task.durationMin)
  const from = Math.max(startBy, earliestOf(task, startOf(now), opens), ...waited, ...units, ...near)
  if (from >= startOf(now) - NEAR_MIN) return null
  const parts = task.byHand ? freeParts(task, now, from, arranged) : [{ from, to: from + task.durationMin }]
  if (!parts || parts[0]!.from >= startOf(now) - NEAR_MIN) return null
  const next = { ...now, parts }
  if (endOf(next) > endOf(now) + NEAR_MIN) return null
  return goesOff.every((least) => endOf(next) >= least - NEAR_MIN) ? next : null
}

/** The earliest free time of whoever does it, all else staying where it is. */
function freeParts(task: Task, now: PlacedTask, from: Moment, { taken, whole }: Arranged): readonly Stretch[] | null {
  const hours = whole.get(now.person!)!
  // Only what lies between decides: it is not to end later than it does.
  const between = hours.filter((spell) => spell.to > from && spell.from < endOf(now))
  const others = taken.get(now.person!)!.filter((spell) => spell.task !== task.id && spell.to > from)
  return earliestIn(withoutAll(between, others), task.durationMin, from, task.splits, hours)
}
