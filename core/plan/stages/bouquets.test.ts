import { describe, expect, it } from 'vitest'
import { onTwoTiers } from '../../../tests/any/fourGroups'
import { startingAccent } from '../../accent'
import { roundTier, stackTiers } from '../../cake'
import { startingGathering, type Commission } from '../../commission'
import { demoWorkshop } from '../../demo'
import { derivePlan } from '..'
import { accentStage, anchorsOf } from './accents'
import { bouquetStage, membersOf, plannedBouquet } from './bouquets'

const tiers = [roundTier('low', 260, 120), roundTier('high', 200, 120)]
const stack = stackTiers({ tiers })
const { bouquet, decorations } = startingGathering('posy', tiers)
const inputs = { bouquet, members: membersOf(bouquet, decorations), stack, mostTopMm: null }

describe('a bouquet', () => {
  it('is made of what is gathered in it, by its recipe, and of nothing else', () => {
    const loose = { ...decorations[0]!, id: 'loose', gathered: null }
    const elsewhere = {
      ...decorations[1]!,
      id: 'elsewhere',
      gathered: { ...decorations[1]!.gathered!, bouquet: 'other' },
    }
    expect(membersOf(bouquet, [...decorations, loose, elsewhere]).map(({ id }) => id)).toEqual(
      decorations.map(({ id }) => id),
    )
  })

  it('counts what found a place and what did not, together what the recipe wants', () => {
    const packed = bouquetStage(inputs)
    const { members } = plannedBouquet(bouquet, inputs.members, packed)
    expect(members.length).toBeGreaterThan(2)
    for (const { decoration, count, withoutPlace, called } of members) {
      expect(count.value).toBe(packed.layouts.get(decoration)!.elements.length)
      expect(count.value + withoutPlace).toBe(packed.wanted.get(decoration))
      expect(called).toBe(inputs.members.find(({ id }) => id === decoration)!.name)
    }
  })

  it('packed again is the same, packed with another seed another', () => {
    const places = (seed: number) =>
      [...bouquetStage({ ...inputs, bouquet: { ...bouquet, seed } }).layouts.values()].flatMap(({ elements }) =>
        elements.map(({ pose }) => pose!.at),
      )
    expect(places(5)).toEqual(places(5))
    expect(places(5)).not.toEqual(places(6))
  })

  it('stays under the lid it travels below', () => {
    const mostTopMm = 200
    for (const { elements } of bouquetStage({ ...inputs, mostTopMm }).layouts.values())
      for (const { heightMm } of elements) expect(heightMm).toBeLessThanOrEqual(mostTopMm)
  })
})

describe('accents', () => {
  const base = onTwoTiers(decorations, 0)
  const commission: Commission = {
    ...base,
    options: [{ ...base.options[0]!, bouquets: [bouquet] }],
  }
  const { decorations: made } = derivePlan({ commission, workshop: demoWorkshop(), now: 0, units: 'metric' })
  const [bloom] = made.filter(({ elements }) => elements.length > 0)
  const pearls = startingAccent('pearls', 'pearl', bloom!.id)
  const planned = (follows: string) =>
    accentStage({ accent: { ...pearls, follows }, anchors: anchorsOf(follows, made), stack })

  it('gather round what they go with', () => {
    expect(anchorsOf(bloom!.id, made)).toHaveLength(bloom!.elements.length)
    const { elements, count, many } = planned(bloom!.id)
    expect(elements.length).toBeGreaterThan(0)
    expect([count.value, count.label]).toEqual([elements.length, many])
  })
  it('lie nowhere when what they went with is gone', () => {
    expect(anchorsOf('gone', made)).toEqual([])
    expect(planned('gone').elements).toEqual([])
  })
})
