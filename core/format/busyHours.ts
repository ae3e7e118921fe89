/** Hours at which somebody cannot work, out of a calendar file. */
import ICAL from 'ical.js'
import { ok, refuse, type Moment, type Result } from '../quantity'

export type BusyHours = { readonly id: string; readonly name: string; readonly from: Moment; readonly to: Moment }

export type CalendarProblem =
  | { readonly code: 'not-a-calendar' }
  | { readonly code: 'too-large'; readonly bytes: number }
  | { readonly code: 'nothing-in-it' }

const LARGEST_BYTES = 4_000_000
const MOST_ENTRIES = 400
const MOST_REPEATS = 400
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

/**
 * Entries that fall into a stretch of time, repeated ones each time they do; entries marked as free and whole days
 * are left out.
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
  let calendar: ICAL.Component
  try {
    calendar = new ICAL.Component(ICAL.parse(text) as string[])
  } catch {
    return refuse({ code: 'not-a-calendar' })
  }
  if (calendar.name !== 'vcalendar') return refuse({ code: 'not-a-calendar' })
  const zones = calendar.getAllSubcomponents('vtimezone').map((each) => new ICAL.Timezone(each))
  zones.forEach((zone) => ICAL.TimezoneService.register(zone))
  const busy = calendar
    .getAllSubcomponents('vevent')
    .flatMap((each): BusyHours[] => {
      const event = new ICAL.Event(each)
      if (event.uid?.endsWith(own) || event.startDate.isDate || each.getFirstPropertyValue('transp') === 'TRANSPARENT')
        return []
      const lastsMin = event.duration.toSeconds() / 60
      const starts = event.isRecurring() ? repeats(event, to, local) : [momentOf(event.startDate, local)]
      return starts
        .filter((start) => start < to && start + lastsMin > from)
        .map((start): BusyHours => ({
          id: `${event.uid ?? event.summary} ${start}`.slice(0, 200),
          name: (event.summary ?? 'busy').slice(0, 120),
          from: start,
          to: start + lastsMin,
        }))
    })
    .filter((each) => each.to > each.from)
  zones.forEach(({ tzid }) => ICAL.TimezoneService.remove(tzid))
  return busy.length === 0
    ? refuse({ code: 'nothing-in-it' })
    : ok(busy.sort((one, other) => one.from - other.from).slice(0, MOST_ENTRIES))
}

function repeats(event: ICAL.Event, to: Moment, local: LocalMinutes): readonly Moment[] {
  const iterator = event.iterator()
  const starts: Moment[] = []
  for (
    let next = iterator.next(), count = 0;
    next && count < MOST_REPEATS * 10 && starts.length < MOST_REPEATS;
    next = iterator.next(), count += 1
  ) {
    const start = momentOf(next, local)
    if (start >= to) break
    starts.push(start)
  }
  return starts
}

/** Why a calendar was refused, for the person who opened it. */
export function calendarSentence(problem: CalendarProblem): string {
  switch (problem.code) {
    case 'not-a-calendar':
      return 'This is no calendar. Export one as an .ics file.'
    case 'too-large':
      return `The calendar is too large (${Math.round(problem.bytes / 1e6)} MB). Export only the weeks before the event.`
    case 'nothing-in-it':
      return 'No hours in it fall into the weeks before the event.'
  }
}
