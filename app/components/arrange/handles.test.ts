import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { whenTrue } from '../../../tests/any/whenTrue'
import { arrowMove } from './arrowKeys'
import HandlePoint from './HandlePoint.vue'

const key = (name: string, shiftKey = false): KeyboardEvent =>
  new KeyboardEvent('keydown', { key: name, shiftKey, cancelable: true, bubbles: true })

describe('arrow keys', () => {
  it.each([
    ['ArrowLeft', [-2, 0]],
    ['ArrowRight', [2, 0]],
    ['ArrowUp', [0, 2]],
    ['ArrowDown', [0, -2]],
  ] as const)('%s moves one step, and further with shift', (name, [right, up]) => {
    expect(arrowMove(key(name), 2, 10)).toEqual([right, up])
    expect(arrowMove(key(name, true), 2, 10)).toEqual([right * 5, up * 5])
  })
  it('are taken, so that the page stays; other keys are left alone', () => {
    const [arrow, letter] = [key('ArrowUp'), key('u')]
    arrowMove(arrow, 2, 10)
    expect(arrow.defaultPrevented).toBe(true)
    expect(arrowMove(letter, 2, 10)).toBeNull()
    expect(letter.defaultPrevented).toBe(false)
  })
})

describe('a handle', () => {
  const point = (props: object = {}) =>
    mount(HandlePoint, { props: { x: 10, y: 20, perPixel: 2, says: 'Heart', ...props } })
  it('is named for who cannot see it, and marked where it is the heart', () => {
    expect(point().attributes('aria-label')).toBe('Heart; arrow keys move it')
    expect(point({ isHeart: true }).findAll('circle')).toHaveLength(point().findAll('circle').length + 1)
  })
  it('is as large on the screen at any scale', () => {
    const radii = (perPixel: number) =>
      point({ perPixel })
        .findAll('circle')
        .map((each) => Number(each.attributes('r')) / perPixel)
    expect(radii(0.5)).toEqual(radii(4))
    expect(Math.max(...radii(1))).toBeGreaterThanOrEqual(18)
  })
  it('is pulled with the pointer and nudged by keys', async () => {
    const handle = point()
    const finger = (kind: string, clientX: number, clientY: number) =>
      handle.element.dispatchEvent(
        new PointerEvent(kind, { pointerId: 1, buttons: kind === 'pointerup' ? 0 : 1, clientX, clientY }),
      )
    // Hands are followed as soon as that is loaded.
    await whenTrue(() => {
      finger('pointerdown', 5, 5)
      finger('pointermove', 6, 6)
      finger('pointerup', 6, 6)
      expect(handle.emitted('pull')).toHaveLength(1)
    })
    finger('pointermove', 1, 1)
    finger('pointerdown', 10, 10)
    finger('pointermove', 30, 12)
    finger('pointermove', 50, 15)
    finger('pointerup', 50, 15)
    finger('pointermove', 90, 90)
    await handle.trigger('keydown', { key: 'ArrowLeft' })
    await handle.trigger('keydown', { key: 'x' })
    expect(handle.emitted('pull')!.slice(1)).toEqual([[{ clientX: 30, clientY: 12 }], [{ clientX: 50, clientY: 15 }]])
    expect(handle.emitted('nudge')).toEqual([[-2, 0]])
  })
})
