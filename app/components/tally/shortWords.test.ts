import { describe, expect, it } from 'vitest'
import { shortWords } from './shortWords'

describe('words below a figure', () => {
  it('are told whole where they find room, or are one thing', () => {
    expect(shortWords('1 bath, 351 drops, 5 dishes')).toBe('1 bath, 351 drops, 5 dishes')
    expect(shortWords('something that is far longer than there is room')).toBe(
      'something that is far longer than there is room',
    )
    expect(shortWords('')).toBe('')
  })
  it('tell as many of a list as find room, and how many more there are', () => {
    expect(shortWords('11 ± 1 sails, 6 ± 1 blooms, 8 branches, 3 buds, 1 bow')).toBe(
      '11 ± 1 sails, 6 ± 1 blooms and 3 more',
    )
    expect(shortWords('12 sheets of 203 × 279 mm thin wafer, 3 discs of 280 mm')).toBe(
      '12 sheets of 203 × 279 mm thin wafer and 1 more',
    )
  })
})
