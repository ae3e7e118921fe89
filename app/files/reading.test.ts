import type { Remote } from 'comlink'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { WorkerGone, type Hired } from '~/workers/hired'
import type { ReadingWorker } from '~/workers/reading'
import { readingWith } from './reading'

const remote = {} as Remote<ReadingWorker>
/** A reader that is let go when it is told to stop. */
function aReader(): Hired<ReadingWorker> & { readonly stopped: () => number } {
  let stopped = 0
  let leave: (reason: Error) => void = () => undefined
  return {
    begin: () => undefined,
    ask: (question) =>
      Promise.race([
        question(remote),
        new Promise<never>((_, reject) => {
          leave = reject
        }),
      ]),
    stop: () => {
      stopped += 1
      leave(new WorkerGone('stopped'))
    },
    stopped: () => stopped,
  }
}

beforeEach(() => {
  vi.useFakeTimers()
})
afterEach(() => {
  vi.useRealTimers()
})

describe('a file read beside the page', () => {
  it('is given on, and the reader stays for the next', async () => {
    const reader = aReader()
    expect(await readingWith(reader)(() => Promise.resolve({ content: 7 }))).toEqual({ content: 7 })
    await vi.runAllTimersAsync()
    expect(reader.stopped()).toBe(0)
  })

  it('without end is let go, and that is said', async () => {
    const reader = aReader()
    const read = readingWith(reader)(() => new Promise<never>(() => undefined))
    await vi.runAllTimersAsync()
    expect(await read).toEqual({ refused: expect.stringMatching(/could not be read within 20 s\. Save it/) as string })
    expect(reader.stopped()).toBe(1)
  })

  it('is said not to be read where the reader cannot be loaded; any other fault is thrown', async () => {
    const fails = (reason: Error) => readingWith({ ...aReader(), ask: () => Promise.reject(reason) })
    expect(await fails(new WorkerGone('failed'))(() => Promise.resolve({ content: 1 }))).toHaveProperty('refused')
    await expect(fails(new TypeError('odd'))(() => Promise.resolve({ content: 1 }))).rejects.toThrow('odd')
  })
})
