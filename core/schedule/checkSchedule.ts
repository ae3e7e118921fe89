/** Whether a schedule keeps every rule of its job, looked at afresh: it shares nothing with the search. */
import { dayOf, weekdayOf } from '../quantity'
import type { Job, Schedule } from './task'
import type { Stretch } from './workingHours'

/** What is wrong with a schedule, in words for whoever mends the search. */
export type ScheduleFault = {
  readonly rule:
    | 'missing'
    | 'duration'
    | 'late'
    | 'hours'
    | 'busy'
    | 'two at once'
    | 'order'
    | 'wait too long'
    | 'unit twice'
    | 'no such unit'
    | 'begins'
  readonly of: string
}

const NEAR_MIN = 1e-3
const meet = (one: Stretch, other: Stretch): boolean => one.from < other.to - NEAR_MIN && other.from < one.to - NEAR_MIN

/** Every rule that a schedule breaks. */
export function scheduleFaults(
  { tasks, waits, people, resources, endAt, holds }: Job,
  { placed, held, startBy }: Schedule,
): readonly ScheduleFault[] {
  const faults: ScheduleFault[] = []
  const add = (rule: ScheduleFault['rule'], of: string): void => {
    faults.push({ rule, of })
  }
  const at = (id: string) => placed.find(({ task }) => task === id)
  const whole = (id: string): Stretch | null => {
    const parts = at(id)?.parts
    return parts && parts.length > 0
      ? { from: Math.min(...parts.map(({ from }) => from)), to: Math.max(...parts.map(({ to }) => to)) }
      : null
  }
  for (const task of tasks) {
    const here = placed.filter((each) => each.task === task.id)
    const stretch = whole(task.id)
    if (here.length !== 1 || !stretch) {
      add('missing', task.id)
      continue
    }
    const { parts, person } = here[0]!
    if (Math.abs(parts.reduce((sum, { from, to }) => sum + to - from, 0) - task.durationMin) > NEAR_MIN)
      add('duration', task.id)
    if (stretch.to > Math.min(endAt, task.endsBy ?? Infinity) + NEAR_MIN) add('late', task.id)
    if (
      !task.byHand &&
      !task.anyHour &&
      !people.some(
        ({ hours: { days, spells } }) =>
          days[weekdayOf(stretch.from)] &&
          spells.some(
            ({ fromMin, toMin }) =>
              stretch.from >= dayOf(stretch.from) + fromMin - NEAR_MIN &&
              stretch.to <= dayOf(stretch.from) + toMin + NEAR_MIN,
          ),
      )
    )
      add('hours', task.id)
    if (!task.byHand) continue
    const somebody = people.find(({ id }) => id === person)
    if (!somebody) {
      add('missing', task.id)
      continue
    }
    if (task.anyHour) continue
    for (const part of parts) {
      const day = dayOf(part.from)
      if (
        !somebody.hours.days[weekdayOf(day)] ||
        !somebody.hours.spells.some(
          ({ fromMin, toMin }) => part.from >= day + fromMin - NEAR_MIN && part.to <= day + toMin + NEAR_MIN,
        )
      )
        add('hours', task.id)
      if (somebody.busy.some((busy) => meet(part, busy))) add('busy', task.id)
    }
  }
  for (const person of people) {
    const own = placed
      .filter((each) => each.person === person.id)
      .flatMap(({ task, parts }) => parts.map((part) => ({ task, part })))
    own.forEach(({ task, part }, index) => {
      if (own.slice(index + 1).some((other) => meet(part, other.part))) add('two at once', task)
    })
  }
  for (const { before, after, leastMin, mostMin } of waits) {
    const [first, second] = [whole(before), whole(after)]
    if (!first || !second) continue
    if (second.from - first.to < leastMin - NEAR_MIN) add('order', `${before} → ${after}`)
    if (mostMin !== null && second.from - first.to > mostMin + NEAR_MIN) add('wait too long', `${before} → ${after}`)
  }
  for (const hold of holds)
    if (new Set(held.filter((each) => each.hold === hold).map(({ unit }) => unit)).size !== hold.units)
      add('missing', `${hold.resource} for ${hold.from}`)
  for (const { hold, unit } of held) {
    if (unit < 1 || unit > (resources.find(({ id }) => id === hold.resource)?.count ?? 0))
      add('no such unit', hold.resource)
  }
  const spells = held.flatMap(({ hold, unit }) => {
    const [from, until] = [whole(hold.from), whole(hold.until)]
    return from && until ? [{ key: `${hold.resource} ${unit}`, stretch: { from: from.from, to: until.to } }] : []
  })
  spells.forEach(({ key, stretch }, index) => {
    if (spells.slice(index + 1).some((other) => other.key === key && meet(stretch, other.stretch)))
      add('unit twice', key)
  })
  const first = Math.min(endAt, ...tasks.filter(({ byHand }) => byHand).flatMap(({ id }) => whole(id)?.from ?? []))
  if (Math.abs(first - startBy) > NEAR_MIN) add('begins', String(startBy))
  return faults
}
