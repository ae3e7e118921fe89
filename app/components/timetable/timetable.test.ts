import { chosenOption } from '#core/commission'
import { dayOf } from '#core/quantity'
import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Plan } from '#core/plan'
import type { Slot, Timetable } from '#core/schedule'
import { beginAgain, option, plan, studio, workshop } from '../../../tests/any/demoStudio'
import { whenTrue } from '../../../tests/any/whenTrue'
import BusySection from './BusySection.vue'
import RiskNote from './RiskNote.vue'
import SlotNote from './SlotNote.vue'
import TimeLanes from './TimeLanes.vue'
import WhatIfs from './WhatIfs.vue'

const attempt = vi.spyOn(studio, 'attempt')
const timetableIn = (of: Plan): Timetable => {
  if (!of.timetable.ok) throw new Error(of.timetable.error.code)
  return of.timetable.value
}
const timetable = (): Timetable => timetableIn(plan.value)
const slotOf = (task: string): Slot => timetable().slots.find((slot) => slot.task === task)!
const shown = (): VueWrapper =>
  mount(TimeLanes, { props: { timetable: timetable(), hours: workshop.value.hours, busy: [], now: 0, chosen: null } })

beforeEach(() => {
  setActivePinia(createPinia())
  beginAgain()
  attempt.mockReset()
})

describe('the lanes of the timetable', () => {
  it('hold every slot, each with its hours in words', () => {
    const labels = shown()
      .findAll('button')
      .map((each) => each.attributes('aria-label'))
    for (const { name } of timetable().slots) expect(labels.some((label) => label!.startsWith(name))).toBe(true)
  })
  it('let work be put at another hour by keys, and nothing that only lies there', async () => {
    const mounted = shown()
    const cut = mounted.get('[data-task="sails-cut"]')
    await cut.trigger('keydown', { key: 'ArrowLeft' })
    await cut.trigger('keydown', { key: 'ArrowRight', shiftKey: true })
    const { from } = slotOf('sails-cut')
    expect(mounted.emitted('pin')).toEqual([
      ['sails-cut', Math.round((from - 15) / 15) * 15],
      ['sails-cut', Math.round((from + 60) / 15) * 15],
    ])
    await mounted
      .findAll('button')
      .find((each) => each.attributes('aria-label')!.includes('dries'))!
      .trigger('keydown', { key: 'ArrowLeft' })
    expect(mounted.emitted('pin')).toHaveLength(2)
  })
  it('show hours when somebody cannot', () => {
    const { from } = slotOf('sails-cut')
    const mounted = mount(TimeLanes, {
      props: {
        timetable: timetable(),
        hours: workshop.value.hours,
        busy: [
          { name: 'Dentist', from, to: from + 60 },
          { name: 'long ago', from: 0, to: 60 },
        ],
        now: from,
        chosen: 'sails-cut',
      },
    })
    expect(mounted.findAll('[data-testid="busy"]').map((each) => each.attributes('title'))).toEqual(['Dentist'])
  })
})

describe('a piece of work', () => {
  it('says why it is no later, is kept at its hour, and let go', async () => {
    const mounted = mount(SlotNote, { props: { work: slotOf('pack'), timetable: timetable() } })
    expect(mounted.text()).toContain('“Load the car”')
    await mounted.get('button').trigger('click')
    expect(option.value.pins).toEqual({ pack: slotOf('pack').from })
    expect(mounted.text()).toContain('let it move again')
    await mounted.get('button').trigger('click')
    expect(option.value.pins).toEqual({})
  })
  it('that cannot be where it was put says so', () => {
    const put = (task: string, minute: number): string => {
      studio.edit('too late', (draft) => {
        chosenOption(draft.commission).pins = { [task]: dayOf(slotOf(task).from) + minute }
      })
      return mount(SlotNote, { props: { work: slotOf(task), timetable: timetable() } }).text()
    }
    // When the car is loaded already; and in the break, when nobody works.
    expect(put('pack', 15 * 60)).toContain('the rest of the work does not allow that')
    expect(put('pack', 13 * 60 + 30)).toContain('hands are not free then, so it comes before that')
  })
})

describe('how sure it is', () => {
  it('is told with the last possible hour, its own chance and what makes it late; the wanted chance is typed', async () => {
    const mounted = mount(RiskNote, { props: { timetable: timetable() } })
    expect(mounted.text()).toMatch(/9\d %/)
    expect(mounted.text()).toMatch(/Last possible: .*about \d+ %/)
    expect(mounted.text()).toMatch(/of late runs/)
    await mounted.get('input').setValue('75')
    await mounted.get('input').trigger('change')
    expect(workshop.value.readyChance).toBe(0.75)
  })
  it('says what helps where beginning earlier does not', () => {
    const { risk, ...rest } = timetable()
    const unsure = { ...risk, isSure: false, help: ['a second pair of hands at the venue'] }
    expect(mount(RiskNote, { props: { timetable: { ...rest, risk: unsure } } }).text()).toContain(
      'a second pair of hands',
    )
  })
})

describe('what if', () => {
  it('tries each change by itself and takes a remedy as an edit', async () => {
    const { startBy } = timetable()
    attempt.mockResolvedValue({ startBy: startBy + 90, chance: 0.7, problem: '' })
    const mounted = mount(WhatIfs)
    await mounted.get('button').trigger('click')
    await flushPromises()
    expect(attempt.mock.calls.length).toBeGreaterThan(5)
    const mat = mounted.get('[data-testid="what-if-mat"]')
    expect(mat.text()).toMatch(/begin .*1 h 30 later, sure to 70 %/)
    await mat.get('button').trigger('click')
    expect(workshop.value.mats.count).toBe(3)
    expect(mounted.get('[data-testid="what-if-mat"]').text()).not.toContain('sure to')
  })
  it('says what does not go', async () => {
    attempt.mockResolvedValue({ startBy: null, chance: null, problem: 'never sets' })
    const mounted = mount(WhatIfs)
    await mounted.get('button').trigger('click')
    await flushPromises()
    expect(mounted.get('[data-testid="what-if-rain"]').text()).toContain('does not go')
  })
})

describe('hours when somebody cannot', () => {
  const bring = async (mounted: VueWrapper, text: string): Promise<void> => {
    const field = mounted.get<HTMLInputElement>('[data-testid="busy-file"]')
    Object.defineProperty(field.element, 'files', { value: [new File([text], 'mine.ics')], configurable: true })
    await field.trigger('change')
    await whenTrue(() => {
      if (workshop.value.busy.length === 0 && !mounted.find('[role="alert"]').exists()) throw new Error('not yet')
    })
  }
  it('come out of a calendar, and go again', async () => {
    const mounted = mount(BusySection)
    const day = new Date(slotOf('sails-cut').from * 60_000).toISOString().slice(0, 10).replaceAll('-', '')
    await bring(
      mounted,
      [
        'BEGIN:VCALENDAR',
        'VERSION:2.0',
        'BEGIN:VEVENT',
        'UID:a',
        `DTSTART:${day}T090000`,
        'DURATION:PT1H',
        'SUMMARY:Dentist',
        'END:VEVENT',
        'END:VCALENDAR',
      ].join('\r\n'),
    )
    expect(mounted.text()).toContain('Dentist')
    await mounted.get('[aria-label^="Free again: Dentist"]').trigger('click')
    expect(workshop.value.busy).toEqual([])
  })
  it('of what is no calendar are refused', async () => {
    const mounted = mount(BusySection)
    await bring(mounted, 'nothing')
    expect(mounted.get('[role="alert"]').text()).toContain('kept')
  })
})
