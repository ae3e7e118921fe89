import type { Chart } from 'chart.js'
import { expect, it } from 'vitest'
import { plan } from '../../../tests/any/demoStudio'
import { stateNames } from './dryingChart'

it('names of states are written where the curve is now, in the ink of now', () => {
  const written: { readonly ink: unknown; readonly left: number }[] = []
  const ctx = {
    fillStyle: '' as unknown,
    save: () => undefined,
    restore: () => undefined,
    measureText: () => ({ width: 10 }),
    strokeText: () => undefined,
    fillText: (_: string, left: number) => written.push({ ink: ctx.fillStyle, left }),
  }
  const scale = { getPixelForValue: (value: number) => value * 10 }
  const chart = { ctx, scales: { x: scale, y: scale }, chartArea: { right: 1e6 } } as unknown as Chart<'line'>
  const { estimate } = plan.value.dryings[0]!
  const ink = { line: '#111111', damp: '#222222', text: '#333333', grid: '#444444', paper: '#555555' }
  let shown = { estimate, roomC: 21, ink }
  const names = stateNames(() => shown)
  const draw = (): void => void names.afterDatasetsDraw!(chart, {}, {}, false as never)
  draw()
  const first = written.splice(0)
  const later = Object.fromEntries(
    Object.entries(estimate.curve.reachedMin).map(([state, minute]) => [state, minute === null ? null : minute * 2]),
  ) as typeof estimate.curve.reachedMin
  shown = {
    estimate: { ...estimate, curve: { ...estimate.curve, reachedMin: later } },
    roomC: 21,
    ink: { ...ink, text: '#eeeeee' },
  }
  draw()
  expect(first.length).toBeGreaterThan(0)
  expect(new Set(written.map((each) => each.ink))).toEqual(new Set(['#eeeeee']))
  expect(written[0]!.left - 8).toBeCloseTo(2 * (first[0]!.left - 8), 6)
})
