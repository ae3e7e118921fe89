import { describe, expect, it } from 'vitest'
import { newCommission, startingDecoration } from '.'
import { demoWorkshop } from '../demo'
import { startingCake, TIER_COUNTS } from '../cake'
import { createPlanner } from '../plan'
import { STARTING_WORKSHOP } from '../workshop'

const planner = createPlanner()
const planOf = (commission: ReturnType<typeof newCommission>) =>
  planner({ commission, workshop: STARTING_WORKSHOP, now: 0, units: 'metric' })

describe('a new commission', () => {
  it.each(TIER_COUNTS.flatMap((count) => (['round', 'square'] as const).map((outline) => [count, outline] as const)))(
    'of %i tiers, %s, begins with nothing wrong: it stands, fits its box, no tier hangs over',
    (count, outline) => {
      const commission = newCommission('new', 0, startingCake(count, outline))
      const plan = planOf(commission)
      expect(plan.stack).toHaveLength(count)
      expect(plan.fit.fits).toBe(true)
      expect(plan.stack.slice(0, -1).every(({ ledge }) => ledge.leastMm >= 25)).toBe(true)
      expect(plan.cautions.filter(({ severity }) => severity === 'stop')).toEqual([])
    },
  )
  it('has what people choose first planned without a stop', () => {
    for (const technique of ['soakedSail', 'tornRuffle', 'openBloom', 'fabricBow'] as const) {
      const commission = newCommission('new', 0)
      const [option] = commission.options
      const decoration = startingDecoration('one', technique, option!.cake.tiers)
      const plan = planOf({ ...commission, options: [{ ...option!, decorations: [decoration] }] })
      expect([technique, plan.cautions.filter(({ severity }) => severity === 'stop')]).toEqual([technique, []])
    }
  })
})

describe('a new studio', () => {
  it('has nothing on hand and has learned nothing; the demo has its own', () => {
    expect(STARTING_WORKSHOP.stock).toEqual([])
    expect(STARTING_WORKSHOP.dyes.every(({ onHandMl }) => onHandMl === 0)).toBe(true)
    const { runs, dryingTrials, shrinkTrials, dyeTrials, remnants, busy } = STARTING_WORKSHOP
    expect([runs, dryingTrials, shrinkTrials, dyeTrials, remnants, busy].flat()).toEqual([])
    expect(demoWorkshop().stock.length).toBeGreaterThan(0)
  })
})
