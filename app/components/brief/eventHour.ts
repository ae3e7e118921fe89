import { differenceInMinutes, isValid, lightFormat, parseISO } from 'date-fns'
import { parseMoment } from '#core/quantity'
import { WALL_CLOCK } from '~/composables/wallClock'

/** Whether an hour is skipped on its night because the clocks go forward then. */
export function isSkipped(text: string): boolean {
  const date = parseISO(text)
  return isValid(date) && lightFormat(date, WALL_CLOCK) !== text
}

const YEARS_AHEAD = 5

/**
 * What is wrong with an hour for an event, or an empty text. @param nowText the hour it is now, as "2026-12-05T18:30"
 */
export function eventProblem(text: string, nowText: string): string {
  if (text === '') return 'A day and an hour, please.'
  const moment = parseMoment(text)
  if (!moment.ok) return 'There is no such day or hour. Type it as 5 December 2026, 18:30.'
  if (Number(text.slice(0, 4)) > Number(nowText.slice(0, 4)) + YEARS_AHEAD)
    return 'That is more than five years away. Check the year.'
  if (isSkipped(text)) return 'The clocks go forward that night, so this hour does not exist. Take the hour after.'
  return ''
}

/** Minutes that clocks move between two hours: 60 when they go forward, -60 back, 0 when they stay. */
export function clockChangeMin(fromText: string, toText: string): number {
  const [from, to] = [parseMoment(fromText), parseMoment(toText)]
  if (!from.ok || !to.ok) return 0
  const passed = differenceInMinutes(parseISO(toText), parseISO(fromText))
  return to.value - from.value - passed
}
