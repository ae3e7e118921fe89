import { describe, expect, it } from 'vitest'
import type { TallyFigure } from '#core/plan'
import { typed, type WorkingKind } from '#core/quantity'
import { differenceOf, differencesBetween } from './differences'

const figure = (value: number | null, kind: WorkingKind = 'count'): TallyFigure => ({
  id: 'pieces',
  label: 'pieces',
  working: value === null ? null : typed('pieces', value, kind, 'Arrange'),
  beside: '',
  none: 'none',
})

describe('differences in the tally', () => {
  it.each([
    [9, 11, 'count', '+2'],
    [11, 9, 'count', '−2'],
    [300, 335, 'duration', '+35 min'],
    [592, 573, 'volume', '−19 ml'],
    [6000, 5820, 'moment', '3 h earlier'],
    [5820, 6000, 'moment', '3 h later'],
  ] as const)('from %d to %d of %s is “%s”', (before, after, kind, text) =>
    expect(differenceOf(figure(before, kind), figure(after, kind), 'metric')?.text).toBe(text),
  )
  it('of money says in what', () => {
    const cost = (value: number): TallyFigure => {
      const { working, ...rest } = figure(value, 'money')
      return { ...rest, working: { ...working!, currency: 'GBP' } }
    }
    expect(differenceOf(cost(500), cost(513.5), 'metric')?.text).toBe('+£13.50')
    expect(differenceOf(cost(513.5), cost(500), 'metric')?.text).toBe('−£13.50')
  })
  it('says nothing of what reads the same, or has no figure', () => {
    expect(differenceOf(figure(592.1, 'volume'), figure(592.3, 'volume'), 'metric')).toBeNull()
    expect(differenceOf(figure(null), figure(3), 'metric')).toBeNull()
  })
  it('leaves out figures that did not change', () =>
    expect(
      differencesBetween(
        [figure(3), { ...figure(4), id: 'paper' }],
        [figure(3), { ...figure(6), id: 'paper' }],
        'metric',
      ),
    ).toEqual({ paper: { text: '+2', direction: 'up' } }))
})
