import { mount, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { beginAgain, commission, option, plan, studio, workshop } from '../../../tests/any/demoStudio'
import ColourChoice from '~/components/ui/ColourChoice.vue'
import ColouringSection from './ColouringSection.vue'
import DyeShelf from './DyeShelf.vue'
import { useLook } from './looking'
import DishSection from './DishSection.vue'
import { choose } from '../../../tests/any/choosing'

const button = (mounted: VueWrapper, text: string) => mounted.findAll('button').find((each) => each.text() === text)!
const decorationOf = (id: string) => option.value.decorations.find((each) => each.id === id)!

beforeEach(() => {
  setActivePinia(createPinia())
  beginAgain()
  useLook().value = 'white'
})

describe('dishes for paper', () => {
  const shown = (): VueWrapper => mount(DishSection, { props: { first: 5 } })

  it('are numbered on from the bath, each with its drops, its paper and its name', () => {
    const dishes = shown().findAll('li')
    expect(dishes).toHaveLength(plan.value.dishes.dishes.length)
    // The bath has a cream of its own: the two are told apart.
    const cream = dishes.map((dish) => dish.text()).find((text) => /^\d+palest cream/.test(text))!
    expect(dishes[0]!.text()).toMatch(/^5/)
    expect(cream).toMatch(/Torn ruffle, \d+ pieces, Strip scroll, \d+ pieces, brushed/)
    expect(cream).toMatch(/yellow \d+ drops/)
  })
  it('look another way on their tier', async () => {
    const mounted = shown()
    const colours = (): readonly string[] =>
      mounted.findAll('[data-testid="dish"]').map((dish) => dish.attributes('style')!)
    const before = colours()
    useLook().value = 'covering'
    await mounted.vm.$nextTick()
    expect(colours().filter((style, at) => style === before[at])).toEqual([])
  })
  it('that are nearly equal can be mixed as one', async () => {
    studio.edit('nearly', (draft) => {
      draft.commission.options[0]!.decorations.find(({ id }) => id === 'buds')!.colour = {
        heart: '#e98d68',
        tail: '#e98d68',
        steps: 1,
      }
    })
    const mounted = shown()
    const before = plan.value.dishes.dishes.length
    await button(mounted, 'mix them as one').trigger('click')
    expect(plan.value.dishes.dishes).toHaveLength(before - 1)
    expect(decorationOf('buds').colour.heart).toBe(decorationOf('blossoms').colour.heart)
  })
})

describe('how each is coloured', () => {
  const row = (mounted: VueWrapper, id: string) => mounted.get(`[data-testid="colouring-${id}"]`)

  it('is chosen, and what does not suit is said with a way out', async () => {
    const mounted = mount(ColouringSection)
    await choose(row(mounted, 'moths'), 'water', '[data-testid="thinned-moths"]')
    const fault = row(mounted, 'moths').get('[data-testid="fault-wet-thin-paper"]')
    expect(fault.text()).toContain('holes')
    await fault.get('button').trigger('click')
    expect(decorationOf('moths').colouring.carrier).toBe('spirit')
    expect(row(mounted, 'moths').find('[data-testid="fault-wet-thin-paper"]').exists()).toBe(false)
  })
  it('follows what the client does not want', async () => {
    studio.edit('no alcohol', (draft) => {
      draft.commission.brief.limits.noAlcohol = true
    })
    const mounted = mount(ColouringSection)
    expect(
      plan.value.cautions.find((each) => each.code === 'colour-stops' && each.decoration === 'moths')!.say,
    ).toContain('Butterfly: No alcohol')
    for (let turn = 0; turn < 20 && mounted.find('[data-testid^="fault-"] button').exists(); turn += 1)
      await mounted.get('[data-testid^="fault-"] button').trigger('click')
    expect(plan.value.dishes.faults).toEqual([])
  })
  it('leaves a decoration bare, and its dish is gone', async () => {
    const mounted = mount(ColouringSection)
    await choose(row(mounted, 'moths'), 'bare')
    expect(plan.value.dishes.bare).toContain('Butterfly')
    expect(plan.value.dishes.dishes.flatMap(({ uses }) => uses.map(({ name }) => name))).not.toContain('Butterfly')
  })
})

describe('a colour', () => {
  it('is typed as style sheets write it, and what is none is refused', async () => {
    const mounted = mount(ColourChoice, { props: { label: 'Colour', modelValue: '#d9572b' } })
    expect(mounted.text()).toContain('persimmon')
    const field = mounted.get('[aria-label="Colour: typed"]')
    await field.setValue('tomato')
    expect(mounted.emitted('update:modelValue')).toEqual([['#ff6347']])
    await field.setValue('persimmonish')
    expect(mounted.get('[role="alert"]').text()).toContain('no colour')
    expect(mounted.emitted('update:modelValue')).toHaveLength(1)
  })
  it('is touched on a picture only when there is one', () => {
    const shown = (): boolean =>
      mount(ColourChoice, { props: { label: 'Colour', modelValue: '#d9572b' } })
        .find('[aria-label="Colour: from a picture"]')
        .exists()
    expect(shown()).toBe(false)
    studio.edit('picture', (draft) => {
      draft.commission.brief.photos.push({
        id: 'a',
        name: 'sketch',
        dataUrl: 'data:image/png;base64,AAAA',
        widthPx: 10,
        heightPx: 10,
      })
    })
    expect(commission.value.brief.photos).toHaveLength(1)
    expect(shown()).toBe(true)
  })
})

describe('dyes on the shelf', () => {
  it('say what the job takes of each, with its working, and when there is too little', async () => {
    const mounted = mount(DyeShelf)
    const red = mounted.findAll('li').find((each) => each.text().includes('red'))!
    expect(red.text()).toMatch(/takes 5\.\d ml/)
    expect(red.text()).not.toContain('more than is on hand')
    studio.edit('less', (draft) => {
      draft.workshop.dyes[0]!.onHandMl = 2
    })
    await mounted.vm.$nextTick()
    expect(workshop.value.dyes[0]!.onHandMl).toBe(2)
    expect(red.text()).toContain('more than is on hand')
  })
})
