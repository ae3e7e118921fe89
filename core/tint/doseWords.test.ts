import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { POWDER_G_PER_ML } from '../material'
import { doseWords, levelSpoons, powderG } from './doseWords'

describe('how much of a dye is measured out', () => {
  it('drops are counted, more than thirty are measured: 40 × 0.045 = 1.8 ml', () => {
    expect(doseWords({ base: 'water' }, 1, 'metric')).toEqual({ amount: '1 drop', beside: '' })
    expect(doseWords({ base: 'sugarGel' }, 40, 'metric')).toEqual({ amount: '40 drops', beside: '1.8 ml' })
  })
  it('a powder is weighed, or taken by level spoons', () => {
    expect(doseWords({ base: 'powder' }, 124, 'metric')).toEqual({ amount: '1.24 g', beside: 'level ⅜ teaspoon' })
    expect(doseWords({ base: 'powder' }, 12, 'imperial').beside).toContain('less than a level ⅛')
    expect(levelSpoons(5)).toBe('level 1 teaspoon')
    expect(levelSpoons(7.6)).toBe('level 1 ½ teaspoons')
  })
  it('a level spoon is never further from the weight than a sixteenth of a spoon', () =>
    fc.assert(
      fc.property(fc.integer({ min: 19, max: 4000 }), (drops) => {
        const ml = powderG(drops) / POWDER_G_PER_ML
        const [, whole, part] = /^level (?:(\d+) ?)?([⅛¼⅜½⅝¾⅞])? ?teaspoons?$/.exec(levelSpoons(ml)) ?? []
        const eighths = 8 * Number(whole ?? 0) + (part ? '⅛¼⅜½⅝¾⅞'.indexOf(part) + 1 : 0)
        expect(Math.abs(eighths * 0.625 - ml)).toBeLessThanOrEqual(0.3125 + 1e-9)
      }),
    ))
})
