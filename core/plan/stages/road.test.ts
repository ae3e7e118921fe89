import { describe, expect, it } from 'vitest'
import { newCommission, type Commission } from '../../commission'
import { clockText } from '../../quantity'
import { eventAtOf, roadWorking, warmingAir } from './road'

const { brief } = newCommission('any', 0)

describe('the road', () => {
  it('is the drive alone, or the drive with every stop', () => {
    expect(roadWorking({ driveMin: 40, stops: [] }).value).toBe(40)
    const stops = [
      { name: 'Hall', minutes: 15 },
      { name: 'Florist', minutes: 20 },
    ]
    expect(roadWorking({ driveMin: 40, stops }).value).toBe(75)
  })
})

describe('the event', () => {
  it('is at the hour of the wall clock where it is', () =>
    expect(clockText(eventAtOf({ eventAt: '2026-12-05T18:30' }))).toBe('18:30'))
})

describe('the air a chilled cake warms through in', () => {
  const air = (completion: Commission['brief']['completion'], keeping: Commission['brief']['keeping']) =>
    warmingAir({ ...brief, completion, keeping })
  it('is that of the workroom, unless it comes to the venue cold and is decorated there', () => {
    expect(air('beforeDriving', 'roomTemperature')).toBe(brief.workroom)
    expect(air('atVenue', 'roomTemperature')).toBe(brief.workroom)
    expect(air('beforeDriving', 'chilledSealed')).toBe(brief.workroom)
    expect(air('atVenue', 'chilledSealed')).toBe(brief.venue)
  })
})
