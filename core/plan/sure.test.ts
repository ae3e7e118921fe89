import { describe, expect, it } from 'vitest'
import { shareOfLives } from '../../tests/check/lives'
import { demoCommission, demoWorkshop } from '../demo'
import { COMPLETIONS } from '../schedule'
import { createPlanner, type Plan } from '.'

const now = 29_000_000
const LIVES = 200
const planner = createPlanner()
const workshop = demoWorkshop()
const commissionFor = (completion: (typeof COMPLETIONS)[number]) => {
  const commission = structuredClone(demoCommission(now))
  commission.brief.completion = completion
  return commission
}
const planFor = (completion: (typeof COMPLETIONS)[number], readyChance = workshop.readyChance): Plan =>
  planner({ commission: commissionFor(completion), workshop: { ...workshop, readyChance }, now, units: 'metric' })
const timetableOf = ({ timetable }: Plan) => {
  if (!timetable.ok) throw new Error(timetable.error.code)
  return timetable.value
}

describe('a plan for nine times in ten', () => {
  it.each(COMPLETIONS)(
    'of the demo, completed %s, is ready in nine lives of ten, lived by other rules too',
    (completion) => {
      const plan = planFor(completion)
      const { risk, last, startBy } = timetableOf(plan)
      expect(risk.chance.value).toBeGreaterThanOrEqual(0.9)
      expect(shareOfLives(plan, commissionFor(completion), workshop, LIVES, 5)).toBeGreaterThanOrEqual(0.9)
      expect(last!.startBy).toBeGreaterThan(startBy)
      expect(last!.chance.value).toBeLessThan(0.9)
    },
  )

  it('starts no later the surer it is to be, and is the last possible where nothing is asked', () => {
    const starts = [0.5, 0.7, 0.9].map((chance) => timetableOf(planFor('beforeDriving', chance)))
    for (const { startBy, last, risk } of starts) {
      expect(startBy).toBeLessThanOrEqual(last!.startBy)
      expect(risk.isSure).toBe(true)
    }
    expect(starts[2]!.startBy).toBeLessThanOrEqual(starts[0]!.startBy)
  })

  it('moves work, never the event, and is at the venue no sooner than it opens', () => {
    const { slots, atVenueBy } = timetableOf(planFor('atVenue'))
    const event = slots.find(({ kind }) => kind === 'event')!
    const { eventAt, venueOpensMin } = commissionFor('atVenue').brief
    expect(event.from % 1440).toBe(18 * 60 + 30)
    expect(eventAt).toContain('18:30')
    expect(atVenueBy % 1440).toBeGreaterThanOrEqual(venueOpensMin)
  })

  it('says what helps where a venue that opens late cannot be bought by starting earlier', () => {
    const commission = commissionFor('atVenue')
    commission.brief.venueOpensMin = 17 * 60
    const plan = planner({ commission, workshop, now, units: 'metric' })
    const { risk } = timetableOf(plan)
    expect(risk.isSure).toBe(false)
    expect(risk.help.join()).toContain('second pair of hands')
    expect(plan.cautions.find(({ code }) => code === 'unsure')?.say).toContain('fewer pieces placed there')
  })
})
