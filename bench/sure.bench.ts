/** The chance a plan gives, beside a separate simulator's, at the hour shown and at the last possible one. */
import { bench, describe } from 'vitest'
import { demoCommission, demoWorkshop } from '../core/demo'
import { createPlanner } from '../core/plan'
import { COMPLETIONS } from '../core/schedule'
import { shareOfLives } from '../tests/check/lives'

const NOW = 29_000_000
const LIVES = 1000
const workshop = demoWorkshop()
const percent = (share: number): string => `${Math.round(share * 100)} %`

function compare(completion: (typeof COMPLETIONS)[number]): string {
  const commission = structuredClone(demoCommission(NOW))
  commission.brief.completion = completion
  const planned = (readyChance: number) =>
    createPlanner()({ commission, workshop: { ...workshop, readyChance }, now: NOW, units: 'metric' })
  // Where no chance is asked, the plan is the last possible one.
  return (
    [
      ['at the hour shown', workshop.readyChance],
      ['at the last possible', 0],
    ] as const
  )
    .map(([which, wanted]) => {
      const plan = planned(wanted)
      if (!plan.timetable.ok) return 'no timetable'
      const lived = shareOfLives(plan, commission, workshop, LIVES, 7)
      return `${which} ${percent(plan.timetable.value.risk.chance.value)}, by the other ${percent(lived)}`
    })
    .join('; ')
}

describe('how sure a plan is', () => {
  for (const completion of COMPLETIONS) console.log(`completed ${completion}: ${compare(completion)}`)
  const plan = createPlanner()({ commission: demoCommission(NOW), workshop, now: NOW, units: 'metric' })
  bench('two hundred lives by the separate simulator', () => {
    shareOfLives(plan, demoCommission(NOW), workshop, 200, 1)
  })
})
