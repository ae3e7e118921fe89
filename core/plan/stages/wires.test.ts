import { describe, expect, it } from 'vitest'
import {
  commissionSchema,
  gatheredIn,
  newCommission,
  startingGathering,
  type Commission,
  type Decoration,
} from '../../commission'
import { derivePlan } from '..'
import { demoCommission, demoWorkshop } from '../../demo'
import { workingsBelow, workingSentence } from '../../quantity'

const NOW = 29_400_000
const planOf = (commission: Commission) =>
  derivePlan({ commission, workshop: demoWorkshop(), now: NOW, units: 'metric' })
const base = newCommission('it', NOW)
const { tiers } = base.options[0]!.cake
const withDecorations = (
  decorations: readonly Decoration[],
  more: Partial<Commission['options'][number]> = {},
): Commission => ({
  ...base,
  brief: { ...base.brief, completion: 'atVenue' },
  options: [{ ...base.options[0]!, decorations: [...decorations], ...more }],
})
const bouquetOf = () => {
  const { bouquet, decorations } = startingGathering('it', tiers)
  return planOf(withDecorations(decorations, { bouquets: [bouquet] }))
}

describe('wires of a cake', () => {
  const { wires, decorations } = planOf(demoCommission(NOW))
  it('cut as many pieces as its blooms, buds and branches take', () => {
    const cut = wires.gauges
      .flatMap(({ cuts }) => cuts.patterns)
      .reduce((sum, pattern) => sum + pattern.wires * pattern.pieces.length, 0)
    const taken = decorations
      .flatMap(({ wiring }) => wiring)
      .reduce((sum, { wiring, count }) => sum + count * wiring.wires.reduce((all, wire) => all + wire.perElement, 0), 0)
    expect(cut).toBe(taken)
    expect(taken).toBeGreaterThan(30)
  })
  it('are no longer together than the stock wires that are opened', () => {
    for (const { stock, cuts } of wires.gauges)
      for (const { pieces, leftMm } of cuts.patterns) {
        expect(pieces.reduce((sum, { lengthMm }) => sum + lengthMm, 0) + leftMm).toBeCloseTo(360, 6)
        expect(stock.value).toBe(cuts.wires)
      }
  })
  it('give their workings, tape and holders too', () => {
    for (const figure of [
      ...wires.gauges.map(({ stock }) => stock),
      ...wires.tape,
      wires.holders!,
      wires.foam!,
      ...wires.loads.map(({ weight }) => weight),
    ]) {
      expect(figure.value).toBeGreaterThan(0)
      for (const working of workingsBelow(figure))
        expect(workingSentence(working, 'imperial')).not.toMatch(/NaN|undefined|[{}]/)
    }
    expect(wires.holders!.value).toBe(
      decorations.filter(({ wiring }) => wiring.length > 0).reduce((sum, { elements }) => sum + elements.length, 0),
    )
  })
  it('are none where nothing is wired', () =>
    expect(planOf(withDecorations([])).wires).toMatchObject({ gauges: [], tape: [], patches: null, holders: null }))
  it('weigh more for a larger bloom', () => {
    const weight = (acrossMm: number) =>
      planOf(
        withDecorations(
          [gatheredIn('none', 'bloom', 'cuppedBloom', 'focal', 1, tiers, { acrossMm })].map(
            (each) => ({ ...each, gathered: null }) as Decoration,
          ),
        ),
      ).wires.loads[0]!.weight.value
    expect(weight(90)).toBeGreaterThan(weight(50) * 2)
  })
})

describe('a bouquet in a plan', () => {
  const plan = bouquetOf()
  it('counts its members as their decorations do, and cuts for them', () => {
    const [bouquet] = plan.bouquets
    expect(bouquet!.members).toHaveLength(4)
    for (const { decoration, count } of bouquet!.members) {
      const made = plan.decorations.find(({ id }) => id === decoration)!
      expect(made.count.value).toBe(count.value)
      expect(made.pieces.value).toBeGreaterThan(count.value)
    }
  })
  it('takes glue and damping, each made once', () => {
    expect(plan.mixtures.map(({ id }) => id)).toEqual(expect.arrayContaining(['edibleGlue', 'damping', 'conditioner']))
    expect(new Set(plan.mixtures.map(({ id }) => id)).size).toBe(plan.mixtures.length)
  })
  it('is counted in and out by whoever cuts the cake', () =>
    expect(plan.careCard.remove.map(({ name }) => name)).toEqual(
      expect.arrayContaining(['wires of blooms', 'wires of leaves', 'stem wires']),
    ))
  it('is asked for by what is gathered in it: without it the commission is refused', () => {
    const { bouquet, decorations } = startingGathering('it', tiers)
    expect(commissionSchema.safeParse(withDecorations(decorations, { bouquets: [bouquet] })).success).toBe(true)
    expect(JSON.stringify(commissionSchema.safeParse(withDecorations(decorations, { bouquets: [] })).error)).toMatch(
      /not there/,
    )
  })
})
