import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { activityBetween, airAt, paperSheet, stiffOnCake, type Forecast } from '.'
import { coveringOf, COVERINGS } from '../material'
import { parseMoment, valueOf } from '../quantity'

const wafer = paperSheet('wafer', 0.35)
const lying = (id: Parameters<typeof coveringOf>[0], humidity: number): number =>
  stiffOnCake(wafer, coveringOf(id), { airC: 22, humidity }).lyingMin ?? Infinity

describe('set paper on the cake', () => {
  it('stays stiff for two days on what is dry or firm at 47.5 %, and goes soft on whipped cream within hours', () => {
    for (const id of ['fondant', 'setButtercream', 'ganache', 'modellingChocolate'] as const)
      expect(lying(id, 0.475)).toBe(Infinity)
    expect(lying('whippedCream', 0.475)).toBeLessThan(5 * 60)
  })
  it('standing goes soft as the reference has it: 4.7 h at 75 %, 47 min at 80 %', () => {
    const standing = (humidity: number): number =>
      stiffOnCake(wafer, coveringOf('fondant'), { airC: 22, humidity }).standingMin!
    expect(standing(0.75) / (4.7 * 60)).toBeGreaterThan(0.7)
    expect(standing(0.75) / (4.7 * 60)).toBeLessThan(1.4)
    expect(standing(0.8) / 47).toBeGreaterThan(0.7)
    expect(standing(0.8) / 47).toBeLessThan(1.6)
    expect(stiffOnCake(wafer, coveringOf('fondant'), { airC: 22, humidity: 0.7 }).standingMin).toBeNull()
  })
  it('lies never stiff for longer than it stands, nor longer in damper air', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...COVERINGS),
        fc.double({ min: 0.3, max: 0.85, noNaN: true }),
        fc.double({ min: 0.01, max: 0.1, noNaN: true }),
        (covering, humidity, damper) => {
          const [dry, damp] = [humidity, humidity + damper].map((each) =>
            stiffOnCake(wafer, covering, { airC: 22, humidity: each }),
          )
          expect(dry!.lyingMin ?? Infinity).toBeLessThanOrEqual(dry!.standingMin ?? Infinity)
          expect(damp!.standingMin ?? Infinity).toBeLessThanOrEqual(dry!.standingMin ?? Infinity)
          const between = activityBetween(covering, humidity)
          expect(between).toBeGreaterThanOrEqual(Math.min(humidity, covering.activity[0]) - 1e-9)
          expect(between).toBeLessThanOrEqual(Math.max(humidity, covering.activity[1]) + 1e-9)
        },
      ),
      { numRuns: 25 },
    ))
})

describe('the air of a forecast', () => {
  const days: Forecast = {
    days: Array.from({ length: 10 }, (_, at) => ({
      date: `2026-12-${String(at + 1).padStart(2, '0')}`,
      day: { airC: 22, humidity: 0.5 + at / 100 },
      night: { airC: 17, humidity: 0.62 },
    })),
  }
  const at = (text: string) => airAt(days, valueOf(parseMoment(text)))
  it('is that of the day by day and of the night by night', () => {
    expect(at('2026-12-03T12:00')).toEqual({ airC: 22, humidity: 0.52 })
    expect(at('2026-12-03T23:00')).toEqual({ airC: 17, humidity: 0.62 })
    expect(at('2026-12-03T03:00')).toEqual({ airC: 17, humidity: 0.62 })
  })
  it('is not known beyond its days', () =>
    expect([at('2026-11-30T12:00'), at('2026-12-11T12:00')]).toEqual([null, null]))
})
