import { describe, expect, it } from 'vitest'
import { cakeStage } from './cake'
import { roundTier, stackTiers, type Cake, type Tier } from '../../cake'

const air = { airC: 22, humidity: 0.6 }
const factsOf = (...tiers: Tier[]) => {
  const cake: Cake = { board: { outline: 'round', acrossMm: 340, thicknessMm: 12 }, tiers }
  return cakeStage({ cake, stack: stackTiers(cake), air, workroom: air, venue: air, fridgeC: 4 })
}

describe('what follows from a cake', () => {
  const two = [roundTier('low', 240, 100), roundTier('high', 160, 100)] as const

  it('adds up its surfaces: sides and tops of all tiers', () => {
    const { surface, tiers } = factsOf(...two)
    const parts = tiers.reduce((sum, { surfaces }) => sum + surfaces.side.value + surfaces.top.value, 0)
    expect(surface.value).toBeCloseTo(parts, 9)
    expect(surface.value).toBeCloseTo(
      (Math.PI * 240 * 100 + Math.PI * 120 ** 2 + Math.PI * 160 * 100 + Math.PI * 80 ** 2) / 10000,
      6,
    )
  })

  it('adds up each covering, and leaves a bare dummy out', () => {
    const { coverings } = factsOf({ ...two[0], covering: 'dummy', inside: 'dummy' }, two[1], {
      ...roundTier('top', 100, 80),
      covering: 'ganache',
    })
    expect(coverings.map(({ name }) => name)).toEqual(['Fondant', 'Ganache'])
    coverings.forEach(({ total }) => expect(total.value).toBeGreaterThan(100))
  })

  it('warms only what is chilled and eaten, and names the slowest', () => {
    expect(factsOf(...two).slowest).toBeNull()
    const { slowest, tiers } = factsOf({ ...two[0], chilled: true }, { ...two[1], chilled: true })
    expect(slowest!.tier).toBe(0)
    expect(tiers.map(({ warming }) => warming !== null)).toEqual([true, true])
    expect(factsOf({ ...two[0], chilled: true, inside: 'dummy' }).slowest).toBeNull()
  })

  it('asks for a middle dowel from three tiers on, shorter than the stack', () => {
    expect(factsOf(...two).middleDowel).toBeNull()
    expect(factsOf(...two, roundTier('top', 100, 80)).middleDowel!.value).toBe(260)
  })

  it('sees lobes that do not meet', () => {
    const scalloped = (cutterMm: number): Tier => ({
      ...two[0],
      shape: { kind: 'scalloped', lobes: 12, marksMm: 200, cutterMm },
    })
    expect(factsOf(scalloped(52)).tiers[0]!.lobesMeet).toBe(true)
    expect(factsOf(scalloped(40)).tiers[0]!.lobesMeet).toBe(false)
  })
})
