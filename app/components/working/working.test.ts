import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { markRaw } from 'vue'
import { typed, type Working } from '#core/quantity'
import FigureLink from './FigureLink.vue'
import { useWorkingPanel } from './panel'

const figure = (value: number): Working => markRaw(typed('lushness', value, 'share', 'Arrange, sails'))

describe('the working of a figure', () => {
  beforeEach(() => {
    setActivePinia(createPinia())
    useWorkingPanel().close()
  })

  it('is opened by the figure, and follows it when it comes out anew meanwhile', async () => {
    const { opened } = useWorkingPanel()
    const [before, now] = [figure(0.6), figure(0.5)]
    const mounted = mount(FigureLink, { props: { working: before } })
    await mounted.trigger('click')
    expect(opened.value).toBe(before)
    await mounted.setProps({ working: now })
    expect(opened.value).toBe(now)
  })

  it('stays that of the figure that was touched when others change', async () => {
    const { opened } = useWorkingPanel()
    const [touched, other] = [figure(0.6), figure(0.3)]
    await mount(FigureLink, { props: { working: touched } }).trigger('click')
    await mount(FigureLink, { props: { working: other } }).setProps({ working: figure(0.4) })
    expect(opened.value).toBe(touched)
  })
})
