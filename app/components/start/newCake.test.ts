import { describe, expect, it } from 'vitest'
import { startingCake } from '#core/cake'
import { momentText, parseMoment, valueOf } from '#core/quantity'
import { sheetItem, STARTING_WORKSHOP, stockOf } from '#core/workshop'
import { commissionOf, newCakeSchema, papersInUse, stockedWith, unanswered } from './newCake'

const now = valueOf(parseMoment('2026-11-24T09:00'))
const schema = newCakeSchema(now)
const nothing = unanswered(now, 'EUR')

describe('three questions before a commission', () => {
  it('may all wait: what stands there holds, and begins as every commission does', () => {
    const read = schema.parse(nothing)
    const { brief, options } = commissionOf(read, 'made', now, () => undefined)
    expect(brief.name).toBe('New commission')
    expect(brief.eventAt > momentText(now)).toBe(true)
    expect(options[0]!.cake).toEqual(startingCake(1, 'round'))
  })
  it('are answered in the commission', () => {
    const read = schema.parse({
      ...nothing,
      name: '  Harbour Lights ',
      eventAt: '2026-12-19T17:00:00',
      driveMin: 25,
      tiers: 3,
      outline: 'square',
    })
    const { id, brief, options } = commissionOf(read, 'made', now, (option) => {
      option.name = 'put on'
    })
    expect([id, options[0]!.name]).toEqual(['made', 'put on'])
    expect(brief).toMatchObject({ name: 'Harbour Lights', eventAt: '2026-12-19T17:00', driveMin: 25 })
    expect(options[0]!.cake).toEqual(startingCake(3, 'square'))
  })
  it.each([
    ['', 'A day and an hour'],
    ['2026-02-31T10:00', 'no such day'],
    ['2099-01-01T10:00', 'more than five years'],
  ])('an hour “%s” is answered at its field', (eventAt, says) => {
    const [issue] = schema.safeParse({ ...nothing, eventAt }).error!.issues
    expect(issue!.path).toEqual(['eventAt'])
    expect(issue!.message).toContain(says)
  })
  it('put sheets that are at home on the shelf, and prices in the studio’s currency', () => {
    const workshop = structuredClone(STARTING_WORKSHOP)
    const [paper] = papersInUse(workshop)
    stockedWith({ ...nothing, atHome: { [paper!.name]: 12 }, currency: 'GBP' }, workshop)
    expect(stockOf(workshop, sheetItem(paper!.paper, paper!.shape).item)!.onHand).toBe(12)
    expect(workshop.prices.currency).toBe('GBP')
  })
})
