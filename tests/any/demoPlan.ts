/** The demo's plan, changed a little: what tests of whole plans look at. */
import { chosenOption, type Commission } from '../../core/commission'
import type { Workshop } from '../../core/workshop'
import { createPlanner, type Plan } from '../../core/plan'
import { demoCommission, demoWorkshop } from '../../core/demo'
import { parseMoment, valueOf, workingsBelow } from '../../core/quantity'

/** The hour at which the demo is looked at. */
export const now = valueOf(parseMoment('2026-11-24T09:00'))
export const planner = createPlanner()

/** What is done to the demo before it is planned. */
export type Change = (commission: Commission, workshop: Workshop) => void

/** The demo's plan after a change. */
export function planOf(change: Change = () => undefined, walks?: number): Plan {
  const commission = structuredClone(demoCommission(now))
  const workshop = structuredClone(demoWorkshop())
  change(commission, workshop)
  return planner({ commission, workshop, now, units: 'metric', ...(walks && { walks }) })
}

/** Leaves the sails alone on the cake, for what is asked of them alone: a whole cake takes five times as long. */
export const sailsAlone: Change = (commission) => {
  const option = chosenOption(commission)
  Object.assign(option, {
    decorations: option.decorations.filter(({ technique }) => technique === 'soakedSail'),
    bouquets: [],
    accents: [],
  })
}

export const sailsOf = (commission: Commission) =>
  chosenOption(commission).decorations.find(({ technique }) => technique === 'soakedSail')!
export const sailsIn = (plan: Plan) => plan.decorations.find(({ technique }) => technique === 'soakedSail')!
/** How far the pieces of a decoration must reach from foot to rim at most, mm. */
export const longestMm = ({ classes }: Plan['decorations'][number]): number =>
  Math.max(
    ...classes.flatMap(({ height }) =>
      workingsBelow(height).flatMap(({ label, value }) => (label === 'flat reach' ? [value] : [])),
    ),
  )
export const figure = (plan: Plan, id: Plan['tally'][number]['id']): number | null =>
  plan.tally.find((each) => each.id === id)?.working?.value ?? null
export const startBy = (plan: Plan): number => figure(plan, 'startBy') ?? -Infinity
/** The last possible hour to start. */
export const lastStart = ({ timetable }: Plan): number => (timetable.ok ? timetable.value.last!.startBy : -Infinity)
