import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  byHandSchema,
  compositionOf,
  FIRST_ADDED,
  nextAdded,
  pinned,
  putting,
  takingOut,
  unpinning,
  untouched,
  withByHand,
  type Composition,
} from '.'
import { anyTier } from '../../tests/any/anyTier'
import { leastReach, roundTier, stackTiers } from '../cake'
import { workingsBelow, workingSentence } from '../quantity'

const stack = stackTiers({ tiers: [roundTier('low', 260, 110), roundTier('high', 128, 118)] })
const scatter = compositionOf('scatter').starting({
  tiers: [{ heightMm: 110 }, { heightMm: 118 }],
  seen: { widthMm: 30, heightMm: 30 },
  fillsRows: false,
  seed: 4,
})
const layOut = (change: object = {}) =>
  compositionOf('scatter').layOut({ ...scatter, ...change } as Composition, {
    stack,
    seen: { widthMm: 30, heightMm: 30 },
    free: [],
    mostTopMm: null,
    asked: null,
  })
const layout = layOut()

describe('changes by hand', () => {
  it('change nothing when there are none', () => expect(withByHand(layout, untouched(), stack)).toBe(layout))
  it('pin an element where it stands, and where it was moved to, to a tenth of a millimetre', () => {
    const [first] = layout.elements
    const moved = putting(untouched(), pinned(first!, stack, { angleDeg: 33.3, heightMm: first!.heightMm + 5 }))
    const { elements, count } = withByHand(layout, moved, stack)
    expect(count.value).toBe(layout.count.value)
    expect(elements[0]!.angleDeg).toBe(33.3)
    expect(elements[0]!.heightMm).toBeCloseTo(first!.heightMm + 5, 0)
    expect(elements.slice(1)).toEqual(layout.elements.slice(1))
  })
  it('outlive shuffling, fewer, and another tier: the pinned one stays as it is', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 6 }),
        fc.record({
          seed: fc.integer({ min: 0, max: 9999 }),
          count: fc.integer({ min: 1, max: 9 }),
          tier: fc.integer({ min: 0, max: 1 }),
        }),
        (index, change) => {
          const byHand = putting(untouched(), pinned(layout.elements[index]!, stack))
          const before = withByHand(layout, byHand, stack).elements.find((element) => element.index === index)
          const after = withByHand(layOut(change), byHand, stack)
          expect(after.elements.find((element) => element.index === index)).toEqual(before)
          expect(after.elements.length).toBe(after.count.value)
          for (const working of workingsBelow(after.count))
            expect(workingSentence(working, 'metric')).not.toMatch(/NaN|undefined|[{}]/)
        },
      ),
    ))
  it('take out and give back, add and take away again', () => {
    const without = takingOut(untouched(), 2)
    expect(withByHand(layout, without, stack).count.value).toBe(6)
    expect(withByHand(layout, unpinning(without, 2), stack).count.value).toBe(7)
    const added = putting(
      untouched(),
      pinned({ ...layout.elements[0]!, index: nextAdded(untouched()) }, stack, { angleDeg: 90 }),
    )
    expect(added.put[0]!.index).toBe(FIRST_ADDED)
    expect(nextAdded(added)).toBe(FIRST_ADDED + 1)
    expect(withByHand(layout, added, stack).count.value).toBe(8)
    expect(takingOut(added, FIRST_ADDED)).toEqual(untouched())
    expect(withByHand(layout, putting(without, pinned(layout.elements[2]!, stack)), stack).count.value).toBe(7)
  })
  it('are kept as the schema allows, and stay on whatever cake there is', () =>
    fc.assert(
      fc.property(
        fc.array(anyTier, { minLength: 1, maxLength: 3 }),
        fc.integer({ min: 0, max: 6 }),
        fc.constantFrom('side' as const, 'top' as const),
        (tiers, index, on) => {
          const put = pinned({ ...layout.elements[index]!, on, outMm: on === 'top' ? 300 : 0 }, stack)
          const byHand = putting(untouched(), put)
          expect(byHandSchema.parse(byHand)).toEqual(byHand)
          const standing = stackTiers({ tiers })
          const { elements } = withByHand({ elements: [], count: layout.count }, byHand, standing)
          const tier = standing[elements[0]!.tier]!
          expect(elements[0]!.heightMm).toBeGreaterThanOrEqual(tier.footMm)
          expect(elements[0]!.heightMm).toBeLessThanOrEqual(tier.topMm)
          expect(elements[0]!.outMm).toBeLessThanOrEqual(leastReach(tier))
        },
      ),
    ))
})
