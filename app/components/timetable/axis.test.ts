import { describe, expect, it } from 'vitest'
import { demoCommission, demoWorkshop } from '#core/demo'
import { derivePlan } from '#core/plan'
import { valueOf } from '#core/quantity'
import { agendaOf, axisFor, lanesOf, minutesAlong, onGrid, placeAlong, slotsOn, spellsOn } from './axis'

const workshop = demoWorkshop()
const { slots } = valueOf(derivePlan({ commission: demoCommission(0), workshop, now: 0, units: 'metric' }).timetable)
const axis = axisFor(slots)

describe('the time axis', () => {
  it('shows whole days and every slot within them', () => {
    expect(axis.from % 1440).toBe(0)
    expect(axis.days).toHaveLength((axis.to - axis.from) / 1440)
    expect(slots.every(({ from, to }) => axis.shareAt(from) >= 0 && axis.shareAt(to) <= 1)).toBe(true)
  })
  it('reads hands first, then mats, foam, what rests, cake and road', () =>
    expect(lanesOf(slots)).toEqual(['hands', 'mat 1', 'mat 2', 'foamHole', 'resting', 'cake', 'road']))
  it('shows draping both with the hands and on its mat', () => {
    const drape = slots.find(({ hands, of }) => hands && of?.step === 'soak')!
    expect(slotsOn('hands', slots)).toContain(drape)
    expect(slotsOn(drape.lane, slots)).toContain(drape)
    expect(slotsOn('hands', slots).some(({ kind }) => kind === 'drive')).toBe(false)
  })
  it('lists all work by hand and the event once, in order', () => {
    const listed = agendaOf(slots).flatMap((each) => each.slots.flatMap((line) => line.slots))
    expect(listed).toEqual(slots.filter(({ hands, kind }) => hands || kind === 'event'))
  })
  it('has no spells on a day off', () => {
    const monday = axis.days.find((day) => new Date(day * 60000).getUTCDay() === 1) ?? 4 * 1440
    expect(spellsOn(monday, workshop.hours)).toEqual([])
  })
})

describe('work that is pulled along', () => {
  it('goes as many minutes as the pixels stand for, and lands on a quarter of an hour', () => {
    const whole = axis.to - axis.from
    expect(minutesAlong(400, axis, 400)).toBe(whole)
    expect(minutesAlong(-100, axis, 400)).toBe(-whole / 4)
    expect(minutesAlong(5, axis, 0)).toBe(0)
    expect([onGrid(67), onGrid(68), onGrid(-7)]).toEqual([60, 75, -0])
  })
  it('lies across the days by its share of them', () => {
    const half = (axis.from + axis.to) / 2
    expect(placeAlong(axis, axis.from, half)).toEqual({ left: '0%', width: '50%' })
    expect(placeAlong(axis, half, axis.to)).toEqual({ left: '50%', width: '50%' })
  })
})
