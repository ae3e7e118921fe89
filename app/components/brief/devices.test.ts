import { effectScope, nextTick } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Forecast } from '#core/dry'
import { shrinkPhoto } from './photos'
import { useForecast } from './useForecast'
import { useRoomSensor } from './useRoomSensor'

/** A line that tests speak into. */
class FakeLine {
  static open: FakeLine[] = []
  onmessage: ((event: { data: string }) => void) | null = null
  onerror: (() => void) | null = null
  closed = false
  constructor(readonly url: string) {
    FakeLine.open.push(this)
  }
  close(): void {
    this.closed = true
  }
}

const days: Forecast['days'] = Array.from({ length: 10 }, (_, at) => ({
  date: `2026-12-${String(at + 1).padStart(2, '0')}`,
  day: { airC: 21, humidity: 0.5 },
  night: { airC: 18, humidity: 0.55 },
}))

beforeEach(() => {
  FakeLine.open = []
  vi.stubGlobal('EventSource', FakeLine)
  vi.useFakeTimers()
})

afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('the line to the room sensor', () => {
  it('is open only while somebody looks', () => {
    const scope = effectScope()
    const sensor = scope.run(useRoomSensor)!
    expect(FakeLine.open).toHaveLength(0)
    sensor.toggle()
    expect(FakeLine.open[0]!.url).toBe('/api/room')
    sensor.toggle()
    expect(FakeLine.open[0]!.closed).toBe(true)
    sensor.toggle()
    scope.stop()
    expect(FakeLine.open[1]!.closed).toBe(true)
  })

  it('takes good readings and keeps the last of them through nonsense', async () => {
    const sensor = effectScope().run(useRoomSensor)!
    sensor.toggle()
    FakeLine.open[0]!.onmessage!({ data: '{"airC":21.5,"humidity":0.57}' })
    FakeLine.open[0]!.onmessage!({ data: '{"airC":-273,"humidity":7}' })
    await nextTick()
    expect(sensor.state.value).toMatchObject({ problem: 'implausible', lastGood: { airC: 21.5, humidity: 0.57 } })
  })

  it('says when it falls silent', () => {
    const sensor = effectScope().run(useRoomSensor)!
    sensor.toggle()
    FakeLine.open[0]!.onmessage!({ data: '{"airC":21.5,"humidity":0.57}' })
    vi.advanceTimersByTime(60_000)
    expect(sensor.state.value.problem).toBe('silent')
  })

  it('tries again when the line is lost', () => {
    const sensor = effectScope().run(useRoomSensor)!
    sensor.toggle()
    FakeLine.open[0]!.onerror!()
    expect(sensor.state.value.problem).toBe('lost')
    vi.advanceTimersByTime(5000)
    expect(FakeLine.open).toHaveLength(2)
    FakeLine.open[1]!.onmessage!({ data: '{"airC":20,"humidity":0.5}' })
    expect(sensor.state.value.problem).toBeNull()
  })
})

describe('the forecast', () => {
  const answer = (status: number, body: unknown) =>
    vi.stubGlobal(
      'fetch',
      vi.fn(() => Promise.resolve(new Response(JSON.stringify(body), { status }))),
    )

  it('is taken whole and kept through a worse one', async () => {
    const { last, problem, ask } = useForecast()
    answer(503, {})
    await ask('2026-12-01T09:00')
    expect(problem.value).toContain('refused')
    expect(problem.value).toContain('Plan by hand')
    answer(200, { days })
    await ask('2026-12-01T09:00')
    expect(problem.value).toBe('')
    expect(last.value!.forecast.days).toHaveLength(10)
    answer(200, { days: days.slice(2) })
    await ask('2026-12-02T09:00')
    expect(problem.value).toContain('does not make sense')
    expect(problem.value).toContain('last good one')
    expect(last.value!.from).toBe('2026-12-01T09:00')
  })

  it('that cannot be read, or does not come, says so', async () => {
    const { problem, ask, asking } = useForecast()
    vi.stubGlobal(
      'fetch',
      vi.fn(() => Promise.resolve(new Response('sunny', { status: 200 }))),
    )
    await ask('2026-12-01T09:00')
    expect(problem.value).toContain('does not make sense')
    vi.stubGlobal(
      'fetch',
      vi.fn(() => Promise.reject(new DOMException('late', 'TimeoutError'))),
    )
    await ask('2026-12-01T09:00')
    expect(problem.value).toContain('in time')
    expect(asking.value).toBe(false)
  })
})

describe('pictures', () => {
  it.each([
    [new File(['eggs'], 'list.txt', { type: 'text/plain' }), /list.txt is not a picture/],
    [new File(['no pixels'], 'broken.png', { type: 'image/png' }), /cannot be read/],
  ])('that are none are refused by name', async (file, words) => {
    vi.stubGlobal(
      'createImageBitmap',
      vi.fn(() => Promise.reject(new Error('broken'))),
    )
    const result = await shrinkPhoto(file)
    expect('sentence' in result && result.sentence).toMatch(words)
  })

  it('that are far too large are not even opened', async () => {
    const opened = vi.fn()
    vi.stubGlobal('createImageBitmap', opened)
    const file = new File(['x'], 'huge.png', { type: 'image/png' })
    Object.defineProperty(file, 'size', { value: 90_000_000 })
    expect(await shrinkPhoto(file)).toMatchObject({ sentence: expect.stringContaining('larger than 40 MB') })
    expect(opened).not.toHaveBeenCalled()
  })
})
