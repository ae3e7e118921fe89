import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { chosenOption, type Commission } from '../commission'
import type { Plan } from '.'
import { demoWorkshop } from '../demo'
import { dayOf, weekdayOf, workingsBelow, workingSentence } from '../quantity'
import { planOf, figure, startBy } from '../../tests/any/demoPlan'

describe('decorations', () => {
  const of = (plan: Plan, technique: string) => plan.decorations.find((each) => each.technique === technique)!
  const sheetsWith = ({ groups }: Plan, id: string): number =>
    groups
      .filter(({ parts }) => parts.some(({ decoration }) => decoration === id))
      .reduce((sum, { sheets }) => sum + sheets.value, 0)
  const handsOf = ({ work }: Plan, id: string): number =>
    work.making.find(({ decoration }) => decoration === id)!.hands.value
  const paperOf = (commission: Commission, technique: string) =>
    chosenOption(commission).decorations.find((each) => each.technique === technique)!
  it('are on the demo with pieces, sheets, hands and places', () => {
    for (const made of planOf().decorations) {
      expect(made.elements.length, made.name).toBeGreaterThan(1)
      expect(made.pieces.value).toBeGreaterThan(made.elements.length)
      expect(sheetsWith(planOf(), made.id)).toBeGreaterThan(0)
      expect(handsOf(planOf(), made.id)).toBeGreaterThan(5)
      expect(made.unfit).toBeNull()
    }
    expect(of(planOf(), 'butterfly').count.value).toBe(7)
    expect(of(planOf(), 'foldedGlobe').count.value).toBe(3)
  })
  it('take no fewer pieces or sheets on a wider cake', () =>
    fc.assert(
      fc.property(fc.integer({ min: 200, max: 320 }), fc.integer({ min: 5, max: 60 }), (across, wider) => {
        const sized = (acrossMm: number) =>
          planOf((commission) => {
            const option = chosenOption(commission)
            option.cake.tiers[0]!.shape = { kind: 'round', acrossMm }
            option.decorations = option.decorations.filter(({ technique }) => technique === 'tornRuffle')
          })
        const [small, large] = [sized(across), sized(across + wider)]
        return (
          of(large, 'tornRuffle').pieces.value >= of(small, 'tornRuffle').pieces.value &&
          sheetsWith(large, 'collar') >= sheetsWith(small, 'collar')
        )
      }),
      { numRuns: 12 },
    ))
  it('are made step by step in working hours, the collar after the tiers are stacked, and never start later for more of them', () => {
    const plan = planOf()
    const slots = plan.timetable.ok ? plan.timetable.value.slots : []
    const made = slots.filter(({ kind }) => kind === 'make')
    expect(made.length).toBeGreaterThan(10)
    const stacked = slots.find(({ kind }) => kind === 'stack')!
    made
      .filter(({ task }) => task === 'collar-set')
      .forEach(({ from }) => expect(from).toBeGreaterThanOrEqual(stacked.to))
    for (const { from, to } of made) {
      const { hours } = demoWorkshop()
      expect(
        hours.days[weekdayOf(from)] &&
          hours.spells.some(({ fromMin, toMin }) => from >= dayOf(from) + fromMin && to <= dayOf(from) + toMin),
      ).toBe(true)
    }
    expect(startBy(plan)).toBeLessThanOrEqual(
      startBy(
        planOf((commission) => {
          const option = chosenOption(commission)
          option.decorations = option.decorations.filter(({ technique }) => technique === 'soakedSail')
        }),
      ),
    )
  })
  it('that stand above count in the finished height, and against the box when they travel on the cake', () => {
    const high = (plan: Plan): number => plan.finished.high.value
    const bare = planOf((commission) => {
      chosenOption(commission).decorations = []
    })
    const globes = planOf((commission) => {
      Object.assign(chosenOption(commission), {
        decorations: chosenOption(commission).decorations.filter(({ technique }) => technique === 'foldedGlobe'),
      })
    })
    expect(high(globes) - high(bare)).toBeCloseTo(36, 0)
    expect(globes.fit.neededMm.high).toBe(390)
    const travelling = planOf((commission) => {
      commission.brief.completion = 'beforeDriving'
    })
    expect(travelling.fit.neededMm.high).toBeGreaterThan(420)
  })
  it('without film have a timetable and an hour to start, and film is not spoken of', () => {
    const plan = planOf((commission) => {
      const option = chosenOption(commission)
      option.decorations = option.decorations.filter(({ technique }) => technique !== 'soakedSail')
    })
    expect(plan.dryings).toEqual([])
    expect(plan.dishes.baths).toEqual([])
    expect(JSON.stringify([plan.cautions, plan.careCard, plan.tally])).not.toMatch(/\bfilm\b|\bsails?\b/i)
    expect(figure(plan, 'startBy')).toBeGreaterThan(0)
    expect(plan.leafStates.arrange).not.toBe('empty')
    for (const working of workingsBelow(plan.tally.find(({ id }) => id === 'startBy')!.working!))
      expect(workingSentence(working, 'metric')).not.toMatch(/[{}]|NaN|undefined/)
  })
  it('on a paper they must not be made of stop the plan, with the reason', () => {
    const plan = planOf((commission) => {
      paperOf(commission, 'butterfly').paper = 'riceFilm'
    })
    expect(plan.leafStates.arrange).toBe('stop')
    expect(plan.cautions.find(({ code }) => code === 'unfit-paper')!.say).toContain('breaks at the fold')
  })
  it('too large for a sheet, or with no place to stand, say so', () => {
    expect(
      planOf((commission) => {
        Object.assign(paperOf(commission, 'tornRuffle').parameters, { stripLengthMm: 400 })
      }).cautions.map(({ code }) => code),
    ).toContain('larger-than-sheet')
    expect(
      planOf((commission) => {
        Object.assign(paperOf(commission, 'foldedGlobe').parameters, { seenMm: 120 })
        chosenOption(commission).cake.tiers[2]!.shape = { kind: 'round', acrossMm: 100 }
      }).cautions.map(({ code }) => code),
    ).toContain('fewer-fit')
  })
  it('keep their counts when shuffled', () => {
    const shuffled = planOf((commission) => {
      chosenOption(commission).decorations.forEach(({ composition }) => {
        composition.seed += 37
      })
    })
    expect(shuffled.decorations.map(({ count }) => count.value)).toEqual(
      planOf().decorations.map(({ count }) => count.value),
    )
  })
  it('each figure reaches what was typed, or what one starts with where nothing was changed', () => {
    for (const made of planOf().decorations) {
      const hands = planOf()
        .work.making.find(({ decoration }) => decoration === made.id)!
        .steps.flatMap(({ turns }) => turns)
      for (const top of [made.count, made.pieces, made.place, ...hands.map((turn) => turn.hands)])
        for (const working of workingsBelow(top))
          expect(workingSentence(working, 'imperial')).not.toMatch(/[{}]|NaN|undefined/)
      expect(
        workingsBelow(made.count).some(({ source }) => ['typed', 'starting'].includes(source.from)),
        made.name,
      ).toBe(true)
    }
    const [moths] = planOf((commission) => {
      Object.assign(paperOf(commission, 'butterfly').composition, { count: 5 })
    }).decorations.filter(({ technique }) => technique === 'butterfly')
    expect(workingsBelow(moths!.count).map(({ source }) => source.from)).toContain('typed')
  })
})
