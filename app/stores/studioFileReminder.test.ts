import { describe, expect, it } from 'vitest'
import { isFileDue, lastFileSentence } from './studioFileReminder'

const DAY_MS = 86_400_000
const NOW = 100 * DAY_MS

describe('the reminder of a studio file', () => {
  it('comes after many edits, or some and two weeks', () => {
    expect(isFileDue({ at: null, edits: 199 }, NOW)).toBe(false)
    expect(isFileDue({ at: null, edits: 200 }, NOW)).toBe(true)
    expect(isFileDue({ at: NOW - 15 * DAY_MS, edits: 20 }, NOW)).toBe(true)
    expect(isFileDue({ at: NOW - 15 * DAY_MS, edits: 19 }, NOW)).toBe(false)
    expect(isFileDue({ at: NOW - 13 * DAY_MS, edits: 150 }, NOW)).toBe(false)
  })
  it('tells when the last was', () => {
    expect(lastFileSentence({ at: null, edits: 3 })).toContain('never saved')
    expect(lastFileSentence({ at: NOW, edits: 0 })).toContain('nothing was edited since')
    expect(lastFileSentence({ at: NOW, edits: 1 })).toContain('1 edit since')
  })
})
