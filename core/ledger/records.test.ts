import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  begun,
  benchSchema,
  counted,
  done,
  freshBench,
  minutesLeft,
  paused,
  recordOf,
  recut,
  reopened,
  skipped,
  workedMin,
  type Bench,
} from '.'

const step = { task: 'cut', name: 'Cut the discs' }

describe('work at the bench', () => {
  it('counts the minutes that hands were at it: from begin to done, less what it was put down', () =>
    fc.assert(
      fc.property(
        fc.array(fc.record({ work: fc.integer({ min: 1, max: 90 }), rest: fc.integer({ min: 1, max: 300 }) }), {
          maxLength: 5,
        }),
        fc.integer({ min: 1, max: 90 }),
        (spells, last) => {
          let [bench, now, worked] = [begun(freshBench(), step, 1000), 1000, 0]
          for (const { work, rest } of spells) {
            now += work
            worked += work
            bench = paused(bench, step.task, now)
            expect(workedMin(recordOf(bench, step.task)!, now + rest)).toBe(worked)
            now += rest
            bench = begun(bench, step, now)
          }
          bench = done(bench, step, now + last)
          expect(workedMin(recordOf(bench, step.task)!, now + 5000)).toBe(worked + last)
          expect(benchSchema.parse(bench)).toEqual(bench)
        },
      ),
    ))
  it('opened again goes on where it ended, as if it had been put down', () => {
    const bench = reopened(done(begun(freshBench(), step, 0), step, 30), step.task, 100)
    expect(workedMin(recordOf(bench, step.task)!, 110)).toBe(40)
    expect(recordOf(bench, step.task)!.doneAt).toBeNull()
  })
  it('left out is done with its reason; ticked without a beginning takes no time', () => {
    expect(recordOf(skipped(freshBench(), step, 50, 'no time'), step.task)).toMatchObject({
      begunAt: 50,
      doneAt: 50,
      skipped: 'no time',
    })
    expect(workedMin(recordOf(done(freshBench(), step, 50), step.task)!, 90)).toBe(0)
  })
  it('never counts fewer than none, and leaves the old record as it was', () =>
    fc.assert(
      fc.property(fc.array(fc.constantFrom(1, -1), { maxLength: 20 }), (taps) => {
        const before = freshBench()
        const after = taps.reduce((bench, by) => counted(bench, 'sails/half 220', 'broken', by), before)
        expect(after.counts['sails/half 220']?.broken ?? 0).toBeGreaterThanOrEqual(0)
        expect(before).toEqual(freshBench())
      }),
    ))
  it('cuts again as many as a commission holds, and no more', () => {
    const wanted = { id: 'again', part: 'sails/half 220', many: 400, at: 5, from: 'torn' }
    const bench = Array.from({ length: 9 }).reduce((before: Bench) => recut(before, wanted), freshBench())
    expect(bench.recuts.map(({ many }) => many)).toEqual([...Array.from({ length: 7 }, () => 400), 200])
    expect(benchSchema.safeParse(bench).error).toBeUndefined()
    const more = { ...bench, recuts: [...bench.recuts, wanted] }
    expect(benchSchema.safeParse(more).error!.issues[0]!.message).toContain('3000')
  })
  it('has timers that go on by the clock, while nobody looks', () => {
    const timer = { beganMs: 1_000_000, minutes: 90 }
    expect(minutesLeft(timer, 1_000_000 + 60 * 60_000)).toBe(30)
    expect(minutesLeft(timer, 1_000_000 + 100 * 60_000)).toBe(-10)
  })
})
