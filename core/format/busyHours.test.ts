import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { calendarOf, entryOf } from '../../tests/any/calendarText'
import { calendarSentence, readBusyHours } from './busyHours'
import { momentText, parseMoment, valueOf, type Moment } from '../quantity'

const at = (text: string): Moment => valueOf(parseMoment(text))
/** A clock that is two hours ahead of the world's in summer and one in winter, as in the middle of Europe. */
const european = (worldMs: number): Moment => {
  const world = worldMs / 60_000
  const summer = world >= at('2026-03-29T01:00') && world < at('2026-10-25T01:00')
  return world + (summer ? 120 : 60)
}
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
    expect(hoursOf(calendarOf(entryOf('DTSTART:20261020T090000', 'DTEND:20261020T103000')))).toEqual([
      '2026-10-20T09:00 10:30',
    ]))
  it('by the world’s clock are turned to the hour here, before and after daylight time ends', () => {
    expect(hoursOf(calendarOf(entryOf('DTSTART:20261020T090000Z', 'DTEND:20261020T100000Z')))).toEqual([
      '2026-10-20T11:00 12:00',
    ])
    expect(hoursOf(calendarOf(entryOf('DTSTART:20261027T090000Z', 'DTEND:20261027T100000Z')))).toEqual([
      '2026-10-27T10:00 11:00',
    ])
  })
  it('of a zone that repeat stay at their hour over the change of the clocks', () =>
    expect(
      hoursOf(
        calendarOf(
          BERLIN,
          entryOf(
            'DTSTART;TZID=Middle:20261020T090000',
            'DTEND;TZID=Middle:20261020T100000',
            'RRULE:FREQ=WEEKLY;COUNT=3',
          ),
        ),
      ),
    ).toEqual(['2026-10-20T09:00 10:00', '2026-10-27T09:00 10:00', '2026-11-03T09:00 10:00']))
  it('outside the weeks that matter, whole days, free ones and Lamellon’s own do not count', () => {
    for (const none of [
      entryOf('DTSTART:20270120T090000', 'DTEND:20270120T103000'),
      entryOf('DTSTART;VALUE=DATE:20261020'),
      entryOf('DTSTART:20261020T090000', 'DTEND:20261020T103000', 'TRANSP:TRANSPARENT'),
      entryOf('DTSTART:20261020T090000', 'DTEND:20261020T103000').replace('UID:a', 'UID:cut@job.lamellon'),
    ])
      expect(read(calendarOf(none))).toEqual({ ok: false, error: { code: 'nothing-in-it' } })
  })
  it('that are none are refused in words', () => {
    for (const text of ['', 'hello', 'BEGIN:VCARD\r\nEND:VCARD']) {
      const refused = read(text)
      expect(refused).toEqual({ ok: false, error: { code: 'not-a-calendar' } })
      if (!refused.ok) expect(calendarSentence(refused.error)).toContain('.ics')
    }
    expect(
      read(
        calendarOf(
          ...Array.from({ length: 500 }, (_, index) =>
            entryOf(`DTSTART:20261020T0900${String(index % 60).padStart(2, '0')}`, 'DTEND:20261020T103000'),
          ),
        ),
      ).ok,
    ).toBe(true)
  })
})

describe('entries that repeat', () => {
  const octobers = (rule: string, begins: string): number =>
    hoursOf(calendarOf(entryOf(`DTSTART:${begins}T090000`, `DTEND:${begins}T100000`, `RRULE:${rule}`))).length
  it('since years are counted in the weeks that matter', () => {
    expect(octobers('FREQ=DAILY', '20240101')).toBe(61)
    expect(octobers('FREQ=WEEKLY', '20170106')).toBe(9)
    expect(octobers('FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR', '20260330')).toBe(43)
  })
  it('stand where an instance was moved to, once, and not at all where it was called off', () => {
    const weekly = entryOf('DTSTART:20261006T090000', 'DTEND:20261006T100000', 'RRULE:FREQ=WEEKLY;COUNT=3')
    const moved = entryOf('DTSTART:20261014T150000', 'DTEND:20261014T160000', 'RECURRENCE-ID:20261013T090000')
    const off = entryOf(
      'DTSTART:20261020T090000',
      'DTEND:20261020T100000',
      'RECURRENCE-ID:20261020T090000',
      'STATUS:CANCELLED',
    )
    expect(hoursOf(calendarOf(weekly, moved, off))).toEqual(['2026-10-06T09:00 10:00', '2026-10-14T15:00 16:00'])
  })
  it('by the minute are refused by name, and so is a zone whose clocks change all the time', () => {
    const often = entryOf('DTSTART:20200101T090000', 'DTEND:20200101T090001', 'RRULE:FREQ=MINUTELY')
    expect(read(calendarOf(often))).toMatchObject({ ok: false, error: { entry: 'Dentist', why: 'repeats-too-often' } })
    const zone = BERLIN.replace('FREQ=YEARLY;BYMONTH=3;BYDAY=-1SU', 'FREQ=MINUTELY')
    expect(zone).not.toBe(BERLIN)
    const there = entryOf('DTSTART;TZID=Middle:20261020T090000', 'DTEND;TZID=Middle:20261020T100000')
    expect(read(calendarOf(zone, there))).toMatchObject({
      ok: false,
      error: { entry: 'Middle', why: 'clocks-too-often' },
    })
  })
})

describe('a damaged calendar', () => {
  it('is refused by the name of the entry', () => {
    const problemOf = (...lines: string[]) => {
      const result = read(calendarOf(entryOf(...lines)))
      return result.ok ? null : result.error
    }
    expect(problemOf('DTEND:20261020T100000')).toEqual({ code: 'damaged', entry: 'Dentist', why: 'no-beginning' })
    const noDate = problemOf('DTSTART:2026XX20T090000', 'DTEND:20261020T100000')
    expect(noDate).not.toBeNull()
    expect(calendarSentence(noDate!)).toMatch(/date that is none|no calendar/)
  })
  it('that repeats from a year in which nobody had a calendar is refused, and not followed through the centuries', () => {
    for (const year of ['0002', '1850', '9999']) {
      const result = read(calendarOf(entryOf(`DTSTART:${year}0401T090000Z`, 'DURATION:PT1H', 'RRULE:FREQ=DAILY')))
      expect(result).toEqual({ ok: false, error: { code: 'damaged', entry: 'Dentist', why: 'no-date' } })
    }
    expect(hoursOf(calendarOf(entryOf('DTSTART:19700105T090000', 'DURATION:PT1H', 'RRULE:FREQ=WEEKLY')))).toHaveLength(
      9,
    )
  })
  it('never throws, wherever it is cut off, doubled or changed', () => {
    const whole = calendarOf(
      BERLIN,
      entryOf('DTSTART;TZID=Middle:20261020T090000', 'DURATION:PT1H', 'RRULE:FREQ=WEEKLY;COUNT=3'),
      entryOf('DTSTART:20261014T150000', 'DTEND:20261014T160000', 'RECURRENCE-ID:20261013T090000'),
    )
    const change = fc.record({
      at: fc.nat({ max: whole.length - 1 }),
      long: fc.nat({ max: 40 }),
      put: fc.constantFrom('', ':', ';', '\r\n', '9', 'Z', 'RRULE:FREQ=DAILY;COUNT=', 'NaN', whole.slice(300, 380)),
    })
    fc.assert(
      fc.property(fc.array(change, { minLength: 1, maxLength: 3 }), (changes) => {
        const damaged = changes.reduce(
          (text, { at: place, long, put }) => text.slice(0, place) + put + text.slice(place + long),
          whole,
        )
        const result = read(damaged)
        if (result.ok) expect(result.value.every(({ from, to }) => Number.isFinite(from) && to > from)).toBe(true)
        else expect(calendarSentence(result.error)).toMatch(/[.]$/)
      }),
      { numRuns: 500 },
    )
  })
})
