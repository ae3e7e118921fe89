import { chosenOption } from '#core/commission'
import { flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { whenTrue } from '../../../tests/any/whenTrue'
import { useBench } from '~/stores/bench'
import { beginAgain, commission, hour, plan, studio, workshop } from '../../../tests/any/demoStudio'
import FormerBoard from './FormerBoard.vue'
import PhotoShelf from '~/components/ui/PhotoShelf.vue'
import PieceCounter from './PieceCounter.vue'
import { standingWords } from './standingWords'
import StepNow from './StepNow.vue'
import { timerText } from './timerText'
import TimerStrip from './TimerStrip.vue'
import TroubleDialog from './TroubleDialog.vue'
import WorkList from './WorkList.vue'

beforeEach(() => {
  setActivePinia(createPinia())
  beginAgain()
  hour.value = 15_000
  vi.useFakeTimers({ now: hour.value * 60_000 })
})
afterEach(() => vi.useRealTimers())

const pass = (minutes: number): void => {
  hour.value += minutes
  vi.setSystemTime(hour.value * 60_000)
}
const showing = () => {
  const bench = useBench()
  return mount(StepNow, { props: { card: bench.now! } })
}

describe('the step in hand', () => {
  it('is begun, put down, taken up and done; the ledger has the minutes of hands alone', async () => {
    const bench = useBench()
    const mounted = showing()
    const before = workshop.value.runs.length
    await mounted.get('[data-testid="begin"]').trigger('click')
    await mounted.setProps({ card: bench.now! })
    pass(10)
    await mounted.get('[data-testid="pause"]').trigger('click')
    await mounted.setProps({ card: bench.cards.find(({ task }) => task === 'sails-cut')! })
    pass(60)
    await mounted.get('[data-testid="go-on"]').trigger('click')
    pass(12)
    await mounted.setProps({ card: bench.cards.find(({ task }) => task === 'sails-cut')! })
    await mounted.get('[data-testid="done"]').trigger('click')
    expect(commission.value.bench.tasks).toMatchObject([{ task: 'sails-cut', pausedMin: 60, doneAt: 15_082 }])
    expect(workshop.value.runs.slice(before)).toMatchObject([
      { step: 'soakedSail cut', minutes: 22, commission: commission.value.id },
    ])
    expect(commission.value.bench.planned!.pieces).toBeGreaterThan(300)
    expect(bench.now!.task).not.toBe('sails-cut')
  })
  it('is left out with its reason, and nothing is learned of it', async () => {
    const before = workshop.value.runs.length
    const mounted = mount(StepNow, { props: { card: useBench().now! }, attachTo: document.body })
    await mounted.get('[data-testid="skip"]').trigger('click')
    const field = () => document.querySelector<HTMLInputElement>('[data-testid="why"]')
    await whenTrue(() => expect(field()).not.toBeNull())
    const why = field()!
    why.value = 'film is cut already'
    why.dispatchEvent(new Event('input'))
    why.form!.requestSubmit()
    await whenTrue(() => expect(commission.value.bench.tasks).toMatchObject([{ skipped: 'film is cut already' }]))
    expect(workshop.value.runs).toHaveLength(before)
  })
  it('keeps a picture with its own step, and lets it go again', async () => {
    const mounted = showing()
    const shelf = mounted.getComponent(PhotoShelf)
    const photo = { id: 'first', name: 'first', dataUrl: 'data:image/png;base64,AA==', widthPx: 9, heightPx: 9 }
    shelf.vm.$emit('add', [photo])
    expect(commission.value.bench.stepPhotos).toEqual([{ task: useBench().now!.task, photo }])
    await mounted.vm.$nextTick()
    expect(shelf.props('photos')).toEqual([photo])
    shelf.vm.$emit('remove', 'first')
    expect(commission.value.bench.stepPhotos).toEqual([])
  })
})

describe('the card in hand', () => {
  it('stays when the timetable moves under it, and gives way when it is done or the bench is come to anew', () => {
    const bench = useBench()
    const shown = bench.now!.task
    const later = bench.cards.find(({ task }) => task !== shown && task.endsWith('-cut'))!
    studio.edit('earlier', (draft) => {
      chosenOption(draft.commission).pins[later.task] = bench.now!.from - 21 * 24 * 60
    })
    expect(bench.cards[0]!.task).toBe(later.task)
    expect(bench.now!.task).toBe(shown)
    bench.begin(bench.now!)
    bench.finish(bench.now!)
    expect(bench.now!.task).toBe(later.task)
    bench.take(bench.cards[3]!.task)
    bench.take('')
    bench.startClock()
    expect(bench.now!.task).toBe(later.task)
    bench.stopClock()
  })
})

describe('pieces and timers', () => {
  it('are counted by tapping, and what was not counted is good when a load is lifted', async () => {
    const bench = useBench()
    for (const task of ['sails-cut', 'sails-soak-1']) {
      bench.begin(bench.cards.find((each) => each.task === task)!)
      pass(30)
      bench.finish(bench.cards.find((each) => each.task === task)!)
    }
    const lift = bench.cards.find(({ task }) => task === 'sails-lift-1')!
    const mounted = mount(PieceCounter, { props: { card: lift } })
    await mounted.get('[data-testid="broken"]').trigger('click')
    const { id } = lift.counts!.parts[0]!
    expect(commission.value.bench.counts[id]).toEqual({ good: 0, broken: 1 })
    bench.begin(lift)
    pass(9)
    bench.finish(bench.cards.find(({ task }) => task === 'sails-lift-1')!)
    const counts = Object.values(commission.value.bench.counts)
    expect(counts.reduce((sum, { good }) => sum + good, 0)).toBeGreaterThan(0)
    expect(workshop.value.runs.at(-1)).toMatchObject({ step: 'soakedSail lift', technique: 'soakedSail', broken: 1 })
    expect(workshop.value.dryingTrials.at(-1)).toMatchObject({ what: 'filmMat', readyAtMin: 9, softAtMin: null })
  })
  it('begin by themselves where work rests, and are stopped by hand', async () => {
    const bench = useBench()
    for (const task of ['sails-cut', 'sails-soak-1']) {
      bench.begin(bench.cards.find((each) => each.task === task)!)
      bench.finish(bench.cards.find((each) => each.task === task)!)
    }
    const mounted = mount(TimerStrip)
    expect(mounted.text()).toMatch(/load 1/i)
    await mounted.get('button').trigger('click')
    expect(mounted.text()).toBe('')
  })
  it('are told by the second at the end, by hours before', () => {
    expect([0.5, 9.99, 14.2, 200, -0.01, -5].map(timerText)).toEqual([
      '0:30',
      '9:59',
      '15 min',
      '3 h 20',
      'now',
      'over by 5:00',
    ])
  })
  it('the former board says since when and how far, and keeps what was felt', async () => {
    const bench = useBench()
    for (const task of ['sails-cut', 'sails-soak-1']) {
      bench.begin(bench.cards.find((each) => each.task === task)!)
      bench.finish(bench.cards.find((each) => each.task === task)!)
    }
    pass(300)
    const mounted = mount(FormerBoard)
    expect(mounted.text()).toMatch(/load 1.*mat \d.*to go/i)
    await mounted.get('button').trigger('click')
    expect(commission.value.bench.felt).toEqual({ 'sails-soak-1': 300 })
    expect(mounted.text()).toContain('still soft after 5 h')
  })
})

describe('the list of work', () => {
  it('takes a step out of turn, and opens again what was done', async () => {
    const bench = useBench()
    const mounted = mount(WorkList)
    const other = bench.cards.at(5)!
    await mounted.get(`[data-testid="task-${other.task}"]`).trigger('click')
    expect(bench.now!.task).toBe(other.task)
    bench.begin(bench.now!)
    pass(30)
    bench.finish(bench.cards.find(({ task }) => task === other.task)!)
    await flushPromises()
    const once = workshop.value.runs.length
    await mounted.get(`[data-testid="task-${other.task}"]`).trigger('click')
    expect(commission.value.bench.tasks[0]!.doneAt).toBeNull()
    pass(5)
    bench.finish(bench.cards.find(({ task }) => task === other.task)!)
    expect(workshop.value.runs).toHaveLength(once)
  })
})

describe('whether it is still safe', () => {
  it('is said in words, with what is to spare or how late it is', () => {
    expect(standingWords({ standing: null })).toBeNull()
    expect(standingWords({ standing: { readyAt: 0, spareMin: 90 } })).toMatchObject({
      safe: true,
      words: expect.stringContaining('1 h 30 to spare'),
    })
    expect(standingWords({ standing: { readyAt: 0, spareMin: -45 } })).toMatchObject({
      safe: false,
      words: expect.stringContaining('45 min after'),
    })
  })
})

describe('the trouble guide', () => {
  it('names causes, keeps the one that was it, and puts the remedy into the plan', async () => {
    mount(TroubleDialog, { props: { card: useBench().now! }, attachTo: document.body })
    await flushPromises()
    const click = async (text: string): Promise<void> => {
      ;[...document.querySelectorAll('button')].find((each) => each.textContent?.includes(text))!.click()
      await flushPromises()
    }
    await click('It droops or falls')
    await click('That was it')
    expect(commission.value.bench.troubles).toMatchObject([{ seen: 'droops', task: 'sails-cut' }])
    await click('Plan the cool oven')
    expect(plan.value.dryings[0]!.drying.way).toBe('oven')
  })
})
