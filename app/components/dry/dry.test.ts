import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { moistureOf } from '#core/dry'
import { printDuration } from '#core/quantity'
import { beginAgain, plan, studio } from '../../../tests/any/demoStudio'
import { differences } from './changedWay'
import { dampWords } from './dampWords'
import { dryingData } from './dryingChart'
import DryingRemedies from './DryingRemedies.vue'
import PaperRests from './PaperRests.vue'
import { choose } from '../../../tests/any/choosing'

const INK = { text: '#000', line: '#111', damp: '#222', paper: '#fff', grid: '#ccc' }

const soaked = () => plan.value.dryings[0]!
const remedies = () => mount(DryingRemedies, { props: { remedies: soaked().remedies } })

beforeEach(() => {
  setActivePinia(createPinia())
  beginAgain()
})

describe('what another way of drying changes', () => {
  it('is every figure that is another than before, and no other', () =>
    expect(
      differences({ start: 'Fri', pieces: '40', hours: '9 h' }, { start: 'Sat', pieces: '40', paper: '3' }),
    ).toEqual(['start Fri → Sat', 'hours 9 h → none', 'paper none → 3']))
})

describe('what happens at 75 %', () => {
  it('is told alike by the model, the words and the chart', () => {
    const damp = soaked().whenDamp
    const { touch, handle, set } = damp.curve.reachedMin
    expect(set).toBeNull()
    expect(dampWords(damp)).toBe(
      `usually dry to touch after ${printDuration(touch!)}, ready to handle after ` +
        `${printDuration(handle!)}, unlikely ever to set hard without heat or a dry box`,
    )
    const line = dryingData(soaked().estimate, damp, [], 21, INK).datasets.find(
      ({ label }) => label === 'at 75 %',
    )!.data
    const dryAt = line.find(({ y }) => y <= moistureOf('touch', 21) * 100)!
    expect(Math.abs(dryAt.x * 60 - touch!)).toBeLessThan(30)
    expect(Math.min(...line.map(({ y }) => y))).toBeGreaterThan(moistureOf('set', 21) * 100)
  })
  it('the line of a forecast is drawn when there is one', () => {
    const labels = (points: Parameters<typeof dryingData>[2]) =>
      dryingData(soaked().estimate, null, points, 21, INK).datasets.map(({ label }) => label)
    expect(labels([])).not.toContain('as forecast')
    expect(labels(soaked().estimate.curve.points)).toContain('as forecast')
  })
})

describe('other ways of drying', () => {
  it('are told with what they gain, each with its working', () => {
    expect(remedies().text()).toMatch(/A cool oven|a cool oven/)
    expect(remedies().get('[data-testid="remedy-oven"]').find('button').exists()).toBe(true)
  })
  it('that never set say so, and those that must be boxed too', () => {
    studio.edit('damp', (draft) => {
      draft.commission.brief.workroom.humidity = 0.75
    })
    const mounted = remedies()
    expect(mounted.get('[data-testid="remedy-fan"]').text()).toContain('never here')
    expect(mounted.get('[data-testid="remedy-oven"]').text()).toContain('boxed at once')
  })
})

describe('paper', () => {
  it('may dry before a fan, is said where it never gets dry, and dries again in a dry room', async () => {
    const bloom = plan.value.decorations.find(({ technique }) => technique === 'openBloom')!.id
    const chosen = async (way: string): Promise<string> => {
      const rests = mount(PaperRests).get('[data-testid="rests"]')
      await choose(rests, way, `[data-testid="dries-${bloom}"]`)
      return mount(PaperRests).get('[data-testid="rests"]').text()
    }
    expect(await chosen('fan')).toContain('before a fan')
    studio.edit('damp', (draft) => {
      draft.commission.brief.workroom.humidity = 0.9
      draft.workshop.moulds.dryRoom = 1
    })
    expect(await chosen('room')).toMatch(/Open bloom is unlikely to get dry enough/)
    expect(await chosen('dryRoom')).toMatch(/Open bloom rests .* in a dry room/)
  })
  it('rests longer in a damp room, and stays stiff on every tier of the demo', () => {
    const rests = (): string => mount(PaperRests).get('[data-testid="rests"]').text()
    const before = rests()
    expect(before).toContain('Open bloom')
    studio.edit('damp', (draft) => {
      draft.commission.brief.workroom.humidity = 0.66
    })
    expect(rests()).not.toBe(before)
    expect(
      mount(PaperRests)
        .get('[data-testid="on-the-cake"]')
        .findAll('li')
        .map((each) => each.text())
        .join(),
    ).toMatch(/Tier 1, fondant: standing two days and more/)
  })
})
