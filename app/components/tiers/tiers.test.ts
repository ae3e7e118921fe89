import { chosenOption, choosing } from '#core/commission'
import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { extentMm, SHAPES, type Shape, type Tier } from '#core/cake'
import { demoCommission, demoWorkshop } from '#core/demo'
import { derivePlan } from '#core/plan'
import ShapeFields from './ShapeFields.vue'
import TierCard from './TierCard.vue'
import { choose } from '../../../tests/any/choosing'

const commission = choosing(demoCommission(0), 'b')
const plan = derivePlan({ commission, workshop: demoWorkshop(), now: 0, units: 'metric' })
const { tiers } = chosenOption(commission).cake

beforeEach(() => {
  localStorage.clear()
  setActivePinia(createPinia())
})

const card = (index: number) =>
  mount(TierCard, {
    props: {
      tier: tiers[index]!,
      standing: plan.stack[index]!,
      facts: plan.cake.tiers[index]!,
      name: `Tier ${index + 1}`,
      isTop: index === tiers.length - 1,
      isBottom: index === 0,
      mayStandLoose: index > 0,
    },
  })

/** The tier as it is after what the card asked for. */
function changed(mounted: ReturnType<typeof card>, index: number): Tier {
  const tier = structuredClone(tiers[index]!)
  const [, change] = mounted.emitted('change')!.at(-1) as [string, (tier: Tier) => void]
  change(tier)
  return tier
}

describe('the numbers of a shape', () => {
  it.each(SHAPES.map((shape) => [shape.name, shape] as const))(
    '%s: one field for each number of its schema',
    (_, definition) => {
      const shape = definition.starting(200) as Shape
      const mounted = mount(ShapeFields, { props: { shape, tierId: 'x' } })
      // A scalloped one can also be told by how wide it is over its lobes.
      const told = Object.keys(shape).length + (shape.kind === 'scalloped' ? 1 : 0)
      expect(mounted.findAll('input, [aria-haspopup="listbox"]')).toHaveLength(told)
      mounted.findAll('label').forEach((label) => expect(label.text()).not.toBe(''))
    },
  )

  it('another kind is chosen about as wide as the one before', async () => {
    const mounted = mount(ShapeFields, { props: { shape: { kind: 'round', acrossMm: 240 }, tierId: 'x' } })
    for (const { kind } of SHAPES) {
      await choose(mounted, kind)
      const [shape] = mounted.emitted('update:shape')!.at(-1) as [Shape]
      expect(shape.kind).toBe(kind)
      expect(extentMm(shape).sideways * 2).toBeGreaterThan(200)
      expect(extentMm(shape).sideways * 2).toBeLessThan(310)
    }
  })

  it('a number typed changes that number alone', async () => {
    const mounted = mount(ShapeFields, {
      props: { shape: { kind: 'polygon', sides: 6, acrossFlatsMm: 196, cornerMm: 4 }, tierId: 'x' },
    })
    const sides = mounted.findAll('input')[0]!
    await sides.setValue('8')
    await sides.trigger('change')
    expect(mounted.emitted('update:shape')![0]).toEqual([
      { kind: 'polygon', sides: 8, acrossFlatsMm: 196, cornerMm: 4 },
    ])
  })
})

describe('the card of a tier', () => {
  it('says its surfaces, covering, dowels and what fixes paper', () => {
    const text = card(1).text()
    expect(text).toMatch(/\d+ mm round, side [\d.]+ dm², top [\d.]+ dm²/)
    expect(text).toMatch(/ledge .*a foot finds/)
    expect(text).toMatch(/± 20 % fondant, crumb coat/)
    expect(text).toMatch(/\d+ dowels of 120 mm/)
    expect(text).toContain('piping gel')
  })

  it('has no ledge or dowels on top, and names what is out of the ordinary', () => {
    const text = card(3).text()
    expect(text).not.toContain('ledge')
    expect(text).not.toContain('dowels')
    expect(text).toContain('leaning')
    expect(card(2).text()).toContain('chilled')
  })

  it('opens lean, turn and spacer, and puts a spacer in and out', async () => {
    const mounted = card(1)
    await mounted.get('button[aria-expanded]').trigger('click')
    const boxes = mounted.findAll('[role="switch"]')
    expect(boxes).toHaveLength(3)
    await boxes[0]!.trigger('click')
    expect(changed(mounted, 1).spacer).toEqual({ heightMm: 30, acrossMm: 100 })
    await boxes[1]!.trigger('click')
    expect(changed(mounted, 1).chilled).toBe(true)
    await boxes[2]!.trigger('click')
    expect(changed(mounted, 1).builtOfTwo).toBe(true)
  })

  it('asks for another covering and colour', async () => {
    const mounted = card(0)
    await choose(mounted, 'whippedCream', '[data-testid="covered-with"]')
    expect(changed(mounted, 0).covering).toBe('whippedCream')
    await mounted.get('input[type="color"]').setValue('#112233')
    expect(changed(mounted, 0).colour).toBe('#112233')
  })

  it('moves and goes only where it can', async () => {
    const [bottom, top] = [card(0), card(3)]
    expect(bottom.get('[aria-label="Move this tier down"]').attributes('disabled')).toBeDefined()
    expect(top.get('[aria-label="Move this tier up"]').attributes('disabled')).toBeDefined()
    await bottom.get('[aria-label="Move this tier up"]').trigger('click')
    await bottom.get('[aria-label="Remove this tier"]').trigger('click')
    expect([bottom.emitted('move'), bottom.emitted('remove')?.length]).toEqual([[[1]], 1])
  })
})
