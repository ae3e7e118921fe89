import { describe, expect, it } from 'vitest'
import { roundTier, stackTiers } from '../cake'
import { startingDecoration, type Decoration } from '../commission'
import { coveringIds, coveringOf, glueIds, glueOf, type CoveringId } from '../material'
import { workingsBelow, workingSentence } from '../quantity'
import { TECHNIQUES, type TechniqueId } from '../technique'
import { gluesFor, plannedDecoration, setMinOf } from '.'

/** A decoration worked out on one tier of a covering. */
function on(
  covering: CoveringId,
  technique: TechniqueId,
  change: Partial<Decoration> = {},
  unwanted: readonly 'dairy'[] = [],
) {
  const tiers = [{ ...roundTier('one', 260, 110), covering }]
  const decoration = { ...startingDecoration('it', technique, tiers), ...change } as Decoration
  return plannedDecoration({
    decoration,
    name: 'it',
    stack: stackTiers({ tiers }),
    free: [],
    mostTopMm: null,
    laid: null,
    shapes: decoration.stock,
    thicknessMm: 0.28,
    punchesMm: [],
    unwanted,
    stepMinutes: {},
    learned: { hands: {}, breakage: null, shrink: {} },
  })
}

describe('glue on a back', () => {
  it('of five panels 210 × 83 mm is 8.7 dm² × 4 g = 34.9 g of piping gel, worked by hand', () => {
    const parameters = { panelLengthMm: 210, panelHeightMm: 80, overlapMm: 12, hemMm: 3, print: 'plain' as const }
    const { gluings, count } = on('fondant', 'flatPanel', { parameters } as never)
    expect(count.value).toBe(5)
    expect(gluings).toMatchObject([{ glue: 'pipingGel', covering: 'fondant', count: 5 }])
    expect(gluings[0]!.grams.value).toBeCloseTo((5 * 210 * 83 * 4) / 10000, 6)
  })
  it('is 3 to 5 g a dm² of piping gel, as a thin even coat is', () => {
    expect(glueOf('pipingGel').gramsPerDm2).toBeGreaterThanOrEqual(3)
    expect(glueOf('pipingGel').gramsPerDm2).toBeLessThanOrEqual(5)
  })
})

describe('glue at a joint', () => {
  it('a foot each: five formed sails on ganache take 5 × 1.5 = 7.5 g of melted chocolate', () => {
    const base = on('ganache', 'formedSail')
    const five = on('ganache', 'formedSail', {
      composition: {
        ...startingDecoration('it', 'formedSail', [roundTier('one', 260, 110)]).composition,
        count: 5,
      } as never,
    })
    expect(base.gluings[0]!.glue).toBe('meltedChocolate')
    expect(five.gluings[0]!.grams.value).toBeCloseTo(7.5, 9)
  })
  it('none where wires stand in holders, nor where the covering holds by itself', () => {
    expect(on('fondant', 'openBloom').gluings).toEqual([])
    expect(on('whippedCream', 'butterfly').gluings).toMatchObject([{ glue: 'itself', grams: { value: 0 } }])
  })
})

describe('what holds where', () => {
  it.each(coveringIds)('%s is glued with one that holds on it, whatever was chosen', (covering) => {
    for (const glue of [null, ...glueIds]) {
      const [gluing] = on(covering, 'butterfly', { glue }).gluings
      expect(coveringOf(covering).glues).toContain(gluing!.glue)
      if (glue && coveringOf(covering).glues.includes(glue)) expect(gluing!.glue).toBe(glue)
    }
  })
  it('a client who wants no dairy gets neither white chocolate nor buttercream where there is another', () => {
    expect(gluesFor({}, 'setButtercream', ['dairy'])).toEqual(['pipingGel'])
    expect(on('setButtercream', 'butterfly', { glue: 'whiteChocolate' }, ['dairy']).gluings[0]!.glue).toBe('pipingGel')
  })
  it('a torn ruffle is set with a damp brush where that tacks, and a wrap with gel', () => {
    expect(on('fondant', 'tornRuffle').gluings[0]!.glue).toBe('water')
    expect(on('fondant', 'formedWrap').gluings[0]!.glue).toBe('pipingGel')
  })
})

describe('how long it takes to hold', () => {
  it('a skin rests as long as its glue asks, what is placed as long as the slowest of all', () => {
    const panel = on('fondant', 'flatPanel')
    expect(panel.setting.rest).toEqual({ fixedMin: 20 })
    expect(on('fondant', 'butterfly').setting.rest).toBeUndefined()
    expect(setMinOf([{ glue: 'whiteChocolate' }, { glue: 'water' }])).toBe(30)
    expect(setMinOf([])).toBe(0)
  })
})

it.each(TECHNIQUES.map(({ id }) => id))('%s tells its glue with a working all the way down', (id) => {
  for (const { grams } of on('fondant', id).gluings)
    for (const working of workingsBelow(grams))
      expect(workingSentence(working, 'imperial')).not.toMatch(/NaN|undefined|[{}]/)
})
