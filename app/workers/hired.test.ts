import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { hired, WorkerGone } from './hired'

const remote = { answer: () => new Promise<string>((resolve) => void answers.push(resolve)) }
let answers: ((answer: string) => void)[] = []
vi.mock('comlink', () => ({ wrap: () => remote }))

class StandIn extends EventTarget {
  isEnded = false
  terminate(): void {
    this.isEnded = true
  }
  here(): void {
    this.dispatchEvent(new MessageEvent('message', { data: 'here' }))
  }
}
const workers: StandIn[] = []
const begin = (): Worker => {
  const worker = new StandIn()
  workers.push(worker)
  return worker as unknown as Worker
}
type Work = { answer: () => Promise<string> }
const settled = (): Promise<void> =>
  new Promise((resolve) => {
    setTimeout(resolve)
  })

/** Locks that are granted when the test lets go of them. */
let released: (() => void)[] = []
beforeEach(() => {
  answers = []
  released = []
  workers.length = 0
  const request = (_: string, then: () => void) => {
    released.push(then)
    return Promise.resolve()
  }
  vi.stubGlobal('navigator', { ...navigator, locks: { request } })
})
afterEach(() => vi.unstubAllGlobals())

describe('a hired worker', () => {
  it('is asked once it is here, and answers', async () => {
    const { ask } = hired<Work>(begin)
    const answer = ask((worker) => worker.answer())
    await settled()
    expect(answers).toHaveLength(0)
    workers[0]!.here()
    await settled()
    answers[0]!('seven')
    expect(await answer).toBe('seven')
    expect(workers).toHaveLength(1)
  })
  it.each([
    ['its script cannot be loaded', () => workers[0]!.dispatchEvent(new Event('error'))],
    ['the browser ends it, which its lock tells', () => released[0]!()],
  ])('leaves whoever asks with an error, and another is hired: %s', async (_, end) => {
    const { ask } = hired<Work>(begin)
    const answer = ask((worker) => worker.answer())
    workers[0]!.here()
    await settled()
    end()
    await expect(answer).rejects.toMatchObject({ why: 'failed' })
    const again = ask((worker) => worker.answer())
    expect(workers).toHaveLength(2)
    workers[1]!.here()
    await settled()
    answers.at(-1)!('eight')
    expect(await again).toBe('eight')
  })
  it('is stopped in the middle of what it does', async () => {
    const { ask, stop } = hired<Work>(begin)
    const answer = ask((worker) => worker.answer())
    workers[0]!.here()
    await settled()
    stop()
    await expect(answer).rejects.toBeInstanceOf(WorkerGone)
    await expect(answer).rejects.toMatchObject({ why: 'stopped' })
    expect(workers[0]!.isEnded).toBe(true)
    // Nobody is there to be stopped.
    stop()
  })
})
