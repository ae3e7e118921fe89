import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { roundTier } from '../cake'
import { demoCommission } from '../demo'
import {
  anotherName,
  askedFor,
  chosenOption,
  commissionSchema,
  duplicated,
  forAnotherOption,
  movedTo,
  onAnotherTier,
  placeOf,
  startingDecoration,
} from '.'

const demo = demoCommission(0)
const { decorations } = chosenOption(demo)
const ids = (list: readonly { readonly id: string }[]): readonly string[] => list.map(({ id }) => id)

describe('another order', () => {
  it('moves one among those beside it, keeps the others in their order and every bouquet together', () =>
    fc.assert(
      fc.property(fc.constantFrom(...decorations), fc.integer({ min: -2, max: 12 }), ({ id, gathered }, at) => {
        const after = movedTo(decorations, id, at)
        expect([...ids(after)].sort()).toEqual([...ids(decorations)].sort())
        const isBeside = (each: (typeof decorations)[number]): boolean => each.gathered?.bouquet === gathered?.bouquet
        const beside = decorations.filter(isBeside)
        const others = (list: typeof decorations) => ids(list.filter((each) => isBeside(each) && each.id !== id))
        expect(others([...after])).toEqual(others(decorations))
        expect(after.map((each) => isBeside(each))).toEqual(decorations.map((each) => isBeside(each)))
        expect(placeOf(after, id)).toBe(Math.min(beside.length - 1, Math.max(0, at)))
      }),
    ))
  it('is the same for what is not there, and comes back', () => {
    expect(movedTo(decorations, 'none', 0)).toBe(decorations)
    expect(placeOf(decorations, 'none')).toBe(-1)
    const [first] = decorations
    const place = placeOf(decorations, first!.id)
    expect(ids(movedTo(movedTo(decorations, first!.id, place + 1), first!.id, place))).toEqual(ids(decorations))
  })
})

describe('copies', () => {
  it('have names of their own, never longer than may be typed', () => {
    expect(anotherName('Moths', ['Moths'])).toBe('Moths 2')
    expect(anotherName('Moths 2', ['Moths', 'Moths 2'])).toBe('Moths 3')
    expect(anotherName('x'.repeat(40), [])).toHaveLength(40)
  })
  it('are decorations like any other, with another throw of the dice and nothing moved by hand', () => {
    for (const decoration of decorations) {
      const copy = duplicated(decoration, 'copy', 'Copy')
      const option = { ...chosenOption(demo), decorations: [...decorations, copy] }
      expect(commissionSchema.safeParse({ ...demo, options: [option], chosen: option.id }).success).toBe(true)
      expect(copy.composition.seed).not.toBe(decoration.composition.seed)
      expect(copy.byHand).toEqual({ ...copy.byHand, out: [] })
      expect(copy.parameters).toEqual(decoration.parameters)
    }
  })
  it('go to another tier as far as they find a place there, and nowhere where no tier is told', () => {
    const tiers = [roundTier('low', 260, 120), roundTier('high', 120, 90)]
    const puffs = startingDecoration('puffs', 'puff', tiers, 'cluster')
    const copy = onAnotherTier(puffs, { id: 'copy', name: 'Puffs 2', tier: 1 }, tiers, [])!
    expect(copy.composition).toMatchObject({ tier: 1 })
    expect(askedFor(copy) ?? 1).toBeGreaterThan(0)
    const sweep = startingDecoration('sails', 'soakedSail', tiers, 'sweep')
    expect(onAnotherTier(sweep, { id: 'copy', name: 'Sails 2', tier: 1 }, tiers, [])).toBeNull()
  })
  it('in another option stand by themselves', () => {
    const member = decorations.find(({ gathered }) => gathered !== null)!
    expect(forAnotherOption(member, 'copy')).toEqual({ ...member, id: 'copy', gathered: null })
  })
})
