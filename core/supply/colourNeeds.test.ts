import { describe, expect, it } from 'vitest'
import { colourNeeds, dyeUses } from '.'
import { demoCommission, demoWorkshop } from '../demo'
import { derivePlan } from '../plan'
import { DROP_ML } from '../material'
import { workingsBelow, workingSentence } from '../quantity'

const plan = derivePlan({ commission: demoCommission(0), workshop: demoWorkshop(), now: 0, units: 'metric' })
const { dishes, baths } = plan.dishes
const dyes = plan.dishes.dyes.film.map(({ dye }) => dye)

describe('what colouring takes besides dye', () => {
  it('is what every dish is thinned with, and what finishes take', () => {
    const needs = colourNeeds(dishes, plan.decorations)
    expect(needs.find(({ name }) => name === 'strong clear alcohol')!.amount.value).toBeCloseTo(
      dishes
        .filter(({ isStirredIn, colouring }) => !isStirredIn && colouring.carrier === 'spirit')
        .reduce((sum, { ml }) => sum + ml.value, 0),
      9,
    )
    expect(needs.find(({ name }) => name.includes('gilded edges'))!.amount.value).toBeCloseTo(
      plan.decorations.flatMap(({ finishes }) => finishes).reduce((sum, { amount }) => sum + amount.value, 0),
      9,
    )
    for (const { amount } of needs)
      for (const working of workingsBelow(amount))
        expect(workingSentence(working, 'imperial')).not.toMatch(/NaN|undefined|[{}]/)
  })
  it('is nothing for colour that is stirred into conditioner which is brushed on anyway', () => {
    const stirred = dishes.filter(({ isStirredIn }) => isStirredIn)
    expect(stirred.map(({ uses }) => uses[0]!.name)).toEqual(['Laminated leaves'])
    const [conditioner] = plan.liquids.ginkgo!
    expect(stirred[0]!.ml.value).toBeGreaterThanOrEqual(conditioner!.ml.value - 1e-9)
    expect(colourNeeds(stirred, []).map(({ name }) => name)).toEqual([])
  })
  it('adds finishes of one colour up, and keeps others apart', () => {
    const [gilded] = plan.decorations.flatMap(({ finishes }) => finishes)
    const twice = colourNeeds(
      [],
      [
        { name: 'Moths', finishes: [gilded!] },
        { name: 'Globes', finishes: [gilded!, { ...gilded!, colour: '#888888' }] },
      ],
    )
    expect(twice.map(({ amount }) => amount.value / gilded!.amount.value)).toEqual([2, 1])
  })
  it('has nothing for slurry, which needs no thinning', () =>
    expect(
      colourNeeds(
        dishes.map((dish) => ({
          ...dish,
          isStirredIn: true,
          colouring: { ...dish.colouring, way: 'slurry' as const },
        })),
        [],
      ),
    ).toEqual([]))
})

describe('what a job takes of each dye', () => {
  it('is every whole drop of bath and dishes, once', () => {
    const uses = dyeUses(dyes, baths, dishes)
    const drops =
      baths
        .flatMap(({ steps }) => steps)
        .reduce((sum, { wholeDrops }) => sum + Object.values(wholeDrops).reduce((all, each) => all + each, 0), 0) +
      dishes.reduce((sum, { doses }) => sum + doses.reduce((all, { whole }) => all + whole, 0), 0)
    expect(uses.reduce((sum, { ml }) => sum + ml.value, 0)).toBeCloseTo(drops * DROP_ML, 9)
    expect(drops).toBeGreaterThan(300)
    expect(dyeUses(dyes, [], [])).toEqual([])
  })
})
