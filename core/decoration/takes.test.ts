import { describe, expect, it } from 'vitest'
import { aDecoration, onTwoTiers } from '../../tests/any/fourGroups'
import type { Decoration } from '../commission'
import { demoWorkshop } from '../demo'
import { stepCards } from '../make'
import { derivePlan } from '../plan'
import { finishesAt } from '.'

describe('several finishes', () => {
  it('of one kind are steps of their own', () =>
    expect(finishesAt([{ finish: 'edgeGilding' }, { finish: 'dusting' }, { finish: 'edgeGilding' }])).toEqual([
      { finish: 'edgeGilding', step: 'edgeGilding', turn: 1 },
      { finish: 'dusting', step: 'dusting', turn: 1 },
      { finish: 'edgeGilding', step: 'edgeGilding-2', turn: 2 },
    ]))
  it('gold and silver on the same edges: two steps with minutes and paint, and a timetable', () => {
    const begun = aDecoration('moths', 'butterfly')
    const gilded = (colour: string, share: number) => ({ finish: 'edgeGilding' as const, colour, share })
    const wanted = { ...begun, finishes: [gilded('#c9a24b', 0.5), gilded('#b8b8c0', 0.25)] } as Decoration
    const commission = onTwoTiers([wanted], 0)
    const plan = derivePlan({ commission, workshop: demoWorkshop(0), now: 0, units: 'metric' })
    expect(plan.timetable.ok).toBe(true)
    const steps = plan.work.making[0]!.steps.filter(({ id }) => id.startsWith('edgeGilding'))
    expect(steps.map(({ name }) => name)).toEqual(['Gild the edges', 'Gild the edges, colour 2'])
    for (const { turns } of steps) expect(turns[0]!.hands.value).toBeGreaterThan(3)
    const [gold, silver] = plan.decorations[0]!.finishes
    expect(gold!.amount.value).toBeCloseTo(2 * silver!.amount.value, 9)
    const cards = stepCards({ plan, commission, units: 'metric' })
    for (const { id } of steps)
      expect(cards.find(({ of }) => of?.step === id)!.amounts.map(({ label }) => label)).toContain('paint for edges')
  })
})
