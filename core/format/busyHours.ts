/** Hours at which somebody cannot work, out of a calendar file. */
import ICAL from 'ical.js'
import { ok, refuse, type Moment, type Result } from '../quantity'

export type BusyHours = { readonly id: string; readonly name: string; readonly from: Moment; readonly to: Moment }

export type CalendarProblem =
  | { readonly code: 'not-a-calendar' }
  | { readonly code: 'too-large'; readonly bytes: number }
  | { readonly code: 'damaged'; readonly entry: string; readonly why: Damage }
  | { readonly code: 'nothing-in-it' }

/** What an entry, or the zone it is told in, lacks. */
type Damage = 'no-beginning' | 'no-date' | 'repeats-too-often' | 'clocks-too-often'

const LARGEST_BYTES = 4_000_000
const MOST_ENTRIES = 400
/** A daily entry of a hundred years is followed to its end; what repeats by the minute is not. */
const MOST_STEPS = 40_000
const MINUTE_MS = 60_000

/** Local minutes since the beginning of 1970 of a moment by the world's clock, with the daylight time of that day. */
export type LocalMinutes = (worldMs: number) => Moment

/** A floating time is what it says; one with a zone is turned to the hour it is here. */
function momentOf(time: ICAL.Time, local: LocalMinutes): Moment {
  const { year, month, day, hour, minute } = time
  return time.zone === ICAL.Timezone.localTimezone || time.isDate
    ? Date.UTC(year, month - 1, day, hour, minute) / MINUTE_MS
    : local(time.toJSDate().getTime())
}

/** An entry that does not hold together: the whole file is refused for it. */
class DamagedEntry extends Error {
  constructor(
    readonly entry: string,
    readonly why: Damage,
  ) {
    super(`${entry}: ${why}`)
  }
}

/**
 * Entries that fall into a stretch of time, repeated ones each time they do and where they were moved to; entries marked
 * as free, called off, and whole days are left out.
 *
 * @param own ids that end so are Lamellon's own and not counted
 */
export function readBusyHours(
  text: string,
  from: Moment,
  to: Moment,
  local: LocalMinutes,
  own: string,
): Result<readonly BusyHours[], CalendarProblem> {
  if (text.length > LARGEST_BYTES) return refuse({ code: 'too-large', bytes: text.length })
  const calendar = parsed(text)
  if (!calendar) return refuse({ code: 'not-a-calendar' })
  const zones: ICAL.Timezone[] = []
  try {
    for (const each of calendar.getAllSubcomponents('vtimezone')) zones.push(zoneOf(each))
    for (const zone of zones) ICAL.TimezoneService.register(zone)
    const busy = hoursIn(calendar, from, to, local, own)
    return busy.length === 0
      ? refuse({ code: 'nothing-in-it' })
      : ok([...busy].sort((one, other) => one.from - other.from).slice(0, MOST_ENTRIES))
  } catch (reason) {
    if (reason instanceof DamagedEntry) return refuse({ code: 'damaged', entry: reason.entry, why: reason.why })
    return refuse({ code: 'not-a-calendar' })
  } finally {
    for (const { tzid } of zones) ICAL.TimezoneService.remove(tzid)
  }
}

function parsed(text: string): ICAL.Component | null {
  try {
    const calendar = new ICAL.Component(ICAL.parse(text) as string[])
    return calendar.name === 'vcalendar' ? calendar : null
  } catch {
    return null
  }
}

/** Clocks are changed once or twice a year: the library would follow every change up to now. */
function zoneOf(component: ICAL.Component): ICAL.Timezone {
  const zone = new ICAL.Timezone(component)
  for (const change of component.getAllSubcomponents()) {
    const rule = change.getFirstPropertyValue('rrule')
    if (rule instanceof ICAL.Recur && rule.freq !== 'YEARLY') throw new DamagedEntry(zone.tzid, 'clocks-too-often')
  }
  return zone
}

/** Every hour of every entry that falls into a stretch. */
function hoursIn(
  calendar: ICAL.Component,
  from: Moment,
  to: Moment,
  local: LocalMinutes,
  own: string,
): readonly BusyHours[] {
  const events = calendar.getAllSubcomponents('vevent').map((component) => ({
    component,
    event: new ICAL.Event(component),
    isCalledOff: component.getFirstPropertyValue('status') === 'CANCELLED',
  }))
  // An instance that was moved or called off stands in the file as an entry of its own, with the hour it had.
  const movedOf = new Map<string, Set<Moment>>()
  for (const { event } of events)
    if (event.isRecurrenceException()) {
      const moved = movedOf.get(event.uid) ?? new Set<Moment>()
      movedOf.set(event.uid, moved.add(momentIn(event, event.recurrenceId, local)))
    }
  return events.flatMap(({ component, event, isCalledOff }): readonly BusyHours[] => {
    const isFree = component.getFirstPropertyValue('transp') === 'TRANSPARENT'
    if (isCalledOff || isFree || event.uid?.endsWith(own)) return []
    if (!component.hasProperty('dtstart')) throw new DamagedEntry(nameOf(event), 'no-beginning')
    if (event.startDate.isDate) return []
    const lastsMin = event.duration.toSeconds() / 60
    if (!Number.isFinite(lastsMin)) throw new DamagedEntry(nameOf(event), 'no-date')
    if (lastsMin <= 0) return []
    const moved = event.isRecurrenceException() ? undefined : movedOf.get(event.uid)
    return startsOf(event, from - lastsMin, to, local)
      .filter((start) => !moved?.has(start))
      .map((start) => ({
        id: `${event.uid ?? event.summary} ${start}`.slice(0, 200),
        name: nameOf(event),
        from: start,
        to: start + lastsMin,
      }))
  })
}

const nameOf = ({ summary }: ICAL.Event): string => (summary ?? 'busy').slice(0, 120)

/** Before the one and after the other nobody has an appointment; repeats from the year 2 would be followed for ever. */
const [FIRST_YEAR, LAST_YEAR] = [1970, 2200]

function momentIn(event: ICAL.Event, time: ICAL.Time, local: LocalMinutes): Moment {
  const moment = momentOf(time, local)
  const isYear = time.year >= FIRST_YEAR && time.year <= LAST_YEAR
  if (!Number.isFinite(moment) || !isYear) throw new DamagedEntry(nameOf(event), 'no-date')
  return moment
}

/** When an entry begins, each time it does after a moment and before another. */
function startsOf(event: ICAL.Event, after: Moment, before: Moment, local: LocalMinutes): readonly Moment[] {
  const isIn = (start: Moment): boolean => start > after && start < before
  if (!event.isRecurring()) return [momentIn(event, event.startDate, local)].filter(isIn)
  momentIn(event, event.startDate, local)
  const iterator = event.iterator()
  const starts: Moment[] = []
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const next = iterator.next()
    const start = next ? momentIn(event, next, local) : Infinity
    if (start >= before) return starts
    if (isIn(start)) starts.push(start)
  }
  throw new DamagedEntry(nameOf(event), 'repeats-too-often')
}

const DAMAGE_WORDS: Readonly<Record<Damage, (entry: string) => string>> = {
  'no-beginning': (entry) => `“${entry}” says no hour at which it begins.`,
  'no-date': (entry) => `“${entry}” has a date that is none.`,
  'repeats-too-often': (entry) => `“${entry}” repeats more often than can be followed.`,
  'clocks-too-often': (entry) => `In the time zone “${entry}” clocks change more often than once a year.`,
}

/** Why a calendar was refused, for the person who opened it. */
export function calendarSentence(problem: CalendarProblem): string {
  switch (problem.code) {
    case 'not-a-calendar':
      return 'This is no calendar. Export one as an .ics file.'
    case 'too-large':
      return `The calendar is too large (${Math.round(problem.bytes / 1e6)} MB). Export only the weeks before the event.`
    case 'damaged':
      return `${DAMAGE_WORDS[problem.why](problem.entry)} Nothing was taken: mend or remove it, and export again.`
    case 'nothing-in-it':
      return 'No hours in it fall into the weeks before the event.'
  }
}
