/**
 * Jobs of work by chance: tasks in chains, waits that may grow no longer, formers, people with hours and hours when
 * they cannot.
 */
import type { Hold, Job, Person, Task, Wait } from '../../core/schedule'
import { between, seededStream } from '../../core/quantity'

const HOUR = 60
const DAY = 24 * HOUR
/** A Saturday at noon, far enough from the beginning of time. */
export const ANY_END = 20_000 * DAY + 12 * HOUR

export const anyPerson = (id: string, busy: Person['busy'] = []): Person => ({
  id,
  name: id,
  busy,
  hours: {
    days: [true, true, true, true, true, true, true],
    spells: [
      { fromMin: 9 * HOUR, toMin: 13 * HOUR },
      { fromMin: 14 * HOUR, toMin: 18 * HOUR },
    ],
  },
})

export const anyTask = (id: string, durationMin: number, change: Partial<Task> = {}): Task => ({
  id,
  name: id,
  durationMin,
  byHand: true,
  splits: false,
  anyHour: false,
  endsBy: null,
  keeps: 'days',
  notBefore: null,
  group: id.replace(/\d+$/, ''),
  pinnedAt: null,
  drying: null,
  luck: id,
  ...change,
})

/** A wait between two tasks. */
export const anyWait = (before: string, after: string, leastMin = 0, change: Partial<Wait> = {}): Wait => ({
  before,
  after,
  leastMin,
  mostMin: null,
  drying: null,
  spareMin: 0,
  ...change,
})

/** A job of so many chains of so many steps, by a seed. */
export function chanceWork(seed: number, chains: number, steps: number): Job {
  const stream = seededStream(seed)
  const whole = (from: number, to: number): number => Math.floor(between(stream, from, to + 0.999))
  const tasks: Task[] = []
  const waits: Wait[] = []
  const holds: Hold[] = []
  for (let chain = 0; chain < chains; chain += 1) {
    const name = String.fromCharCode(97 + (chain % 26)) + (chain >= 26 ? 'x' : '')
    let isHeld = false
    for (let step = 0; step < steps; step += 1) {
      const id = `${name}${step}`
      tasks.push(
        anyTask(id, 5 * whole(1, 30), {
          splits: stream() < 0.3,
          keeps: stream() < 0.7 ? 'days' : stream() < 0.5 ? 'day' : 'no',
          group: name,
          ...(stream() < 0.1 ? { byHand: false, anyHour: stream() < 0.5 } : {}),
        }),
      )
      if (step === 0) continue
      const leastMin = stream() < 0.5 ? 0 : 15 * whole(0, 40)
      waits.push({
        before: `${name}${step - 1}`,
        after: id,
        leastMin,
        mostMin: stream() < 0.12 ? leastMin + 36 * HOUR : null,
        drying: leastMin > HOUR ? { usuallyMin: leastMin * 0.6, deviation: 0.4 } : null,
        spareMin: 0,
      })
      // What comes off one former does not go on another at the same time.
      isHeld = !isHeld && stream() < 0.5
      if (isHeld)
        holds.push({ resource: stream() < 0.6 ? 'mat' : 'sphere', units: 1, from: `${name}${step - 1}`, until: id })
    }
  }
  const busy = Array.from({ length: whole(0, 3) }, () => {
    const from = ANY_END - 60 * whole(4, 120)
    return { from, to: from + 30 * whole(1, 8) }
  })
  return {
    tasks,
    waits,
    holds,
    resources: [
      { id: 'mat', name: 'mat', count: whole(1, 3) },
      { id: 'sphere', name: 'half-sphere', count: whole(1, 2) },
    ],
    people: Array.from({ length: whole(1, 2) }, (_, at) => anyPerson(`hands ${at + 1}`, at === 0 ? busy : [])),
    endAt: ANY_END,
  }
}
