import { FORECAST_DAYS, type Forecast } from '#core/dry'
import { between, momentText, MINUTES_PER_DAY, seededStream, seedFor, weekdayOf, type Moment } from '#core/quantity'

const DAMP_FROM_WEEKDAY = 2
const DAMP_TO_WEEKDAY = 4
const tenth = (value: number): number => Math.round(value * 10) / 10
const hundredth = (value: number): number => Math.round(value * 100) / 100

/**
 * Ten days of workroom air from a day on, the same for the same day: mild, with a damp spell in the middle of each
 * week.
 */
export function forecastFrom(day: Moment): Forecast {
  return {
    days: Array.from({ length: FORECAST_DAYS }, (_, ahead) => {
      const midnight = day + ahead * MINUTES_PER_DAY
      const stream = seededStream(seedFor(417, midnight / MINUTES_PER_DAY))
      const weekday = weekdayOf(midnight)
      const damp = weekday >= DAMP_FROM_WEEKDAY && weekday <= DAMP_TO_WEEKDAY
      const humidity = damp ? between(stream, 0.6, 0.7) : between(stream, 0.46, 0.57)
      const airC = between(stream, 19.5, 22)
      return {
        date: momentText(midnight).slice(0, 10),
        day: { airC: tenth(airC), humidity: hundredth(humidity) },
        night: {
          airC: tenth(airC - between(stream, 1.5, 3)),
          humidity: hundredth(humidity + between(stream, 0.02, 0.05)),
        },
      }
    }),
  }
}
