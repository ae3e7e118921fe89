import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { cuttingToolsSchema } from '#core/cut'
import { paceSchema } from '#core/schedule'
import { PRICE_NAMES } from '#core/supply'
import { workshopSchema } from '#core/workshop'
import { beginAgain, workshop } from '../../../tests/any/demoStudio'
import WorkshopField from './WorkshopField.vue'

beforeEach(() => {
  setActivePinia(createPinia())
  beginAgain()
})

const fieldOf = (props: object) => mount(WorkshopField, { props: { edits: 'a number', ...props } as never })

/** Types into a field and leaves it. */
async function type(field: ReturnType<typeof fieldOf>, text: string): Promise<void> {
  await field.get('input').setValue(text)
  await field.get('input').trigger('keydown', { key: 'Enter' })
  await field.get('input').trigger('blur')
}

describe('a number of the workshop', () => {
  const groups = [
    ...Object.keys(paceSchema.shape).map((name) => ['pace', name] as const),
    ...PRICE_NAMES.map((name) => ['prices', name] as const),
    // Punches are a list of widths, which has a field of its own.
    ...Object.keys(cuttingToolsSchema.omit({ punchesMm: true }).shape).map((name) => ['tools', name] as const),
    ...(['halfSphere', 'foamHole', 'pan', 'fan'] as const).map((name) => ['moulds', name] as const),
    ...(['people', 'ovenPlaces', 'fridgeC', 'learnFrom'] as const).map((name) => ['own', name] as const),
  ]
  it.each(groups)('is shown with its own label: %s %s', (group, name) => {
    const field = fieldOf({ group, name })
    const { shape } = workshopSchema
    const schema = group === 'own' ? shape[name as 'people'] : shape[group as 'moulds'].shape[name as 'pan']
    expect(field.text()).toContain((schema.meta() as { label: string }).label)
    expect(field.get('input').element.value).toMatch(/\d/)
  })

  it('changes that number and no other', async () => {
    const before = workshop.value
    await type(fieldOf({ group: 'moulds', name: 'foamHole' }), '48')
    expect(workshop.value).toEqual({ ...before, moulds: { ...before.moulds, foamHole: 48 } })
    await type(fieldOf({ group: 'own', name: 'people' }), '2')
    expect(workshop.value).toEqual({ ...before, people: 2, moulds: { ...before.moulds, foamHole: 48 } })
  })

  it('keeps what was there when what is typed is no such number', async () => {
    const before = workshop.value
    const field = fieldOf({ group: 'mats', name: 'count', label: 'Mats' })
    await type(field, 'a few')
    expect(field.text()).toContain('Mats')
    expect(field.find('[role="alert"]').exists() || field.get('input').attributes('aria-invalid') === 'true').toBe(true)
    expect(workshop.value).toEqual(before)
  })
})
