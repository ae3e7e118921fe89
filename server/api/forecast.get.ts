import { defineEventHandler, getQuery } from 'h3'
import { dayOf, parseMoment } from '#core/quantity'
import { ownDevices } from '../asked/browser'
import { refused } from '../asked/refused'
import { forecastFrom } from '../simulate/weather'

const SLOW_MS = 12_000

/** Ten days of workroom air from the day that is asked for: `?from=2026-12-01T09:00`. */
export default defineEventHandler(async (event) => {
  const from = parseMoment(String(getQuery(event).from ?? ''))
  if (!from.ok) throw refused(422, 'From when is a day and an hour such as 2026-12-01T09:00.')
  const forecast = forecastFrom(dayOf(from.value))
  switch (ownDevices(event).standIns.forecast) {
    case 'none':
      return forecast
    case 'refused':
      throw refused(503, 'There is no forecast.')
    case 'unreadable':
      return 'sunny later'
    case 'nonsense':
      return { days: forecast.days.map((day) => ({ ...day, day: { ...day.day, humidity: 7 } })) }
    case 'short':
      return { days: forecast.days.slice(0, 3) }
    case 'slow':
      return new Promise((resolve) => {
        setTimeout(() => resolve(forecast), SLOW_MS)
      })
  }
})
