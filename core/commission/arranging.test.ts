import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { arrangedAs, askedFor, laidOut, startingDecoration, waysToFit, wayToFitWords, type Decoration } from '.'
import { anyTier } from '../../tests/any/anyTier'
import { roundTier, stackTiers } from '../cake'
import { compositionSchema, freePatches, type Composition, type Standing } from '../compose'
import { techniqueOf, TECHNIQUES } from '../technique'

const tiers = [roundTier('low', 260, 110), roundTier('high', 128, 118)]
const on = { stack: stackTiers({ tiers }), free: [], mostTopMm: null }
const globes = startingDecoration('globes', 'foldedGlobe', tiers)
const crownOf = (change: object): Decoration =>
  ({ ...globes, composition: { ...globes.composition, ...change } }) as Decoration
const placed = (decoration: Decoration): number => laidOut(decoration, on).elements.length
const waysOf = (decoration: Decoration) =>
  waysToFit(decoration, on, undefined, askedFor(decoration) ?? 1, placed(decoration))

describe('what a technique begins with', () => {
  it.each(TECHNIQUES.flatMap(({ id, compositions }) => compositions.map((kind) => [id, kind] as const)))(
    '%s as a %s finds a place for all that it asks for, on small cakes too',
    (id, kind) => {
      for (const across of [100, 150, 260]) {
        const cake = [
          { ...roundTier('one', across, 100), shape: { kind: 'square' as const, sideMm: across, cornerMm: 2 } },
        ]
        const decoration = startingDecoration('it', id, cake, kind)
        const { elements } = laidOut(decoration, { ...on, stack: stackTiers({ tiers: cake }) })
        expect(elements.length).toBeGreaterThanOrEqual(askedFor(decoration) ?? 1)
      }
    },
  )
})

describe('what is added beside others', () => {
  const cake = [roundTier('only', 200, 120)]
  const ground = (standing: readonly Standing[], quiet: Decoration['quiet']) => {
    const stack = stackTiers({ tiers: cake })
    return { stack, free: freePatches(quiet, standing, stack), mostTopMm: null }
  }
  it('leaves after leaves after leaves on one tier: each finds a place of its own', () => {
    const standing: Standing[] = []
    for (const technique of ['freeLeafStem', 'patchedLeaf', 'laminatedLeaf'] as const) {
      const begun = startingDecoration(technique, technique, cake, undefined, standing)
      const { elements } = laidOut(begun, ground(standing, begun.quiet))
      expect(elements.length).toBeGreaterThanOrEqual(askedFor(begun) ?? 1)
      standing.push({ elements, seen: techniqueOf(technique).seen(begun.parameters), isSkin: false })
    }
  })
  it('is moved round to where there is room, which is told as a way out too', () => {
    const first = startingDecoration('one', 'freeLeafStem', cake)
    const standing = [
      {
        elements: laidOut(first, ground([], first.quiet)).elements,
        seen: techniqueOf('freeLeafStem').seen(first.parameters),
        isSkin: false,
      },
    ]
    const second = startingDecoration('two', 'freeLeafStem', cake)
    const taken = ground(standing, second.quiet)
    expect(laidOut(second, taken).elements).toEqual([])
    const ways = waysToFit(second, taken, undefined, 1, 0)
    expect(ways[0]!.id).toBe('round')
    expect(wayToFitWords(ways[0]!, 'metric')).toMatch(/^move them round to −?\d+°$/)
    expect(laidOut({ ...second, ...ways[0]!.change } as Decoration, taken).elements.length).toBeGreaterThan(0)
  })
})

describe('ways to let all find a place', () => {
  it('four globes on a small arc: to the rim, overlapping, further round, smaller, or fewer', () => {
    const crowded = crownOf({ count: 4, spanDeg: 120, reach: 0.6, overlap: 0.2 })
    // The arc is 0.6 × ( 64 − 20 − 4 ) × 120° = 50 mm, of globes 40 × 0.8 × 0.8 = 25.6 mm apart: 2, so one at its end is 2.
    expect(placed(crowded)).toBe(2)
    const ways = waysOf(crowded)
    expect(ways.map(({ id }) => id)).toEqual(['rim', 'overlap', 'wider', 'smaller', 'tier', 'fewer'])
    expect(ways.at(-1)).toMatchObject({ id: 'fewer', to: placed(crowded) })
    expect(ways.map((way) => wayToFitWords(way, 'metric')).join('; ')).toBe(
      'move them to the rim; let them overlap by 50 %; let them reach round 240°; make them 28 mm; put them on tier 1; ask for 2',
    )
    for (const { change, id } of ways)
      expect(placed({ ...crowded, ...change } as Decoration)).toBe(id === 'fewer' ? placed(crowded) : 4)
  })
  it('there always is one that works, for whatever is counted, on any cake', () =>
    fc.assert(
      fc.property(
        fc.array(anyTier, { minLength: 1, maxLength: 3 }),
        fc.constantFrom(
          ...TECHNIQUES.filter(({ compositions }) => (compositions as readonly string[]).includes('crown')),
        ),
        fc.integer({ min: 1, max: 40 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (cake, { id }, count, reach) => {
          const begun = startingDecoration('it', id, cake, 'crown')
          const ground = { ...on, stack: stackTiers({ tiers: cake }) }
          if (begun.composition.kind !== 'crown') return
          const decoration = { ...begun, composition: { ...begun.composition, count, reach } } as Decoration
          const fit = laidOut(decoration, ground).elements.length
          if (fit >= count) return
          const ways = waysToFit(decoration, ground, undefined, count, fit)
          expect(ways.length).toBeGreaterThan(0)
          for (const { change, many, id: way } of ways) {
            const changed = { ...decoration, ...change } as Decoration
            expect(laidOut(changed, ground).elements.length).toBeGreaterThanOrEqual(
              many ?? (way === 'fewer' ? fit : way === 'one' ? 1 : count),
            )
            expect(techniqueOf(id).parameters.safeParse(changed.parameters).success).toBe(true)
            expect(compositionSchema.safeParse(changed.composition).success).toBe(true)
          }
        },
      ),
      { numRuns: 60 },
    ))
})

describe('arranged in another way', () => {
  const sails = startingDecoration('sails', 'soakedSail', tiers)
  const kept = (composition: object, kind: Parameters<typeof arrangedAs>[1], known: Composition | null = null) =>
    arrangedAs({ ...sails, composition: { ...sails.composition, ...composition } } as Decoration, kind, tiers, known)
  it('keeps what was set: how many, how lush, the arc; and says so', () => {
    const {
      composition,
      kept: names,
      lost,
    } = kept({ count: 5, overlap: 0.3, fromAngleDeg: -20, toAngleDeg: 100, heart: 0.2 }, 'crown')
    expect(composition).toMatchObject({ kind: 'crown', count: 5, overlap: 0.3, middleDeg: 40, spanDeg: 120 })
    expect([...names].sort()).toEqual(['Heart at', 'How many', 'Lushness', 'Reaches round'])
    expect(lost).toEqual(['Heart'])
  })
  it('begins with what nobody set', () => {
    const begun = startingDecoration('sails', 'soakedSail', tiers, 'crown').composition
    expect(kept({}, 'crown')).toEqual({ composition: begun, kept: [], lost: [] })
  })
  it('comes back as it was', () => {
    const before = { ...startingDecoration('sails', 'soakedSail', tiers, 'crown').composition, count: 4, reach: 0.9 }
    expect(kept({}, 'crown', before as Composition).composition).toMatchObject({ count: 4, reach: 0.9 })
  })
  it('always is a sound composition, from every way to every other', () =>
    fc.assert(
      fc.property(
        fc.nat({ max: 6 }),
        fc.nat({ max: 6 }),
        fc.integer({ min: 1, max: 40 }),
        fc.nat({ max: 360 }),
        (one, other, count, span) => {
          const { compositions } = techniqueOf('soakedSail')
          const [from, to] = [compositions[one]!, compositions[other]!]
          const begun = startingDecoration('sails', 'soakedSail', tiers, from)
          const own = begun.composition as unknown as Record<string, unknown>
          const set = {
            ...own,
            ...('count' in own && { count }),
            ...('spanDeg' in own && { spanDeg: Math.max(10, span) }),
          }
          const { composition } = arrangedAs({ ...begun, composition: set } as unknown as Decoration, to, tiers)
          expect(compositionSchema.safeParse(composition).error).toBeUndefined()
          expect(composition.kind).toBe(to)
        },
      ),
    ))
})
