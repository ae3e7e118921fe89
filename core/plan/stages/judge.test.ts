import { describe, expect, it } from 'vitest'
import { fourGroups, onTwoTiers } from '../../../tests/any/fourGroups'
import { LEAVES } from '../../care'
import type { Commission } from '../../commission'
import { demoWorkshop } from '../../demo'
import type { CoveringId } from '../../material'
import type { Workshop } from '../../workshop'
import { derivePlan } from '..'

const cautionsOf = (change?: (commission: Commission, workshop: Workshop) => void) => {
  const commission = structuredClone(onTwoTiers(fourGroups(), 0)) as Commission
  const workshop = structuredClone(demoWorkshop())
  change?.(commission, workshop)
  return derivePlan({ commission, workshop, now: 0, units: 'metric' }).cautions
}
const codesOf = (change?: Parameters<typeof cautionsOf>[0]): readonly string[] =>
  cautionsOf(change).map(({ code }) => code)
const coverWith = (covering: CoveringId) => (commission: Commission) => {
  for (const tier of commission.options[0]!.cake.tiers) tier.covering = covering
}

describe('what is to be known of four groups of sails', () => {
  it('is said once, the worst first, each on a leaf', () => {
    const all = cautionsOf()
    expect(new Set(all.map(({ code }) => code)).size).toBe(all.length)
    const weights = all.map(({ severity }) => ['stop', 'look', 'note'].indexOf(severity))
    expect(weights).toEqual([...weights].sort((one, other) => one - other))
    for (const { leaf, say } of all) {
      expect(LEAVES).toContain(leaf)
      expect(say).toMatch(/[.:]$|\w$/)
    }
  })

  it.each<[string, string, Parameters<typeof cautionsOf>[0]]>([
    ['a box too low', 'box-too-small', ({ brief }) => void Object.assign(brief.box, { heightMm: 200 })],
    ['a room in which film never sets', 'never-sets', ({ brief }) => void (brief.workroom.humidity = 0.85)],
    ['fresh buttercream under feet', 'feet-wet', coverWith('freshButtercream')],
    ['an event that has gone by', 'event-past', ({ brief }) => void (brief.eventAt = '1969-01-01T12:00')],
    ['no mats', 'no-timetable', (_, { mats }) => void (mats.count = 0)],
    ['small mats', 'former-too-small', (_, { mats }) => void Object.assign(mats, { lengthMm: 100, widthMm: 100 })],
    [
      'no film in use',
      'no-sheets',
      (_, { papers }) => papers.forEach((each) => (each.inUse = each.paper !== 'riceFilm')),
    ],
    [
      'more in a crown than fit',
      'fewer-fit',
      ({ options }) => {
        for (const { composition } of options[0]!.decorations) if (composition.kind === 'crown') composition.count = 40
      },
    ],
    ['a board smaller than the cake', 'board', ({ options }) => void (options[0]!.cake.board.acrossMm = 240)],
  ])('names %s, and only then', (_, code, change) => {
    expect(codesOf()).not.toContain(code)
    expect(codesOf(change)).toContain(code)
  })

  it('does not worry for feet on skewers', () => {
    const skewered = (commission: Commission): void => {
      coverWith('freshButtercream')(commission)
      for (const each of commission.options[0]!.decorations) Object.assign(each.parameters, { skewered: true })
    }
    expect(codesOf(skewered)).not.toContain('feet-wet')
  })
})
