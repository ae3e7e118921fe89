import { chosenOption } from '#core/commission'
import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { demoCommission, demoWorkshop } from '#core/demo'
import { derivePlan, drawnElements } from '#core/plan'
import { useChosenDecoration } from './chosen'
import { boxOf } from '#core/cut'
import { cornersAlong } from '#core/geometry'
import FlatPiece from './FlatPiece.vue'
import { sideMapOf } from './sideMap'
import { unrolledOutline } from './unrolled'

const commission = demoCommission(0)
const option = chosenOption(commission)
const plan = derivePlan({ commission, workshop: demoWorkshop(), now: 0, units: 'metric' })
const { stack } = plan
const map = sideMapOf(stack)

beforeEach(() => {
  localStorage.clear()
  setActivePinia(createPinia())
})

describe('elements on the unrolled side', () => {
  it.each(
    plan.decorations
      .filter(({ elements }) => elements.every(({ pose }) => !pose))
      .map((made) => [made.name, made] as const),
  )('%s lies where it stands', (_, made) => {
    const decoration = option.decorations.find(({ id }) => id === made.id)!
    drawnElements(decoration, plan).forEach(({ element, mesh }) => {
      const outline = unrolledOutline(element, mesh, stack[element.tier]!, map)
      if (element.on === 'top') {
        expect(outline).toBe('')
        return
      }
      const corners = outline.split(' ').map((corner) => corner.split(',').map(Number) as [number, number])
      expect(corners.length).toBeGreaterThan(2)
      const middle = map.toMap(element.tier, element.angleDeg, element.heightMm)
      const [xs, band] = [corners.map(([x]) => x), map.bands[element.tier]!]
      expect(Math.min(...xs)).toBeLessThanOrEqual(middle.x + 30)
      expect(Math.max(...xs)).toBeGreaterThanOrEqual(middle.x - 30)
      corners.forEach(([, y]) => {
        expect(y).toBeGreaterThanOrEqual(band.top - 0.2)
        expect(y).toBeLessThanOrEqual(band.top + band.height + 0.2)
      })
    })
  })
})

describe('which decoration is open', () => {
  it('is the first until another is chosen, and never one that is gone', () => {
    let current = option
    const { open, choose } = useChosenDecoration(() => current)
    const [first] = option.decorations
    expect(open.value).toBe(first!.id)
    choose('lace')
    expect(open.value).toBe('lace')
    choose('nowhere')
    expect(open.value).toBe(first!.id)
    current = { ...option, decorations: option.decorations.slice(1) }
    expect(useChosenDecoration(() => current).open.value).toBe(option.decorations[1]!.id)
    expect(useChosenDecoration(() => ({ ...option, decorations: [] })).open.value).toBe(option.bouquets[0]!.id)
    expect(useChosenDecoration(() => ({ ...option, decorations: [], bouquets: [] })).open.value).toBe('')
  })
})

describe('a flat piece', () => {
  it.each(plan.decorations.map((made) => [made.name, made] as const))(
    'of %s is drawn whole, with its folds, count, spares and size',
    (_, made) => {
      const [piece] = made.classes
      const mounted = mount(FlatPiece, { props: { piece: piece!, colour: made.colour.heart } })
      expect(mounted.findAll('path')).toHaveLength(1 + piece!.folds.length)
      expect(mounted.text()).toContain(piece!.face)
      const { needed, spares } = piece!.wholes
      expect(mounted.text()).toMatch(new RegExp(`^${needed.value} `))
      if (spares.value > 0) expect(mounted.text()).toContain(`+ ${spares.value} spare`)
      else expect(mounted.text()).not.toContain('spare')
    },
  )
  it.each(plan.decorations.map((made) => [made.name, made.classes] as const))(
    'of %s lies in its window with its arcs, and fills it',
    (_, classes) => {
      for (const piece of classes) {
        const mounted = mount(FlatPiece, { props: { piece, colour: '#d9572b' } })
        const [left, top, width, height] = mounted.get('svg').attributes('viewBox')!.split(' ').map(Number)
        const corners = cornersAlong(piece.outline, 0.5)
        for (const { x, y } of corners) {
          expect(x >= left! && x <= left! + width!, piece.name).toBe(true)
          expect(-y >= top! && -y <= top! + height!, piece.name).toBe(true)
        }
        const box = boxOf(corners)
        const margins = Math.max(width! - box.widthMm, height! - box.heightMm)
        expect(margins).toBeLessThan(0.3 * Math.max(box.widthMm, box.heightMm))
      }
    },
  )
})
