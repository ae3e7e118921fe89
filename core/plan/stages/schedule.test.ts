import { describe, expect, it } from 'vitest'
import { fourGroups, onTwoTiers } from '../../../tests/any/fourGroups'
import { chosenOption, type Commission } from '../../commission'
import { demoWorkshop } from '../../demo'
import { clockText, dayOf, weekdayOf, workingsBelow } from '../../quantity'
import { derivePlan, type PlanInputs } from '..'
import { toSchedule } from './schedule'

const workshop = demoWorkshop()
const commission = onTwoTiers(fourGroups(), 0)
const NOW = 0
const planOf = (change: Partial<PlanInputs> = {}) =>
  derivePlan({ commission, workshop, now: NOW, units: 'metric', ...change })
const timetableOf = (change?: Partial<PlanInputs>) => {
  const { timetable } = planOf(change)
  if (!timetable.ok) throw new Error(timetable.error.code)
  return timetable.value
}

describe('what the search asks for', () => {
  const option = chosenOption(commission)
  it('is untouched by what has no part in hours', () => {
    const asked = toSchedule(commission.brief, option, workshop)
    const told = { ...commission.brief, name: 'Another', notes: 'Blue ribbons', budget: 900 } as Commission['brief']
    expect(toSchedule(told, option, { ...workshop, stock: [], dyes: [] })).toEqual(asked)
  })
  it('changes with the road, the tiers and the hours', () => {
    const asked = toSchedule(commission.brief, option, workshop)
    const { brief } = commission
    expect(toSchedule({ ...brief, driveMin: brief.driveMin + 5 }, option, workshop)).not.toEqual(asked)
    expect(toSchedule(brief, option, { ...workshop, people: 2 })).not.toEqual(asked)
    const fewer = { ...option, cake: { ...option.cake, tiers: option.cake.tiers.slice(0, 1) } }
    expect(toSchedule(brief, fewer, workshop).tiers).toHaveLength(1)
  })
})

describe('the timetable', () => {
  const timetable = timetableOf()

  it('does everything by hand in working hours, but what belongs to the day itself', () => {
    const { days, spells } = workshop.hours
    const inHours = timetable.slots.filter(({ hands, kind }) => hands && kind === 'make')
    expect(inHours.length).toBeGreaterThan(4)
    for (const { from, to } of inHours) {
      const at = from - dayOf(from)
      expect(
        spells.some(({ fromMin, toMin }) => at >= fromMin && at + (to - from) <= toMin),
        clockText(from),
      ).toBe(true)
      expect(days[weekdayOf(from)]).toBe(true)
    }
  })

  it('begins where its first work begins, and ends with the event', () => {
    expect(timetable.startBy).toBe(Math.min(...timetable.slots.filter(({ hands }) => hands).map(({ from }) => from)))
    expect(timetable.slots.at(-1)!.kind).toBe('event')
  })

  it('starts no earlier with one pair of hands more', () =>
    expect(timetableOf({ workshop: { ...workshop, people: 2 } }).startBy).toBeGreaterThanOrEqual(timetable.startBy))

  it('keeps off the hours of other commissions', () => {
    const first = timetable.slots.find(({ hands }) => hands)!
    const others = [{ from: first.from, to: first.to }]
    const moved = timetableOf({ others })
    for (const { from, to, hands } of moved.slots.filter(({ kind }) => kind === 'make'))
      if (hands) expect(to <= first.from || from >= first.to).toBe(true)
  })

  it('is none for an empty cake, and says so', () =>
    expect(planOf({ commission: onTwoTiers([], 0) }).timetable).toMatchObject({
      ok: false,
      error: { code: 'nothing-to-make' },
    }))
})

describe('the hour to start', () => {
  it('has a working that names the event, the drive and the rests it waits for', () => {
    const { working } = planOf().tally.find(({ id }) => id === 'startBy')!
    expect(working!.value).toBe(timetableOf().startBy)
    const below = workingsBelow(working!)
    expect(below.some(({ source }) => source.from === 'typed')).toBe(true)
    expect(below.map(({ label }) => label)).toContain('drive')
  })
})
