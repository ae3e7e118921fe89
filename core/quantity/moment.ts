import { z } from 'zod'
import { ok, refuse, type Result } from './result'

/**
 * An hour on the wall clock of the place, as whole minutes since 1970-01-01T00:00 of that same wall clock.
 * A plan is made and read in one place, so no time zone enters it; the pure calendar arithmetic of UTC serves.
 */
export type Moment = number

export const MINUTES_PER_DAY = 1440

export type MomentProblem = { readonly code: 'not-a-moment'; readonly text: string }

/** Hours are written down from the beginning of the one year to the beginning of the other. */
const FIRST_MOMENT: Moment = Date.UTC(1900, 0, 1) / 60000
const LAST_MOMENT: Moment = Date.UTC(2200, 0, 1) / 60000

/** An hour as it is kept in records. */
export const momentSchema = z.number().min(FIRST_MOMENT).max(LAST_MOMENT)

/** Reads "2026-12-05T18:30". */
export function parseMoment(text: string): Result<Moment, MomentProblem> {
  const match = /^(\d{4})-(\d{2})-(\d{2})T(\d{2}):(\d{2})$/.exec(text)
  if (!match) return refuse({ code: 'not-a-moment', text })
  const [year, month, day, hour, minute] = match.slice(1).map(Number) as [number, number, number, number, number]
  const moment = Date.UTC(year, month - 1, day, hour, minute) / 60000
  const isThere = moment >= FIRST_MOMENT && moment < LAST_MOMENT && momentText(moment) === text
  return isThere ? ok(moment) : refuse({ code: 'not-a-moment', text })
}

/** Writes a moment as "2026-12-05T18:30". */
export const momentText = (moment: Moment): string => new Date(Math.round(moment) * 60000).toISOString().slice(0, 16)

/** 0 is Sunday, 6 is Saturday. */
export const weekdayOf = (moment: Moment): number => new Date(moment * 60000).getUTCDay()

/** Midnight at the beginning of the moment's day. */
export const dayOf = (moment: Moment): Moment => Math.floor(moment / MINUTES_PER_DAY) * MINUTES_PER_DAY

const writer = (options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat =>
  new Intl.DateTimeFormat('en-GB', { timeZone: 'UTC', ...options })
const clockWriter = writer({ hour: '2-digit', minute: '2-digit', hourCycle: 'h23' })
const weekdayWriter = writer({ weekday: 'short' })
const dateWriter = writer({ weekday: 'short', day: 'numeric', month: 'short' })

/** "18:30" */
export const clockText = (moment: Moment): string => clockWriter.format(moment * 60000)
/** "Sat 18:30" */
export const dayClockText = (moment: Moment): string => `${weekdayWriter.format(moment * 60000)} ${clockText(moment)}`
/** "Sat 5 Dec" */
export const dateText = (moment: Moment): string => dateWriter.format(moment * 60000).replace(',', '')
/** "Sat 5 Dec 18:30" */
export const dateClockText = (moment: Moment): string => `${dateText(moment)} ${clockText(moment)}`
