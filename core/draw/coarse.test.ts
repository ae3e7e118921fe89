import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { facesViewer, pointOfSpot, spotAt, standLayers, viewAt } from '.'
import { coarsened } from './coarse'
import { roundTier, stackTiers } from '../cake'
import { TECHNIQUES, type Mesh, type PlacedElement, type Technique, type Wall } from '../technique'
import type { z } from 'zod'

const wall: Wall = (angleDeg, heightMm, outMm) => {
  const angle = (angleDeg * Math.PI) / 180
  return [(130 + outMm) * Math.sin(angle), -(130 + outMm) * Math.cos(angle), heightMm]
}
const element: PlacedElement = {
  index: 0,
  tier: 0,
  on: 'side',
  angleDeg: 10,
  spanDeg: 60,
  heightMm: 30,
  outMm: 0,
  size: 1,
  rollDeg: 0,
  row: 0,
  away: 0,
  mirrored: false,
  seed: 5,
}
const meshes = (TECHNIQUES as unknown as readonly Technique<z.ZodObject>[]).map(
  (technique) => [technique.name, technique.draw(technique.startingParameters, element, wall)] as const,
)
const board = { outline: 'round' as const, acrossMm: 320, thicknessMm: 12 }
const stack = stackTiers({
  tiers: [roundTier('low', 260, 110), { ...roundTier('high', 128, 118), offset: { rightMm: 20, backMm: 10 } }],
})

const boundsOf = ({ faces, lines }: Mesh): readonly [number, number] => {
  const heights = [...faces, ...lines].flatMap(({ points }) => points.map(([, , z]) => z))
  return [Math.min(...heights), Math.max(...heights)]
}

describe('an element drawn coarser', () => {
  it.each(meshes)('%s keeps to the number of faces, and to its size', (_, mesh) => {
    for (const most of [1, 3, 13]) {
      const coarse = coarsened(mesh, most)
      expect(coarse.faces.length).toBeLessThanOrEqual(Math.max(most, 0))
      coarse.faces.forEach(({ points }) => expect(points.length).toBeGreaterThanOrEqual(3))
      const [low, high] = boundsOf(mesh)
      const [coarseLow, coarseHigh] = boundsOf(coarse)
      expect(coarseLow).toBeGreaterThanOrEqual(low - 1e-9)
      expect(coarseHigh).toBeLessThanOrEqual(high + 1e-9)
      expect(coarseHigh - coarseLow).toBeGreaterThan((high - low) * 0.3)
    }
  })
  it('is the same object when asked again, and the mesh itself when it is simple enough', () => {
    const [, mesh] = meshes[0]!
    expect(coarsened(mesh, 3)).toBe(coarsened(mesh, 3))
    expect(coarsened(mesh, 10_000).faces).toBe(mesh.faces)
  })
  it('leaves the stand with no more faces than it may have', () => {
    const elements = Array.from({ length: 40 }, (_, at) => ({
      mesh: meshes[at % meshes.length]![1],
      on: 'side' as const,
      facingDeg: 0,
      pile: 0,
      colour: '#d9572b',
    }))
    const faces = (most?: number): number =>
      standLayers({ board, stack, elements, accents: [] }, 0, most)
        .filter(({ kind }) => kind === 'element')
        .flatMap(({ shapes }) => shapes)
        .filter((shape) => shape.kind === 'outline' && shape.fill).length
    expect(faces(200)).toBeLessThanOrEqual(200)
    expect(faces()).toBeGreaterThan(1000)
  })
})

describe('what runs round a tier', () => {
  it('is drawn in two halves, before and behind it, that together are all of it', () => {
    const ring = meshes.find(([name]) => name === 'Torn ruffle')![1]
    const elements = [
      { mesh: ring, on: 'side' as const, facingDeg: 0, pile: 0, colour: '#f3dfc2', axis: { x: 0, y: 0 } },
    ]
    fc.assert(
      fc.property(fc.integer({ min: -180, max: 180 }), (turn) => {
        const layers = standLayers({ board, stack, elements, accents: [] }, turn)
        const at = (id: string): number => layers.findIndex((layer) => layer.id === id)
        const lastTier = layers.findLastIndex(({ kind }) => kind === 'tier')
        if (at('element-0') !== -1) expect(at('element-0')).toBeGreaterThan(lastTier)
        if (at('element-0-behind') !== -1) expect(at('element-0-behind')).toBeLessThan(lastTier)
        const faces = layers
          .filter(({ kind }) => kind === 'element')
          .flatMap(({ shapes }) => shapes)
          .filter((shape) => shape.kind === 'outline' && shape.fill)
        expect(faces).toHaveLength(ring.faces.length)
      }),
      { numRuns: 30 },
    )
  })
})

describe('a place of the cake', () => {
  it('is found again under its place in the picture', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: -180, max: 180 }),
        fc.integer({ min: -80, max: 80 }),
        fc.integer({ min: 4, max: 100 }),
        fc.integer({ min: 0, max: 1 }),
        (turn, aside, up, tier) => {
          const spot = {
            tier,
            on: 'side' as const,
            angleDeg: aside - turn,
            heightMm: stack[tier]!.footMm + up,
            outMm: 0,
          }
          if (!facesViewer(spot, stack, turn)) return
          const found = spotAt(stack, turn, viewAt(turn)(pointOfSpot(spot, stack)))
          // The upper tier may stand before a place of the lower one, never the other way round.
          if (!found || found.tier !== tier || found.on !== 'side') return
          const apart = Math.abs(((((found.angleDeg - spot.angleDeg) % 360) + 540) % 360) - 180)
          expect(apart).toBeLessThan(aside > 60 || aside < -60 ? 6 : 2)
          expect(Math.abs(found.heightMm - spot.heightMm)).toBeLessThan(4)
        },
      ),
    ))
  it('beside the cake is none', () => expect(spotAt(stack, 0, { x: 400, y: 50 })).toBeNull())
})
