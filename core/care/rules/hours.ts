/** What may go wrong with hours, road and venue. */
import { dayClockText, percent, printDuration } from '../../quantity'
import { rule, ruleOf, type Rule } from './rule'

export const HOUR_RULES: readonly Rule[] = [
  rule(
    'start-passed',
    'timetable',
    'stop',
    ({ startBy, now }) => startBy !== null && startBy < now,
    ({ startBy }) =>
      `The hour to start, ${dayClockText(startBy!)}, has passed. Use an oven, add a mat, make fewer pieces or work more hours.`,
  ),
  rule(
    'start-soon',
    'timetable',
    'look',
    ({ startBy, now }) => startBy !== null && startBy >= now && startBy - now < 24 * 60,
    ({ startBy, now }) => `Only ${printDuration(startBy! - now)} left until you must start.`,
  ),
  rule(
    'unsure',
    'timetable',
    'look',
    ({ unsure }) => unsure !== null,
    ({ unsure }) =>
      `Ready in time with about ${percent(unsure!.chance)}, not the ${percent(unsure!.wanted)} you plan for, however early ` +
      `you begin. ${unsure!.help.length > 0 ? `What helps: ${unsure!.help.join('; ')}.` : 'Do less at once, or dry in another way.'}`,
  ),
  rule(
    'no-timetable',
    'timetable',
    'stop',
    ({ timetableProblem }) => timetableProblem !== null,
    ({ timetableProblem }) => timetableProblem!,
  ),
  rule(
    'venue-closed',
    'brief',
    'look',
    ({ atVenueBy, venueOpensAt }) => atVenueBy !== null && atVenueBy < venueOpensAt,
    ({ atVenueBy, venueOpensAt }) =>
      `The work wants you at the venue by ${dayClockText(atVenueBy!)}, but it opens at ` +
      `${dayClockText(venueOpensAt)}. Place fewer decorations there, or complete before driving.`,
  ),
  rule(
    'warm-car',
    'brief',
    'look',
    ({ chilled, coolCar, roadMin }) => chilled !== null && !coolCar && roadMin > 30,
    ({ roadMin }) =>
      `A filling that must stay chilled is ${printDuration(roadMin)} on the road in a ` +
      `warm car. Cool the car, or ask what your local food rules allow.`,
  ),
  rule(
    'dairy',
    'brief',
    'look',
    ({ dairyCoverings }) => dairyCoverings.length > 0,
    ({ dairyCoverings }) =>
      `No dairy was asked, and ${dairyCoverings.join(' and ')} is usually made with it. Use a recipe without, or another covering.`,
  ),
  rule(
    'event-past',
    'brief',
    'stop',
    ({ eventAt, now }) => eventAt < now,
    ({ eventAt }) => `The event, ${dayClockText(eventAt)}, has gone by. Set its day and hour.`,
  ),
  ruleOf(
    'laid-too-early',
    'timetable',
    'look',
    ({ laidTooEarly }) => laidTooEarly,
    ({ name, covering, from }) =>
      `${name} on ${covering} goes soft: not on the cake before ${dayClockText(from)}. ` +
      `Place it at the venue, or put a thin film of fat between.`,
  ),
]
