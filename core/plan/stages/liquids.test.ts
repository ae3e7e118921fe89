import { describe, expect, it } from 'vitest'
import { roundTier } from '../../cake'
import { newCommission, startingDecoration, type Commission, type Decoration } from '../../commission'
import { faceDm2 } from '../../decoration'
import { workingsBelow, workingSentence } from '../../quantity'
import { TECHNIQUES, type TechniqueId } from '../../technique'
import { STARTING_WORKSHOP } from '../../workshop'
import { derivePlan } from '../derivePlan'
import { needsOf } from '../needs'

function planOf(technique: TechniqueId, change: Partial<Decoration> = {}) {
  const base = newCommission('it', 0)
  const cake = { ...base.options[0]!.cake, tiers: [roundTier('one', 260, 110)] }
  const decoration = { ...startingDecoration('it', technique, cake.tiers), ...change } as Decoration
  const commission: Commission = {
    ...base,
    brief: { ...base.brief, completion: 'atVenue' },
    options: [{ ...base.options[0]!, cake, decorations: [decoration] }],
  }
  const plan = derivePlan({ commission, workshop: STARTING_WORKSHOP, now: 0, units: 'metric' })
  return { plan, commission, made: plan.decorations[0]!, liquids: plan.liquids.it ?? [] }
}
const ml = ({ liquids }: ReturnType<typeof planOf>, mixture: string): number =>
  liquids.find((each) => each.mixture === mixture)!.ml.value
const sheetsOf = ({ plan }: ReturnType<typeof planOf>): number =>
  plan.sheets.reduce((sum, { needed }) => sum + needed.value, 0)
const A4_DM2 = 2.1 * 2.97

describe('what is coated whole is counted by its sheets', () => {
  it('a bow: 5 ml for each dm² and face of the sheets it is cut from', () => {
    const bow = planOf('fabricBow')
    expect(ml(bow, 'gelatineFilm')).toBeCloseTo(sheetsOf(bow) * A4_DM2 * 5 * 2, 6)
    expect(bow.made.figures).toEqual([])
  })
  it('fans: 0.47 ml for each dm² of the sheets that are sponged', () => {
    const fans = planOf('gatheredFan')
    expect(ml(fans, 'conditioner')).toBeCloseTo(sheetsOf(fans) * A4_DM2 * 0.47, 6)
  })
})

describe('what is wetted piece by piece', () => {
  it('two plies laid on each other are wetted once: half the faces of all plies × 0.47', () => {
    const branch = planOf('laminatedLeaf')
    const faces = branch.made.classes.reduce(
      (sum, each) => sum + (each.needed.value + each.spares.value) * faceDm2(each),
      0,
    )
    const use = branch.liquids.find(({ mixture }) => mixture === 'conditioner')!
    const wetted = workingsBelow(use.ml).find((each) => workingSentence(each, 'metric').includes('÷ plies 2'))!
    expect(wetted.value).toBeCloseTo((faces * 0.47) / 2, 9)
    // A little more where that makes whole drops of its colour.
    expect(use.ml.value).toBeGreaterThan(wetted.value - 1e-9)
  })
  it('what is dipped has as much in its bowl as covers a petal, however few', () =>
    expect(ml(planOf('mouldedBloom', { composition: planSingle() }), 'conditioner')).toBe(60))
})

describe('conditioner that colour is stirred into', () => {
  const stirredIn = TECHNIQUES.map(({ id }) => id).filter((id) =>
    planOf(id).plan.dishes.dishes.some(
      ({ isStirredIn, colouring }) => isStirredIn && colouring.carrier === 'conditioner',
    ),
  )
  it('is met among the techniques', () => expect(stirredIn).toContain('laminatedLeaf'))
  it.each(stirredIn)('%s: as much in the step as in its dishes, even for a few pieces', (id) => {
    for (const count of [1, 3, null]) {
      const starts = startingDecoration('it', id, [roundTier('one', 260, 110)])
      const composition = (count ? { ...starts.composition, count } : starts.composition) as Decoration['composition']
      const few = planOf(id, { composition })
      const dishes = few.plan.dishes.dishes.filter(({ colouring }) => colouring.carrier === 'conditioner')
      const inDishes = dishes.reduce((sum, dish) => sum + dish.ml.value, 0)
      expect(inDishes).toBeGreaterThan(0)
      expect(ml(few, 'conditioner')).toBeCloseTo(inDishes, 6)
    }
  })
})

const planSingle = () =>
  startingDecoration('it', 'mouldedBloom', [roundTier('one', 260, 110)], 'single').composition as never

describe.each(TECHNIQUES.map(({ id }) => id))('%s', (id) => {
  const { plan, commission, made, liquids } = planOf(id)
  const needs = needsOf(plan, commission, STARTING_WORKSHOP.prices, 0)
  it('takes each mixture at a step of its own, with a working all the way down', () => {
    const steps = [...made.steps, made.setting].map((step) => step.id)
    for (const { at, ml: each } of liquids) {
      if (at) expect(steps).toContain(at)
      expect(each.value).toBeGreaterThan(0)
      for (const working of workingsBelow(each))
        expect(workingSentence(working, 'metric')).not.toMatch(/NaN|undefined|[{}]/)
    }
  })
  it('has everything bought that its steps use up, and water never', () => {
    const names = needs.map(({ name }) => name)
    expect(names.filter((name) => /water/.test(name))).toEqual([])
    expect(made.used.every(({ amount }) => amount.value > 0)).toBe(true)
    if (id === 'puff') expect(names).toEqual(expect.arrayContaining(['plain oil for frying', 'kitchen paper, sheets']))
    if (id === 'cuppedBloom') expect(names).toContain('coloured sugar')
    if (id === 'flatPanel') expect(names).toContain('piping gel')
    if (id === 'gatheredFan') expect(names).toContain('strong clear alcohol')
    for (const { id: part, stays, count } of made.removals)
      if (part === 'pick' && !stays && count > 0)
        expect(needs.find(({ item }) => item.startsWith('part pick'))!.amount.value).toBe(count)
  })
})
