import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  airOver,
  FORECAST_DAYS,
  forecastSchema,
  hear,
  isDamp,
  lostLine,
  NOT_HEARD,
  overdue,
  sensorSentence,
  type Forecast,
} from '.'

const says = (airC: unknown, humidity: unknown): string => JSON.stringify({ airC, humidity })
const good = hear(NOT_HEARD, says(21, 0.55), 1000)

describe('the room sensor', () => {
  it('is believed when it makes sense', () =>
    expect(good).toMatchObject({ lastGood: { airC: 21, humidity: 0.55, atMs: 1000 }, problem: null }))
  it.each([
    ['unreadable', 'fizz'],
    ['unreadable', '{"airC":"warm","humidity":0.5}'],
    ['unreadable', '{}'],
    ['implausible', says(21, 1.4)],
    ['implausible', says(-40, 0.5)],
    ['implausible', says(21, 0)],
    ['jumped', says(35, 0.55)],
    ['jumped', says(21, 0.9)],
  ])('%s: %s keeps the last good reading', (problem, message) => {
    const after = hear(good, message, 2000)
    expect(after).toMatchObject({ problem, lastGood: good.lastGood })
    expect(sensorSentence(after.problem!)).toMatch(/sensor/)
  })
  it('has nothing to plan on from nonsense alone, whatever it says', () =>
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.json()), fc.double(), (text, humidity) => {
        const { lastGood } = hear(hear(NOT_HEARD, text, 1), says(humidity, humidity), 2)
        return (
          lastGood === null ||
          (lastGood.humidity >= 0.1 && lastGood.humidity <= 0.98 && lastGood.airC >= 0 && lastGood.airC <= 45)
        )
      }),
    ))
  it('is believed again once five readings agree that the room has changed', () => {
    let state = good
    for (let at = 0; at < 4; at += 1) state = hear(state, says(21, 0.8), 2000 + at)
    expect(state.problem).toBe('jumped')
    expect(hear(state, says(21, 0.8), 3000)).toMatchObject({ problem: null, lastGood: { humidity: 0.8 } })
  })
  it('says when it falls silent or its line is lost, and keeps what it had', () => {
    expect(overdue(good, 1500)).toEqual(good)
    expect(overdue(good, 60_000)).toMatchObject({ problem: 'silent', lastGood: good.lastGood })
    expect(overdue(lostLine(good), 60_000)).toMatchObject({ problem: 'lost', lastGood: good.lastGood })
  })
})

describe('the forecast', () => {
  const day = (humidity: number, nightHumidity = humidity): Forecast['days'][number] => ({
    date: '2026-12-01',
    day: { airC: 21, humidity },
    night: { airC: 18, humidity: nightHumidity },
  })
  it('is taken only whole: ten days that make sense', () => {
    const days = Array.from({ length: FORECAST_DAYS }, () => day(0.5))
    expect(forecastSchema.safeParse({ days }).success).toBe(true)
    expect(forecastSchema.safeParse({ days: days.slice(1) }).success).toBe(false)
    expect(forecastSchema.safeParse({ days: [...days.slice(1), day(7)] }).success).toBe(false)
  })
  it('marks days whose day or night is damp', () =>
    expect([isDamp(day(0.5)), isDamp(day(0.7)), isDamp(day(0.5, 0.64))]).toEqual([false, true, true]))
  it('is planned on by its dampest hour', () => {
    expect(airOver([day(0.5, 0.58), day(0.54)])).toEqual({ airC: 19.5, humidity: 0.58 })
    expect(airOver([])).toBeNull()
  })
})
