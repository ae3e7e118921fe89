import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import type { NestLayout, NestMeasure } from '#core/cut'
import { whenTrue } from '../../tests/any/whenTrue'
import { useNesting } from './nesting'
import { usePreferences } from './preferences'

const { studio, searchers } = vi.hoisted(() => {
  // A machine with a core for a second search.
  Object.defineProperty(navigator, 'hardwareConcurrency', { value: 4, configurable: true })
  type Found = { layout: NestLayout; measure: NestMeasure }
  return {
    studio: { plan: null as unknown, isPlanning: false, nest: vi.fn() },
    searchers: [] as { seed: number | null; finds: (Found | null)[]; stop: () => void }[],
  }
})

vi.mock('./studio', () => ({ useStudio: () => studio }))
vi.mock('~/workers/hired', () => ({
  WorkerGone: class extends Error {},
  hired: () => {
    const searcher = { seed: null as number | null, finds: [] as unknown[], stop: vi.fn() }
    searchers.push(searcher as never)
    const worker = {
      begin: (_: unknown, seed: number) => {
        searcher.seed = seed
        return Promise.resolve(searcher.finds.shift() ?? found(9, 900))
      },
      improve: () => Promise.resolve(searcher.finds.shift() ?? null),
    }
    return { ask: (question: (of: typeof worker) => unknown) => question(worker), stop: searcher.stop }
  },
}))

const found = (sheets: number, paperMm2: number) => ({
  layout: { placements: [{ part: `${sheets} ${paperMm2}` }] } as unknown as NestLayout,
  measure: { sheets, openedMm2: sheets * 1000, paperMm2, piecesMm2: 500 },
})
const planWith = (key: string) => ({ groups: [{ search: { key, job: {} } }] })
const shown = () => studio.nest.mock.calls.map(([layouts]) => layouts as Record<string, NestLayout>)
let jobs = 0

beforeEach(() => {
  localStorage.clear()
  setActivePinia(createPinia())
  studio.nest.mockReset()
  searchers.length = 0
  jobs += 1
  studio.plan = planWith(`job ${jobs}`)
})

describe('two searches of the same job', () => {
  it('begin with seeds of their own, and the better of what they find is shown', async () => {
    const nesting = useNesting()
    const [one, other] = searchers
    one!.finds.push(found(4, 4000), found(3, 2900), null)
    other!.finds.push(found(4, 3900), found(3, 2800), null)
    nesting.look(true)
    await whenTrue(() => expect(shown()).toHaveLength(2))
    expect([one!.seed, other!.seed]).toEqual([1, 2])
    expect(shown()).toEqual([{ [`job ${jobs}`]: found(4, 3900).layout }, { [`job ${jobs}`]: found(3, 2800).layout }])
    nesting.look(false)
  })
  it('show nothing that takes more than what is shown', async () => {
    const nesting = useNesting()
    searchers[0]!.finds.push(found(3, 2800), found(3, 2900), null, found(3, 2700))
    searchers[1]!.finds.push(found(4, 3900), null, found(3, 2850), null)
    nesting.look(true)
    await whenTrue(() => expect(shown()).toHaveLength(2))
    expect(shown().at(-1)).toEqual({ [`job ${jobs}`]: found(3, 2700).layout })
    nesting.look(false)
  })
  it('both end when layouts are no longer looked at', async () => {
    const nesting = useNesting()
    nesting.look(true)
    await whenTrue(() => expect(nesting.underWay).toBe(`job ${jobs}`))
    nesting.look(false)
    for (const { stop } of searchers) expect(stop).toHaveBeenCalled()
    expect(nesting.underWay).toBeNull()
  })
})

describe('a search that was stopped by hand', () => {
  it('stays so, also when the page is opened anew, until one is asked for', async () => {
    useNesting().pause()
    await nextTick()
    setActivePinia(createPinia())
    searchers.length = 0
    const nesting = useNesting()
    expect(nesting.isPaused).toBe(true)
    nesting.look(true)
    await nextTick()
    expect(nesting.underWay).toBeNull()
    nesting.goOn(`job ${jobs}`)
    await whenTrue(() => expect(searchers[0]!.seed).toBe(1))
    expect(usePreferences().layCloser).toBe('yes')
    nesting.look(false)
  })
})
