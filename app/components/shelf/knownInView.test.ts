import { describe, expect, it } from 'vitest'
import { whenTrue } from '../../../tests/any/whenTrue'
import { useKnownInView } from './knownInView'

/** Something to learn that is answered by hand. */
function byHand() {
  const asked: { readonly id: string; readonly answer: (found: string | null) => void }[] = []
  const list = useKnownInView((id) => new Promise<string | null>((answer) => asked.push({ id, answer })))
  return { ...list, asked }
}

describe('what is known of a long list', () => {
  it('is learned of one entry after the other, of those in view alone', async () => {
    const { known, setInView, asked } = byHand()
    for (const id of ['one', 'two', 'three']) setInView(id, true)
    expect(asked.map(({ id }) => id)).toEqual(['one'])
    setInView('two', false)
    asked[0]!.answer('first')
    await whenTrue(() => expect(asked.map(({ id }) => id)).toEqual(['one', 'three']))
    asked[1]!.answer('third')
    await whenTrue(() =>
      expect([...known]).toEqual([
        ['one', 'first'],
        ['three', 'third'],
      ]),
    )
  })
  it('goes with the entry, and is not kept of one that has left meanwhile', async () => {
    const { known, setInView, asked } = byHand()
    setInView('one', true)
    setInView('one', false)
    setInView('two', true)
    asked[0]!.answer('late')
    await whenTrue(() => expect(asked).toHaveLength(2))
    asked[1]!.answer('second')
    await whenTrue(() => expect([...known.keys()]).toEqual(['two']))
    setInView('two', false)
    expect(known.size).toBe(0)
  })
  it('of one that cannot be read is nothing, and the others follow', async () => {
    const { known, setInView } = useKnownInView((id) =>
      id === 'bad' ? Promise.reject(new Error('gone')) : Promise.resolve(id),
    )
    for (const id of ['bad', 'good']) setInView(id, true)
    await whenTrue(() => expect([...known]).toEqual([['good', 'good']]))
  })
  it('stays shown while it is learned again, and where it cannot be', async () => {
    const { known, setInView, learnAgain, asked } = byHand()
    setInView('one', true)
    asked[0]!.answer('before')
    await whenTrue(() => expect(known.get('one')).toBe('before'))
    learnAgain()
    expect(known.get('one')).toBe('before')
    asked[1]!.answer(null)
    await whenTrue(() => expect(known.get('one')).toBe('before'))
    learnAgain()
    await whenTrue(() => expect(asked).toHaveLength(3))
    asked[2]!.answer('after')
    await whenTrue(() => expect(known.get('one')).toBe('after'))
  })
})
