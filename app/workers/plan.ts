import { expose } from 'comlink'
import { z } from 'zod'
import { changesFrom, createPlanner, type Plan, type PlanChanges, type PlanInputs } from '#core/plan'

// Zod would otherwise probe for `eval`, which the content security policy forbids.
z.config({ jitless: true })

const planner = createPlanner()

/** What changed since the answer of that number, or the whole plan; and this answer's own number. */
export type Answer = { readonly changes: PlanChanges, readonly since: number, readonly number: number }

let last: { readonly plan: Plan, readonly number: number } | null = null

const worker = {
  derive: (inputs: PlanInputs): Plan => planner(inputs),
  /** @param known the number of the last answer that is still known; 0 for none. Only what changed is handed over: copying a whole plan would make the page wait. */
  deriveChanges(inputs: PlanInputs, known: number): Answer {
    const plan = planner(inputs)
    const before = last?.number === known ? last : null
    last = { plan, number: (last?.number ?? 0) + 1 }
    return { changes: changesFrom(before?.plan ?? null, plan), since: before?.number ?? 0, number: last.number }
  },
}

export type PlanWorker = typeof worker

expose(worker)
