import { expose } from 'comlink'
import { z } from 'zod'
import { createPlanner, type Plan, type PlanInputs } from '#core/plan'

// Zod would otherwise probe for `eval`, which the content security policy forbids.
z.config({ jitless: true })

const planner = createPlanner()

export type Answer = { readonly plan: Plan, readonly tookMs: number }

const worker = {
  derive(inputs: PlanInputs): Answer {
    const began = performance.now()
    const plan = planner(inputs)
    return { plan, tookMs: performance.now() - began }
  },
}

export type PlanWorker = typeof worker

expose(worker)
