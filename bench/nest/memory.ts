import { startNesting } from '../../core/cut'
import { benchJobs } from './jobs'

const RUNS = 100
const STEPS = 12
const MB = 1024 * 1024

/** Heap after every tenth of a hundred searches, MB: flat when nothing is kept. Meant for node --expose-gc. */
export function nestMemory(collect: () => void): readonly number[] {
  const { job } = benchJobs()[0]!
  return Array.from({ length: RUNS }, (_, run) => {
    const started = startNesting(job, run)
    if (started.ok) for (let step = 0; step < STEPS; step += 1) started.value.step()
    if ((run + 1) % (RUNS / 10) !== 0) return null
    collect()
    return process.memoryUsage().heapUsed / MB
  }).filter((used) => used !== null)
}
