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
