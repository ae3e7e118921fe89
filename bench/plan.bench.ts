import { chosenOption } from '../core/commission'
import { bench, describe } from 'vitest'
import { demoCommission, demoWorkshop } from '../core/demo'
import { metBy, sightLine, standSolids } from '../core/draw'
import { createPlanner, derivePlan, type PlanInputs } from '../core/plan'

const inputs: PlanInputs = {
  commission: demoCommission(29_000_000),
  workshop: demoWorkshop(),
  now: 29_000_000,
  units: 'metric',
}
const edited = (change: (commission: PlanInputs['commission']) => void): PlanInputs => {
  const commission = structuredClone(inputs.commission)
  change(commission)
  return { ...inputs, commission }
}

describe('the demo’s plan', () => {
  const planner = createPlanner()
  let turn = 0
  planner(inputs)
  bench('from nothing', () => {
    derivePlan(inputs)
  })
  bench('after an edit of the sails', () => {
    planner(
      edited((commission) => {
        const { parameters } = chosenOption(commission).decorations[0]!
        Object.assign(parameters, { seenHeightMm: 60 + ((turn += 1) % 97) + turn / 1e6 })
      }),
    )
  })
  bench('after an edit of the humidity', () => {
    planner(
      edited(({ brief }) => {
        brief.workroom.humidity = 0.4 + ((turn += 1) % 20) / 100 + turn / 1e8
      }),
    )
  })
  bench('after an edit of the name', () => {
    planner(
      edited(({ brief }) => {
        brief.name = `Name ${(turn += 1)}`
      }),
    )
  })
})

describe('the stand', () => {
  const plan = derivePlan(inputs)
  const scene = {
    board: { outline: 'round' as const, acrossMm: 340, thicknessMm: 12 },
    stack: plan.stack,
    elements: [],
    accents: [],
  }
  const solids = standSolids(scene)
  const look = { turnDeg: 0, downDeg: 10, aimMm: 200, awayMm: 2600 }
  let turn = 0
  bench('what is touched', () => {
    metBy(sightLine({ x: (turn += 0.1), y: 0 }, look), solids)
  })
})
