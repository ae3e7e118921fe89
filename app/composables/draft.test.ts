import { mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { nextTick, ref } from 'vue'
import { keepDrafts, useDraft, vDraft } from './draft'

describe('what is typed', () => {
  const field = () => {
    const [kept, beat] = [ref('as kept'), ref(0)]
    const left = vi.fn()
    const mounted = mount(
      {
        directives: { draft: vDraft },
        setup: () => ({ kept, beat, left }),
        template: '<p>{{ beat }}<textarea v-draft="kept" @change="left($event.target.value)" /></p>',
      },
      { attachTo: document.body },
    )
    return { mounted, area: mounted.get('textarea'), kept, beat, left }
  }
  it('stays while the page beats and while what is kept changes', async () => {
    const { area, kept, beat } = field()
    area.element.focus()
    area.element.value = '826 characters'
    await area.trigger('input')
    beat.value += 1
    await nextTick()
    kept.value = 'from another window'
    await nextTick()
    expect(area.element.value).toBe('826 characters')
  })
  it('gives way to what is kept once the field is left', async () => {
    const { area, kept } = field()
    expect(area.element.value).toBe('as kept')
    await area.setValue('typed')
    await area.trigger('change')
    kept.value = 'kept otherwise'
    await nextTick()
    expect(area.element.value).toBe('kept otherwise')
  })
  it('is taken as if the field were left when the page is hidden or closed', async () => {
    const { area, left } = field()
    const closed = vi.fn()
    const keeper = mount({ setup: () => keepDrafts(closed), template: '<i />' })
    area.element.focus()
    window.dispatchEvent(new Event('pagehide'))
    expect(left).not.toHaveBeenCalled()
    closed.mockClear()
    area.element.value = 'half a note'
    await area.trigger('input')
    window.dispatchEvent(new Event('pagehide'))
    expect(left).toHaveBeenCalledWith('half a note')
    expect(closed).toHaveBeenCalledAfter(left)
    keeper.unmount()
  })
})

it('a number that is typed is not replaced by the one that comes meanwhile', async () => {
  const shown = ref('40 mm')
  let draft!: ReturnType<typeof useDraft>
  mount({
    setup: () => {
      draft = useDraft(() => shown.value)
      return () => null
    },
  })
  draft.typing()
  draft.text.value = '4'
  shown.value = '60 mm'
  await nextTick()
  expect(draft.text.value).toBe('4')
  draft.left()
  shown.value = '80 mm'
  await nextTick()
  expect(draft.text.value).toBe('80 mm')
})
