/** Searches a nesting job in a thread of its own, and tells the best so far at each of some moments. */
import { parentPort, workerData } from 'node:worker_threads'
import { faultsOf, startNesting } from '#core/cut'
import { improveFor } from './improveFor'
import { sharedClock, type Found, type Wanted } from './secondSearch'

const { job, seed, momentsMs } = workerData as Wanted
const started = startNesting(job, seed)
if (started.ok) {
  const nesting = started.value
  // Whoever asked checks what is found before the moment is over.
  const checking = sharedClock()
  faultsOf(job, nesting.layout())
  const checkMs = 1.2 * (sharedClock() - checking)
  for (const moment of momentsMs) {
    improveFor(nesting, moment - checkMs, sharedClock)
    parentPort!.postMessage({ layout: nesting.layout(), measure: nesting.measure() } satisfies Found)
  }
}
