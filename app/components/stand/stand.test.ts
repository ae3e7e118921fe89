import { chosenOption, choosing } from '#core/commission'
import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import { demoCommission, demoWorkshop } from '#core/demo'
import { dimensionsOf, standLayers, viewAt, type Shape, type StandLayer } from '#core/draw'
import { createPlanner } from '#core/plan'
import { usePreferences } from '~/stores/preferences'
import CakePicture from './CakePicture.vue'
import { paintLayers } from './canvasPaint'
import DimensionLines from './DimensionLines.vue'
import { useLit } from './lit'
import { paintShapes, pointsOf } from './shapePaint'
import { sceneOf, standWindow } from './standScene'
import { useStandTools } from './standTools'

const commission = demoCommission(0)
const planner = createPlanner()
const planFor = (id: string) =>
  planner({ commission: choosing(commission, id), workshop: demoWorkshop(), now: 0, units: 'metric' })
const plan = planFor('a')
const scene = sceneOf(chosenOption(commission), plan)

beforeEach(() => {
  localStorage.clear()
  setActivePinia(createPinia())
})

/** A canvas that writes down what it is asked to do. */
function recorder() {
  const calls: string[] = []
  const gradients: string[] = []
  const context = new Proxy({} as Record<string, unknown>, {
    get: (target, name: string) => {
      if (name === 'createLinearGradient')
        return () => ({ addColorStop: (at: number, colour: string) => gradients.push(`${at} ${colour}`) })
      return name in target
        ? target[name]
        : (...numbers: unknown[]) => {
            calls.push(`${name} ${numbers.join(' ')}`.trim())
          }
    },
    set: (target, name: string, value) => {
      target[name] = value
      return true
    },
  })
  return { context: context as unknown as CanvasRenderingContext2D, calls, gradients }
}

describe('the scene of a plan', () => {
  it('has every element, in the colours they come out', () => {
    expect(scene.elements).toHaveLength(plan.decorations.reduce((sum, { elements }) => sum + elements.length, 0))
    for (const { colour } of scene.elements) expect(colour).toMatch(/^#[0-9a-f]{6}$/)
  })

  it('keeps the meshes of what did not change', () => {
    const again = sceneOf(chosenOption(structuredClone(commission)), plan)
    expect(again.elements[0]!.mesh).toBe(scene.elements[0]!.mesh)
  })

  it('is seen through a window that holds box and cake, also when the cake is higher', () => {
    for (const id of ['a', 'b']) {
      const { left, top, width, height } = standWindow(choosing(commission, id), planFor(id))
      expect(width).toBeGreaterThanOrEqual(commission.brief.box.widthMm)
      expect(left).toBe(-width / 2)
      expect(-top).toBeGreaterThan(planFor(id).finished.high.value - 20)
      expect(height).toBeGreaterThan(commission.brief.box.heightMm)
    }
  })
})

describe('painting on the canvas', () => {
  const layer = (shapes: readonly Shape[], more: Partial<StandLayer> = {}): StandLayer => ({
    id: 'x',
    kind: 'tier',
    index: 0,
    outline: [
      { x: 0, y: 0 },
      { x: 4, y: 0 },
      { x: 0, y: 4 },
    ],
    shapes,
    ...more,
  })
  const triangle: Shape = {
    kind: 'outline',
    outline: { start: { x: 1, y: 2 }, segments: [{ kind: 'line', to: { x: 3, y: 4 } }] },
    fill: '#ff0000',
    fillOpacity: 0.5,
  }

  it('turns the y axis over and fills with the given opacity', () => {
    const { context, calls } = recorder()
    paintLayers(context, [layer([triangle])])
    expect(calls).toEqual(expect.arrayContaining(['moveTo 1 -2', 'lineTo 3 -4', 'fill']))
    expect(calls).not.toContain('stroke')
    expect(context.globalAlpha).toBe(1)
    expect(context.fillStyle).toBe('#ff0000')
  })

  it('lets a shadow fall on the tiers only', () => {
    const { context, calls } = recorder()
    paintLayers(context, [layer([triangle]), layer([], { kind: 'element', shadow: [triangle.outline] })])
    expect(calls.indexOf('clip')).toBeGreaterThan(calls.indexOf('save'))
    expect(calls.indexOf('restore')).toBeGreaterThan(calls.indexOf('clip'))
  })

  it('fills with fades and skips labels', () => {
    const { context, calls, gradients } = recorder()
    paintLayers(context, [
      layer([
        {
          ...triangle,
          fill: {
            from: { x: 0, y: 0 },
            to: { x: 9, y: 0 },
            stops: [
              { at: 0, colour: '#000000' },
              { at: 1, colour: '#ffffff' },
            ],
          },
        },
        { kind: 'label', at: { x: 0, y: 0 }, text: 'no', sizeMm: 3, colour: '#000000', anchor: 'start' },
      ]),
    ])
    expect(gradients).toEqual(['0 #000000', '1 #ffffff'])
    expect(calls.filter((call) => call === 'fill')).toHaveLength(1)
  })

  it('takes the whole demo from any side', () => {
    for (const turn of [-120, 0, 75]) {
      const { context, calls } = recorder()
      paintLayers(context, standLayers(scene, turn))
      expect(calls.length).toBeGreaterThan(500)
      expect(calls.join(' ')).not.toContain('NaN')
    }
  })
})

describe('the still picture', () => {
  it('draws the same layers as an svg, with ids of its own', () => {
    const mounted = mount(CakePicture, { props: { scene, turnDeg: 20, perPixel: 1, mark: 'here' } })
    expect(mounted.findAll('path').length).toBeGreaterThan(300)
    expect(mounted.get('clipPath').attributes('id')).toBe('here-cake')
    expect(mounted.html()).not.toContain('NaN')
  })

  it('writes corners y down', () => {
    expect(
      pointsOf([
        { x: 1, y: 2 },
        { x: 3, y: -4 },
      ]),
    ).toBe('1.0,-2.0 3.0,4.0')
  })

  it('names fades by the picture they belong to', () => {
    const fade = { from: { x: 0, y: 0 }, to: { x: 1, y: 0 }, stops: [{ at: 0, colour: '#000000' }] }
    const { paths, fades } = paintShapes(
      [{ kind: 'outline', outline: { start: { x: 0, y: 0 }, segments: [] }, fill: fade }],
      'mine',
    )
    expect(fades[0]!.id).toBe('mine-fade-0')
    expect(paths[0]!.fill).toBe('url(#mine-fade-0)')
  })
})

describe('dimension lines on the picture', () => {
  it('write every length, in the units that are read', async () => {
    const mounted = mount(DimensionLines, { props: { scene, turnDeg: 0, perPixel: 1 } })
    const lengths = dimensionsOf(scene.stack, scene.board, 0, viewAt(0))
    expect(mounted.findAll('text')).toHaveLength(lengths.length)
    expect(mounted.text()).toContain('118 mm')
    usePreferences().units = 'imperial'
    await nextTick()
    expect(mounted.text()).toContain('4 5/8 in')
  })
})

describe('what is lit and measured', () => {
  it('lights up what is pointed at, and nothing after', () => {
    const lit = useLit()
    lit.hover('element', 4)
    expect([lit.isLit('element', 4), lit.isLit('element', 5), lit.isLit('accent', 4)]).toEqual([true, false, false])
    lit.hoverMany('accent', [1, 2])
    expect([lit.isLit('accent', 2), lit.isLit('element', 4)]).toEqual([true, false])
    lit.hover('board', 0)
    expect(lit.isLit('accent', 2)).toBe(false)
  })

  it('lays the tape from one point to the next, then begins anew', () => {
    const tools = useStandTools()
    const at = (x: number) => ({ point: [x, 0, 0] as const, tier: 0, on: 'side' as const })
    tools.toggleTape()
    tools.putTape(at(0))
    expect(tools.measuredMm.value).toBeNull()
    tools.putTape(at(30))
    expect(tools.measuredMm.value).toBe(30)
    tools.putTape(at(5))
    expect(tools.ends.value).toHaveLength(1)
    tools.toggleTape()
    expect(tools.ends.value).toEqual([])
  })
})
