import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { demoCommission, demoWorkshop } from '#core/demo'
import type { Plan, PlanInputs, TallyFigure } from '#core/plan'
import { planner } from './planning'

type Asked = {
  readonly inputs: PlanInputs
  readonly known?: number
  readonly tellAhead?: (figures: readonly TallyFigure[]) => void
  readonly answer: (plan: Plan, since?: number) => void
  readonly fail: (reason: unknown) => void
}
const asked: Asked[] = []

const worker = {
  derive: (inputs: PlanInputs) =>
    new Promise((resolve, reject) => {
      asked.push({ inputs, answer: resolve, fail: reject })
    }),
  deriveChanges: (inputs: PlanInputs, known: number, tellAhead: (figures: readonly TallyFigure[]) => void) =>
    new Promise((resolve, reject) => {
      asked.push({
        inputs,
        known,
        tellAhead,
        answer: (changes, since = 0) => resolve({ changes: { fields: changes, lists: {} }, since, number: known + 1 }),
        fail: reject,
      })
    }),
}
const stop = vi.fn()
vi.mock('~/workers/hired', () => ({
  hired: () => ({ ask: (question: (of: typeof worker) => unknown) => question(worker), stop }),
}))

const inputsAt = (now: number): PlanInputs => ({
  commission: demoCommission(0),
  workshop: demoWorkshop(),
  now,
  units: 'metric',
})
const planNamed = (name: string): Plan => ({ name }) as unknown as Plan
const settled = (): Promise<void> =>
  new Promise((resolve) => {
    setTimeout(resolve, 0)
  })

beforeEach(() => {
  asked.length = 0
  stop.mockReset()
})

afterEach(() => vi.restoreAllMocks())

describe('asking for plans', () => {
  it('gives each answer on, and says when there is none', async () => {
    const [received, failed] = [vi.fn(), vi.fn()]
    const { ask } = planner(received, vi.fn(), failed)
    ask(inputsAt(1))
    asked[0]!.answer(planNamed('first'))
    await settled()
    expect(received).toHaveBeenCalledWith(planNamed('first'))
    ask(inputsAt(2))
    asked[1]!.fail(new Error('no'))
    await settled()
    expect(failed).toHaveBeenCalledTimes(1)
  })

  it('while it is busy keeps only the newest question, and never shows an old answer', async () => {
    const received = vi.fn()
    const { ask } = planner(received, vi.fn(), vi.fn())
    ask(inputsAt(1))
    ask(inputsAt(2))
    ask(inputsAt(3))
    expect(asked).toHaveLength(1)
    asked[0]!.answer(planNamed('old'))
    await settled()
    expect(received).not.toHaveBeenCalled()
    expect(asked.map(({ inputs }) => inputs.now)).toEqual([1, 3])
    asked[1]!.answer(planNamed('new'))
    await settled()
    expect(received).toHaveBeenCalledExactlyOnceWith(planNamed('new'))
  })

  it('hears the figures that are ahead of a plan, unless something newer waits', () => {
    const heard = vi.fn()
    const { ask } = planner(vi.fn(), heard, vi.fn())
    const pieces = (label: string): TallyFigure => ({ id: 'pieces', label, working: null, beside: '', none: '' })
    ask(inputsAt(1))
    asked[0]!.tellAhead!([pieces('first')])
    expect(heard).toHaveBeenCalledExactlyOnceWith([pieces('first')])
    ask(inputsAt(2))
    asked[0]!.tellAhead!([pieces('old')])
    expect(heard).toHaveBeenCalledTimes(1)
  })

  it('tells of no failure of what nobody waits for any more', async () => {
    const [received, failed] = [vi.fn(), vi.fn()]
    const { ask } = planner(received, vi.fn(), failed)
    ask(inputsAt(1))
    ask(inputsAt(2))
    asked[0]!.fail(new Error('no'))
    await settled()
    expect(failed).not.toHaveBeenCalled()
    asked[1]!.fail(new Error('no'))
    await settled()
    expect(failed).toHaveBeenCalledTimes(1)
  })

  it('gives up what is worked out for very long, once something newer is asked', () => {
    const hour = vi.spyOn(performance, 'now').mockReturnValue(0)
    const { ask } = planner(vi.fn(), vi.fn(), vi.fn())
    ask(inputsAt(1))
    hour.mockReturnValue(9_000)
    ask(inputsAt(2))
    expect(stop).not.toHaveBeenCalled()
    hour.mockReturnValue(11_000)
    ask(inputsAt(3))
    expect(stop).toHaveBeenCalledTimes(1)
  })

  it('lays what changed over the plan before, though that was never shown', async () => {
    const received = vi.fn()
    const { ask } = planner(received, vi.fn(), vi.fn())
    ask(inputsAt(1))
    ask(inputsAt(2))
    expect(asked[0]!.known).toBe(0)
    asked[0]!.answer({ discs: 'nine', sheets: 'twelve' } as unknown as Plan)
    await settled()
    expect(asked[1]!.known).toBe(1)
    asked[1]!.answer({ sheets: 'eleven' } as unknown as Plan, 1)
    await settled()
    expect(received).toHaveBeenCalledExactlyOnceWith({ discs: 'nine', sheets: 'eleven' })
  })

  it('leaves pictures and notes behind, and asks beside without showing', async () => {
    const received = vi.fn()
    const { once } = planner(received, vi.fn(), vi.fn())
    const inputs = inputsAt(1)
    inputs.commission.brief.photos.push({
      id: 'a',
      name: 'a',
      dataUrl: 'data:image/png;base64,AA==',
      widthPx: 1,
      heightPx: 1,
    })
    const answer = once(inputs)
    expect(asked[0]!.inputs.commission.brief).toMatchObject({ photos: [], notes: '' })
    asked[0]!.answer(planNamed('beside'))
    expect(await answer).toEqual(planNamed('beside'))
    expect(received).not.toHaveBeenCalled()
  })
})
