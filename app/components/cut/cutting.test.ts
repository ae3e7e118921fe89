import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { MachineReport } from '#core/cut'
import { pieceOutlines } from '#core/draw'
import { shapeBox } from '#core/material'
import { beginAgain, option, plan, workshop } from '../../../tests/any/demoStudio'
import { useCutter } from '~/stores/cutter'
import GroupSection from './GroupSection.vue'
import MachinePanel from './MachinePanel.vue'
import OffcutSection from './OffcutSection.vue'
import SheetDrawing from './SheetDrawing.vue'
import ToolsSection from './ToolsSection.vue'
import WaysSection from './WaysSection.vue'
import { choicesIn, choose } from '../../../tests/any/choosing'
import { whole } from '../../../tests/any/whole'

// The search has a worker of its own, which is not what is tested here.
const machineGroup = () => plan.value.groups.find(({ way }) => way === 'machine')!
const numbers = (): readonly number[] => machineGroup().layout.sheets[0]!.pieces.map(({ number }) => number)

/** A machine that answers what it is told to. */
let answer: { status: number; body: unknown }
const asked: { method: string; body: unknown }[] = []
const report = (change: Partial<MachineReport>): MachineReport => ({
  status: 'empty',
  fault: null,
  job: 'sheet',
  share: 0,
  leftMin: 3,
  cut: [],
  begun: [],
  ...change,
})
const says = (change: Partial<MachineReport>): void => {
  answer = { status: 200, body: report(change) }
}

beforeEach(() => {
  setActivePinia(createPinia())
  beginAgain()
  asked.length = 0
  says({})
  vi.stubGlobal('fetch', async (_: string, { method = 'GET', body }: { method?: string; body?: string } = {}) => {
    asked.push({ method, body: body === undefined ? undefined : (JSON.parse(body) as unknown) })
    return { ok: answer.status === 200, status: answer.status, json: async () => answer.body }
  })
})

afterEach(() => vi.unstubAllGlobals())

describe('how each decoration is cut', () => {
  it('is chosen among all ways with what each takes, and the advised one is a touch away', async () => {
    const mounted = await whole(mount(WaysSection))
    const globes = '[data-testid="way-globes"]'
    expect(await choicesIn(mounted, globes)).toEqual([
      expect.stringMatching(/As advised: punch/),
      expect.stringMatching(/sheets?, \d+/),
      expect.stringMatching(/Punch: /),
      expect.stringMatching(/about/),
      expect.stringMatching(/Cutting machine/),
    ])
    await choose(mounted, 'template', globes)
    expect(option.value.decorations.find(({ id }) => id === 'globes')!.cutting.way).toBe('template')
    await mounted
      .findAll('button')
      .find((each) => each.text() === 'punch')!
      .trigger('click')
    expect(option.value.decorations.find(({ id }) => id === 'globes')!.cutting.way).toBe('advised')
    expect(plan.value.groups.find(({ parts }) => parts.some(({ decoration }) => decoration === 'globes'))!.way).toBe(
      'punch',
    )
    expect(mounted.get(globes).text()).toContain('Punch, as advised')
  })

  it('follows the studio’s edges and gaps', async () => {
    const before = plan.value.groups.reduce((sum, { sheets }) => sum + sheets.value, 0)
    const mounted = mount(ToolsSection)
    const gap = mounted.findAll('input')[1]!
    await gap.setValue('8')
    await gap.trigger('change')
    await gap.trigger('blur')
    expect(workshop.value.tools.knifeGapMm).toBe(8)
    expect(plan.value.groups.reduce((sum, { sheets }) => sum + sheets.value, 0)).toBeGreaterThanOrEqual(before)
  })
})

describe('sheets that are cut together', () => {
  const shown = (): VueWrapper => mount(GroupSection, { props: { group: machineGroup() } })
  const path = (mounted: VueWrapper, at: number) => mounted.findAll('path[data-piece]')[at]!

  it('are drawn with every piece and its number', () => {
    const mounted = shown()
    expect(mounted.findAll('path[data-piece]')).toHaveLength(
      machineGroup().layout.sheets.reduce((sum, { pieces }) => sum + pieces.length, 0),
    )
    expect(mounted.text()).toContain('8 pieces')
  })

  it('lie on the screen where they are cut', () => {
    const group = machineGroup()
    const sheet = group.layout.sheets[0]!
    // Turned over and by odd angles, which the demo's own pieces are not.
    const pieces = sheet.pieces.map((piece, at) => ({ ...piece, rotationDeg: 17 * at, mirrored: at % 2 === 1 }))
    const size = shapeBox(sheet.shape)
    const mounted = mount(SheetDrawing, {
      props: {
        sheet: { ...sheet, pieces },
        size,
        name: 'Sheet 1',
        locked: false,
        movable: false,
        litBy: () => [],
        wrong: () => new Set<number>(),
      },
    })
    pieces.forEach((piece, at) => {
      const { d, transform } = path(mounted, at).attributes()
      const [own] = [...d!.matchAll(/^M([-\d.]+) ([-\d.]+)/g)].map(([, x, y]) => ({ x: Number(x), y: Number(y) }))
      const [x, y, turned] = [...transform!.matchAll(/-?\d+(?:\.\d+)?/g)].map(([text]) => Number(text))
      const [cos, sin, ownX] = [
        Math.cos((turned! * Math.PI) / 180),
        Math.sin((turned! * Math.PI) / 180),
        transform!.includes('scale(-1 1)') ? -own!.x : own!.x,
      ]
      const cut = pieceOutlines(piece)[0]!.start
      expect(x! + ownX * cos - own!.y * sin).toBeCloseTo(cut.x, 2)
      expect(y! + ownX * sin + own!.y * cos).toBeCloseTo(size.heightMm - cut.y, 2)
    })
  })

  it('say how many are cut at once, and that strips are folded', async () => {
    const ruffle = option.value.decorations.find(({ technique }) => technique === 'tornRuffle')!
    const ways = await whole(mount(WaysSection))
    await choose(ways, 2, `[data-testid="plies-${ruffle.id}"]`)
    await choose(ways, 2, `[data-testid="layers-${ruffle.id}"]`)
    const group = plan.value.groups.find(({ parts }) => parts.some(({ decoration }) => decoration === ruffle.id))!
    expect(mount(GroupSection, { props: { group } }).get('h2').text()).toContain('2 at once, strips folded in 2')
  })

  it('are locked, and let go again', async () => {
    const mounted = shown()
    const lock = () => mounted.findAll('button').find((each) => each.text().includes('lock'))!
    await lock().trigger('click')
    expect(option.value.keptSheets).toHaveLength(1)
    await mounted.setProps({ group: machineGroup() })
    expect(lock().text()).toBe('locked')
    await lock().trigger('click')
    expect(option.value.keptSheets).toEqual([])
  })

  it('keep a piece where the keys put it, unless another is in the way', async () => {
    const mounted = shown()
    const last = numbers().length - 1
    await path(mounted, last).trigger('keydown', { key: 'ArrowUp', shiftKey: true })
    const [moved] = option.value.keptSheets
    const before = machineGroup().layout.sheets[0]!
    expect(moved!.placements).toHaveLength(before.pieces.length)
    await mounted.setProps({ group: machineGroup() })
    const kept = JSON.stringify(option.value.keptSheets)
    for (let step = 0; step < 4; step += 1)
      await path(mounted, 0).trigger('keydown', { key: 'ArrowDown', shiftKey: true })
    expect(JSON.stringify(option.value.keptSheets)).toBe(kept)
    await path(mounted, last).trigger('keydown', { key: 'x' })
    expect(JSON.stringify(option.value.keptSheets)).toBe(kept)
  })
})

describe('the cutting machine', () => {
  const shown = async (): Promise<VueWrapper> => {
    const mounted = mount(MachinePanel, { props: { group: machineGroup() } })
    await flushPromises()
    return mounted
  }
  const press = async (mounted: VueWrapper, name: RegExp): Promise<void> => {
    await mounted
      .findAll('button')
      .find((each) => name.test(each.text()))!
      .trigger('click')
    await flushPromises()
  }

  it('is sent a sheet, which stays as it is from then on', async () => {
    const mounted = await shown()
    says({ status: 'loaded' })
    await press(mounted, /Send sheet 1/)
    expect(asked.at(-1)).toMatchObject({
      method: 'PUT',
      body: { widthMm: 210, heightMm: 297, lines: expect.any(Array) },
    })
    expect(mounted.emitted('sent')).toEqual([[0]])
    expect(mounted.text()).toContain('Sheet 1 was taken')
    says({ status: 'running', cut: [1, 2], share: 0.2 })
    await press(mounted, /Start/)
    expect(asked.at(-1)).toMatchObject({ method: 'POST', body: { order: 'run' } })
    expect(mounted.text()).toMatch(/Cutting sheet 1: 2 of 8 pieces, about 3 min/)
    expect(mounted.find('progress').exists()).toBe(true)
  })

  it('that broke its blade says what is cut, spoiled and not begun, and is sent only the rest', async () => {
    const mounted = await shown()
    says({ status: 'loaded' })
    await press(mounted, /Send sheet 1/)
    says({ status: 'fault', fault: 'blade', cut: [1, 2, 3], begun: [4] })
    await press(mounted, /Start/)
    expect(mounted.text()).toMatch(/Cut: 1 to 3\. Spoiled: 4\. Not begun: 5 to 8\./)
    says({ status: 'loaded' })
    await press(mounted, /Cut the rest of it/)
    const sent = (asked.at(-1)!.body as { lines: { piece: number }[] }).lines.map(({ piece }) => piece)
    expect([...new Set(sent)].sort((one, other) => one - other)).toEqual(numbers().filter((number) => number > 4))
    says({ status: 'done', share: 1, cut: numbers().filter((number) => number > 4) })
    await press(mounted, /Start/)
    expect(mounted.text()).toContain('Not cut: 4')
    says({ status: 'loaded' })
    await press(mounted, /1 on a fresh sheet/)
    expect((asked.at(-1)!.body as { lines: { piece: number }[] }).lines.every(({ piece }) => piece === 4)).toBe(true)
    says({ status: 'done', share: 1, cut: [4] })
    await press(mounted, /Start/)
    says({})
    await press(mounted, /Take it out/)
    expect(mounted.text()).toContain('All sheets are cut')
  })

  it('whose mat slipped needs a fresh sheet for all that is not cut', async () => {
    const mounted = await shown()
    says({ status: 'loaded' })
    await press(mounted, /Send sheet 1/)
    says({ status: 'fault', fault: 'slip', cut: [1], begun: [2] })
    await press(mounted, /Start/)
    expect(mounted.text()).toMatch(/The mat slipped\. Cut: 1\..*2 to 8 must come from a fresh sheet/)
    expect(mounted.findAll('button').some((each) => each.text().includes('Cut the rest of it'))).toBe(false)
    expect(mounted.text()).toContain('7 on a fresh sheet')
  })

  it('that is not heard may go on; a job it refuses is said, and the sheet is not taken for sent', async () => {
    const mounted = await shown()
    answer = { status: 503, body: {} }
    await press(mounted, /Send sheet 1/)
    expect(mounted.text()).toContain('Its line is lost; it may go on cutting')
    answer = { status: 409, body: { data: { why: 'The machine is at work.' } } }
    await press(mounted, /Send sheet 1/)
    expect(mounted.get('[role="alert"]').text()).toBe('The machine is at work.')
    expect(useCutter().sheet).toBeNull()
  })
})

describe('what is left', () => {
  it('is kept in stock for every ply, and used up', async () => {
    const mounted = mount(OffcutSection)
    expect(mounted.text()).toMatch(/About [\d.]+ g of offcuts/)
    const rests = plan.value.groups.flatMap(({ remainders }) => remainders)
    const buttons = () => mounted.findAll('button').filter((each) => each.text() === 'Keep in stock')
    expect(buttons()).toHaveLength(rests.length)
    for (let at = 0; at < rests.length; at += 1) await buttons()[at]!.trigger('click')
    expect(workshop.value.remnants).toHaveLength(rests.reduce((sum, { plies }) => sum + plies, 0))
    expect(new Set(workshop.value.remnants.map(({ id }) => id)).size).toBe(workshop.value.remnants.length)
    await mounted
      .findAll('button')
      .find((each) => each.attributes('aria-label')?.includes('is used up'))!
      .trigger('click')
    expect(workshop.value.remnants).toHaveLength(rests.reduce((sum, { plies }) => sum + plies, 0) - 1)
  })
})
