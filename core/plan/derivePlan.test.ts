import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { chosenOption, commissionSchema, newCommission, startingDecoration, type Commission } from '../commission'
import { STARTING_WORKSHOP, workshopSchema } from '../workshop'
import { createPlanner, derivePlan, type Plan, type PlanInputs } from '.'
import { demoCommission, demoEvent, demoWorkshop } from '../demo'
import {
  dayOf,
  MINUTES_PER_DAY,
  momentText,
  printWorkingValue,
  weekdayOf,
  workingsBelow,
  workingSentence,
} from '../quantity'
import { now, planOf, sailsIn } from '../../tests/any/demoPlan'

describe('the demo', () => {
  it('is a good commission and workshop, on the Saturday nine to fifteen days away', () => {
    expect(commissionSchema.parse(demoCommission(now))).toEqual(demoCommission(now))
    expect(workshopSchema.parse(demoWorkshop())).toEqual(demoWorkshop())
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20000 }), (later) => {
        const event = demoEvent(now + later)
        const days = (dayOf(event) - dayOf(now + later)) / MINUTES_PER_DAY
        return weekdayOf(event) === 6 && days >= 9 && days <= 15 && momentText(event).endsWith('18:30')
      }),
    )
  })
  it('fits its box, has a timetable, and fills every figure', () => {
    const plan = planOf()
    expect(plan.fit.fits).toBe(true)
    expect(plan.timetable.ok).toBe(true)
    expect(plan.tally.every(({ working }) => working !== null)).toBe(true)
  })
})

describe('every figure answers for itself', () => {
  const everyWorking = (plan: Plan) => [
    ...plan.tally.flatMap(({ working }) => (working ? [working] : [])),
    ...plan.groups.flatMap(({ sheets, strokes, minutes, used, offcuts }) => [sheets, strokes, minutes, used, offcuts]),
    ...Object.values(plan.finished),
    plan.cake.surface,
    ...plan.cake.coverings.map(({ total }) => total),
    plan.cost,
    ...plan.cake.tiers
      .flatMap(({ surfaces, covering, supports, warming }) => [
        ...Object.values(surfaces),
        covering?.coat,
        covering?.crumbCoat,
        ...supports.flatMap(({ count, length }) => [count, length]),
        warming?.usual,
        warming?.cautious,
      ])
      .filter((each) => each !== null && each !== undefined),
    ...Object.values(plan.fit.clearance),
    ...plan.dryings.flatMap(({ estimate }) => [
      estimate.soak,
      estimate.chanceOfSetting,
      ...Object.values(estimate.ready).flatMap(({ median, ninety, planned }) =>
        [median, ninety, planned].filter((each) => each !== null),
      ),
    ]),
    ...plan.dishes.baths.flatMap(({ steps, leftMl }) => [...steps.map(({ exactDrops }) => exactDrops), leftMl]),
    ...plan.supplies.map(({ needed }) => needed),
    ...plan.decorations.flatMap(({ classes }) =>
      classes.flatMap(({ needed, spares, width, height, seenHeight }) => [needed, spares, width, height, seenHeight]),
    ),
    ...plan.work.making.flatMap(({ hands, steps }) => [hands, ...steps.map(({ rest }) => rest)]),
  ]
  it.each(['metric', 'imperial'] as const)('in %s, with a sentence all the way down', (units) => {
    for (const top of everyWorking(planOf())) {
      for (const working of workingsBelow(top)) {
        expect(Number.isFinite(working.value), working.label).toBe(true)
        expect(printWorkingValue(working, units)).not.toMatch(/NaN|undefined/)
        expect(workingSentence(working, units)).not.toMatch(/[{}]|NaN|undefined/)
      }
    }
  })
  it('the figures of the tally reach what was typed', () => {
    const plan = planOf()
    for (const id of ['pieces', 'paper', 'handsOn', 'startBy'] as const) {
      const below = workingsBelow(plan.tally.find((each) => each.id === id)!.working!)
      expect(
        below.some(({ source }) => source.from === 'typed'),
        id,
      ).toBe(true)
    }
  })
  it('every input of a formula is named in it', () => {
    for (const working of everyWorking(planOf()).flatMap(workingsBelow)) {
      const { source } = working
      if (source.from === 'derived')
        for (const name of Object.keys(source.inputs)) expect(source.formula, working.label).toContain(`{${name}}`)
    }
  })
})

describe('edges', () => {
  const inputsFor = (commission: Commission): PlanInputs => ({
    commission,
    workshop: STARTING_WORKSHOP,
    now,
    units: 'metric',
  })
  it('a new commission is a good one, empty but whole', () => {
    const plan = derivePlan(inputsFor(commissionSchema.parse(newCommission('a', now))))
    expect(plan.tally.map(({ id }) => id)).not.toContain('pieces')
    expect(plan.tally.map(({ id }) => id)).not.toContain('paper')
    expect(plan.tally.find(({ id }) => id === 'startBy')).toMatchObject({ working: null, none: 'nothing yet' })
    expect(plan.leafStates).toMatchObject({ arrange: 'empty', cut: 'empty', timetable: 'empty', brief: 'ready' })
  })
  it('a sweep laid on any cake stays on it', () =>
    fc.assert(
      fc.property(fc.integer({ min: 40, max: 400 }), (heightMm) => {
        const commission = newCommission('a', now)
        chosenOption(commission).cake.tiers[0]!.heightMm = heightMm
        const { tiers } = chosenOption(commission).cake
        chosenOption(commission).decorations = [startingDecoration('it', 'soakedSail', tiers, 'sweep')]
        const plan = derivePlan(inputsFor(commissionSchema.parse(commission)))
        return (
          sailsIn(plan).elements.length > 0 &&
          sailsIn(plan).elements.every((each) => each.heightMm >= 0 && each.heightMm <= heightMm)
        )
      }),
      { numRuns: 20 },
    ))
  it('with no disc in use a usual one is planned with, and it is on the list to buy', () => {
    const plan = planOf((_, workshop) => {
      workshop.papers.forEach((each) => {
        each.inUse = false
      })
    })
    const [group] = plan.groups.filter(({ way }) => way === 'sectors')
    expect(group!.sheets.value).toBeGreaterThan(0)
    expect(group!.layout.sheets.every(({ shape }) => shape.kind === 'disc')).toBe(true)
    expect(plan.supplies.some(({ paper }) => paper === 'riceFilm')).toBe(true)
  })
  it('is the same whatever was asked before', () => {
    const inputs: PlanInputs = { commission: demoCommission(now), workshop: demoWorkshop(), now, units: 'metric' }
    const warm = createPlanner()
    warm({ ...inputs, units: 'imperial', now: now + 5 })
    warm(inputs)
    expect(JSON.stringify(warm(inputs))).toBe(JSON.stringify(derivePlan(inputs)))
  })
})
