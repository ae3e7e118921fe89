import { beforeEach, describe, expect, it, vi } from 'vitest'
import { whenTrue } from '../../tests/any/whenTrue'
import { afterPress } from './underTheFinger'

describe('what would move the page', () => {
  beforeEach(() => {
    document.body.innerHTML = '<button id="button"><span id="inside">Take</span></button><p id="words">Words</p>'
  })
  const at = (id: string, kind: string): boolean =>
    document.getElementById(id)!.dispatchEvent(new Event(kind, { bubbles: true }))

  it('passes on at once while nothing is pressed', () => {
    const passed: number[] = []
    const pass = afterPress<number>(window, (value) => passed.push(value))
    pass(1)
    at('words', 'pointerdown')
    pass(2)
    expect(passed).toEqual([1, 2])
  })

  it('waits while a button is pressed, also by what is inside it, and passes the newest after its click', async () => {
    const passed: number[] = []
    const pass = afterPress<number>(window, (value) => passed.push(value))
    const clicked = vi.fn(() => expect(passed).toEqual([]))
    document.getElementById('button')!.addEventListener('click', clicked)
    at('inside', 'pointerdown')
    pass(1)
    pass(2)
    expect(passed).toEqual([])
    at('inside', 'pointerup')
    at('inside', 'click')
    expect(clicked).toHaveBeenCalledOnce()
    await whenTrue(() => expect(passed).toEqual([2]))
    pass(3)
    expect(passed).toEqual([2, 3])
  })

  it('lets go when a press is broken off', async () => {
    const passed: number[] = []
    const pass = afterPress<number>(window, (value) => passed.push(value))
    at('button', 'pointerdown')
    pass(1)
    at('button', 'pointercancel')
    await whenTrue(() => expect(passed).toEqual([1]))
  })
})
