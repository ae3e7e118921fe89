import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { latestSlot, latestSlots, workingHoursSchema, type Stretch, type WorkingHours } from '.'
import { dayOf, MINUTES_PER_DAY, parseMoment, valueOf, weekdayOf } from '../quantity'

const hours: WorkingHours = { days: [false, false, true, true, true, true, true], spells: [{ fromMin: 540, toMin: 780 }, { fromMin: 840, toMin: 1080 }] }
const at = (text: string) => valueOf(parseMoment(text))
const saturday = at('2026-12-05T18:30')
const moments = fc.integer({ min: 0, max: 9 * MINUTES_PER_DAY }).map((back) => saturday - back)
const inHours = ({ from, to }: Stretch) => hours.days[weekdayOf(from)]! && hours.spells.some(({ fromMin, toMin }) => from >= dayOf(from) + fromMin && to <= dayOf(from) + toMin)

describe('the latest slot', () => {
  it('ends at the close of the day', () => expect(latestSlot(hours, 30, saturday)).toEqual({ from: at('2026-12-05T17:30'), to: at('2026-12-05T18:00') }))
  it('goes round lunch, over the night, and over days off', () => {
    expect(latestSlot(hours, 60, at('2026-12-05T14:30'))).toEqual({ from: at('2026-12-05T12:00'), to: at('2026-12-05T13:00') })
    expect(latestSlot(hours, 60, at('2026-12-01T09:30'))).toEqual({ from: at('2026-11-28T17:00'), to: at('2026-11-28T18:00') })
  })
  it('is not found where a task is longer than any spell', () => expect(latestSlot(hours, 241, saturday)).toBeNull())
  it('lies in working hours and in time', () => fc.assert(fc.property(moments, fc.integer({ min: 5, max: 240 }), (before, long) => {
    const slot = latestSlot(hours, long, before)
    return slot !== null && inHours(slot) && slot.to <= before && slot.to - slot.from === long
  })))
  it('is the latest: none five minutes later would do', () => fc.assert(fc.property(moments, fc.integer({ min: 1, max: 48 }), (before, fives) => {
    const long = fives * 5
    const slot = latestSlot(hours, long, before)!
    for (let from = slot.from + 5; from + long <= before; from += 5) if (inHours({ from, to: from + long })) return false
    return true
  })))
  it('never comes earlier for a later end', () => fc.assert(fc.property(moments, fc.integer({ min: 0, max: 2000 }), fc.integer({ min: 5, max: 240 }), (before, later, long) => latestSlot(hours, long, before + later)!.from >= latestSlot(hours, long, before)!.from)))
})

describe('work that may be split', () => {
  it('adds up, in hours and in order', () => fc.assert(fc.property(moments, fc.integer({ min: 5, max: 900 }), (before, long) => {
    const slots = latestSlots(hours, long, before)!
    const total = slots.reduce((sum, { from, to }) => sum + to - from, 0)
    return total === long && slots.at(-1)!.to <= before && slots.every((slot, index) => inHours(slot) && (index === 0 || slot.from >= slots[index - 1]!.to))
  })))
  it('never begins earlier for a later end, nor later than it would whole', () => fc.assert(fc.property(moments, fc.integer({ min: 0, max: 2000 }), fc.integer({ min: 5, max: 240 }), (before, later, long) =>
    latestSlots(hours, long, before + later)![0]!.from >= latestSlots(hours, long, before)![0]!.from && latestSlots(hours, long, before)![0]!.from >= latestSlot(hours, long, before)!.from)))
  it('finds place for a duration added up from fractions of minutes, and gives it all', () => fc.assert(fc.property(fc.array(fc.double({ min: 0.1, max: 90, noNaN: true }), { minLength: 1, maxLength: 12 }), moments.map((moment) => moment - 0.3), (parts, before) => {
    const long = parts.reduce((sum, part) => sum + part, 0)
    const slots = latestSlots(hours, long, before)!
    expect(slots).not.toBeNull()
    expect(slots.reduce((sum, { from, to }) => sum + to - from, 0)).toBeCloseTo(long, 4)
  }), { numRuns: 400 }))
  it('stays whole when it fits', () => expect(latestSlots(hours, 200, saturday)).toHaveLength(1))
})

describe('working hours', () => {
  it.each([
    [{ ...hours, days: Array(7).fill(false) }], [{ ...hours, days: [true] }], [{ ...hours, spells: [] }], [{ ...hours, spells: [{ fromMin: 700, toMin: 600 }] }], [{ ...hours, spells: [{ fromMin: 540, toMin: 800 }, { fromMin: 700, toMin: 900 }] }],
  ])('are refused when they do not hold together', (wrong) => expect(workingHoursSchema.safeParse(wrong).success).toBe(false))
})
