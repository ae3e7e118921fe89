import { describe, expect, it } from 'vitest'
import { workingHoursSchema, type WorkingHours } from '.'

const hours: WorkingHours = {
  days: [false, false, true, true, true, true, true],
  spells: [
    { fromMin: 540, toMin: 780 },
    { fromMin: 840, toMin: 1080 },
  ],
}

describe('working hours', () => {
  it.each([
    [{ ...hours, days: Array(7).fill(false) }],
    [{ ...hours, days: [true] }],
    [{ ...hours, spells: [] }],
    [{ ...hours, spells: [{ fromMin: 700, toMin: 600 }] }],
    [
      {
        ...hours,
        spells: [
          { fromMin: 540, toMin: 800 },
          { fromMin: 700, toMin: 900 },
        ],
      },
    ],
  ])('are refused when they do not hold together', (wrong) =>
    expect(workingHoursSchema.safeParse(wrong).success).toBe(false),
  )
})
