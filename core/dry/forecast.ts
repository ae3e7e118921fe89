/** Ten days of air in the workroom as the weather will make it, by day and by night. */
import { z } from 'zod'
import { dayOf, momentText, type Moment } from '../quantity'
import { climateSchema, type Climate } from './air'

const daySchema = z.strictObject({
  date: z.string().regex(/^\d{4}-\d{2}-\d{2}$/),
  day: climateSchema,
  night: climateSchema,
})

export const FORECAST_DAYS = 10

export const forecastSchema = z.strictObject({ days: z.array(daySchema).length(FORECAST_DAYS) })

export type Forecast = z.infer<typeof forecastSchema>

/** From this humidity on, soaked film is unlikely to set hard. @see core/dry/readiness */
const DAMP = 0.62

/** Whether a day is damp enough to keep film from setting, by day or by night. */
export const isDamp = ({ day, night }: Forecast['days'][number]): boolean =>
  Math.max(day.humidity, night.humidity) >= DAMP

/**
 * The air to plan on over some days: the mean of warmth, and the dampest humidity, so that the plan is safe on each of
 * them. Null for no days.
 */
export function airOver(days: readonly Forecast['days'][number][]): Climate | null {
  const all = days.flatMap(({ day, night }) => [day, night])
  if (all.length === 0) return null
  return {
    airC: Math.round((all.reduce((sum, { airC }) => sum + airC, 0) / all.length) * 10) / 10,
    humidity: Math.max(...all.map(({ humidity }) => humidity)),
  }
}

const DAY_FROM_MIN = 8 * 60
const DAY_TO_MIN = 20 * 60

/** The air at a moment, as a forecast has it; null beyond its days. */
export function airAt({ days }: Forecast, moment: Moment): Climate | null {
  const date = momentText(moment).slice(0, 10)
  const here = days.find((each) => each.date === date)
  if (!here) return null
  const minute = moment - dayOf(moment)
  return minute >= DAY_FROM_MIN && minute < DAY_TO_MIN ? here.day : here.night
}
