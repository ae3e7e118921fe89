import fc from 'fast-check'
import { expect, it } from 'vitest'
import { aCommission, planOf } from '../../tests/any/anyPlan'
import type { Commission } from '../commission'

/** The same with other ids, wherever something is told by its id. */
function underOtherIds(commission: Commission, salt: number): Commission {
  const { decorations, bouquets, cake, accents } = commission.options[0]!
  const ids = new Set([...decorations, ...bouquets, ...cake.tiers, ...accents].map(({ id }) => id))
  const other = (id: string): string => `${(salt * 2654435761).toString(36)}-${id}`
  return JSON.parse(JSON.stringify(commission), (_, value: unknown) => {
    if (typeof value !== 'string') return value
    const [id, ...rest] = value.split('/')
    return ids.has(id!) ? [other(id!), ...rest].join('/') : value
  }) as Commission
}

/** What a decorator reads of a plan. */
const read = (commission: Commission) => {
  const { tally, timetable, cautions, decorations } = planOf(commission).plan
  return {
    tally: tally.map(({ id, working, beside }) => [id, working?.value ?? null, beside]),
    slots: timetable.ok && timetable.value.slots.map(({ name, from, to }) => [name, from, to]),
    chance: timetable.ok && timetable.value.risk.chance.value,
    cautions: cautions.map(({ say }) => say),
    elements: decorations.map(({ elements }) => elements),
  }
}

it('the same cake entered twice, under other ids, has the same plan to the hour', () => {
  fc.assert(
    fc.property(aCommission, fc.nat({ max: 1_000_000 }), (commission, salt) => {
      expect(read(underOtherIds(commission, salt + 1))).toEqual(read(commission))
    }),
    { numRuns: 25 },
  )
})

it('two decorations of one technique have each their own luck', () => {
  fc.assert(
    fc.property(aCommission, (commission) => {
      const [option] = commission.options
      const twins = option!.decorations.map((each) => ({ ...each, id: `${each.id}-twin`, gathered: null }))
      const twice = { ...commission, options: [{ ...option!, decorations: [...option!.decorations, ...twins] }] }
      const lucks = planOf(twice).plan.work.making.map(({ luck }) => luck)
      expect(new Set(lucks).size).toBe(lucks.length)
    }),
    { numRuns: 10 },
  )
})
