import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { chanceWork } from '../../tests/any/anyWork'
import { valueOf } from '../quantity'
import { latestSchedule, smoothed, type Happened, type Job, type Schedule, type Stretch } from '.'
import { freeBefore } from './freeTime'
import { lineUp, liveThrough } from './live'

function begun(seed: number): { readonly job: Job; readonly schedule: Schedule } | null {
  const job = chanceWork(seed, 3, 4)
  const found = latestSchedule(job, 1, 4)
  return found.ok ? { job, schedule: smoothed(job, valueOf(found)) } : null
}

/** How it was lived, task by task. */
const goOn = (
  { job, schedule }: { readonly job: Job; readonly schedule: Schedule },
  happened: ReadonlyMap<string, Happened>,
  now: number,
): ReadonlyMap<string, readonly Stretch[]> => {
  const line = lineUp(job, schedule)
  const lived = liveThrough(
    line,
    job.people.map((person) => freeBefore(person, job.endAt + 4 * 1440)),
    { happened, now, minutesOf: ({ task }) => task.durationMin, restOf: ({ wait }) => wait.leastMin },
  )
  return new Map(line.map(({ task }, turn) => [task.id, lived.spells[turn]!]))
}
const aSeed = fc.integer({ min: 1, max: 400 })
const endOf = (lived: ReturnType<typeof goOn>, task: string): number => lived.get(task)!.at(-1)!.to

describe('a timetable that is lived through', () => {
  it('is as planned while all goes as planned', () =>
    fc.assert(
      fc.property(aSeed, (seed) => {
        const work = begun(seed)
        if (!work) return
        const lived = goOn(work, new Map(), -Infinity)
        for (const { task, parts } of work.schedule.placed) {
          expect(lived.get(task)![0]!.from).toBeCloseTo(parts[0]!.from, 6)
          expect(endOf(lived, task)).toBeCloseTo(parts.at(-1)!.to, 6)
        }
      }),
      { numRuns: 60 },
    ))

  it('keeps what has happened, begins nothing else before now, and no rest is cut short', () =>
    fc.assert(
      fc.property(aSeed, fc.integer({ min: 0, max: 600 }), fc.integer({ min: 1, max: 5 }), (seed, lateMin, many) => {
        const work = begun(seed)
        if (!work) return
        const first = lineUp(work.job, work.schedule)
          .slice(0, many)
          .map(({ task }) => task)
        const happened = new Map(
          first.map(({ id }, at): readonly [string, Happened] => {
            const { parts } = work.schedule.placed.find(({ task }) => task === id)!
            return [id, { from: parts[0]!.from, to: at === many - 1 ? null : parts.at(-1)!.to + lateMin }]
          }),
        )
        const now = Math.max(...[...happened.values()].map(({ from, to }) => to ?? from))
        const lived = goOn(work, happened, now)
        for (const [task, parts] of lived) {
          const has = happened.get(task)
          if (has) expect(parts[0]!.from).toBe(has.from)
          else expect(parts[0]!.from).toBeGreaterThanOrEqual(now)
        }
        for (const { before, after, leastMin } of work.job.waits)
          if (!happened.has(after))
            expect(lived.get(after)![0]!.from).toBeGreaterThanOrEqual(endOf(lived, before) + leastMin - 1e-6)
      }),
      { numRuns: 80 },
    ))

  it('is ready no sooner the later a step ends', () =>
    fc.assert(
      fc.property(aSeed, fc.integer({ min: 10, max: 900 }), (seed, lateMin) => {
        const work = begun(seed)
        if (!work) return
        const first = lineUp(work.job, work.schedule)[0]?.task
        const { parts } = work.schedule.placed.find(({ task }) => task === first!.id)!
        const end = (to: number): number => {
          const lived = goOn(work, new Map([[first!.id, { from: parts[0]!.from, to }]]), to)
          return Math.max(...[...lived.keys()].map((task) => endOf(lived, task)))
        }
        expect(end(parts.at(-1)!.to + lateMin)).toBeGreaterThanOrEqual(end(parts.at(-1)!.to) - 1e-6)
      }),
      { numRuns: 60 },
    ))
})
