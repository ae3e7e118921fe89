import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it } from 'vitest'
import { paperText } from '#core/format/paperText'
import PaperTools from '~/components/papers/PaperTools.vue'
import ShoppingPaper from '~/components/supply/ShoppingPaper.vue'
import { usePreferences } from '~/stores/preferences'
import { beginAgain, commission } from '../../tests/any/demoStudio'
import { useHandover } from './handover'

beforeEach(() => {
  setActivePinia(createPinia())
  beginAgain()
  usePreferences().units = 'metric'
})

it('papers for the venue are told as the venue measures, the studio’s own as before', () => {
  const { pack } = useHandover()
  const shopping = mount(ShoppingPaper, { shallow: true }).getComponent(PaperTools)
  const list = (): string => paperText(shopping.props('papers')[0]!)
  const text = (): string => pack.value.map(paperText).join('\n')
  const bought = list()
  expect(text()).toMatch(/\d mm/)
  commission.value = { ...commission.value, brief: { ...commission.value.brief, venueUnits: 'imperial' } }
  expect(text()).not.toMatch(/\d mm\b/)
  expect(list()).toBe(bought)
})
