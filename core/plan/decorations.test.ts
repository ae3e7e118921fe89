import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { chosenOption, commissionSchema, type Commission } from '../commission'
import { demoCommission, demoWorkshop } from '../demo'
import { freshBench } from '../ledger'
import { countedParts, partsOf } from '../make'
import { paperOf } from '../material'
import { printWorkingValue, workingsBelow, workingSentence } from '../quantity'
import { TECHNIQUES, type TechniqueId } from '../technique'
import { aDecoration, fourGroups, onTwoTiers } from '../../tests/any/fourGroups'
import { createPlanner, type Plan } from '.'

const NOW = 29_400_000
const planner = createPlanner()
const planOf = (commission: Commission): Plan =>
  planner({ commission, workshop: demoWorkshop(NOW), now: NOW, units: 'metric' })
const aGroup = fc
  .constantFrom(...TECHNIQUES.flatMap(({ id, compositions }) => compositions.map((kind) => [id, kind] as const)))
  .map(([technique, kind]) => ({ technique: technique as TechniqueId, kind }))
const someGroups = fc
  .array(aGroup, { maxLength: 3 })
  .map((groups) => groups.map(({ technique, kind }, at) => aDecoration(`group-${at}`, technique, kind)))

/** Everything a plan says to whoever makes, keeps and eats the cake. */
const saidIn = ({ cautions, careCard, tally, work, supplies, dryings }: Plan): string =>
  JSON.stringify([
    cautions.map(({ say }) => say),
    careCard,
    tally.map(({ label, beside, none }) => [label, beside, none]),
    work.making.map(({ name, steps }) => [name, steps.map((step) => step.name)]),
    supplies.map(({ paper }) => paper),
    dryings.map(({ paper }) => paper),
  ])

describe('any decorations on a cake', () => {
  // Plans are worked out aside and sent over, which only data can be.
  it.each(TECHNIQUES)('$name is planned as data alone', ({ id, compositions }) => {
    const plan = planOf(onTwoTiers([aDecoration('group-0', id as TechniqueId, compositions[0]!)], NOW))
    expect(structuredClone(plan)).toEqual(plan)
  })
  it('plan without fail: film is spoken of where film is, every piece is on a sheet or named, counts agree', () =>
    fc.assert(
      fc.property(someGroups, (decorations) => {
        const commission = onTwoTiers(decorations, NOW)
        expect(commissionSchema.safeParse(commission).error).toBeUndefined()
        const plan = planOf(commission)
        const made = plan.decorations.filter(({ elements }) => elements.length > 0)
        const hasFilm = made.some(({ paper }) => paperOf(paper).kind === 'film')
        expect(/film/i.test(saidIn(plan))).toBe(hasFilm)

        for (const { parts, layout } of plan.groups)
          for (const { id, quantity } of parts) {
            const laid = layout.sheets.reduce(
              (sum, { plies, pieces }) => sum + plies * pieces.filter(({ part }) => part.id === id).length,
              0,
            )
            const out = layout.leftOut.find(({ part }) => part.id === id)
            if (out) expect(out.why).toMatch(/\w+ \w+/)
            else expect(laid).toBeGreaterThanOrEqual(quantity)
          }
        const cut = plan.groups.flatMap(({ parts }) => parts.map(({ id }) => id))
        expect([...cut].sort()).toEqual(made.flatMap(({ classes }) => classes.map(({ id }) => id)).sort())

        const inGroups = plan.groups.reduce((sum, { sheets }) => sum + sheets.value, 0) + (plan.torn?.needed.value ?? 0)
        const total = (all: readonly { readonly needed: { readonly value: number } }[]): number =>
          all.reduce((sum, { needed }) => sum + needed.value, 0)
        const inTally = plan.tally.find(({ id }) => id === 'paper')?.working?.value ?? 0
        expect([total(plan.sheets), total(plan.supplies), inTally]).toEqual([inGroups, inGroups, inGroups])
        // What is cast is not cut of sheets: its paper is torn.
        if (made.length > 0 && made.every(({ cast }) => cast !== null))
          expect(plan.torn?.needed.value).toBeGreaterThan(0)

        for (const { working } of plan.tally)
          for (const each of working ? workingsBelow(working) : []) {
            expect(Number.isFinite(each.value)).toBe(true)
            expect(`${printWorkingValue(each, 'metric')} ${workingSentence(each, 'imperial')}`).not.toMatch(
              /NaN|undefined|[{}]/,
            )
          }
      }),
      { numRuns: 40 },
    ))
})

describe('four groups of soaked sails', () => {
  const plan = planOf(onTwoTiers(fourGroups(), NOW))
  const of = (id: string) => plan.decorations.find((each) => each.id === id)!

  it('stand where each belongs, sized to fit or as they come', () => {
    expect(of('sweep').elements.length).toBeGreaterThan(4)
    expect(of('crown').elements.map(({ on, fitted }) => [on, fitted!.portion])).toEqual(
      Array.from({ length: 3 }, () => ['top', 'half']),
    )
    expect(of('pair').elements).toHaveLength(2)
    expect(of('pair').finishes[0]!.amount.value).toBeGreaterThan(0)
    expect(of('single').elements.map(({ fitted }) => fitted!.portion)).toEqual(['whole'])
  })
  it('share two baths, pale first across both groups in each', () => {
    const { baths } = plan.dishes
    expect(baths.map(({ uses }) => uses.map(({ decoration }) => decoration).sort())).toEqual([
      ['pair', 'sweep'],
      ['crown', 'single'],
    ])
    // Dye goes in for every shade of which there are pieces, and for no other.
    for (const { steps } of baths)
      for (const { batch, exactDrops } of steps) expect(exactDrops.value > 0).toBe(batch.pieceCount > 0)
    if (!plan.timetable.ok) throw new Error(plan.timetable.error.code)
    const { slots } = plan.timetable.value
    for (const chain of plan.work.inTurn) {
      const begun = chain.map((task) => slots.find((slot) => slot.task === task && slot.hands)!.from)
      expect(begun).toEqual([...begun].sort((one, other) => one - other))
    }
  })
  it('share discs, and lie on trays where they go into the oven, on mats elsewhere', () => {
    const discs = plan.groups.filter(({ way }) => way === 'sectors')
    expect(discs).toHaveLength(1)
    expect(new Set(discs[0]!.parts.map(({ decoration }) => decoration))).toEqual(
      new Set(['sweep', 'crown', 'pair', 'single']),
    )
    const places = plan.work.making.map(({ decoration, steps }) => [
      decoration,
      steps.find(({ hold }) => hold?.untilStep)!.hold!.place,
    ])
    expect(Object.fromEntries(places)).toEqual({ sweep: 'tray', crown: 'mat', pair: 'mat', single: 'mat' })
    for (const { steps, decoration } of plan.work.making) {
      const laid = steps.flatMap(({ hold, turns }) => (hold?.untilStep ? turns : [])).flatMap(({ load }) => load!.laid)
      expect(laid).toHaveLength(of(decoration).pieces.value)
    }
  })
})

describe('what was counted at the bench', () => {
  const commission = demoCommission(NOW)
  const counts = Object.fromEntries(
    partsOf(planOf(commission), freshBench()).map(({ id }, at) => [id, { good: 1, broken: at % 2 }]),
  )
  const after = (change: (option: Commission['options'][number]) => void) => {
    const changed = structuredClone({ ...commission, bench: { ...freshBench(), counts } })
    change(chosenOption(changed))
    return { changed, parts: countedParts(planOf(changed), changed.bench) }
  }
  it.each<[string, (option: Commission['options'][number]) => void]>([
    ['a shuffle', ({ decorations }) => decorations.forEach(({ composition }) => (composition.seed += 37))],
    ['another order of decorations', (option) => option.decorations.reverse()],
    ['a moth taken out', ({ decorations }) => decorations.find(({ id }) => id === 'moths')!.byHand.out.push(2)],
    [
      'other decorations gone',
      (option) => {
        option.decorations = option.decorations.filter(({ id }) => id === 'moths' || id === 'sails')
      },
    ],
  ])('stays through %s', (_, change) => {
    const { changed, parts } = after(change)
    expect(changed.bench.counts).toEqual(counts)
    const known = parts.filter(({ id }) => id in counts)
    expect(known.length).toBeGreaterThan(parts.length * 0.7)
    for (const { id, good, broken } of known) expect({ good, broken }).toEqual(counts[id])
  })
})
