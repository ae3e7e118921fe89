import { describe, expect, it } from 'vitest'
import { aDecoration, fourGroups, onTwoTiers } from '../../../tests/any/fourGroups'
import type { Commission } from '../../commission'
import { demoWorkshop } from '../../demo'
import { derivePlan } from '..'

const planOf = (commission: Commission) => derivePlan({ commission, workshop: demoWorkshop(), now: 0, units: 'metric' })

describe('what is not food', () => {
  const plan = planOf(onTwoTiers([...fourGroups(), aDecoration('blooms', 'openBloom')], 0))
  const of = (name: RegExp) => plan.inedible.filter((each) => name.test(each.name))

  it('is a skewer for each sail that stands on one, and a wire for each bloom', () => {
    const [skewers] = of(/skewers/)
    expect([skewers!.count.value, skewers!.stays]).toEqual([3, true])
    const blooms = plan.decorations.find(({ id }) => id === 'blooms')!
    expect(of(/wires of blooms/)[0]!.count.value).toBe(blooms.count.value)
  })
  it('is every support, and a card below each tier that stands on another', () => {
    const supports = plan.cake.tiers.flatMap((tier) => tier.supports)
    expect(of(/dowels or straws/).reduce((sum, { count }) => sum + count.value, 0)).toBe(
      supports.reduce((sum, { count }) => sum + count.value, 0),
    )
    expect(of(/cake cards/)[0]!.count.value).toBe(1)
  })
  it('is counted once, and says which step puts it in and where it is', () => {
    expect(new Set(plan.inedible.map(({ id }) => id)).size).toBe(plan.inedible.length)
    for (const { count, step, where } of plan.inedible) {
      expect(count.value).toBeGreaterThan(0)
      expect(step).not.toBe('')
      expect(where).not.toBe('')
    }
  })
  it('is a separator or a dummy where a tier has one, and nothing of an empty single tier', () => {
    const commission = structuredClone(onTwoTiers([], 0)) as Commission
    const [low, high] = commission.options[0]!.cake.tiers
    const standing = { ...high!, inside: 'dummy' as const, spacer: { acrossMm: 60, heightMm: 30 } }
    commission.options[0]!.cake.tiers = [low!, standing]
    expect(planOf(commission).inedible.map(({ name }) => name)).toEqual(
      expect.arrayContaining(['separators', 'dummy tiers']),
    )
    commission.options[0]!.cake.tiers = [low!]
    expect(planOf(commission).inedible).toEqual([])
  })
})

describe('the card for who keeps the cake', () => {
  const said = (commission: Commission) => JSON.stringify(planOf(commission).careCard)
  it('speaks of film only where film is', () => {
    expect(said(onTwoTiers(fourGroups(), 0))).toMatch(/glass/)
    expect(said(onTwoTiers([aDecoration('moths', 'butterfly')], 0))).not.toMatch(/film|glass/)
  })
  it('lists what comes out before the cake is cut', () => {
    const card = said(onTwoTiers(fourGroups(), 0))
    expect(card).toContain('wooden skewers')
    expect(card).toContain('dowels or straws')
  })
})
