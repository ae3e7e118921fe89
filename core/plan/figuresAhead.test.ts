import fc from 'fast-check'
import { expect, it } from 'vitest'
import { aCommission } from '../../tests/any/anyPlan'
import { STARTING_WORKSHOP } from '../workshop'
import { createPlanner, isByHours, tallyWith, type TallyFigure } from '.'

it('figures told before hours are found are those of the plan, and with its hours they are its tally', () =>
  fc.assert(
    fc.property(aCommission, (commission) => {
      const told: (readonly TallyFigure[])[] = []
      const inputs = { commission, workshop: STARTING_WORKSHOP, now: 0, units: 'metric' } as const
      const { tally } = createPlanner()(inputs, (figures) => told.push(figures))
      expect(told).toHaveLength(1)
      expect(told[0]).toEqual(tally.filter((figure) => !isByHours(figure)))
      expect(tallyWith(told[0]!, tally)).toEqual(tally)
      expect(tallyWith(told[0]!, []).map(({ id }) => id)).not.toContain('startBy')
    }),
    { numRuns: 10 },
  ))
