import { startNesting, type NestJob, type NestLayout, type NestMeasure, type Nesting } from '#core/cut'
import { serve } from './serve'

export type NestAnswer = { readonly layout: NestLayout; readonly measure: NestMeasure }

let nesting: Nesting | null = null

const answer = ({ layout, measure }: Nesting): NestAnswer => ({ layout: layout(), measure: measure() })

const worker = {
  /** Begins a search. @returns its first layout, or null when there is none */
  begin(job: NestJob, seed: number): NestAnswer | null {
    const started = startNesting(job, seed)
    nesting = started.ok ? started.value : null
    return nesting && answer(nesting)
  },
  /** Goes on for a while. @returns a better layout, if one was found */
  improve(forMs: number): NestAnswer | null {
    if (!nesting) return null
    const until = performance.now() + forMs
    let isBetter = false
    while (performance.now() < until) isBetter = nesting.step() || isBetter
    return isBetter ? answer(nesting) : null
  },
}

export type NestWorker = typeof worker

serve(worker)
