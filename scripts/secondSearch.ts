import { Worker } from 'node:worker_threads'
import type { NestJob, NestLayout, NestMeasure } from '#core/cut'

export type Found = { readonly layout: NestLayout; readonly measure: NestMeasure }
/** What a thread is to search, and when it tells what it has found, ms by the clock that threads share. */
export type Wanted = { readonly job: NestJob; readonly seed: number; readonly momentsMs: readonly number[] }

/** Milliseconds of the world's clock: the same in every thread. */
export const sharedClock = (): number => performance.timeOrigin + performance.now()

/** What a search says that comes to nothing in time. */
const LATE_MS = 60

export type SecondSearch = {
  /** The best at one moment after the other, or null where the thread did not come to it in time. */
  readonly next: () => Promise<Found | null>
  readonly end: () => Promise<unknown>
}

/** Searches a job with another seed beside this thread. @param thread path of the bundled `nestThread.ts` */
export function secondSearch(thread: string, wanted: Wanted): SecondSearch {
  const worker = new Worker(new URL(thread), { workerData: wanted })
  const told: Found[] = []
  let listen: () => void = () => undefined
  worker.on('message', (found: Found) => {
    told.push(found)
    listen()
  })
  // Whatever befalls it, the search of this thread stands.
  worker.on('error', () => undefined)
  let asked = 0
  return {
    async next() {
      asked += 1
      if (told.length < asked) {
        await new Promise<void>((resolve) => {
          listen = resolve
          setTimeout(resolve, LATE_MS)
        })
      }
      return told[asked - 1] ?? null
    },
    end: () => worker.terminate(),
  }
}
