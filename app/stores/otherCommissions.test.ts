import { describe, expect, it } from 'vitest'
import { demoCommission, demoWorkshop } from '#core/demo'
import type { Commission } from '#core/commission'
import { whenTrue } from '../../tests/any/whenTrue'
import { othersOf } from './otherCommissions'

const commissionAt = (id: string, eventAt: string, change: Partial<Commission['bench']> = {}): Commission => {
  const made = demoCommission(0)
  return { ...made, id, brief: { ...made.brief, name: id, eventAt }, bench: { ...made.bench, ...change } }
}
const listedOf = ({ id, brief: { name, eventAt } }: Commission, savedAt = 1) => ({
  ...{ id, name, eventAt, savedAt },
  archived: false,
})
const at = (workshopRevision: number) => ({ workshop: demoWorkshop(), workshopRevision })

const own = commissionAt('own', '2026-12-05T18:00')
const before = commissionAt('before', '2026-12-01T12:00')
const after = commissionAt('after', '2026-12-20T12:00')
const over = commissionAt('over', '2026-11-20T12:00', { handedOver: { at: 1, by: 'me', to: 'you', notes: '' } })
const far = commissionAt('far', '2027-06-01T12:00')
const all = [own, before, after, over, far]

/** Others whose work is answered by hand. */
function byHand() {
  const asked: { readonly id: string; readonly end: (works: boolean) => void }[] = []
  const others = othersOf(
    (id) => Promise.resolve(all.find((each) => each.id === id) ?? null),
    ({ id }) =>
      new Promise((resolve, reject) => {
        const end = (works: boolean): void =>
          works ? resolve({ hours: [{ from: 10, to: 20 }], needs: [['wire 26', 3]] }) : reject(new Error('no'))
        asked.push({ id, end })
      }),
  )
  return { ...others, asked }
}
const listed = all.map((each) => listedOf(each))

describe('what others take of the studio', () => {
  it('is learned of those near, hours of all and stock of those before, while the commission is open', async () => {
    const { taken, isLearning, learn, asked } = byHand()
    const told = learn(own, listed, at(1))
    expect(isLearning.value).toBe(true)
    expect(taken.value.hours).toEqual([])
    await whenTrue(() => expect(asked.map(({ id }) => id)).toEqual(['before']))
    asked[0]!.end(true)
    await whenTrue(() => expect(asked.map(({ id }) => id)).toEqual(['before', 'after']))
    asked[1]!.end(true)
    expect(await told).toEqual([])
    expect(isLearning.value).toBe(false)
    expect(taken.value.hours.map(({ name }) => name)).toEqual(['before', 'after'])
    expect([...taken.value.kept]).toEqual([['wire 26', 3]])
  })
  it('is there at once where it is known, and learned anew of what was saved since or in another workshop', async () => {
    const { taken, isLearning, learn, asked } = byHand()
    const first = learn(own, listed, at(1))
    for (const at of [0, 1]) {
      await whenTrue(() => expect(asked).toHaveLength(at + 1))
      asked[at]!.end(true)
    }
    await first
    void learn(before, listed, at(1))
    expect(isLearning.value).toBe(true)
    await whenTrue(() => expect(asked.at(-1)!.id).toBe('own'))
    expect(taken.value.hours.map(({ name }) => name)).toEqual(['after'])
    void learn(own, [...listed.slice(0, 1), listedOf(before, 2), ...listed.slice(2)], at(1))
    await whenTrue(() => expect(asked.at(-1)!.id).toBe('before'))
    expect(taken.value.hours.map(({ name }) => name)).toEqual(['after'])
    void learn(own, listed, at(2))
    expect(taken.value.hours).toEqual([])
  })
  it('keeps nobody from anything where it cannot be worked out; that is said', async () => {
    const { taken, learn, asked } = byHand()
    const told = learn(own, listed, at(1))
    await whenTrue(() => expect(asked).toHaveLength(1))
    asked[0]!.end(false)
    await whenTrue(() => expect(asked).toHaveLength(2))
    asked[1]!.end(true)
    expect(await told).toEqual(['before'])
    expect(taken.value.hours.map(({ name }) => name)).toEqual(['after'])
  })
  it('is not told anew where they take nothing, and what cannot be read is said', async () => {
    const read = (peek: (id: string) => Promise<Commission | null>) => othersOf(peek, () => Promise.reject(new Error()))
    const done = read(() => Promise.resolve(over))
    const told = done.learn(own, listed, at(1))
    const atOnce = done.taken.value
    expect(await told).toEqual([])
    expect(done.taken.value).toBe(atOnce)
    const unreadable = read(() => Promise.reject(new Error('gone')))
    expect(await unreadable.learn(own, listed, at(1))).toEqual(['before', 'after', 'over'])
    expect(unreadable.isLearning.value).toBe(false)
  })
  it('is none where nothing is open, whatever is still worked out', async () => {
    const { taken, learn, leave, asked } = byHand()
    const told = learn(own, listed, at(1))
    await whenTrue(() => expect(asked).toHaveLength(1))
    leave()
    asked[0]!.end(true)
    expect(await told).toBeNull()
    expect(taken.value.hours).toEqual([])
  })
})
