import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { outlineAreaMm2 } from '../../geometry'
import { found } from '../../quantity'
import { branchMesh, countBySize, LEAF_KINDS, leafOutline, leavesOn, pairsOn, widestOf } from '.'

describe.each(LEAF_KINDS)('a leaf that is %s', (kind) => {
  it('is cut as long and wide as it says, whole, its fold along the middle', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 150, noNaN: true }),
        fc.double({ min: 0.5, max: 1.6, noNaN: true }),
        (long, leafWide) => {
          const shape = { leaf: kind, leafWide }
          const { outline, fold } = leafOutline(shape, long)
          expect(widestOf(shape)).toBeCloseTo(leafWide * widestOf({ leaf: kind, leafWide: 1 }), 9)
          const points = [outline.start, ...outline.segments.map(({ to }) => to)]
          const xs = points.map(({ x }) => x)
          expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(widestOf(shape) * long, 6)
          expect(Math.max(...xs) + Math.min(...xs)).toBeCloseTo(0, 6)
          expect(Math.max(...points.map(({ y }) => y))).toBeLessThanOrEqual(long * 1.02)
          expect(Math.abs(outlineAreaMm2(outline))).toBeGreaterThan(
            (kind === 'pinnate' ? 0.22 : 0.35) * long * long * widestOf(shape),
          )
          expect(fold.segments.at(-1)!.to).toEqual({ x: 0, y: long })
        },
      ),
    ))
  it('is drawn within its branch’s reach, leaf by leaf its own way', () => {
    const leaves = leavesOn(9)
    const form = {
      lengthMm: 120,
      leafMm: 30,
      shape: { leaf: kind, leafWide: 1 },
      leaves,
      openDeg: 50,
      foldDeg: 10,
      arch: 0.2,
      stem: '#6d6a45',
    }
    const mesh = branchMesh(form, 3, (x, y, z) => [x, y, z])
    expect(mesh.faces).toHaveLength(2 * leaves.length)
    mesh.faces
      .flatMap(({ points }) => points)
      .forEach((point) => {
        expect(point.every(Number.isFinite)).toBe(true)
        expect(Math.hypot(...point)).toBeLessThan(120 * 1.3 + 40)
      })
    expect(branchMesh(form, 3, (x, y, z) => [x, y, z])).toEqual(mesh)
    expect(branchMesh(form, 4, (x, y, z) => [x, y, z])).not.toEqual(mesh)
  })
})

describe('leaves along a stem', () => {
  const pairs = (mm: number) =>
    pairsOn(found('branch', mm, 'length', 'given'), found('apart', 25, 'length', 'given')).value
  it('of 150 mm are 5 pairs and one, of 110 mm 4 and one', () => expect([pairs(150), pairs(110)]).toEqual([5, 4]))
  it('are never fewer on a longer one', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 40, max: 300 }),
        fc.integer({ min: 1, max: 100 }),
        (long, more) => pairs(long + more) >= pairs(long),
      ),
    ))
  it('are large at the foot and small at the tip, and all counted', () =>
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 25 }), (many) => {
        const places = leavesOn(many)
        expect(places).toHaveLength(many)
        const shares = [...places].sort((one, other) => one.up - other.up).map(({ share }) => share)
        expect(shares).toEqual([...shares].sort((one, other) => other - one))
        expect(countBySize(places).reduce((sum, { count }) => sum + count, 0)).toBe(many)
      }),
    ))
})
