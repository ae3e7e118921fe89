import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { between, seededStream } from '../quantity'
import { chanceOfEnough, sparesFor } from './spares'
import { breakageOf, type Run } from '.'

const JOBS = 4000

/** Jobs lived through: each piece breaks or does not. Share of jobs with too few good ones. */
function short(needed: number, made: number, share: number, seed: number): number {
  const stream = seededStream(seed)
  const jobs = Array.from(
    { length: JOBS },
    () => Array.from({ length: made }, () => between(stream, 0, 1) >= share).filter(Boolean).length,
  )
  return jobs.filter((good) => good < needed).length / JOBS
}

const run = (at: number, good: number, broken: number): Run => ({
  id: `run-${at}`,
  at,
  room: 'workroom',
  odd: false,
  step: 'soakedSail lift',
  name: 'Lift',
  commission: '',
  standardMin: 10,
  minutes: 10,
  technique: 'soakedSail',
  good,
  broken,
})

describe('spares', () => {
  it('are enough in all but 15 of 100 jobs when 35 % break and 20 are needed', () => {
    const breakage = breakageOf('soakedSail', 0.35, [run(1, 130, 70), run(2, 65, 35), run(3, 130, 70)])
    expect(breakage.share).toBeCloseTo(0.35, 6)
    const spares = sparesFor(20, breakage)
    expect(short(20, 20 + spares, 0.35, 7)).toBeLessThan(0.15)
    expect(short(20, 20 + Math.ceil(20 * 0.35), 0.35, 7)).toBeGreaterThan(0.5)
  })
  it('are the fewest with which nine jobs of ten have enough', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 120 }),
        fc.double({ min: 0.01, max: 0.6, noNaN: true }),
        fc.integer({ min: 20, max: 900 }),
        (needed, share, known) => {
          const spares = sparesFor(needed, { share, known })
          expect(chanceOfEnough(needed, needed + spares, { share, known })).toBeGreaterThanOrEqual(0.9)
          if (spares > 0) expect(chanceOfEnough(needed, needed + spares - 1, { share, known })).toBeLessThan(0.9)
        },
      ),
    ))
  it('are none where nothing breaks, and more the less is known', () => {
    expect(sparesFor(30, { share: 0, known: 50 })).toBe(0)
    expect(sparesFor(30, { share: 0.2, known: 20 })).toBeGreaterThan(sparesFor(30, { share: 0.2, known: 2000 }))
  })
  it('count the chance as the sum over all that may break: with one to spare it is p0 + p1', () => {
    const share = 0.25
    const sure = { share, known: 1e9 }
    expect(chanceOfEnough(4, 5, sure)).toBeCloseTo(0.75 ** 5 + 5 * 0.25 * 0.75 ** 4, 6)
  })
})
