import { describe, expect, it } from 'vitest'
import { luckOf } from './luck'

describe('luck', () => {
  const luck = luckOf(1, 2000)
  it('hangs on what it is of, not on what was asked before', () => {
    const other = luckOf(1, 2000)
    const asked = ['cut', 'wash', 'place'].map((of) => other.deviations(of))
    expect([...luck.deviations('place')]).toEqual([...asked[2]!])
    expect(luck.deviations('cut')[0]).not.toBe(luck.deviations('wash')[0])
    expect(luck.shares('cut')[0]).not.toBe(luckOf(2, 2000).shares('cut')[0])
  })
  it('begins alike however many lives there are', () =>
    expect([...luckOf(1, 10).deviations('cut')]).toEqual([...luck.deviations('cut').slice(0, 10)]))
  it('is spread as it should be: normal deviations, even shares', () => {
    const mean = (all: Float64Array): number => all.reduce((sum, each) => sum + each, 0) / all.length
    const normal = luck.deviations('cut')
    expect(Math.abs(mean(normal))).toBeLessThan(0.08)
    expect(mean(normal.map((each) => each ** 2))).toBeCloseTo(1, 0)
    expect(normal.filter((each) => each > 1.2816).length / 2000).toBeCloseTo(0.1, 1)
    expect(luck.shares('cut').filter((each) => each < 0.04).length / 2000).toBeCloseTo(0.04, 1)
  })
})
