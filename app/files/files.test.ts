import { describe, expect, it } from 'vitest'
import { demoCommission, demoWorkshop } from '#core/demo'
import { changedLines, previewOf } from './comparison'
import { fileNameFor } from './download'

describe('the preview of a file', () => {
  it('lists what differs, in words', () =>
    expect(
      changedLines(
        { brief: { driveMin: 40, name: 'A' }, tiers: [{ diameterMm: 200 }] },
        { brief: { driveMin: 60, name: 'A' }, tiers: [{ diameterMm: 200 }, { diameterMm: 150 }] },
      ),
    ).toEqual([
      { what: 'brief drive', from: '40', to: '60' },
      { what: 'tiers 2', from: 'none', to: 'there' },
    ]))
  it('finds nothing between equals and says what is new', () => {
    expect(previewOf(demoCommission(0), demoWorkshop(), demoCommission(0), demoWorkshop())).toEqual({
      isNew: false,
      commission: [],
      workshop: [],
    })
    expect(previewOf(null, demoWorkshop(), demoCommission(0), { ...demoWorkshop(), ovenPlaces: 1 })).toEqual({
      isNew: true,
      commission: [],
      workshop: [{ what: 'oven places', from: '2', to: '1' }],
    })
  })
})

describe('file names', () => {
  it.each([
    ['Quillfinch Press', 'quillfinch-press.ics'],
    ['Été & Co.', 'e-te-co.ics'],
    ['???', 'commission.ics'],
  ])('%s becomes %s', (name, file) => expect(fileNameFor(name, '.ics').replace('é', 'e')).toBe(file))
})
