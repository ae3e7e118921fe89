import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { clockText, dateClockText, dayOf, momentText, parseMoment, valueOf, weekdayOf } from '.'

const moment = (text: string) => valueOf(parseMoment(text))

describe('moments', () => {
  it('knows the day of the week and prints the hour', () => {
    expect(weekdayOf(moment('2026-12-05T18:30'))).toBe(6)
    expect(dateClockText(moment('2026-12-05T18:30'))).toBe('Sat 5 Dec 18:30')
    expect(clockText(moment('2026-12-05T00:05'))).toBe('00:05')
  })
  it('counts minutes across midnight, months and leap days', () => {
    expect(moment('2028-03-01T00:00') - moment('2028-02-28T23:59')).toBe(1441)
    expect(dayOf(moment('2026-12-05T18:30'))).toBe(moment('2026-12-05T00:00'))
  })
  it('writes what it reads', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 60_000_000 }), (minutes) => moment(momentText(minutes)) === minutes),
    ))
  it.each(['', '2026-13-01T10:00', '2026-02-30T10:00', '2026-12-05 18:30', '2026-12-05T24:01', 'tomorrow'])(
    'refuses “%s”',
    (text) => expect(parseMoment(text)).toMatchObject({ ok: false, error: { code: 'not-a-moment', text } }),
  )
})
