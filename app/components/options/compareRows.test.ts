import { choosing } from '#core/commission'
import { describe, expect, it } from 'vitest'
import { demoCommission, demoWorkshop } from '#core/demo'
import { createPlanner } from '#core/plan'
import { compareRows } from './compareRows'

const commission = demoCommission(0)
const planner = createPlanner()
const planned = commission.options.map((option) => ({
  option,
  plan: planner({ commission: choosing(commission, option.id), workshop: demoWorkshop(), now: 0, units: 'metric' }),
}))

describe('comparing options', () => {
  it('gives every option a figure or words in every line', () => {
    for (const { figures, words } of compareRows(planned))
      figures.forEach((figure, at) => expect(figure !== null || words[at] !== '').toBe(true))
  })
  it('marks what differs and leaves what is the same', () => {
    const differs = Object.fromEntries(compareRows(planned).map(({ name, differs: does }) => [name, does]))
    expect(differs['high, finished']).toBe(true)
    expect(compareRows([planned[0]!, planned[0]!]).some(({ differs: does }) => does)).toBe(false)
  })
  it('shows the taller option as too high for the box', () => {
    const free = compareRows(planned).find(({ name }) => name === 'free above in the box')!
    expect(free.figures[0]!.value).toBeGreaterThan(0)
    expect(free.figures[1]!.value).toBeLessThan(0)
  })
})
