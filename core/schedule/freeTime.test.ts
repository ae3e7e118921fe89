import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Stretch, WorkingHours } from '.'
import { earliestIn, freeBefore, latestIn, takeOut, withoutAll } from './freeTime'
import { dayOf, MINUTES_PER_DAY, parseMoment, valueOf, weekdayOf } from '../quantity'

const hours: WorkingHours = {
  days: [false, false, true, true, true, true, true],
  spells: [
    { fromMin: 540, toMin: 780 },
    { fromMin: 840, toMin: 1080 },
  ],
}
const at = (text: string) => valueOf(parseMoment(text))
const saturday = at('2026-12-05T18:30')
const free = freeBefore({ id: 'me', name: 'me', hours, busy: [] }, saturday)
const moments = fc.integer({ min: 0, max: 9 * MINUTES_PER_DAY }).map((back) => saturday - back)
const inHours = ({ from, to }: Stretch) =>
  hours.days[weekdayOf(from)]! &&
  hours.spells.some(({ fromMin, toMin }) => from >= dayOf(from) + fromMin && to <= dayOf(from) + toMin)
const whole = (long: number, before: number): Stretch => {
  const parts = latestIn(free, long, before, false, free)!
  expect(parts).toHaveLength(1)
  return parts[0]!
}
const long = fc.integer({ min: 5, max: 240 })

describe('the latest stretch of free time', () => {
  it('ends at the close of the day', () =>
    expect(whole(30, saturday)).toEqual({ from: at('2026-12-05T17:30'), to: at('2026-12-05T18:00') }))
  it('goes round lunch, over the night, and over days off', () => {
    expect(whole(60, at('2026-12-05T14:30'))).toEqual({ from: at('2026-12-05T12:00'), to: at('2026-12-05T13:00') })
    expect(whole(60, at('2026-12-01T09:30'))).toEqual({ from: at('2026-11-28T17:00'), to: at('2026-11-28T18:00') })
  })
  it('is parted where a task is longer than any spell, and nowhere beyond the horizon', () => {
    expect(latestIn(free, 241, saturday, false, free)!.length).toBeGreaterThan(1)
    expect(latestIn(free, 60 * 24 * 200, saturday, true, free)).toBeNull()
  })
  it('lies in working hours and in time', () =>
    fc.assert(
      fc.property(moments, long, (before, minutes) => {
        const slot = whole(minutes, before)
        return inHours(slot) && slot.to <= before && slot.to - slot.from === minutes
      }),
    ))
  it('is the latest: none five minutes later would do', () =>
    fc.assert(
      fc.property(moments, fc.integer({ min: 1, max: 48 }), (before, fives) => {
        const minutes = fives * 5
        for (let from = whole(minutes, before).from + 5; from + minutes <= before; from += 5)
          if (inHours({ from, to: from + minutes })) return false
        return true
      }),
    ))
  it('never comes earlier for a later end', () =>
    fc.assert(
      fc.property(
        moments,
        fc.integer({ min: 0, max: 2000 }),
        long,
        (before, later, minutes) => whole(minutes, before + later).from >= whole(minutes, before).from,
      ),
    ))
})

describe('work that may be split', () => {
  const split = (minutes: number, before: number): readonly Stretch[] => latestIn(free, minutes, before, true, free)!
  it('adds up, in hours and in order', () =>
    fc.assert(
      fc.property(moments, fc.integer({ min: 5, max: 900 }), (before, minutes) => {
        const slots = split(minutes, before)
        return (
          slots.reduce((sum, { from, to }) => sum + to - from, 0) === minutes &&
          slots.at(-1)!.to <= before &&
          slots.every((slot, index) => inHours(slot) && (index === 0 || slot.from >= slots[index - 1]!.to))
        )
      }),
    ))
  it('never begins earlier for a later end, nor earlier than it would whole', () =>
    fc.assert(
      fc.property(
        moments,
        fc.integer({ min: 0, max: 2000 }),
        long,
        (before, later, minutes) =>
          split(minutes, before + later)[0]!.from >= split(minutes, before)[0]!.from &&
          split(minutes, before)[0]!.from >= whole(minutes, before).from,
      ),
    ))
  it('finds place for a duration added up from fractions of minutes, and gives it all', () =>
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.1, max: 90, noNaN: true }), { minLength: 1, maxLength: 12 }),
        moments.map((moment) => moment - 0.3),
        (parts, before) => {
          const minutes = parts.reduce((sum, part) => sum + part, 0)
          expect(split(minutes, before).reduce((sum, { from, to }) => sum + to - from, 0)).toBeCloseTo(minutes, 4)
        },
      ),
      { numRuns: 400 },
    ))
  it('stays whole when it fits', () => expect(split(200, saturday)).toHaveLength(1))
})

describe('the earliest stretch of free time', () => {
  it('lies in working hours, after its moment, and none five minutes earlier would do', () =>
    fc.assert(
      fc.property(
        moments.map((moment) => moment - 3 * MINUTES_PER_DAY),
        fc.integer({ min: 1, max: 48 }),
        (after, fives) => {
          const minutes = fives * 5
          const [slot] = earliestIn(free, minutes, after, false, free)!
          expect(inHours(slot!) && slot!.from >= after && slot!.to - slot!.from === minutes).toBe(true)
          for (let from = slot!.from - 5; from >= after; from -= 5)
            expect(inHours({ from, to: from + minutes })).toBe(false)
        },
      ),
    ))
  it('adds up in parts where it may be split', () =>
    fc.assert(
      fc.property(
        moments.map((moment) => moment - 6 * MINUTES_PER_DAY),
        fc.integer({ min: 250, max: 700 }),
        (after, minutes) => {
          expect(earliestIn(free, minutes, after, false, free)).toBeNull()
          const slots = earliestIn(free, minutes, after, true, free)!
          expect(slots.reduce((sum, { from, to }) => sum + to - from, 0)).toBe(minutes)
          expect(
            slots.every((slot, index) => inHours(slot) && slot.from >= (index === 0 ? after : slots[index - 1]!.to)),
          ).toBe(true)
        },
      ),
    ))
})

describe('many stretches taken out at once', () => {
  it('leave what taking one after the other leaves', () =>
    fc.assert(
      fc.property(fc.array(fc.tuple(moments, fc.integer({ min: 1, max: 500 })), { maxLength: 12 }), (drawn) => {
        const taken: Stretch[] = []
        for (const [from, long] of [...drawn].sort(([one], [other]) => one - other))
          if (from >= (taken.at(-1)?.to ?? -Infinity)) taken.push({ from, to: from + long })
        const left = [...free]
        for (const each of taken) takeOut(left, each)
        expect(withoutAll(free, taken)).toEqual(left)
      }),
    ))
})

describe('time that is taken out', () => {
  it('is gone, and nothing else is', () =>
    fc.assert(
      fc.property(moments, fc.integer({ min: 1, max: 3000 }), (from, minutes) => {
        const [taken, before] = [{ from, to: from + minutes }, free.reduce((sum, each) => sum + each.to - each.from, 0)]
        const left = [...free]
        takeOut(left, taken)
        const met = free.reduce(
          (sum, each) => sum + Math.max(0, Math.min(each.to, taken.to) - Math.max(each.from, taken.from)),
          0,
        )
        expect(left.reduce((sum, each) => sum + each.to - each.from, 0)).toBe(before - met)
        expect(left.every((each) => each.to > each.from && (each.to <= taken.from || each.from >= taken.to))).toBe(true)
      }),
    ))
})
