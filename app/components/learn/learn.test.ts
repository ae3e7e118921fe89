import { STARTING_WORKSHOP } from '#core/workshop'
import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { whenTrue } from '../../../tests/any/whenTrue'
import { beginAgain, commission, workshop } from '../../../tests/any/demoStudio'
import { lanternRow } from '#core/demo'
import KnownList from './KnownList.vue'
import { knowledgeOf, stepName } from './knowledge'
import LedgerList from './LedgerList.vue'
import ReviewSection from './ReviewSection.vue'
import TrialForm from './TrialForm.vue'

beforeEach(() => {
  setActivePinia(createPinia())
  beginAgain()
})

describe('what trials say', () => {
  it('is nothing without any, and of the demo one line for each kind', () => {
    expect(knowledgeOf(STARTING_WORKSHOP)).toEqual([])
    expect(new Set(knowledgeOf(workshop.value).map(({ group }) => group))).toEqual(
      new Set(['shrink', 'drying', 'hands', 'breakage']),
    )
    expect(knowledgeOf(workshop.value).every(({ isUsed }) => !isUsed)).toBe(true)
  })
  it('is used from as many on as the studio wants', async () => {
    const mounted = mount(KnownList)
    expect(mounted.text()).toContain('2 of 3 trials; plans keep their starting value')
    const field = mounted.get('[data-testid="learn-from"] input')
    await field.setValue('2')
    await field.trigger('change')
    expect(mounted.text()).toContain('plans go by 2 trials')
    expect(mounted.get('[data-testid="shrink mat"]').text()).toMatch(/shrinks about 2\.\d % ± \d.*plans allow \d/)
  })
  it('shows how each was foretold, before and after', async () => {
    const chart = { props: ['foretold'], template: '<i data-testid="chart">{{ foretold.length }}</i>' }
    const mounted = mount(KnownList, { global: { stubs: { ForetoldChart: chart } } })
    await mounted.get('[data-testid="hands soakedSail soak"] button').trigger('click')
    expect(mounted.get('[data-testid="chart"]').text()).toBe('2')
  })
  it('has dyes whose strips were dipped', () => {
    const dyeTrials = [
      {
        id: 'strip',
        dye: 'red',
        kind: 'film' as const,
        dropsPer100Ml: 8,
        bare: '#efece2',
        swatch: '#e8b8b0',
        odd: false,
      },
    ]
    expect(knowledgeOf({ ...STARTING_WORKSHOP, dyeTrials }).map(({ group, name }) => [group, name])).toEqual([
      ['colour', 'red on rice film'],
    ])
  })
  it('calls every step by its name', () => {
    expect(stepName('soakedSail soak')).toBe('Soaked sail: soak and drape')
    expect(stepName('openBloom cup')).toBe('Open bloom: damp and cup')
    expect(stepName('gone step')).toBe('gone step')
  })
})

describe('a trial', () => {
  it('of shrink is kept as typed, an impossible one refused with what to do', async () => {
    const mounted = mount(TrialForm)
    await mounted.get('form').trigger('submit')
    await whenTrue(() =>
      expect(workshop.value.shrinkTrials.at(-1)).toMatchObject({
        way: 'mat',
        beforeMm: 200,
        afterMm: 195,
        room: 'workroom',
        odd: false,
      }),
    )
    const count = workshop.value.shrinkTrials.length
    const after = mounted.findAll('input').at(-1)!
    await after.setValue('40')
    await after.trigger('change')
    await mounted.get('form').trigger('submit')
    await whenTrue(() => expect(mounted.get('[role="alert"]').text()).toContain('Between half'))
    expect(workshop.value.shrinkTrials).toHaveLength(count)
  })
  it('of speed is told against what so many take by starting values', async () => {
    const mounted = mount(TrialForm)
    await mounted
      .findAll('[role="radio"]')
      .find((each) => each.text() === 'Speed')!
      .trigger('click')
    await mounted.get('form').trigger('submit')
    await whenTrue(() =>
      expect(workshop.value.runs.at(-1)).toMatchObject({ step: 'soakedSail soak', standardMin: 30, minutes: 30 }),
    )
  })
  it('can be marked odd, counted again and forgotten', async () => {
    const mounted = mount(LedgerList)
    const button = (text: string) => mounted.findAll('button').find((each) => each.text() === text)!
    await button('odd').trigger('click')
    expect(workshop.value.runs.filter(({ odd }) => odd)).toHaveLength(1)
    await button('let it count').trigger('click')
    expect(workshop.value.runs.some(({ odd }) => odd)).toBe(false)
    const all = workshop.value.runs.length
    await button('forget').trigger('click')
    expect(workshop.value.runs).toHaveLength(all - 1)
  })
})

describe('looking back', () => {
  it('is nothing before work was begun, then one page that can be kept', async () => {
    expect(mount(ReviewSection).text()).toBe('')
    commission.value = { ...lanternRow(0), id: 'lantern-row' }
    const mounted = mount(ReviewSection)
    expect(mounted.text()).toContain('9 cut, 1 broken')
    await mounted.get('[data-testid="review-change"]').setValue('Fewer halves.')
    await mounted.get('form').trigger('submit')
    await whenTrue(() => expect(commission.value.bench.review!.change).toBe('Fewer halves.'))
  })
})
