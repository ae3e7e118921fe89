import { proxy } from 'comlink'
import { withChanges, type Plan, type PlanInputs, type TallyFigure } from '#core/plan'
import { hired } from '~/workers/hired'
import { newestWaits } from '~/workers/newest'
import type { Faults, PlanWorker, Taken, Tried } from '~/workers/plan'

/** After so long what is being worked out is given up for something newer. */
const GIVEN_UP_MS = 10_000

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
 * `faults` is what of a commission and its workshop does not hold together.
 *
 * A question that is answered for very long is given up once a newer one waits; `stop` gives it up at once.
 *
 * @param receive called with each answer
 * @param hear called with the figures that are known before hours are found, a while before the answer
 * @param failed called when there is no answer to what was asked last, with a `WorkerGone` where nobody can answer
 */
export function planner(
  receive: (plan: Plan) => void,
  hear: (ahead: readonly TallyFigure[]) => void,
  failed: (reason: unknown) => void,
): {
  readonly ask: (inputs: PlanInputs) => void
  readonly once: (inputs: PlanInputs) => Promise<Plan>
  readonly tried: (inputs: PlanInputs) => Promise<Tried>
  readonly taken: (inputs: PlanInputs) => Promise<Taken>
  readonly faults: (inputs: PlanInputs) => Promise<Faults>
  readonly stop: () => void
} {
  const planners = hired<PlanWorker>(
    (name) => new Worker(new URL('../workers/plan.ts', import.meta.url), { type: 'module', name }),
  )
  /** What is not shown is worked out apart: what is remembered of the plan that is shown stays. */
  const aside = hired<PlanWorker>(
    (name) => new Worker(new URL('../workers/plan.ts', import.meta.url), { type: 'module', name }),
  )
  /** The last plan that came, shown or not, and its number. */
  let known: { readonly plan: Plan; readonly number: number } | null = null
  let began = 0
  const heard = proxy((ahead: readonly TallyFigure[]): void => {
    if (!isWaiting()) hear(ahead)
  })
  const { ask, isWaiting } = newestWaits(
    async (inputs: PlanInputs): Promise<Plan> => {
      began = performance.now()
      const { changes, since, number } = await planners.ask((worker) =>
        worker.deriveChanges(inputs, known?.number ?? 0, heard),
      )
      known = { plan: withChanges(since > 0 ? known!.plan : null, changes), number }
      return known.plan
    },
    (plan, isNewest) => {
      if (isNewest) receive(plan)
    },
    (reason, isNewest) => {
      if (isNewest) failed(reason)
    },
  )
  return {
    ask(inputs) {
      ask(withoutPictures(inputs))
      if (isWaiting() && performance.now() - began > GIVEN_UP_MS) planners.stop()
    },
    once: (inputs) => aside.ask((worker) => worker.derive(withoutPictures(inputs))),
    tried: (inputs) => planners.ask((worker) => worker.tried(withoutPictures(inputs))),
    taken: (inputs) => aside.ask((worker) => worker.taken(withoutPictures(inputs))),
    faults: (inputs) => planners.ask((worker) => worker.faults(withoutPictures(inputs))),
    stop: planners.stop,
  }
}
