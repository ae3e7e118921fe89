import { describe, expect, it } from 'vitest'
import { chosenOption, type Commission } from '../../../commission'
import type { CuttingWay } from '../../../cut'
import { demoCommission, demoWorkshop } from '../../../demo'
import { found, workingsBelow, workingSentence } from '../../../quantity'
import { createPlanner, type Plan } from '../..'
import { cutEachOf, cutShareOf } from './share'

const planner = createPlanner()
function planOf(change: (commission: Commission) => void = () => undefined): Plan {
  const commission = structuredClone(demoCommission(0))
  change(commission)
  return planner({ commission, workshop: demoWorkshop(), now: 0, units: 'metric' })
}
const cutMin = ({ work }: Plan, decoration: string): number =>
  work.making.find((each) => each.decoration === decoration)!.steps.find(({ id }) => id === 'cut')!.turns[0]!.hands
    .value
const cutBy = (way: CuttingWay, plies = 1) =>
  planOf((commission) => {
    const moths = chosenOption(commission).decorations.find(({ id }) => id === 'moths')!
    moths.cutting = { ...moths.cutting, way, plies }
  })

describe('cutting as hands have it', () => {
  it('is what Cut says, all of it, shared by pieces among who shares sheets', () => {
    const plan = planOf()
    const own = plan.decorations.map(({ id }) => cutShareOf(plan.groups, id)!)
    const all = plan.groups.reduce((sum, { minutes }) => sum + minutes.value, 0)
    expect(own.reduce((sum, { minutes }) => sum + minutes.value, 0)).toBeCloseTo(all, 6)
    const sheets = plan.groups.reduce((sum, group) => sum + group.sheets.value, 0)
    expect(own.reduce((sum, each) => sum + each.sheets.value, 0)).toBeCloseTo(sheets, 6)
    for (const { minutes } of own)
      for (const working of workingsBelow(minutes))
        expect(workingSentence(working, 'metric')).not.toMatch(/NaN|undefined|[{}]/)
  })
  it('changes with the way, in the timetable too', () => {
    const [machine, template] = [cutBy('machine'), cutBy('template')]
    expect(cutMin(template, 'moths')).not.toBe(cutMin(machine, 'moths'))
    for (const plan of [machine, template]) {
      const slot = plan.timetable.ok ? plan.timetable.value.slots.filter(({ task }) => task === 'moths-cut') : []
      expect(slot.reduce((sum, { from, to }) => sum + to - from, 0)).toBeCloseTo(cutMin(plan, 'moths'), 6)
    }
  })
  it('is nothing for what is not cut, and one piece is its share', () => {
    expect(cutShareOf([], 'nobody')).toBeNull()
    const ten = found('pieces', 10, 'count', 'counted')
    expect(cutEachOf(null, ten).value).toBe(0)
    expect(cutEachOf({ minutes: found('cutting', 25, 'duration', 'counted'), sheets: ten }, ten).value).toBe(2.5)
  })
})
