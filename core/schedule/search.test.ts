import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { latestSchedule, scheduleFaults, searchSchedule, smoothed, type Job, type Schedule } from '.'
import { valueOf, type Moment } from '../quantity'
import { ANY_END, anyPerson, anyTask, anyWait, chanceWork } from '../../tests/any/anyWork'

const HOUR = 60
const seeds = fc.integer({ min: 1, max: 1_000_000 })
const hours = (schedule: Schedule): number => (ANY_END - schedule.startBy) / HOUR
const job = (change: Partial<Job>): Job => ({
  tasks: [],
  waits: [],
  holds: [],
  resources: [],
  people: [anyPerson('me')],
  endAt: ANY_END,
  ...change,
})

describe('schedules', () => {
  it('keep every rule, whatever the job: looked at by a checker that knows nothing of the search, 500 jobs', () =>
    fc.assert(
      fc.property(seeds, fc.integer({ min: 1, max: 6 }), fc.integer({ min: 1, max: 5 }), (seed, chains, steps) => {
        const work = chanceWork(seed, chains, steps)
        const search = searchSchedule(work, 1)
        const first = search.best()
        if (first.ok) expect(scheduleFaults(work, first.value)).toEqual([])
        search.improve(10)
        const best = search.best()
        if (best.ok) expect(scheduleFaults(work, best.value)).toEqual([])
        if (first.ok) expect(best.ok && best.value.startBy >= first.value.startBy).toBe(true)
      }),
      { numRuns: 500 },
    ))

  it('with what keeps done early still keep every rule, begin no earlier, and leave nothing later', () =>
    fc.assert(
      fc.property(seeds, fc.integer({ min: 1, max: 5 }), fc.integer({ min: 1, max: 5 }), (seed, chains, steps) => {
        const work = chanceWork(seed, chains, steps)
        const found = searchSchedule(work, 1).best()
        if (!found.ok) return
        const smooth = smoothed(work, found.value)
        expect(scheduleFaults(work, smooth)).toEqual([])
        smooth.placed.forEach(({ parts }, at) =>
          expect(parts.at(-1)!.to).toBeLessThanOrEqual(found.value.placed[at]!.parts.at(-1)!.to + 1e-6),
        )
      }),
      { numRuns: 200 },
    ))

  it('are nearly always found: no more than one job in twenty stays without', () => {
    const without = Array.from({ length: 200 }, (_, seed) => latestSchedule(chanceWork(seed + 1, 4, 4), 1, 10)).filter(
      ({ ok }) => !ok,
    )
    expect(without.length).toBeLessThan(10)
  })

  it('are the same for the same seed', () =>
    fc.assert(
      fc.property(seeds, (seed) => {
        const once = (): unknown => latestSchedule(chanceWork(seed, 4, 3), 7, 30)
        expect(once()).toEqual(once())
      }),
      { numRuns: 20 },
    ))

  it('never begin earlier for one more former', () =>
    fc.assert(
      fc.property(seeds, fc.integer({ min: 1, max: 4 }), (seed, mats) => {
        const work = chanceWork(seed, 4, 3)
        const withMats = (count: number): Moment => {
          const found = latestSchedule(
            {
              ...work,
              holds: work.holds.map((hold) => ({ ...hold, resource: 'mat' })),
              resources: [{ id: 'mat', name: 'mat', count }],
            },
            1,
            20,
          )
          return found.ok ? found.value.startBy : -Infinity
        }
        expect(withMats(mats + 1)).toBeGreaterThanOrEqual(withMats(mats))
      }),
      { numRuns: 60 },
    ))

  it('worked by hand: two loads on one mat wait for each other, on two they do not', () => {
    const loads: Partial<Job> = {
      tasks: [anyTask('drape1', 60), anyTask('lift1', 15), anyTask('drape2', 60), anyTask('lift2', 15)],
      waits: [anyWait('drape1', 'lift1', 20 * HOUR), anyWait('drape2', 'lift2', 20 * HOUR)],
      holds: [
        { resource: 'mat', units: 1, from: 'drape1', until: 'lift1' },
        { resource: 'mat', units: 1, from: 'drape2', until: 'lift2' },
      ],
    }
    const on = (count: number): Schedule =>
      valueOf(latestSchedule(job({ ...loads, resources: [{ id: 'mat', name: 'mat', count }] }), 1, 50))
    // On two mats both are lifted by noon; on one, the first is lifted before the second is draped.
    expect(hours(on(2))).toBeLessThan(27)
    expect(hours(on(1))).toBeGreaterThan(40)
  })

  it('keep what goes off from waiting too long, though hands are busy: what comes after is pulled forward', () => {
    const glue = job({
      tasks: [anyTask('glue', 30), anyTask('set', 30), anyTask('other', 240)],
      waits: [anyWait('glue', 'set', 10, { mostMin: 45 })],
    })
    const found = valueOf(latestSchedule(glue, 1, 50))
    expect(scheduleFaults(glue, found)).toEqual([])
  })

  it('put a pinned task at its hour, or say that it does not go', () => {
    const at = ANY_END - 26 * HOUR
    const pinned = (pinnedAt: Moment) =>
      valueOf(
        latestSchedule(
          job({
            tasks: [anyTask('cut', 60, { pinnedAt }), anyTask('place', 60)],
            waits: [anyWait('cut', 'place')],
          }),
          1,
          20,
        ),
      )
    expect(pinned(at)).toMatchObject({ startBy: at, unkeptPins: [] })
    expect(pinned(ANY_END - 30).unkeptPins).toEqual(['cut'])
  })

  it('say what is missing: a former that is not there, and hours that are not enough', () => {
    const held = job({
      tasks: [anyTask('drape', 60)],
      holds: [{ resource: 'mat', units: 1, from: 'drape', until: 'drape' }],
      resources: [{ id: 'mat', name: 'mat', count: 0 }],
    })
    expect(latestSchedule(held, 1, 5)).toEqual({ ok: false, error: { code: 'no-units', resource: 'mat' } })
    expect(latestSchedule(job({ tasks: [anyTask('endless', 60 * 24 * 200, { splits: true })] }), 1, 5)).toEqual({
      ok: false,
      error: { code: 'no-time', task: 'endless' },
    })
  })

  it('of two hundred tasks have a first answer that keeps every rule', () => {
    const work = chanceWork(5, 25, 8)
    expect(work.tasks).toHaveLength(200)
    expect(scheduleFaults(work, valueOf(searchSchedule(work, 1).best()))).toEqual([])
  })
})

/** The latest beginning of a small job by trying every hour for every task: nothing of the search is used. */
function bestByTrying(
  { tasks, waits, holds, resources, people, endAt }: Job,
  stepMin: number,
  horizonMin: number,
): Moment {
  const free = (from: Moment, to: Moment): boolean => {
    const day = Math.floor(from / 1440) * 1440
    return people[0]!.hours.spells.some(({ fromMin, toMin }) => from >= day + fromMin && to <= day + toMin)
  }
  const starts = new Map<string, Moment>()
  let best = -Infinity
  const endOf = (id: string): Moment => starts.get(id)! + tasks.find((task) => task.id === id)!.durationMin
  const held = (): boolean =>
    resources.every(({ id, count }) => {
      const spells = holds
        .filter(({ resource, from, until }) => resource === id && starts.has(from) && starts.has(until))
        .map(({ from, until }) => ({ from: starts.get(from)!, to: endOf(until) }))
      return spells.every(
        (one) => spells.filter((other) => other.from <= one.from && other.to > one.from).length <= count,
      )
    })
  const place = (left: readonly string[], from: Moment): void => {
    if (from <= best) return
    if (left.length === 0) {
      best = from
      return
    }
    const [id, ...rest] = left as [string, ...string[]]
    const task = tasks.find((each) => each.id === id)!
    for (let start = endAt - task.durationMin; start >= endAt - horizonMin && start > best; start -= stepMin) {
      const to = start + task.durationMin
      if (
        !free(start, to) ||
        [...starts].some(([other, at]) => at < to && start < at + tasks.find((each) => each.id === other)!.durationMin)
      )
        continue
      if (
        waits.some(
          ({ before, after, leastMin, mostMin }) =>
            before === id &&
            starts.has(after) &&
            (starts.get(after)! - to < leastMin || (mostMin !== null && starts.get(after)! - to > mostMin)),
        )
      )
        continue
      starts.set(id, start)
      if (held()) place(rest, Math.min(from, start))
      starts.delete(id)
    }
  }
  // Those that come last are placed first, so that every wait is met as soon as its earlier end is.
  place(
    [...tasks].reverse().map(({ id }) => id),
    endAt,
  )
  return best
}

describe('small jobs with a known best', () => {
  it('are met in nine of ten, and never missed by more than a thirtieth', () => {
    const missed = Array.from({ length: 40 }, (_, at) => {
      const drawn = chanceWork(1000 + at, 2, 2 + (at % 2))
      const step = 30
      const small: Job = {
        ...drawn,
        people: [anyPerson('me')],
        tasks: drawn.tasks.map((task) => ({
          ...task,
          durationMin: step * Math.max(1, Math.round(task.durationMin / step)),
          splits: false,
          byHand: true,
          anyHour: false,
        })),
        waits: drawn.waits.map((wait) => ({ ...wait, leastMin: step * Math.round(wait.leastMin / step) })),
      }
      const best = bestByTrying(small, step, 60 * HOUR)
      const found = valueOf(latestSchedule(small, 1, 300)).startBy
      expect(best).toBeGreaterThan(-Infinity)
      expect(found).toBeLessThanOrEqual(ANY_END)
      return { off: Math.max(0, best - found), length: ANY_END - best }
    })
    expect(missed.filter(({ off }) => off > 0).length).toBeLessThanOrEqual(4)
    for (const { off, length } of missed) expect(off / length).toBeLessThanOrEqual(0.03)
  })
})
