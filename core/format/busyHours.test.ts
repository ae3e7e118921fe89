import { describe, expect, it } from 'vitest'
import { calendarSentence, readBusyHours } from './busyHours'
import { momentText, parseMoment, valueOf, type Moment } from '../quantity'

const at = (text: string): Moment => valueOf(parseMoment(text))
/** A clock that is two hours ahead of the world's in summer and one in winter, as in the middle of Europe. */
const european = (worldMs: number): Moment => {
  const world = worldMs / 60_000
  const summer = world >= at('2026-03-29T01:00') && world < at('2026-10-25T01:00')
  return world + (summer ? 120 : 60)
}
const calendar = (...entries: string[]): string =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//test//EN', ...entries, 'END:VCALENDAR'].join('\r\n')
const entry = (...lines: string[]): string =>
  ['BEGIN:VEVENT', 'UID:a', 'DTSTAMP:20261001T000000Z', 'SUMMARY:Dentist', ...lines, 'END:VEVENT'].join('\r\n')
const read = (text: string) =>
  readBusyHours(text, at('2026-10-01T00:00'), at('2026-12-01T00:00'), european, '.lamellon')
const hoursOf = (text: string): readonly string[] =>
  valueOf(read(text)).map(({ from, to }) => `${momentText(from)} ${momentText(to).slice(11)}`)
const BERLIN = [
  'BEGIN:VTIMEZONE',
  'TZID:Middle',
  'BEGIN:DAYLIGHT',
  'TZOFFSETFROM:+0100',
  'TZOFFSETTO:+0200',
  'DTSTART:19700329T020000',
  'RRULE:FREQ=YEARLY;BYMONTH=3;BYDAY=-1SU',
  'END:DAYLIGHT',
  'BEGIN:STANDARD',
  'TZOFFSETFROM:+0200',
  'TZOFFSETTO:+0100',
  'DTSTART:19701025T030000',
  'RRULE:FREQ=YEARLY;BYMONTH=10;BYDAY=-1SU',
  'END:STANDARD',
  'END:VTIMEZONE',
].join('\r\n')

describe('hours out of a calendar', () => {
  it('that float are what they say', () =>
    expect(hoursOf(calendar(entry('DTSTART:20261020T090000', 'DTEND:20261020T103000')))).toEqual([
      '2026-10-20T09:00 10:30',
    ]))
  it('by the world’s clock are turned to the hour here, before and after daylight time ends', () => {
    expect(hoursOf(calendar(entry('DTSTART:20261020T090000Z', 'DTEND:20261020T100000Z')))).toEqual([
      '2026-10-20T11:00 12:00',
    ])
    expect(hoursOf(calendar(entry('DTSTART:20261027T090000Z', 'DTEND:20261027T100000Z')))).toEqual([
      '2026-10-27T10:00 11:00',
    ])
  })
  it('of a zone that repeat stay at their hour over the change of the clocks', () =>
    expect(
      hoursOf(
        calendar(
          BERLIN,
          entry(
            'DTSTART;TZID=Middle:20261020T090000',
            'DTEND;TZID=Middle:20261020T100000',
            'RRULE:FREQ=WEEKLY;COUNT=3',
          ),
        ),
      ),
    ).toEqual(['2026-10-20T09:00 10:00', '2026-10-27T09:00 10:00', '2026-11-03T09:00 10:00']))
  it('outside the weeks that matter, whole days, free ones and Lamellon’s own do not count', () => {
    for (const none of [
      entry('DTSTART:20270120T090000', 'DTEND:20270120T103000'),
      entry('DTSTART;VALUE=DATE:20261020'),
      entry('DTSTART:20261020T090000', 'DTEND:20261020T103000', 'TRANSP:TRANSPARENT'),
      entry('DTSTART:20261020T090000', 'DTEND:20261020T103000').replace('UID:a', 'UID:cut@job.lamellon'),
    ])
      expect(read(calendar(none))).toEqual({ ok: false, error: { code: 'nothing-in-it' } })
  })
  it('that are none are refused in words', () => {
    for (const text of ['', 'hello', 'BEGIN:VCARD\r\nEND:VCARD']) {
      const refused = read(text)
      expect(refused).toEqual({ ok: false, error: { code: 'not-a-calendar' } })
      if (!refused.ok) expect(calendarSentence(refused.error)).toContain('.ics')
    }
    expect(
      read(
        calendar(
          ...Array.from({ length: 500 }, (_, index) =>
            entry(`DTSTART:20261020T0900${String(index % 60).padStart(2, '0')}`, 'DTEND:20261020T103000'),
          ),
        ),
      ).ok,
    ).toBe(true)
  })
})
