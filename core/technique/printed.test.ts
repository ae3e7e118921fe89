import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { boxPanels } from './boxPanels'
import { flatPanel } from './flatPanel'
import { printOn, PRINTS } from './printed'

const panel = fc.record({ widthMm: fc.integer({ min: 12, max: 400 }), heightMm: fc.integer({ min: 12, max: 290 }) })

describe('what is printed on a panel', () => {
  it('stays on it, whatever its size', () =>
    fc.assert(
      fc.property(fc.constantFrom(...PRINTS), panel, fc.nat(), (print, size, seed) => {
        for (const { points, widthMm } of printOn(print, size, seed)) {
          expect(widthMm).toBeGreaterThan(0)
          points.forEach(({ x, y }) => {
            expect(x).toBeGreaterThanOrEqual(0)
            expect(x).toBeLessThanOrEqual(size.widthMm)
            expect(y).toBeGreaterThanOrEqual(0)
            expect(y).toBeLessThanOrEqual(size.heightMm)
          })
        }
      }),
    ))
  it('is the same for the same seed, and sprigs lean otherwise for another', () => {
    const size = { widthMm: 200, heightMm: 100 }
    expect(printOn('sprigs', size, 4)).toEqual(printOn('sprigs', size, 4))
    expect(printOn('sprigs', size, 4)).not.toEqual(printOn('sprigs', size, 5))
    expect(printOn('plain', size, 4)).toEqual([])
  })
  it('is shown on the flat panel and does not change what is cut', () => {
    const [plain] = flatPanel.pieces({ ...flatPanel.startingParameters, print: 'plain' }, 1)
    const [printed] = flatPanel.pieces({ ...flatPanel.startingParameters, print: 'stripes' }, 1)
    expect(plain!.print).toEqual([])
    expect(printed!.print!.length).toBeGreaterThan(10)
    expect(printed!.outline).toEqual(plain!.outline)
    expect(boxPanels.pieces({ ...boxPanels.startingParameters, print: 'stripes' }, 1)[0]!.print!.length).toBe(11)
  })
})
