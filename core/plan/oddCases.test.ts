import { produce } from 'immer'
import { describe, expect, it } from 'vitest'
import { orderFaults } from '../../tests/check/orderOnCake'
import { chosenOption, type Commission } from '../commission'
import { demoCommission, demoEvent, demoWorkshop } from '../demo'
import { MINUTES_PER_DAY, momentText, parseMoment, valueOf } from '../quantity'
import type { Workshop } from '../workshop'
import { createPlanner, needsOf, type Plan } from '.'

const now = valueOf(parseMoment('2026-11-24T09:00'))
const planner = createPlanner()
type Drafts = { commission: Commission; workshop: Workshop }
function planOf(change: (drafts: Drafts) => void, at = now): Drafts & { readonly plan: Plan } {
  const drafts = produce({ commission: demoCommission(now), workshop: demoWorkshop() }, change)
  return { ...drafts, plan: planner({ ...drafts, now: at, units: 'metric' }) }
}
const codes = ({ cautions }: Plan): readonly string[] => cautions.map(({ code }) => code)
const without = (technique: string) => (drafts: Drafts) => {
  const option = chosenOption(drafts.commission)
  option.decorations = option.decorations.filter((each) => each.technique !== technique)
}

describe('an honest answer', () => {
  it('when the event is tomorrow: the hour has passed, and it is said', () => {
    const { plan } = planOf(() => undefined, demoEvent(now) - MINUTES_PER_DAY)
    expect(plan.timetable.ok).toBe(true)
    expect(codes(plan)).toContain('start-passed')
    expect(plan.leafStates.timetable).toBe('stop')
  })
  it('when nothing is on hand: all of it is to be bought, and hours are as before', () => {
    const before = planOf(() => undefined).plan
    const { plan, commission, workshop } = planOf(({ workshop: own }) => {
      own.stock = []
    })
    const needs = needsOf(plan, commission, workshop.prices, 0)
    expect(needs.filter(({ shelf }) => shelf === 'paper').every(({ amount }) => amount.value > 0)).toBe(true)
    expect(valueOf(plan.timetable).startBy).toBe(valueOf(before.timetable).startBy)
  })
  it('at 90 % humidity: film never sets, paper never gets dry enough, each named; the oven sets the film', () => {
    const damp = ({ commission }: Drafts): void => {
      commission.brief.workroom.humidity = 0.9
    }
    expect(planOf(damp).plan.timetable).toMatchObject({ ok: false, error: { code: 'never-sets' } })
    const { plan } = planOf((drafts) => {
      damp(drafts)
      chosenOption(drafts.commission).decorations.forEach((each) => {
        if (each.technique === 'soakedSail') each.drying.way = 'oven'
      })
    })
    expect(plan.timetable.ok).toBe(true)
    expect(codes(plan)).toContain('paper-never-dry')
  })
  it('where there is no film: nothing is said of it', () => {
    const { plan } = planOf((drafts) => {
      without('soakedSail')(drafts)
      drafts.commission.brief.workroom.humidity = 0.9
    })
    expect(plan.cautions.filter(({ say }) => /\bfilm\b/i.test(say)).map(({ code }) => code)).toEqual([])
  })
  it('for who works at night: in the hours of the night, in the order on the cake', () => {
    const { plan, commission, workshop } = planOf(({ workshop: own }) => {
      own.hours = {
        days: [true, true, true, true, true, true, true],
        spells: [
          { fromMin: 0, toMin: 5 * 60 },
          { fromMin: 21 * 60, toMin: 1440 },
        ],
      }
    })
    expect(plan.timetable.ok).toBe(true)
    expect(orderFaults(plan, commission, workshop)).toEqual([])
  })
  it.each(['2026-10-24T18:30', '2027-03-27T18:30'])(
    'in the week before clocks change, %s, as in any other',
    (eventAt) => {
      const event = valueOf(parseMoment(eventAt))
      const early = event - 21 * MINUTES_PER_DAY
      const hours = [0, 7].map((days) => {
        const { plan } = planOf(({ commission }) => {
          commission.brief.eventAt = momentText(event + days * MINUTES_PER_DAY)
        }, early)
        return event + days * MINUTES_PER_DAY - valueOf(plan.timetable).startBy
      })
      expect(hours[1]).toBe(hours[0])
    },
  )
})

describe('the hour to start for nine times in ten', () => {
  const startOf = (change: (drafts: Drafts) => void): number => {
    const { plan } = planOf(change)
    return plan.timetable.ok ? plan.timetable.value.startBy : -Infinity
  }
  const usual = startOf(() => undefined)
  const DAY = MINUTES_PER_DAY
  // Time to spare is found in steps, so that near neighbours may change places by a part of a day.
  it('is no later with less of anything: mats, hours, dryness', () => {
    const less = [
      ({ workshop }: Drafts) => {
        workshop.mats.count = 1
      },
      ({ workshop }: Drafts) => {
        workshop.hours.spells = workshop.hours.spells.slice(0, 1)
      },
      ({ commission }: Drafts) => {
        commission.brief.workroom.humidity = 0.66
      },
    ]
    for (const change of less) expect(startOf(change)).toBeLessThanOrEqual(usual + DAY / 2)
  })
  it('is no earlier with more of anything: mats, hands, dryness', () => {
    const more = [
      ({ workshop }: Drafts) => {
        workshop.mats.count = 5
      },
      ({ workshop }: Drafts) => {
        workshop.people = 3
      },
      ({ commission }: Drafts) => {
        commission.brief.workroom.humidity = 0.4
      },
    ]
    for (const change of more) expect(startOf(change)).toBeGreaterThanOrEqual(usual - DAY / 2)
  })
})
