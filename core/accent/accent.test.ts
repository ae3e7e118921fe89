import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { accentMesh, accentOf, ACCENTS, accentSchema, followed, startingAccent, type Anchor } from '.'
import { leastReach, roundTier, stackTiers } from '../cake'
import { workingsBelow, workingSentence } from '../quantity'
import type { PlacedElement, Wall } from '../technique'

const stack = stackTiers({ tiers: [roundTier('low', 260, 110), roundTier('high', 128, 118)] })
const element = (index: number, away: number, on: 'side' | 'top' = 'side'): PlacedElement => ({
  index,
  tier: on === 'top' ? 1 : 0,
  on,
  angleDeg: index * 6,
  spanDeg: 0,
  heightMm: on === 'top' ? 228 : 40,
  outMm: on === 'top' ? 20 : 0,
  size: 1,
  rollDeg: 0,
  row: 0,
  away,
  mirrored: false,
  seed: index,
})
const anchors: readonly Anchor[] = Array.from({ length: 10 }, (_, index) => ({
  element: element(index, index / 9),
  seen: { widthMm: 40, heightMm: 40 },
}))
const wall: Wall = (angleDeg, heightMm, outMm) => {
  const angle = (angleDeg * Math.PI) / 180
  return [(130 + outMm) * Math.sin(angle), -(130 + outMm) * Math.cos(angle), heightMm]
}

describe.each(ACCENTS.map((kind) => [kind.name, kind] as const))('%s', (_, kind) => {
  const accent = startingAccent('a', kind.id, 'sails')
  it('begins as its schema allows, with a caution', () => {
    expect(accentSchema.parse(accent)).toEqual(accent)
    expect(accentOf(kind.id).caution.length).toBeGreaterThan(10)
    expect(accent.edible).toBe(kind.usuallyEaten)
  })
  it('is drawn about as large as asked, the same for the same seed', () => {
    const mesh = accentMesh(accent, element(3, 0), wall)
    expect(accentMesh(accent, element(3, 0), wall)).toEqual(mesh)
    const points = [
      ...mesh.faces.flatMap(({ points: corners }) => corners),
      ...mesh.lines.flatMap(({ points: ends }) => ends),
      ...(mesh.beads ?? []).flatMap(({ at, radiusMm }) => [
        [at[0], at[1], at[2] - radiusMm] as const,
        [at[0], at[1], at[2] + radiusMm] as const,
      ]),
    ]
    const heights = points.map((point) => point[2])
    expect(Math.max(...heights) - Math.min(...heights)).toBeGreaterThan(accent.sizeMm * 0.5)
    expect(Math.max(...heights) - Math.min(...heights)).toBeLessThan(accent.sizeMm * 1.5)
  })
  it('follows its composition in number, on what carries it', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 99999 }), fc.constantFrom('side' as const, 'top' as const), (seed, on) => {
        const near = anchors.map((anchor) => ({
          ...anchor,
          element: element(anchor.element.index, anchor.element.away, on),
        }))
        const { elements, count } = followed({ ...accent, seed }, near, stack)
        expect(elements.length).toBe(kind.id === 'topper' ? 1 : Math.round(10 * accent.perElement))
        expect(count.value).toBe(elements.length)
        for (const working of workingsBelow(count))
          expect(workingSentence(working, 'metric')).not.toMatch(/NaN|undefined|[{}]/)
        elements.forEach(({ tier, heightMm, outMm, on: where }) => {
          expect(heightMm).toBeGreaterThanOrEqual(stack[tier]!.footMm)
          expect(heightMm).toBeLessThanOrEqual(stack[tier]!.topMm)
          if (where === 'top') expect(outMm).toBeLessThan(leastReach(stack[tier]!))
        })
      }),
      { numRuns: 30 },
    ))
})

describe('accents', () => {
  it('thin outwards when asked, and not when not', () => {
    const meanAway = (thinning: number): number => {
      const { elements } = followed(
        { ...startingAccent('a', 'pearl', 'sails'), perElement: 12, thinning },
        anchors,
        stack,
      )
      return elements.reduce((sum, { away }) => sum + away, 0) / elements.length
    }
    expect(meanAway(1)).toBeLessThan(meanAway(0) - 0.08)
  })
  it('are none where there is nothing to follow, and an unknown kind is named', () => {
    expect(followed(startingAccent('a', 'pearl', 'gone'), [], stack).elements).toEqual([])
    expect(() => accentOf('ribbon' as never)).toThrow('ribbon')
  })
})
