import { mount } from '@vue/test-utils'
import { afterEach, expect, it, vi } from 'vitest'
import { h } from 'vue'
import { useChartInk } from './chartInk'

const page = document.documentElement

afterEach(() => {
  page.removeAttribute('data-theme')
  page.removeAttribute('style')
})

it('charts take the colours of the page, once it has those of another theme', async () => {
  page.style.setProperty('--ink-soft', '#65545f')
  const chart = mount({
    setup() {
      const ink = useChartInk()
      return () => h('p', ink.value.text)
    },
  })
  expect(chart.text()).toBe('#65545f')
  page.style.setProperty('--ink-soft', '#cbb9c6')
  page.dataset.theme = 'dark'
  await vi.waitFor(() => expect(chart.text()).toBe('#cbb9c6'))
})
