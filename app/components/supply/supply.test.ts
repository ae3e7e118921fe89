import { dyeItem, sheetItem, stockOf } from '#core/workshop'
import { rect } from '#core/material'
import { startingPrices } from '#core/supply'
import { flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { beginAgain, commission, plan, workshop } from '../../../tests/any/demoStudio'
import { whenTrue } from '../../../tests/any/whenTrue'
import ChecklistSection from '../deliver/ChecklistSection.vue'
import CountSection from '../deliver/CountSection.vue'
import SignOffSection from '../deliver/SignOffSection.vue'
import PaperView from '../papers/PaperView.vue'
import { useHandover } from '~/composables/handover'
import { choose } from '../../../tests/any/choosing'
import DrawerFields from './DrawerFields.vue'
import EquipmentSection from './EquipmentSection.vue'
import QuoteSection from './QuoteSection.vue'
import ShoppingSection from './ShoppingSection.vue'
import StockSection from './StockSection.vue'

beforeEach(() => {
  setActivePinia(createPinia())
  beginAgain()
})

describe('shopping', () => {
  it('ticked things go on the shelf and off the list', async () => {
    const mounted = mount(ShoppingSection)
    const wafer = mounted.get('[data-testid="buy-sheet thinWafer 210x297"]')
    expect(wafer.text()).toMatch(/1 × 25.*thin wafer, A4.*12\.50/)
    await wafer.get('[role="switch"]').trigger('click')
    expect(Object.keys(commission.value.bench.ticks)).toEqual(['bought sheet thinWafer 210x297'])
    await mounted.get('[data-testid="receive"]').trigger('click')
    expect(stockOf(workshop.value, 'sheet thinWafer 210x297')!.onHand).toBe(25)
    expect(commission.value.bench.ticks).toEqual({})
    expect(mounted.find('[data-testid="buy-sheet thinWafer 210x297"]').exists()).toBe(false)
  })
  it('what the job uses comes off the shelves once', async () => {
    const mounted = mount(ShoppingSection)
    const discs = (): number =>
      workshop.value.stock
        .filter(({ item }) => item.startsWith('sheet riceFilm disc'))
        .reduce((sum, { onHand }) => sum + onHand, 0)
    const before = discs()
    const taken = plan.value.groups.find(({ way }) => way === 'sectors')!.sheets.value
    await mounted.get('[data-testid="take-stock"]').trigger('click')
    expect(discs()).toBe(before - taken)
    expect(mounted.get('[data-testid="take-stock"]').attributes('disabled')).toBeDefined()
  })
  it('stock, packs and prices are typed, and the price comes into the quote', async () => {
    const stock = mount(StockSection)
    const row = stock.get('[data-testid="stock-wire 26"]')
    for (const [field, text] of [
      [0, '12'],
      [1, '20'],
      [2, '4'],
    ] as const) {
      const input = row.findAll('input')[field]!
      await input.setValue(text)
      await input.trigger('change')
    }
    expect(stockOf(workshop.value, 'wire 26')).toEqual(expect.objectContaining({ onHand: 12, pack: 20, packPrice: 4 }))
    const quote = mount(QuoteSection)
    expect(quote.text()).toMatch(/One more costs about €[\d.]+ of the sails/)
    expect(quote.text()).toContain('Your prices, in euro')
  })
  it('drawers are counted: what lies there is known, a dye too', async () => {
    const items = [sheetItem('thinWafer', rect(210, 297)), dyeItem(workshop.value.dyes[0]!)]
    const mounted = mount(DrawerFields, { props: { items } })
    for (const { item } of items) {
      const input = mounted.get(`[data-testid="drawer-${item}"] input`)
      await input.setValue('7')
      await input.trigger('change')
      expect(stockOf(workshop.value, item)!.onHand).toBe(7)
    }
    expect(workshop.value.dyes[0]!.onHandMl).toBe(7)
  })
  it('another currency brings its own starting prices, and keeps what was typed', async () => {
    workshop.value = { ...workshop.value, prices: { ...workshop.value.prices, hour: 31 } }
    const mounted = mount(QuoteSection)
    await choose(mounted, 'JPY', '[data-testid="currency"]')
    expect(workshop.value.prices).toEqual({ ...startingPrices('JPY'), hour: 31 })
    expect(mounted.text()).toContain('Your prices, in yen')
    expect(mounted.text()).toMatch(/One more costs about ¥\d+ of the sails/)
  })
  it('things of one’s own are put on a shelf, and formers counted', async () => {
    const mounted = mount(EquipmentSection)
    await mounted.get('input[maxlength="80"]').setValue('turntable')
    await mounted.get('form').trigger('submit')
    await whenTrue(() =>
      expect(workshop.value.stock.at(-1)).toMatchObject({ name: 'turntable', shelf: 'equipment', onHand: 1 }),
    )
    await mounted.get('form').trigger('submit')
    await whenTrue(() => expect(mounted.get('[role="alert"]').text()).toBe('Give it a name, please.'))
    const mats = mounted.findAll('input')[0]!
    await mats.setValue('3')
    await mats.trigger('change')
    expect(workshop.value.mats.count).toBe(3)
  })
  it('a table that is wrong is refused whole', async () => {
    const mounted = mount(StockSection)
    const input = mounted.get('[data-testid="stock-input"]')
    Object.defineProperty(input.element, 'files', { value: [new File(['eggs;12'], 'eggs.csv')], configurable: true })
    const before = workshop.value.stock
    await input.trigger('change')
    await whenTrue(async () => {
      await flushPromises()
      expect(mounted.get('[role="alert"]').text()).toContain('eggs.csv, line 1')
    })
    expect(workshop.value.stock).toEqual(before)
  })
})

describe('at the door', () => {
  it('counts in and out, and says what is missing', async () => {
    const mounted = mount(CountSection)
    const state = (): string => mounted.get('[data-testid="count-state"]').text()
    await mounted.get('[data-testid="all-in"]').trigger('click')
    expect(state()).toContain('10 picks')
    for (const id of plan.value.inedible.filter(({ stays }) => !stays).map((each) => each.id))
      await mounted
        .get(`[data-testid="inedible-${id}"]`)
        .findAll('button')
        .find((each) => each.text() === 'all')!
        .trigger('click')
    expect(state()).toContain('stay in until the cake is cut')
    await mounted.get('button[aria-label^="One more in: wires of blooms"]').trigger('click')
    expect(commission.value.bench.wentIn['blossoms bloomWire']).toBe(7)
  })
  it('ticks lines with their hour, and takes a tick back', async () => {
    const mounted = mount(ChecklistSection)
    const [first] = mounted.findAll('[role="switch"]')
    await first!.trigger('click')
    expect(Object.keys(commission.value.bench.ticks)).toHaveLength(1)
    await first!.trigger('click')
    expect(commission.value.bench.ticks).toEqual({})
  })
  it('is handed over with names, and warns of what is still in', async () => {
    commission.value = { ...commission.value, bench: { ...commission.value.bench, wentIn: { 'lace pick': 10 } } }
    const mounted = mount(SignOffSection)
    expect(mounted.text()).toContain('Still in: picks')
    await mounted.findAll('input').at(-1)!.setValue('the host')
    await mounted.get('form').trigger('submit')
    await whenTrue(() => expect(commission.value.bench.handedOver).toMatchObject({ to: 'the host' }))
  })
  it('shows every paper of the pack as it reads', () => {
    for (const paper of useHandover().pack.value) {
      const mounted = mount(PaperView, { props: { paper } })
      for (const block of paper.blocks)
        if (block.kind === 'table') for (const row of block.rows) expect(mounted.text()).toContain(row[1])
      mounted.unmount()
    }
  })
})
