import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fourGroups, onTwoTiers } from '../../../tests/any/fourGroups'
import { demoWorkshop } from '../../demo'
import { found } from '../../quantity'
import { derivePlan } from '..'
import { supplyStage } from './supply'

const shelf = demoWorkshop()
const plan = derivePlan({ commission: onTwoTiers(fourGroups(), 0), workshop: shelf, now: 0, units: 'metric' })
const { sheets, dishes } = plan
const hands = (minutes: number) => found('hands', minutes, 'duration', 'any')

describe('what a job takes off the shelf', () => {
  const supplied = supplyStage({ sheets, dishes, handsOn: hands(60), shelf })

  it('names every size that is opened, as many as are opened', () =>
    expect(supplied.supplies.map(({ shape, needed }) => [shape, needed.value])).toEqual(
      sheets.map(({ shape, needed }) => [shape, needed.value]),
    ))

  it('takes of each dye what baths and dishes have of it', () => {
    const drops = dishes.baths.flatMap(({ steps }) => steps.flatMap(({ wholeDrops }) => Object.entries(wholeDrops)))
    const dyes = new Set(drops.filter(([, many]) => many > 0).map(([dye]) => dye))
    expect(new Set(supplied.dyeUses.filter(({ ml }) => ml.value > 0).map(({ dye }) => dye))).toEqual(dyes)
  })

  it('costs paper, colour and hands at the prices of the studio, by hand', () => {
    const { discEach, colourMl, hour } = shelf.prices
    const discs = sheets.reduce((sum, { needed }) => sum + needed.value, 0)
    const colour = supplied.dyeUses.reduce((sum, { ml }) => sum + ml.value, 0)
    expect(supplied.cost.value).toBeCloseTo(discs * discEach + colour * colourMl + hour, 6)
  })

  it('costs more the longer hands are at it, and as much more for each hour', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 3000 }), fc.integer({ min: 0, max: 3000 }), (one, other) => {
        const cost = (minutes: number) => supplyStage({ sheets, dishes, handsOn: hands(minutes), shelf }).cost.value
        expect(cost(one) - cost(other)).toBeCloseTo(((one - other) / 60) * shelf.prices.hour, 6)
      }),
    ))
})
