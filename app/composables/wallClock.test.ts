import { describe, expect, it } from 'vitest'
import { momentText } from '#core/quantity'
import { wallClockAt } from './wallClock'

process.env.TZ = 'Europe/Paris'

describe('the clock on the wall', () => {
  it.each([
    ['2026-11-24T08:00:00Z', '2026-11-24T09:00'],
    ['2027-03-28T00:59:00Z', '2027-03-28T01:59'],
    ['2027-03-28T01:00:00Z', '2027-03-28T03:00'],
    ['2027-10-31T00:30:00Z', '2027-10-31T02:30'],
    ['2027-10-31T01:30:00Z', '2027-10-31T02:30'],
  ])('shows at %s %s', (world, wall) => expect(momentText(wallClockAt(Date.parse(world)))).toBe(wall))
  it('goes on within the minute', () =>
    expect(wallClockAt(Date.parse('2026-11-24T08:00:45Z')) % 1).toBeCloseTo(0.75, 6))
})
