import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { latestSchedule, searchSchedule, smoothed, type Job, type Schedule } from '.'
import { luckOf } from './luck'
import { livesOf, riskIfReady, riskOf, STARTING_STRAYING, type Straying } from './risk'
import { valueOf } from '../quantity'
import { ANY_END, anyPerson, anyTask, anyWait, chanceWork } from '../../tests/any/anyWork'

const NEVER: Straying = { pace: 0, task: 0, piece: 0, mishap: 0 }
const RUNS = 120
const drying: Job = {
  tasks: [anyTask('drape', 60), anyTask('choose', 60)],
  // Planned at nine in ten of what strays by 0.55 in all.
  waits: [
    anyWait('drape', 'choose', 20 * 60, {
      drying: { usuallyMin: (20 * 60) / Math.exp(1.2816 * Math.hypot(0.4, 0.38)), deviation: 0.4 },
    }),
  ],
  holds: [],
  resources: [],
  people: [anyPerson('me')],
  endAt: ANY_END,
}

/** The chance of a schedule, lived through so often. */
const riskIn = (job: Job, schedule: Schedule, straying: Straying, runs: number, seed: number) =>
  riskOf(livesOf(job, schedule, straying, luckOf(seed, runs)), runs)

/** The same work with nothing that dries. */
const certain = (job: Job): Job => ({ ...job, waits: job.waits.map((wait) => ({ ...wait, drying: null })) })

describe('the chance to be ready', () => {
  it('is certain where nothing strays', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
        const work = certain(chanceWork(seed, 4, 3))
        const found = searchSchedule(work, 1).best()
        if (!found.ok) return
        for (const schedule of [found.value, smoothed(work, found.value)])
          expect(riskIn(work, schedule, NEVER, 3, 1)).toEqual({ chance: 1, causes: [] })
      }),
      { numRuns: 60 },
    ))

  it('is a share, the same for the same seed', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
        const work = chanceWork(seed, 4, 3)
        const found = searchSchedule(work, 1).best()
        if (!found.ok) return
        const risk = riskIn(work, found.value, STARTING_STRAYING, 40, seed)
        expect(risk.chance).toBeGreaterThanOrEqual(0)
        expect(risk.chance).toBeLessThanOrEqual(1)
        expect(risk.causes.reduce((sum, { share }) => sum + share, 0)).toBeLessThanOrEqual(1 + 1e-9)
        expect(riskIn(work, found.value, STARTING_STRAYING, 40, seed)).toEqual(risk)
      }),
      { numRuns: 40 },
    ))

  it('is the same whichever lives are lived first, and none where it is less than is wanted', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), fc.uniqueArray(fc.nat({ max: 39 })), (seed, hardest) => {
        const work = chanceWork(seed, 4, 3)
        const found = searchSchedule(work, 1).best()
        if (!found.ok) return
        const lives = livesOf(work, found.value, STARTING_STRAYING, luckOf(seed, 40))
        const risk = riskOf(lives, 40)
        const all = [...new Set([...hardest, ...Array(40).keys()])]
        const ready = riskIfReady(lives, all, risk.chance)
        const late = Math.round(40 * (1 - risk.chance))
        expect(ready.risk).toEqual(risk)
        // Those that were late come first, and none is left out.
        expect(ready.order.map((life) => lives(life).isLate)).toEqual(all.map((_, at) => at < late))
        expect(new Set(ready.order).size).toBe(40)
        const given = riskIfReady(lives, all, risk.chance + 0.01)
        expect(given.risk).toBeNull()
        expect(new Set(given.order).size).toBe(40)
      }),
      { numRuns: 40 },
    ))

  it('of drying planned for nine in ten is about nine in ten, and it is drying that makes it late', () => {
    const schedule = valueOf(latestSchedule(drying, 1, 10))
    const risk = riskIn(drying, schedule, { ...NEVER, piece: 0.38 }, 600, 3)
    // The walk leaves a night of slack after the drying or none: never less than planned.
    expect(risk.chance).toBeGreaterThan(0.86)
    expect(risk.causes[0]).toMatchObject({ task: 'drape', drying: true })
  })

  it('falls where hands stray more', () => {
    const work = chanceWork(12, 6, 5)
    const schedule = valueOf(latestSchedule(work, 1, 20))
    const [steady, straying] = [0, 0.8].map((task) => riskIn(work, schedule, { ...NEVER, task }, RUNS, 1).chance)
    expect(straying).toBeLessThan(steady!)
  })

  it('rises where work that keeps is done early', () => {
    const chances = Array.from({ length: 12 }, (_, seed) => {
      const work = chanceWork(seed + 40, 6, 4)
      const found = latestSchedule(work, 1, 10)
      return found.ok
        ? [found.value, smoothed(work, found.value)].map(
            (schedule) => riskIn(work, schedule, STARTING_STRAYING, RUNS, 1).chance,
          )
        : [0, 0]
    })
    const mean = (at: number): number => chances.reduce((sum, pair) => sum + pair[at]!, 0) / chances.length
    expect(mean(1)).toBeGreaterThan(mean(0))
  })
})
