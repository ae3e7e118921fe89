import { expect, it, vi } from 'vitest'
import { contents, remember } from './remember'

it('keeps what is asked for again and again while others come and go', () => {
  const compute = vi.fn(({ a }: { a: number }) => ({ double: a * 2 }))
  const remembered = remember(compute, contents())
  for (let a = 1; a < 400; a += 1) {
    remembered({ a })
    remembered({ a: 0 })
  }
  expect(compute).toHaveBeenCalledTimes(400)
})

it('works out the same inputs once, by their content, and forgets the oldest', () => {
  const compute = vi.fn(({ a }: { a: number }) => ({ double: a * 2 }))
  const remembered = remember(compute, contents())
  const first = remembered({ a: 1 })
  expect(remembered({ a: 1 })).toBe(first)
  expect(compute).toHaveBeenCalledTimes(1)
  for (let a = 2; a < 100; a += 1) remembered({ a })
  remembered({ a: 1 })
  expect(compute).toHaveBeenCalledTimes(100)
})

it('numbers contents: copies alike, everything else apart, and still so when some were forgotten', () => {
  const { numberOf } = contents(8)
  const different: readonly object[] = [
    {},
    [],
    [undefined],
    [null],
    { a: 1 },
    { a: '1' },
    { a: [1] },
    { a: { a: 1 } },
    { a: '#1' },
    [1, 2],
    [[1], 2],
    ['1,2'],
    { b: 1 },
    { a: 1, b: 1 },
  ]
  const numbers = different.map(numberOf)
  expect(new Set(numbers).size).toBe(different.length)
  expect(different.map(numberOf)).toEqual(numbers)
  const last = { a: 1, b: 1 }
  expect(numberOf(last)).toBe(numbers.at(-1))
  // What was forgotten is not taken for anything else.
  const again = structuredClone(different).map(numberOf)
  expect(again.every((number, at) => number === numbers[at] || !numbers.includes(number))).toBe(true)
})
