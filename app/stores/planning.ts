import { wrap, type Remote } from 'comlink'
import { withChanges, type Plan, type PlanInputs } from '#core/plan'
import { newestWaits } from '~/workers/newest'
import type { PlanWorker, Taken, Tried } from '~/workers/plan'

/** Pictures and notes have no part in a plan and would only be copied to the worker. */
const withoutPictures = (inputs: PlanInputs): PlanInputs => ({
  ...inputs,
  commission: {
    ...inputs.commission,
    brief: { ...inputs.commission.brief, photos: [], notes: '' },
    bench: { ...inputs.commission.bench, photos: [] },
  },
})

/**
 * Asks the worker for plans, one at a time: while it is busy only the newest question waits, so edits are never
 * blocked and old answers never arrive late.
 *
 * `once` asks beside that, for a plan that is not the one shown; `tried` for its hour to start alone, `taken` for
 * what it takes of the studio.
 *
 * @param receive called with each answer
 * @param failed called when the worker could not answer
 */
export function planner(
  receive: (plan: Plan) => void,
  failed: (reason: unknown) => void,
): {
  readonly ask: (inputs: PlanInputs) => void
  readonly once: (inputs: PlanInputs) => Promise<Plan>
  readonly tried: (inputs: PlanInputs) => Promise<Tried>
  readonly taken: (inputs: PlanInputs) => Promise<Taken>
} {
  const remote: Remote<PlanWorker> = wrap(
    new Worker(new URL('../workers/plan.ts', import.meta.url), { type: 'module' }),
  )
  /** The last plan that came, shown or not, and its number. */
  let known: { readonly plan: Plan; readonly number: number } | null = null
  const ask = newestWaits(
    async (inputs: PlanInputs): Promise<Plan> => {
      const { changes, since, number } = await remote.deriveChanges(inputs, known?.number ?? 0)
      known = { plan: withChanges(since > 0 ? known!.plan : null, changes), number }
      return known.plan
    },
    (plan, isNewest) => {
      if (isNewest) receive(plan)
    },
    failed,
  )
  return {
    ask: (inputs) => ask(withoutPictures(inputs)),
    once: async (inputs) => remote.derive(withoutPictures(inputs)),
    tried: async (inputs) => remote.tried(withoutPictures(inputs)),
    taken: async (inputs) => remote.taken(withoutPictures(inputs)),
  }
}
