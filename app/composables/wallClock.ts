/** The clock on the wall beside this machine, with its changes of the hour. The plan reckons by it alone. */
import { getSeconds, lightFormat } from 'date-fns'
import { parseMoment, valueOf, type Moment } from '#core/quantity'

/** An hour as it is typed. */
export const WALL_CLOCK = "yyyy-MM-dd'T'HH:mm"

/**
 * The moment on the wall, with the part of its minute that has passed.
 * @param worldMs milliseconds of the world's clock, as `Date.now()` has them
 */
export const wallClockAt = (worldMs: number): Moment =>
  valueOf(parseMoment(lightFormat(worldMs, WALL_CLOCK))) + getSeconds(worldMs) / 60
