import { describe, expect, it } from 'vitest'
import { clockChangeMin, eventProblem, isSkipped } from './eventHour'

process.env.TZ = 'Europe/Paris'
const now = '2026-11-24T09:00'

describe('the hour of an event', () => {
  it.each([
    ['', /a day/i],
    ['2026-02-31T10:00', /no such day/],
    ['yesterday', /no such day/],
    ['2060-05-01T10:00', /Check the year/],
    ['2027-03-28T02:30', /does not exist/],
  ])('“%s” is refused with what to do', (text, words) => expect(eventProblem(text, now)).toMatch(words))
  it.each(['2026-12-05T18:30', '2027-03-28T03:30', '2027-10-31T02:30', '2020-01-01T10:00'])('%s is taken', (text) =>
    expect(eventProblem(text, now)).toBe(''),
  )
  it('knows the hour that clocks skip', () =>
    expect([isSkipped('2027-03-28T02:30'), isSkipped('2027-03-28T01:30')]).toEqual([true, false]))
  it('says how far clocks move until then', () =>
    expect([
      clockChangeMin(now, '2026-12-05T18:30'),
      clockChangeMin(now, '2027-04-05T18:30'),
      clockChangeMin('2026-10-20T09:00', now),
    ]).toEqual([0, 60, -60]))
})
