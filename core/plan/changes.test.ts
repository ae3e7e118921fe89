import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoCommission, demoWorkshop } from '../demo'
import { startNesting } from '../cut'
import { chosenOption } from '../commission'
import { changesFrom, createPlanner, withChanges, type PlanChanges, type PlanInputs } from '.'

const base = (): PlanInputs => ({ commission: demoCommission(0), workshop: demoWorkshop(), now: 0, units: 'metric' })

const namesIn = ({ fields, lists }: PlanChanges): readonly string[] => [...Object.keys(fields), ...Object.keys(lists)]

describe('what changed of a plan', () => {
  it('laid over the plan before, is the plan', () => {
    const planner = createPlanner()
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 6 }),
        fc.integer({ min: 30, max: 70 }),
        fc.integer({ min: 1, max: 4 }),
        (shades, humidity, plies) => {
          const before = planner(base())
          const inputs = base()
          chosenOption(inputs.commission).decorations[0]!.colour.steps = shades
          inputs.commission.brief.workroom.humidity = humidity / 100
          chosenOption(inputs.commission).decorations[0]!.cutting.plies = plies
          const after = planner(inputs)
          expect(withChanges(before, structuredClone(changesFrom(before, after)))).toEqual(after)
        },
      ),
      { numRuns: 12 },
    )
  })

  it('is the whole plan at first, and nearly nothing when nothing did', () => {
    const planner = createPlanner()
    const plan = planner(base())
    expect(withChanges(null, changesFrom(null, plan))).toEqual(plan)
    const again = namesIn(changesFrom(plan, planner(base())))
    for (const field of ['decorations', 'groups', 'dishes', 'dryings', 'timetable']) expect(again).not.toContain(field)
  })

  it('is the sheets and what is counted from them when a search has laid them closer', () => {
    const planner = createPlanner()
    const before = planner(base())
    const { search } = before.groups.find((group) => group.search)!
    const started = startNesting(search!.job, 1)
    if (!started.ok) throw new Error('no layout')
    const after = planner({ ...base(), nested: { [search!.key]: started.value.layout() } })
    const changed = namesIn(changesFrom(before, after))
    const shown = withChanges(before, structuredClone(changesFrom(before, after)))
    expect(shown).toEqual(after)
    expect(shown.groups.filter((group, at) => group === before.groups[at])).toHaveLength(before.groups.length - 1)
    expect(changed).toContain('groups')
    expect(shown.dishes.baths).toEqual(before.dishes.baths)
    for (const field of ['decorations', 'bouquets', 'dryings']) expect(changed).not.toContain(field)
  })
})
