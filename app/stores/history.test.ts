import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { applied, changesBetween } from '#core/change'
import { KEPT_EDITS, OF_WORKSHOP, type KeptEdit } from '~/database/database'
import { belongsTo, goneOn, hourFor, lastDone, nextUndone, undoneAfterLast, withEdit } from './history'

const edit = (id: string, at: number, undone = false): KeptEdit => ({
  id,
  of: 'cake',
  at,
  label: id,
  undone,
  changes: [],
})

describe('a history', () => {
  const history = [edit('one', 1), edit('two', 2), edit('three', 3, true), edit('four', 4, true)]
  it('takes back what was done last, and makes again what was taken back first', () => {
    expect([lastDone(history)!.id, nextUndone(history)!.id]).toEqual(['two', 'three'])
    const again = withEdit(history, edit('three', 3))
    expect([lastDone(again)!.id, nextUndone(again)!.id]).toEqual(['three', 'four'])
    expect([lastDone([]), nextUndone([])]).toEqual([undefined, undefined])
  })
  it('does not make again what something else was done after, as an edit of the workshop in another commission', () => {
    const between = [edit('one', 1, true), edit('two', 2)]
    expect([lastDone(between)!.id, nextUndone(between)]).toEqual(['two', undefined])
    expect(undoneAfterLast(between)).toEqual([])
    expect(undoneAfterLast(history).map(({ id }) => id)).toEqual(['three', 'four'])
  })
  it('puts an edit in its earlier place, or last, an hour behind the one before', () => {
    expect(withEdit(history, edit('two', 2, true)).map(({ id }) => id)).toEqual(['one', 'two', 'three', 'four'])
    expect(withEdit(history, edit('five', 5)).at(-1)!.id).toBe('five')
    expect([hourFor(history, 3), hourFor(history, 90), hourFor([], 7)]).toEqual([5, 90, 7])
  })
  it('knows the last few hundred of the cake, and those of the workshop beside them', () => {
    const shelf = { ...edit('shelf', 0), of: OF_WORKSHOP }
    let known: readonly KeptEdit[] = [shelf]
    for (let at = 1; at <= KEPT_EDITS + 50; at += 1) known = withEdit(known, edit(`edit ${at}`, at))
    expect(known).toHaveLength(KEPT_EDITS + 1)
    expect([known[0]!.id, known[1]!.id, known.at(-1)!.id]).toEqual(['shelf', 'edit 51', `edit ${KEPT_EDITS + 50}`])
  })
  it('knows what belongs to the workshop alone', () => {
    const both = { commission: { name: 'a' }, workshop: { people: 1 } }
    const own = changesBetween(both, { ...both, workshop: { people: 2 } })
    expect(belongsTo('cake', own)).toBe(OF_WORKSHOP)
    expect(belongsTo('cake', [...own, ...changesBetween(both, { ...both, commission: { name: 'b' } })])).toBe('cake')
  })
})

describe('an edit that goes on', () => {
  const aState = fc.record({
    height: fc.nat({ max: 3 }),
    size: fc.record({ wide: fc.nat({ max: 3 }), high: fc.nat({ max: 3 }) }),
    list: fc.array(fc.nat({ max: 2 }), { maxLength: 2 }),
    tiers: fc.uniqueArray(fc.record({ id: fc.constantFrom('a', 'b', 'c'), high: fc.nat({ max: 3 }) }), {
      selector: ({ id }) => id,
    }),
    whole: fc.oneof(fc.nat({ max: 3 }), fc.record({ part: fc.nat({ max: 3 }) })),
  })
  it('leads to where it ended, told once or step by step', () =>
    fc.assert(
      fc.property(aState, aState, aState, (first, second, third) => {
        const all = goneOn(changesBetween(first, second), changesBetween(second, third))
        expect(applied(first, all, 'over').state).toEqual(third)
      }),
    ))
  it('of a slider is one change, however often it was pulled', () => {
    let all = changesBetween({ size: 0 }, { size: 1 })
    for (let at = 1; at < 50; at += 1) all = goneOn(all, changesBetween({ size: at }, { size: at + 1 }))
    expect(all).toEqual([{ kind: 'field', path: ['size'], from: 0, to: 50 }])
  })
})
