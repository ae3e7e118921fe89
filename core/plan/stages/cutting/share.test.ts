import { describe, expect, it } from 'vitest'
import { aDecoration, onTwoTiers } from '../../../../tests/any/fourGroups'
import { chosenOption, type Commission, type Decoration } from '../../../commission'
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

describe('sheets that are coated before they are cut', () => {
  const planFor = (change: Partial<Decoration>[]) => {
    const [bow, sails] = [aDecoration('bow', 'fabricBow'), aDecoration('sails', 'formedSail')]
    return planner({
      commission: onTwoTiers([{ ...bow, ...change[0] } as Decoration, { ...sails, ...change[1] } as Decoration], 0),
      workshop: demoWorkshop(),
      now: 0,
      units: 'metric',
    })
  }
  it('are no other’s: a bow of film and dry sails of one paper take sheets of their own, and the film is counted whole', () => {
    const plan = planFor([])
    const groups = plan.groups.map(({ parts }) => [...new Set(parts.map(({ decoration }) => decoration))])
    expect(groups).toEqual(expect.arrayContaining([['bow'], ['sails']]))
    // An A4 is 2.1 × 2.97 = 6.24 dm²; both faces at 5 ml for a dm².
    const own = plan.groups.find(({ parts }) => parts[0]!.decoration === 'bow')!
    const film = plan.liquids.bow!.find(({ mixture }) => mixture === 'gelatineFilm')!
    expect(film.ml.value).toBeCloseTo(own.sheets.value * 2.1 * 2.97 * 2 * 5, 6)
  })
  it('what is spattered whole shares with what is spattered alike only', () => {
    const spattered = (colour: string) => ({ finishes: [{ finish: 'speckle' as const, colour, share: 0.3 }] })
    const plain = aDecoration('bow', 'butterfly')
    const groupsOf = (one: string, other: string) =>
      planFor([
        { ...plain, ...spattered(one) },
        { ...plain, id: 'sails', ...spattered(other) },
      ]).groups.length
    expect(groupsOf('#c9a24b', '#c9a24b')).toBe(1)
    expect(groupsOf('#c9a24b', '#343a63')).toBe(2)
  })
})
