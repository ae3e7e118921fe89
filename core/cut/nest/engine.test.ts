import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { convexHull, type Point } from '../../geometry'
import { between, seededStream } from '../../quantity'
import { depthBetween, noContact } from './depth'
import { convexOf, discOf } from './convex'
import { convexParts } from './convexParts'
import { energyOf, troubleOf } from './energy'
import { crowdOf } from './crowd'
import { bestTurn, enclosingCircle } from './fitsOn'
import { fillLattice } from './fillLattice'
import { coarse, firstLayout, type LaidSheet } from './firstLayout'
import { findLattices } from './lattice'
import { minimise } from './minimise'
import { openingsFor } from './openings'
import { outward } from './outward'
import { crossingOf, ringAreaMm2, turnOf } from './ring'
import { discRoom, rectangleRoom } from './room'
import { fillRows } from './rows'
import { shapesOf } from './shape'
import { stocksOf } from './stock'
import type { NestJob } from './job'

const points = fc.array(
  fc.record({ x: fc.double({ min: -30, max: 30, noNaN: true }), y: fc.double({ min: -30, max: 30, noNaN: true }) }),
  { minLength: 3, maxLength: 12 },
)
const hull = points.map((each) => convexHull(each)).filter((ring) => ring.length >= 3 && ringAreaMm2(ring) > 4)
const convex = hull.map((ring) => convexOf(ring.map(({ x, y }) => [x, y] as const)))
const star = (seed: number, corners: number): readonly Point[] => {
  const stream = seededStream(seed)
  return Array.from({ length: corners }, (_, at) => {
    const reach = between(stream, 4, 20)
    const angle = (at * 2 * Math.PI) / corners
    return { x: reach * Math.cos(angle), y: reach * Math.sin(angle) }
  })
}

describe('the depth of two convexes', () => {
  it('moved along its axis by itself, they are just apart', () => {
    fc.assert(
      fc.property(
        convex,
        convex,
        fc.double({ min: -20, max: 20, noNaN: true }),
        fc.double({ min: -20, max: 20, noNaN: true }),
        (one, other, x, y) => {
          const contact = noContact()
          const depth = depthBetween(one, other, x, y, 0, contact)
          // Touching outlines overlap by rounding alone, some 1e-14 mm, in which no direction can be measured.
          fc.pre(depth === 0 || depth > 1e-9)
          if (depth === 0) return
          expect(
            depthBetween(
              one,
              other,
              x + contact.axisX * (depth + 1e-7),
              y + contact.axisY * (depth + 1e-7),
              0,
              noContact(),
            ),
          ).toBe(0)
          expect(
            depthBetween(one, other, x + contact.axisX * depth * 0.9, y + contact.axisY * depth * 0.9, 0, noContact()),
          ).toBeGreaterThan(0)
        },
      ),
    )
  })

  it('is the same from both sides', () => {
    fc.assert(
      fc.property(convex, convex, fc.double({ min: -40, max: 40, noNaN: true }), (one, other, x) => {
        expect(depthBetween(one, other, x, 3, 0, noContact())).toBeCloseTo(
          depthBetween(other, one, -x, -3, 0, noContact()),
          9,
        )
      }),
    )
  })

  it('of discs and squares is what a ruler says', () => {
    const square = convexOf([
      [-5, -5],
      [5, -5],
      [5, 5],
      [-5, 5],
    ])
    expect(depthBetween(discOf(0, 0, 4), discOf(0, 0, 3), 6, 0, 0, noContact())).toBeCloseTo(1, 12)
    expect(depthBetween(square, discOf(0, 0, 3), 7, 0, 0, noContact())).toBeCloseTo(1, 12)
    expect(depthBetween(discOf(0, 0, 3), square, -7, -7, 0, noContact())).toBeCloseTo(3 - Math.hypot(2, 2), 12)
    expect(depthBetween(square, discOf(0, 0, 3), 8, 8, 0, noContact())).toBe(0)
    expect(depthBetween(square, square, 9.5, 0, 0.25, noContact())).toBeCloseTo(0.75, 12)
  })
})

describe('convex parts', () => {
  it('are convex, and together as large as the outline less its holes', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 5000 }), fc.integer({ min: 5, max: 20 }), (seed, corners) => {
        const ring = star(seed, corners)
        const hole = [
          { x: -1, y: -1 },
          { x: 1, y: -1 },
          { x: 0, y: 1 },
        ]
        for (const rings of [[ring], [ring, hole]]) {
          const parts = convexParts(rings)
          for (const part of parts)
            part.forEach((one, at) =>
              expect(turnOf(one, part[(at + 1) % part.length]!, part[(at + 2) % part.length]!)).toBeGreaterThanOrEqual(
                -1e-6,
              ),
            )
          expect(parts.reduce((sum, part) => sum + ringAreaMm2(part), 0)).toBeCloseTo(
            ringAreaMm2(ring) - (rings.length > 1 ? 2 : 0),
            4,
          )
        }
      }),
    )
  })
})

describe('an outline drawn with fewer corners', () => {
  it('holds all of the first, and adds no more than allowed', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 5000 }), (seed) => {
        const ring = star(seed, 24)
        const few = outward(ring, 20, 6)
        expect(few.length).toBeLessThanOrEqual(ring.length)
        expect(ringAreaMm2(few)).toBeGreaterThanOrEqual(ringAreaMm2(ring) - 1e-9)
        expect(ringAreaMm2(few)).toBeLessThanOrEqual(ringAreaMm2(ring) + 20 + 1e-9)
        expect(crossingOf(few)).toBeNull()
      }),
    )
  })
})

describe('walking downhill', () => {
  it('finds the foot of a bent valley', () => {
    const at = new Float64Array([-1.2, 1])
    const least = minimise(
      ([x, y], gradient) => {
        gradient[0] = -2 * (1 - x!) - 400 * x! * (y! - x! * x!)
        gradient[1] = 200 * (y! - x! * x!)
        return (1 - x!) ** 2 + 100 * (y! - x! * x!) ** 2
      },
      at,
      400,
      10,
    )
    expect(least).toBeLessThan(1e-8)
    expect(at[0]).toBeCloseTo(1, 3)
  })

  it('follows forces that are the slope of the energy', () => {
    const job: NestJob = {
      name: '',
      unit: 'mm',
      gap: 1,
      margin: 0,
      sheets: [{ id: 's', shape: 'rect', width: 60, height: 60, count: 1 }],
      parts: [
        {
          id: 'star',
          outline: star(3, 9).map(({ x, y }): [number, number] => [x, y]),
          quantity: 1,
          rotations: 'free',
          mirror: false,
        },
      ],
    }
    const [shape] = shapesOf(job)
    for (const room of [rectangleRoom(0, 0, 60, 60), discRoom(30, 30, 30)]) {
      const crowd = crowdOf(room, [
        { shape: shape!, x: 22, y: 20, turn: 0.3, face: 0 },
        { shape: shape!, x: 36, y: 31, turn: 1.1, face: 0 },
        { shape: shape!, x: 50, y: 52, turn: 2, face: 0 },
      ])
      const { at, energy } = energyOf(crowd)
      const [gradient, ignored] = [new Float64Array(9), new Float64Array(9)]
      expect(energy(at, gradient)).toBeGreaterThan(0)
      for (let index = 0; index < 9; index += 1) {
        const step = 1e-6
        const [up, down] = [at.slice(), at.slice()]
        up[index]! += step
        down[index]! -= step
        expect((energy(up, ignored) - energy(down, ignored)) / (2 * step)).toBeCloseTo(gradient[index]!, 3)
      }
    }
  })
})

describe('rows of equal pieces', () => {
  it('do not overlap, and fill more than half of a sheet', () => {
    for (const seed of [1, 2, 3, 4, 5, 6]) {
      const outline = star(seed, 7).map(({ x, y }): [number, number] => [x, y])
      const job: NestJob = {
        name: '',
        unit: 'mm',
        gap: 1,
        margin: 5,
        sheets: [{ id: 's', shape: 'rect', width: 210, height: 297, count: 1 }],
        parts: [{ id: 'star', outline, quantity: 1, rotations: 'free', mirror: false }],
      }
      const [shape] = shapesOf(job)
      const room = rectangleRoom(5, 5, 205, 292)
      const [lattice] = findLattices(shape!, room, seededStream(seed), 400)
      const pieces = fillLattice(lattice!, room, Infinity)
      expect(troubleOf(crowdOf(room, pieces)).deepest).toBe(0)
      expect(pieces.length * shape!.areaMm2).toBeGreaterThan(0.4 * 200 * 287)
      expect(fillLattice(lattice!, room, 5)).toHaveLength(5)
    }
  })

  it('of circles lie in a hexagon’s grid', () => {
    const outline = Array.from({ length: 64 }, (_, at): [number, number] => [
      10 * Math.cos((at * Math.PI) / 32),
      10 * Math.sin((at * Math.PI) / 32),
    ])
    const [shape] = shapesOf({
      name: '',
      unit: 'mm',
      gap: 0,
      margin: 0,
      sheets: [],
      parts: [{ id: 'c', outline, quantity: 1, rotations: 'free', mirror: false }],
    })
    const [lattice] = findLattices(shape!, rectangleRoom(0, 0, 200, 200), seededStream(1), 200)
    expect(lattice!.pitchMm).toBeCloseTo(20, 2)
    expect(lattice!.riseMm).toBeCloseTo((20 * Math.sqrt(3)) / 2, 1)
  })
})

describe('whole layouts to begin from', () => {
  it('hold every piece, and none twice', () => {
    for (const seed of [1, 2, 3]) {
      const counts = [60, 9, 33]
      const job: NestJob = {
        name: '',
        unit: 'mm',
        gap: 1,
        margin: 4,
        sheets: [{ id: 's', shape: 'rect', width: 210, height: 297, count: null }],
        parts: counts.map((quantity, at) => ({
          id: `part-${at}`,
          outline: star(seed * 5 + at, 6 + at).map(({ x, y }): [number, number] => [x, y]),
          quantity,
          rotations: 'free',
          mirror: false,
        })),
      }
      const shapes = shapesOf(job)
      const all = shapes.map((shape) => ({ shape, count: job.parts[shape.part]!.quantity }))
      const stocks = stocksOf(job)
      const layoutsBeside = (there: readonly LaidSheet[]) =>
        openingsFor(all, stocks, job.gap, seededStream(seed), there)
          .map((opening) => opening())
          .filter((sheets) => sheets !== null && sheets !== 'trying')
      const layouts = layoutsBeside(firstLayout(all, stocks, coarse(shapes), job.gap).sheets)
      for (const sheets of layouts)
        expect(
          counts.map((_, at) =>
            sheets.reduce((sum, { pieces }) => sum + pieces.filter(({ shape }) => shape.part === at).length, 0),
          ),
        ).toEqual(counts)
      expect(layouts.length).toBeGreaterThan(8)
      // Beside a layout that opens far less, no more are made than show that.
      expect(layoutsBeside([]).length).toBeLessThan(layouts.length)
    }
  })
})

describe('bars of stock', () => {
  it('that were cut up are put together again', () => {
    const stream = seededStream(9)
    const lengths = Array.from({ length: 12 }, () => {
      const first = Math.round(between(stream, 20, 120))
      const second = Math.round(between(stream, 10, 190 - first))
      return [first, second, 200 - first - second]
    }).flat()
    const bars = fillRows(lengths, 200, seededStream(1), 3000)
    expect(bars.flat().sort((one, other) => one - other)).toEqual(lengths.map((_, at) => at))
    for (const bar of bars) expect(bar.reduce((sum, at) => sum + lengths[at]!, 0)).toBeLessThanOrEqual(200 + 1e-6)
    expect(bars).toHaveLength(12)
  })
})

describe('whether a piece fits', () => {
  it('a bar from corner to corner, by hand: 45° in a square of 100 takes a bar of 120 × 20', () => {
    const bar = (long: number): readonly Point[] => [
      { x: 0, y: 0 },
      { x: long, y: 0 },
      { x: long, y: 20 },
      { x: 0, y: 20 },
    ]
    expect(bestTurn(bar(121.4), 100, 100).excessMm).toBeLessThanOrEqual(0.02)
    expect(bestTurn(bar(122), 100, 100).excessMm).toBeGreaterThan(0.1)
  })

  it('the smallest circle round points holds them, and touches two', () => {
    fc.assert(
      fc.property(points, (each) => {
        const { middle, radius } = enclosingCircle(each)
        const away = each.map(({ x, y }) => Math.hypot(x - middle.x, y - middle.y))
        for (const distance of away) expect(distance).toBeLessThanOrEqual(radius + 1e-6)
        expect(away.filter((distance) => distance > radius - 1e-6).length).toBeGreaterThanOrEqual(radius > 0 ? 2 : 1)
      }),
    )
  })
})
