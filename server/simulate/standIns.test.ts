import { describe, expect, it } from 'vitest'
import { forecastSchema, hear, isDamp, NOT_HEARD } from '#core/dry'
import { dayOf, parseMoment, valueOf } from '#core/quantity'
import { devicesOf } from './devices'
import { sensorMessage } from './room'
import { ALL_WELL, standInsChangeSchema } from './standIns'
import { forecastFrom } from './weather'

const day = dayOf(valueOf(parseMoment('2026-11-24T09:00')))
const noon = Date.UTC(2026, 10, 24, 12)

describe('the simulated room sensor', () => {
  it('sends readings that are believed, at any hour of the day', () => {
    for (let hour = 0; hour < 24; hour += 1) {
      const state = hear(NOT_HEARD, sensorMessage(noon + hour * 3_600_000, 'none')!, 1)
      expect(state.problem).toBeNull()
      expect(state.lastGood!.airC).toBeGreaterThan(18)
      expect(state.lastGood!.airC).toBeLessThan(24)
      expect(state.lastGood!.humidity).toBeGreaterThan(0.45)
      expect(state.lastGood!.humidity).toBeLessThan(0.65)
    }
  })

  it('moves a little from one reading to the next, as air does', () => {
    const readings = Array.from({ length: 20 }, (_, at) => sensorMessage(noon + at * 2000, 'none'))
    expect(new Set(readings).size).toBeGreaterThan(3)
  })

  it.each(['nonsense', 'unreadable'] as const)('with the fault “%s” sends what is not believed', (fault) => {
    expect(hear(NOT_HEARD, sensorMessage(noon, fault)!, 1)).toMatchObject({
      lastGood: null,
      problem: expect.any(String),
    })
  })

  it('that jumps is doubted after a good reading', () => {
    const good = hear(NOT_HEARD, sensorMessage(noon, 'none')!, 1)
    const jumped = [0, 2000].map((later) => hear(good, sensorMessage(noon + later, 'jumping')!, 2))
    expect(jumped.some(({ problem }) => problem === 'jumped')).toBe(true)
    jumped.forEach(({ lastGood }) => expect(lastGood!.airC).toBeLessThan(30))
  })

  it.each(['off', 'silent', 'dropped'] as const)('with the fault “%s” sends nothing', (fault) => {
    expect(sensorMessage(noon, fault)).toBeNull()
  })
})

describe('the simulated forecast', () => {
  it('is one that the studio takes, for any day', () => {
    for (let ahead = 0; ahead < 30; ahead += 1) {
      expect(forecastSchema.safeParse(forecastFrom(day + ahead * 1440)).success).toBe(true)
    }
  })

  it('says the same of a day whenever it is asked', () => {
    expect(forecastFrom(day).days[3]).toEqual(forecastFrom(day + 2 * 1440).days[1])
    expect(forecastFrom(day)).toEqual(forecastFrom(day))
  })

  it('has a damp spell in the middle of the week and dry days besides', () => {
    const damp = forecastFrom(day).days.filter(isDamp).length
    expect(damp).toBeGreaterThan(1)
    expect(damp).toBeLessThan(8)
  })

  it('is cooler and damper by night', () => {
    for (const { day: byDay, night } of forecastFrom(day).days) {
      expect(night.airC).toBeLessThan(byDay.airC)
      expect(night.humidity).toBeGreaterThan(byDay.humidity)
    }
  })
})

describe('stand-ins of a browser', () => {
  it('are its own: what one is switched to, another is not', () => {
    devicesOf('one').standIns = { ...ALL_WELL, sensor: 'silent' }
    expect(devicesOf('two').standIns).toEqual(ALL_WELL)
    expect(devicesOf('one').standIns.sensor).toBe('silent')
  })
  it('are let go when so many others were asked for since', () => {
    devicesOf('old').standIns = { ...ALL_WELL, cutter: 'lost' }
    for (let other = 0; other < 199; other += 1) devicesOf(`other ${other}`)
    expect(devicesOf('old').standIns.cutter).toBe('lost')
    for (let other = 0; other < 200; other += 1) devicesOf(`another ${other}`)
    expect(devicesOf('old').standIns).toEqual(ALL_WELL)
  })
  it('know only their own faults', () => {
    expect(standInsChangeSchema.safeParse({ sensor: 'silent' }).success).toBe(true)
    expect(standInsChangeSchema.safeParse({ sensor: 'melted' }).success).toBe(false)
    expect(standInsChangeSchema.safeParse({ toaster: 'none' }).success).toBe(false)
  })
})
