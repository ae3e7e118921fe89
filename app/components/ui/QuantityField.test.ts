import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { markRaw } from 'vue'
import { soakedSail } from '#core/technique'
import { usePreferences } from '~/stores/preferences'
import QuantityField from './QuantityField.vue'

beforeEach(() => {
  localStorage.clear()
  setActivePinia(createPinia())
})

/** Mounting by itself wraps props in deep proxies, which a schema does not survive and no page does. */
const field = () =>
  mount(QuantityField, { props: { schema: markRaw(soakedSail.parameters.shape.seenMm), modelValue: 118 } })
const value = (mounted: ReturnType<typeof field>) => (mounted.get('input').element as HTMLInputElement).value

describe('a field for a quantity', () => {
  it('shows its label and value', () => {
    const mounted = field()
    expect([mounted.get('label').text(), value(mounted)]).toEqual(['Seen height', '118 mm'])
  })
  it('gives on what is typed in any unit', async () => {
    const mounted = field()
    await mounted.get('input').setValue('4 in')
    await mounted.get('input').trigger('change')
    expect(mounted.emitted('update:modelValue')![0]![0]).toBeCloseTo(101.6)
  })
  it('keeps what was there and says why when it cannot read it', async () => {
    const mounted = field()
    await mounted.get('input').setValue('tall')
    await mounted.get('input').trigger('change')
    expect(mounted.emitted('update:modelValue')).toBeUndefined()
    expect(mounted.get('[role="alert"]').text()).toContain('not a number')
    await mounted.get('input').trigger('keydown', { key: 'Escape' })
    expect(value(mounted)).toBe('118 mm')
  })
  it('steps with the arrows and stops at its limits', async () => {
    const mounted = field()
    await mounted.get('input').trigger('keydown', { key: 'ArrowUp', shiftKey: true })
    await mounted.setProps({ modelValue: 250 })
    await mounted.get('input').trigger('keydown', { key: 'ArrowUp' })
    expect(mounted.emitted('update:modelValue')).toEqual([[128], [250]])
  })
  it('shows inches to whoever reads inches', () => {
    usePreferences().units = 'imperial'
    expect(value(field())).toBe('4 5/8 in')
  })
})
