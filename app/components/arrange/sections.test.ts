import type { Decoration } from '#core/commission'
import { techniqueOf } from '#core/technique'
import { mount, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { isSameShape, paperOf, PAPERS } from '#core/material'
import { beginAgain, option, plan } from '../../../tests/any/demoStudio'
import AccentSection from './AccentSection.vue'
import { useArranging } from './arranging'
import { useChosenDecoration } from './chosen'
import ElementBar from './ElementBar.vue'
import FinishSection from './FinishSection.vue'
import MakingSection from './MakingSection.vue'
import PaperChoice from './PaperChoice.vue'
import DecorationLeaf from './DecorationLeaf.vue'
import QuietSection from './QuietSection.vue'
import { choicesIn, choose } from '../../../tests/any/choosing'
import { whole } from '../../../tests/any/whole'

const decoration = (id: string): Decoration => option.value.decorations.find((each) => each.id === id)!
const made = (id: string) => plan.value.decorations.find((each) => each.id === id)!
const handsOf = (id: string): number => plan.value.work.making.find(({ decoration: of }) => of === id)!.hands.value
const slide = (mounted: VueWrapper, testid: string, to: number): Promise<void> =>
  mounted.get(`[data-testid="${testid}"] input[type="range"]`).setValue(String(to))

beforeEach(() => {
  localStorage.clear()
  setActivePinia(createPinia())
  beginAgain()
})

describe('finishes of a decoration', () => {
  it('are offered until they are on it, each with its amount and caution, and come off again', async () => {
    const mounted = mount(FinishSection, { props: { id: 'globes' } })
    const offered = techniqueOf('foldedGlobe').finishes
    expect(mounted.findAll('[data-testid^="finish-"]')).toHaveLength(offered.length)
    await mounted.get('[data-testid="finish-dusting"]').trigger('click')
    expect(decoration('globes').finishes).toHaveLength(1)
    expect(mounted.text()).toMatch(/takes [\d.]+/)
    expect(mounted.find('[data-testid="finish-dusting"]').exists()).toBe(false)
    const before = made('globes').finishes[0]!.amount.value
    await mounted.get('input[type="range"]').setValue('1')
    expect(made('globes').finishes[0]!.amount.value).toBeGreaterThan(before)
    await mounted.get('[aria-label^="Leave out"]').trigger('click')
    expect(decoration('globes').finishes).toEqual([])
  })
  it('take more hands', async () => {
    const before = handsOf('lace')
    await mount(FinishSection, { props: { id: 'lace' } })
      .get('[data-testid^="finish-"]')
      .trigger('click')
    expect(handsOf('lace')).toBeGreaterThan(before)
  })
})

describe('paper and colour of a decoration', () => {
  it('name papers that do not suit, refuse them with the reason, and offer the one that does', async () => {
    const mounted = mount(PaperChoice, { props: { id: 'moths' } })
    const names = await choicesIn(mounted)
    expect(names).toHaveLength(PAPERS.length)
    expect(names.find((name) => name.startsWith('rice film'))).toContain('does not suit')
    await choose(mounted, 'riceFilm')
    expect(
      made('moths').shapes.every((shape) => paperOf('riceFilm').shapes.some((each) => isSameShape(each, shape))),
    ).toBe(true)
    expect(mounted.get('[data-testid="paper-says"]').text()).toContain(techniqueOf('butterfly').unfit.riceFilm!)
    await mounted.get('[data-testid="paper-says"] button').trigger('click')
    expect(made('moths').unfit).toBeNull()
  })
  it('propose the sheets that take the least paper', async () => {
    const mounted = mount(PaperChoice, { props: { id: 'moths' } })
    const [best] = made('moths').sizes
    const isBest = (): boolean => made('moths').shapes.some((shape) => isSameShape(shape, best!.shape))
    if (!isBest()) await mounted.findAll('button.figure-link').at(-1)!.trigger('click')
    expect(isBest()).toBe(true)
    expect(mounted.text()).toContain('takes the least paper')
  })
  it('run over as many shades as asked, each cut apart', async () => {
    const mounted = mount(PaperChoice, { props: { id: 'moths' } })
    expect(mounted.text()).not.toContain('At the tail')
    await slide(mounted, 'run-steps', 3)
    await mounted.findAll('[aria-label="At the tail"] button')[2]!.trigger('click')
    expect(mounted.text()).toContain('At the tail')
    expect(new Set(made('moths').classes.map(({ colour }) => colour)).size).toBeGreaterThan(1)
  })
})

describe('what stays free of a decoration', () => {
  const { quiet } = { quiet: { others: false, seams: false, back: false, places: [{ middleDeg: 0, spanDeg: 40 }] } }
  const lastChange = (mounted: VueWrapper) => {
    const [, change] = mounted.emitted('edit')!.at(-1) as [string, (draft: typeof quiet) => void]
    const draft = structuredClone(quiet)
    change(draft)
    return draft
  }
  it('is ticked, added, widened and taken away', async () => {
    const mounted = mount(QuietSection, { props: { quiet, first: false } })
    await mounted.get('[data-testid="quiet-back"]').trigger('click')
    expect(lastChange(mounted).back).toBe(true)
    await mounted.get('[data-testid="quiet-add"]').trigger('click')
    expect(lastChange(mounted).places).toHaveLength(2)
    await mounted.findAll('input[type="range"]')[1]!.setValue('90')
    expect(lastChange(mounted).places[0]).toEqual({ middleDeg: 0, spanDeg: 90 })
    await mounted.get('[aria-label="No quiet place here"]').trigger('click')
    expect(lastChange(mounted).places).toEqual([])
  })
  it('does not ask what comes first to keep off others, and offers no fifth place', () => {
    const places = Array.from({ length: 4 }, (_, at) => ({ middleDeg: at * 60, spanDeg: 20 }))
    const mounted = mount(QuietSection, { props: { quiet: { ...quiet, places }, first: true } })
    expect(mounted.find('[data-testid="quiet-others"]').exists()).toBe(false)
    expect(mounted.find('[data-testid="quiet-add"]').exists()).toBe(false)
  })
})

describe('accents that go with a decoration', () => {
  it('are counted, thinned, shuffled without changing the count, and removed', async () => {
    const mounted = mount(AccentSection, { props: { follows: 'sails' } })
    const count = () => plan.value.accents[0]!.count.value
    expect(mounted.text()).toContain(`${count()} pearls`)
    const [before, places] = [count(), plan.value.accents[0]!.elements]
    await mounted.get('[aria-label="Shuffle the pearls"]').trigger('click')
    expect(count()).toBe(before)
    expect(plan.value.accents[0]!.elements).not.toEqual(places)
    await mounted.findAll('input[type="range"]')[1]!.setValue('3')
    expect(count()).toBeGreaterThan(before)
    await mounted.get('[aria-label="Remove the pearls"]').trigger('click')
    expect(option.value.accents).toEqual([])
  })
  it('for show are on the removal list', async () => {
    const mounted = mount(AccentSection, { props: { follows: 'sails' } })
    await mounted.get('[role="switch"]').trigger('click')
    expect(mounted.text()).toContain('removal list')
    expect(plan.value.careCard.remove.map(({ name }) => name)).toContain('pearls')
  })
})

describe('one element by hand', () => {
  const bar = () => {
    useChosenDecoration(() => option.value).choose('moths')
    useArranging().pick(null)
    return mount(ElementBar, { props: { called: 'moths' } })
  }
  it('is picked, moved by keys, turned, resized, and all is given back', async () => {
    const mounted = bar()
    await mounted.get('[data-testid="pick-next"]').trigger('click')
    expect(mounted.get('[role="status"]').text()).toBe('1 of 7')
    await mounted.get('[data-testid="element-move"]').trigger('keydown', { key: 'ArrowUp', shiftKey: true })
    expect(mounted.get('[role="status"]').text()).toBe('1 of 7, pinned')
    const before = made('moths').elements[0]!
    await mounted.get('[aria-label="Lean right"]').trigger('click')
    await mounted.get('[aria-label="Smaller"]').trigger('click')
    expect(made('moths').elements[0]!.rollDeg).toBeCloseTo(before.rollDeg + 8, 5)
    expect(made('moths').elements[0]!.size).toBeLessThan(before.size)
    await mounted.get('[data-testid="element-release"]').trigger('click')
    expect(decoration('moths').byHand).toEqual({ put: [], out: [] })
    useChosenDecoration(() => option.value).choose('sails')
  })
  it('goes with the delete key, and one more comes beside it', async () => {
    const mounted = bar()
    await mounted.get('[data-testid="pick-next"]').trigger('click')
    await mounted.get('[data-testid="element-move"]').trigger('keydown', { key: 'Delete' })
    expect(made('moths').elements).toHaveLength(6)
    await mounted.get('[data-testid="element-add"]').trigger('click')
    expect(made('moths').elements).toHaveLength(7)
    useChosenDecoration(() => option.value).choose('sails')
  })
})

describe('a decoration’s leaf', () => {
  const leaf = (id: string) =>
    mount(DecorationLeaf, { props: { id }, global: { stubs: { SideEditor: true, PlantChoice: true } } })
  it.each(['sails', 'collar', 'lace', 'moths', 'globes', 'blossoms', 'ginkgo', 'buds'])(
    'of the %s gives counts that open, its flat pieces and how it is made',
    async (id) => {
      const mounted = leaf(id)
      // Its heading is there before the parts below it.
      expect(mounted.get('h1').text()).toBe(made(id).name)
      await whole(mounted)
      expect(mounted.get('header').findAll('button.figure-link').length).toBeGreaterThanOrEqual(4)
      expect(mounted.get('[data-testid="flat-pieces"]').findAll('figure')).toHaveLength(
        Math.min(8, made(id).classes.length) + 1,
      )
      // Beside them, to their scale, what becomes of them.
      const done = mounted.get('[data-testid="finished-element"]').text()
      expect(done).toContain(made(id).one)
      expect(mounted.text()).toContain(made(id).steps[0]!.name)
    },
  )
  it('of what is gathered says so instead of how it is arranged, and lets it go', async () => {
    const mounted = leaf('blossoms')
    expect(mounted.find('[data-testid="arranged-as"]').exists()).toBe(false)
    await mounted.get('[data-testid="gathered"] button.button').trigger('click')
    expect(decoration('blossoms').gathered).toBeNull()
    expect(mounted.find('[data-testid="arranged-as"]').exists()).toBe(true)
    await mounted.findAll('[data-testid="arranged-as"] button').at(-1)!.trigger('click')
    expect(decoration('blossoms').gathered?.bouquet).toBe('quince')
  })
  it('arranges it in another way and keeps its seed', async () => {
    const mounted = leaf('moths')
    const { seed } = decoration('moths').composition
    await mounted
      .findAll('[data-testid="arranged-as"] button')
      .find((button) => button.text() === 'Band')!
      .trigger('click')
    expect(decoration('moths').composition).toMatchObject({ kind: 'band', seed })
    await mounted.get('[data-testid="shuffle"]').trigger('click')
    expect(decoration('moths').composition.seed).not.toBe(seed)
  })
  it('takes numbers of its own form', async () => {
    const mounted = await whole(leaf('globes'))
    await slide(mounted, 'parameter-seenMm', 50)
    expect(made('globes').seen.widthMm).toBe(50)
  })
  it('takes it off the cake', async () => {
    const mounted = leaf('globes')
    await mounted.get('[data-testid="decoration-menu"]').trigger('click')
    await vi.waitUntil(() => mounted.find('[data-testid="decoration-remove"]').exists())
    ;(mounted.get('[data-testid="decoration-remove"]').element as HTMLButtonElement).click()
    // Its page closes the leaf as soon as the decoration is gone.
    mounted.unmount()
    expect(decoration('globes')).toBeUndefined()
  })
})

describe('how a decoration is made', () => {
  it.each(['lace', 'blossoms', 'globes'])(
    '%s: every step with its caution, what is counted in and out, what goes wrong',
    (id) => {
      const text = mount(MakingSection, { props: { made: made(id) } }).text()
      for (const { name, say } of made(id).steps) expect(text).toContain(`${name}. ${say}`)
      for (const { say } of made(id).cautions) expect(text).toContain(say)
      for (const { count, name } of made(id).removals) expect(text).toContain(`${count} ${name}`)
      for (const { seen } of made(id).failures) expect(text).toContain(seen)
    },
  )
})
