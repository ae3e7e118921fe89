import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { applied, changesBetween, takenBack } from '.'

type Tier = { id: string; heightMm: number; note?: string }
type Cake = { name: string; tiers: Tier[]; pins: number[]; counts: Record<string, number> }

const aTier: fc.Arbitrary<Tier> = fc.record(
  { id: fc.constantFrom('a', 'b', 'c', 'd', 'e', 'f'), heightMm: fc.integer({ min: 1, max: 9 }), note: fc.string() },
  { requiredKeys: ['id', 'heightMm'] },
)
const aCake: fc.Arbitrary<Cake> = fc.record({
  name: fc.string(),
  tiers: fc.uniqueArray(aTier, { selector: ({ id }) => id, maxLength: 6 }),
  pins: fc.array(fc.integer({ min: 0, max: 3 }), { maxLength: 3 }),
  counts: fc.dictionary(fc.constantFrom('good', 'broken', 'spare'), fc.nat({ max: 5 })),
})
const cake: Cake = {
  name: 'Quince',
  tiers: ['a', 'b', 'c'].map((id) => ({ id, heightMm: 5 })),
  pins: [1],
  counts: { good: 2 },
}
const changing = (change: (draft: Cake) => void) => {
  const after = structuredClone(cake)
  change(after)
  return changesBetween(cake, after)
}

describe('changes', () => {
  it('lead from one state to the other, and back', () =>
    fc.assert(
      fc.property(aCake, aCake, (before, after) => {
        const changes = changesBetween(before, after)
        expect(applied(before, changes, 'over')).toEqual({ state: after, met: [], lost: [] })
        expect(applied(after, takenBack(changes), 'untouched')).toEqual({ state: before, met: [], lost: [] })
      }),
      { numRuns: 1000 },
    ))
  it('are none between what is the same, and leave what is beside them the same object', () => {
    expect(changesBetween(cake, structuredClone(cake))).toEqual([])
    const { state } = applied(
      cake,
      changing((draft) => (draft.tiers[1]!.heightMm = 9)),
      'over',
    )
    expect(state.tiers[0]).toBe(cake.tiers[0])
    expect(state.counts).toBe(cake.counts)
  })
  it('find their member wherever it stands by now', () => {
    const taller = changing((draft) => (draft.tiers[2]!.heightMm = 9))
    const other = { ...cake, tiers: [{ id: 'new', heightMm: 1 }, cake.tiers[2]!, cake.tiers[0]!] }
    expect(applied(other, taller, 'over').state.tiers).toEqual([
      { id: 'new', heightMm: 1 },
      { id: 'c', heightMm: 9 },
      { id: 'a', heightMm: 5 },
    ])
  })
  it('of different things stand both, whichever comes first', () =>
    fc.assert(
      fc.property(fc.integer({ min: 6, max: 9 }), fc.string({ minLength: 1 }), (heightMm, note) => {
        const one = changing((draft) => {
          draft.tiers[0]!.heightMm = heightMm
          draft.tiers.splice(1, 1)
        })
        const other = changing((draft) => {
          draft.tiers[2]!.note = note
          draft.tiers.push({ id: 'd', heightMm: 1 })
          draft.counts.broken = 1
        })
        const [first, last] = [
          applied(applied(cake, one, 'over').state, other, 'over'),
          applied(applied(cake, other, 'over').state, one, 'over'),
        ]
        expect(first).toEqual(last)
        expect([first.met, first.lost]).toEqual([[], []])
      }),
    ))
  it('of the same field are told: the later stands, and taking back the earlier leaves it', () => {
    const one = changing((draft) => (draft.name = 'Pear'))
    const other = changing((draft) => (draft.name = 'Plum'))
    const both = applied(applied(cake, one, 'over').state, other, 'over')
    expect(both).toMatchObject({ state: { name: 'Plum' }, met: [{ path: ['name'] }], lost: [] })
    expect(applied(both.state, takenBack(one), 'untouched')).toMatchObject({ state: { name: 'Plum' }, lost: [{}] })
  })
  it('of a member that is gone are told to be lost, and change nothing', () => {
    const taller = changing((draft) => (draft.tiers[1]!.heightMm = 9))
    const without = applied(
      cake,
      changing((draft) => draft.tiers.splice(1, 1)),
      'over',
    ).state
    expect(applied(without, taller, 'over')).toMatchObject({ state: without, lost: [{ kind: 'field' }] })
  })
  it('taken back do not take away a member that somebody else has changed', () => {
    const put = changing((draft) => draft.tiers.push({ id: 'd', heightMm: 1 }))
    const there = applied(cake, put, 'over').state
    const changed = { ...there, tiers: there.tiers.map((tier) => (tier.id === 'd' ? { ...tier, heightMm: 4 } : tier)) }
    expect(applied(changed, takenBack(put), 'untouched')).toMatchObject({ state: changed, lost: [{ member: 'd' }] })
    expect(applied(there, takenBack(put), 'untouched').state).toEqual(cake)
  })
  it('a forgotten member comes back to its place, also when its neighbour is gone', () => {
    const out = changing((draft) => draft.tiers.splice(1, 1))
    const without = applied(cake, out, 'over').state
    expect(applied(without, takenBack(out), 'untouched').state).toEqual(cake)
    const alone = { ...without, tiers: without.tiers.filter(({ id }) => id === 'c') }
    expect(applied(alone, takenBack(out), 'untouched').state.tiers.map(({ id }) => id)).toEqual(['c', 'b'])
  })
})
