import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { computed, effectScope, nextTick, ref, type EffectScope } from 'vue'
import { choosing, chosenOption } from '#core/commission'
import { demoCommission, demoWorkshop } from '#core/demo'
import { AWAY_MM, dimensionsOf, flatStand, FRONT_DOWN_DEG, nearer, viewAt, type Viewpoint } from '#core/draw'
import { cakeRoom, createPlanner, sceneOf } from '#core/plan'
import { usePreferences } from '~/stores/preferences'
import CakeStill from './CakeStill.vue'
import { sceneContent } from './contentOf'
import DimensionLines from './DimensionLines.vue'
import FlatStand from './FlatStand.vue'
import { useGestures } from './gestures'
import { useLit } from './lit'
import { SIDES, useLook } from './look'
import { useLevel } from './render/level'
import { paintShapes, pointsOf } from './shapePaint'
import { useStandTools } from './standTools'
import { roomForAll, wholeCake } from './wholeCake'

// Two fingers are listened for where there is a screen to touch, which is looked up when the gestures are loaded.
vi.hoisted(() => Object.defineProperty(navigator, 'maxTouchPoints', { value: 5, configurable: true }))

const FRONT: Viewpoint = { turnDeg: 0, downDeg: FRONT_DOWN_DEG, aimMm: 190, awayMm: AWAY_MM }
const commission = demoCommission(0)
const planner = createPlanner()
const planFor = (id: string) =>
  planner({ commission: choosing(commission, id), workshop: demoWorkshop(), now: 0, units: 'metric' })
const plan = planFor('a')
const scene = sceneOf(chosenOption(commission), plan)
const room = cakeRoom(commission, plan)

beforeEach(() => {
  localStorage.clear()
  setActivePinia(createPinia())
})

describe('the scene of a plan', () => {
  it('has every element, in the colours they come out', () => {
    expect(scene.elements).toHaveLength(plan.decorations.reduce((sum, { elements }) => sum + elements.length, 0))
    for (const { colour } of scene.elements) expect(colour).toMatch(/^#[0-9a-f]{6}$/)
  })

  it('keeps the meshes of what did not change', () => {
    const again = sceneOf(chosenOption(structuredClone(commission)), plan)
    expect(again.elements[0]!.mesh).toBe(scene.elements[0]!.mesh)
  })

  it('rooms as far as board and decorations, and all options stand at one scale', () => {
    const rooms = ['a', 'b'].map((id) => cakeRoom(choosing(commission, id), planFor(id)))
    for (const { outMm, belowMm } of rooms) {
      expect(outMm).toBeGreaterThanOrEqual(chosenOption(commission).cake.board.acrossMm / 2)
      expect(belowMm).toBe(chosenOption(commission).cake.board.thicknessMm)
    }
    const all = roomForAll(rooms)
    expect(all.upMm).toBe(Math.max(...rooms.map(({ upMm }) => upMm)))
  })
})

describe('where nothing can be drawn in depth', () => {
  it('the stand is drawn flat, everything on it', () => {
    const flats = flatStand(scene, viewAt(FRONT))
    const mounted = mount(FlatStand, { props: { flats, window: wholeCake(room).window } })
    expect(mounted.findAll('polygon')).toHaveLength(flats.reduce((sum, { outlines }) => sum + outlines.length, 0))
    const { stack, elements, accents } = scene
    const tiers = stack.length + stack.filter(({ spacer }) => spacer).length
    expect(mounted.findAll('g')).toHaveLength(1 + tiers + elements.length + accents.length)
    expect(mounted.html()).not.toContain('NaN')
  })
  it('so are stills', async () => {
    const mounted = mount(CakeStill, { props: { ...wholeCake(room), scene, says: 'The cake' } })
    await vi.waitFor(() => expect(mounted.find('polygon').exists()).toBe(true))
    expect(mounted.find('img').exists()).toBe(false)
  })
})

describe('hands on the stand', () => {
  let scope: EffectScope
  afterEach(() => scope.stop())
  const hands = () => {
    const touched = vi.fn()
    const drawing = document.createElement('div')
    document.body.append(drawing)
    scope = effectScope()
    const look = scope.run(() => {
      useGestures(ref(drawing), {
        perPixel: computed(() => 1),
        placeUnder: ({ clientX, clientY }) => ({ x: clientX, y: -clientY }),
        hover: vi.fn(),
        touch: touched,
      })
      return useLook()
    })!
    look.lookFrom(SIDES[0])
    const finger = (kind: string, clientX: number, clientY: number, pointerId = 1): void => {
      const [buttons, isPrimary] = [kind === 'pointerup' ? 0 : 1, pointerId === 1]
      drawing.dispatchEvent(
        new PointerEvent(kind, {
          pointerId,
          isPrimary,
          buttons,
          clientX,
          clientY,
          pointerType: 'touch',
          bubbles: true,
        }),
      )
    }
    const wheel = (clientX: number, clientY: number, deltaY: number): void => {
      const turned = new MouseEvent('wheel', { clientX, clientY, bubbles: true, cancelable: true })
      drawing.dispatchEvent(Object.assign(turned, { deltaX: 0, deltaY, deltaMode: 0 }))
    }
    return { look, finger, wheel, touched }
  }
  it('turn and tilt it with one finger, and do not open what they dragged over', () => {
    const { look, finger, touched } = hands()
    finger('pointerdown', 100, 100)
    finger('pointermove', 150, 160)
    finger('pointermove', 200, 200)
    finger('pointerup', 200, 200)
    // The first few pixels tell a drag from a touch.
    expect(look.turnDeg.value).toBeLessThanOrEqual(-57)
    expect(look.turnDeg.value).toBeGreaterThanOrEqual(-60)
    expect(look.downDeg.value).toBeGreaterThanOrEqual(FRONT_DOWN_DEG + 38)
    expect(look.downDeg.value).toBeLessThanOrEqual(FRONT_DOWN_DEG + 40)
    expect(touched).not.toHaveBeenCalled()
    finger('pointerdown', 10, 10)
    finger('pointerup', 10, 10)
    expect(touched).toHaveBeenCalledOnce()
  })
  it('look down no further than from above', () => {
    const { look } = hands()
    look.tiltBy(400)
    expect(look.downDeg.value).toBe(90)
    look.tiltBy(-400)
    expect(look.downDeg.value).toBe(0)
  })
  it('come nearer with the wheel, so that what is under the pointer stays there, and back to the whole', () => {
    const { look, wheel } = hands()
    const window = { left: -100, top: -200, width: 200, height: 250 }
    const shareOf = (): number => {
      const near = nearer(window, look.times.value, look.moved.value)
      return (40 - near.left) / near.width
    }
    const before = shareOf()
    wheel(40, -30, -300)
    expect(look.times.value).toBeGreaterThan(1.3)
    expect(shareOf()).toBeCloseTo(before, 9)
    wheel(0, 0, 9000)
    expect(look.times.value).toBe(1)
    expect(look.moved.value).toEqual({ x: 0, y: 0 })
  })
  it('come nearer with two fingers that part, and do not turn it', () => {
    const { look, finger } = hands()
    finger('pointerdown', 100, 100)
    finger('pointerdown', 200, 100, 2)
    finger('pointermove', 250, 100, 2)
    finger('pointermove', 300, 100, 2)
    finger('pointerup', 300, 100, 2)
    finger('pointerup', 100, 100)
    expect(look.times.value).toBeCloseTo(2, 1)
    expect(look.turnDeg.value).toBe(0)
  })
})

describe('how much is drawn', () => {
  it('shadows all the time where they are quick, at rest where they are not, never where they are slow', () => {
    const { level, begin, took } = useLevel()
    expect(level.value).toBe('full')
    took(12, true)
    expect(level.value).toBe('full')
    took(400, true)
    expect(level.value).toBe('resting')
    took(900, true)
    expect(level.value).toBe('resting')
    took(4000, true)
    took(900, true)
    took(4000, true)
    expect(level.value).toBe('resting')
    took(4000, true)
    expect(level.value).toBe('small')
    const soft = useLevel()
    soft.begin(true)
    expect(soft.level.value).toBe('resting')
    begin(false)
  })
  it('moves coarser where it is late, and finer again', () => {
    const { density, took } = useLevel()
    for (let frame = 0; frame < 20; frame += 1) took(200, false)
    const coarse = density.value
    expect(coarse).toBeLessThan(0.6)
    for (let frame = 0; frame < 20; frame += 1) took(8, false)
    expect(density.value).toBe(1)
  })
  it('is small when that is preferred, whatever it measures', () => {
    const preferences = usePreferences()
    preferences.stand = 'small'
    const { level, took } = useLevel()
    took(3, true)
    expect(level.value).toBe('small')
    preferences.stand = 'byMeasure'
    expect(level.value).toBe('full')
  })
})

describe('still pictures', () => {
  it('are the same for what looks the same, and others for another colour or place', () => {
    const again = sceneOf(chosenOption(structuredClone(commission)), plan)
    expect(sceneContent(again)).toBe(sceneContent(scene))
    const [first, ...rest] = scene.elements
    expect(sceneContent({ ...scene, elements: [{ ...first!, colour: '#123456' }, ...rest] })).not.toBe(
      sceneContent(scene),
    )
    expect(sceneContent({ ...scene, elements: rest })).not.toBe(sceneContent(scene))
  })
})

describe('shapes on paper', () => {
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
    const mounted = mount(DimensionLines, {
      props: { stack: scene.stack, board: scene.board, look: FRONT, perPixel: 1 },
    })
    const lengths = dimensionsOf(scene.stack, scene.board, FRONT)
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
