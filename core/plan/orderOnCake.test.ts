import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { aCommission } from '../../tests/any/anyPlan'
import { orderFaults } from '../../tests/check/orderOnCake'
import { chosenOption, startingDecoration, type Commission } from '../commission'
import { demoCommission, demoWorkshop } from '../demo'
import { COMPLETIONS } from '../schedule'
import { FINISHES, techniqueOf, TECHNIQUES, waysToDry } from '../technique'
import { STARTING_WORKSHOP, type Workshop } from '../workshop'
import { createPlanner } from '.'

const COMMISSIONS = 500
const planner = createPlanner()
const planOf = (commission: Commission, workshop: Workshop) =>
  planner({ commission, workshop, now: 0, units: 'metric', walks: 1 })

/** What decides about the order besides techniques and tiers. */
const circumstances = fc.record({
  completion: fc.constantFrom(...COMPLETIONS),
  keeping: fc.constantFrom('roomTemperature' as const, 'chilledSealed' as const),
  people: fc.integer({ min: 1, max: 3 }),
  chilled: fc.array(fc.boolean(), { minLength: 4, maxLength: 4 }),
  glued: fc.constantFrom('beforeStacking' as const, 'afterStacking' as const),
  finish: fc.constantFrom(...FINISHES.map(({ id }) => id)),
  colouredWhole: fc.boolean(),
  dried: fc.nat({ max: 9 }),
  readyChance: fc.constantFrom(0.5, 0.5, 0.5, 0.9),
})

/** The same number of commissions of every technique, under every circumstance. */
function drawn(): readonly (readonly [Commission, Workshop])[] {
  const commissions = fc.sample(aCommission, COMMISSIONS)
  return fc.sample(circumstances, COMMISSIONS).map((how, at): readonly [Commission, Workshop] => {
    const commission = structuredClone(commissions[at]!)
    const { brief } = commission
    const option = chosenOption(commission)
    Object.assign(brief, { completion: how.completion, keeping: how.keeping })
    option.cake.tiers.forEach((tier, index) => Object.assign(tier, { chilled: how.chilled[index]! }))
    const technique = TECHNIQUES[at % TECHNIQUES.length]!
    // One by chance and one of every technique in turn: many would only be slow.
    option.decorations = [
      ...option.decorations.filter(({ gathered }) => gathered === null).slice(0, 1),
      startingDecoration('every', technique.id, option.cake.tiers),
    ]
    Object.assign(option, { bouquets: [], accents: [] })
    for (const decoration of option.decorations) {
      const takes = TECHNIQUES.find(({ id }) => id === decoration.technique)!.finishes as readonly string[]
      const ways = waysToDry(techniqueOf(decoration.technique))
      Object.assign(decoration, {
        glued: how.glued,
        drying: { ...decoration.drying, way: ways[how.dried % ways.length]! },
        cutting: { ...decoration.cutting, colouredWhole: how.colouredWhole },
        finishes: takes.includes(how.finish) ? [{ finish: how.finish, colour: '#c9a24b', share: 0.5 }] : [],
      })
    }
    const moulds = { ...STARTING_WORKSHOP.moulds, dryRoom: 1 }
    return [commission, { ...STARTING_WORKSHOP, moulds, people: how.people, readyChance: how.readyChance }]
  })
}

describe('the order on the cake', () => {
  it('holds for five hundred commissions of every technique, completion and keeping, with one to three people', () => {
    let planned = 0
    for (const [commission, workshop] of drawn()) {
      const plan = planOf(commission, workshop)
      if (plan.timetable.ok) planned += 1
      expect(orderFaults(plan, commission, workshop)).toEqual([])
    }
    expect(planned).toBeGreaterThan(COMMISSIONS * 0.8)
  })

  it('is missed by the checker as soon as a slot is moved: what is placed first, covered last, driven in between', () => {
    const commission = demoCommission(29_000_000)
    const workshop = demoWorkshop()
    const plan = planOf(commission, workshop)
    expect(orderFaults(plan, commission, workshop)).toEqual([])
    if (!plan.timetable.ok) throw new Error('The demo has a timetable.')
    const { value } = plan.timetable
    for (const kind of [
      'fill',
      'cover',
      'stack',
      'warm',
      'place',
      'picksOut',
      'photograph',
      'pack',
      'drive',
    ] as const) {
      const moved = value.slots.map((slot) =>
        slot.kind === kind ? { ...slot, from: slot.from + 3000, to: slot.to + 3000 } : slot,
      )
      const broken = { ...plan, timetable: { ok: true as const, value: { ...value, slots: moved } } }
      expect(orderFaults(broken, commission, workshop), kind).not.toEqual([])
    }
  })
})
