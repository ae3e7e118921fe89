import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { flatAt, flatStand, paperStand, viewAt, type Viewpoint } from '.'
import { anyTier } from '../../tests/any/anyTier'
import { roundTier, stackTiers, type Board, type Tier } from '../cake'
import { areaMm2 } from '../cake/shape'
import { chosenOption } from '../commission'
import { demoCommission, demoWorkshop } from '../demo'
import { convexHull, isInside, type Point3 } from '../geometry'
import { derivePlan } from '../plan'
import { fitted, nearer, projectionMatrix, sightLine, viewMatrix, windowOf, type Matrix } from './viewpoint'
import { FILM, meshParts, WAFER } from './meshSolid'
import { outlineSeen } from './outlineSeen'
import { addBall, addTube, partBuilder, smoothPart, type Face, type SolidPart } from './solid'
import { standSolids, type StandScene } from './standSolids'
import { metBy } from './touch'

const board: Board = { outline: 'round', acrossMm: 340, thicknessMm: 12 }
const stackOf = (...tiers: Tier[]) => stackTiers({ tiers })
const two = stackOf(roundTier('low', 200, 100), {
  ...roundTier('high', 120, 80),
  spacer: { heightMm: 20, acrossMm: 60 },
})
const turns = fc.integer({ min: -180, max: 180 })
const FRONT: Viewpoint = { turnDeg: 0, downDeg: 10, aimMm: 100, awayMm: 2600 }
const aLook = fc.record({
  turnDeg: turns,
  downDeg: fc.integer({ min: 0, max: 90 }),
  aimMm: fc.integer({ min: 0, max: 300 }),
  awayMm: fc.constantFrom(null, 1500, 2600),
})
const aPoint = fc.tuple(
  fc.integer({ min: -250, max: 250 }),
  fc.integer({ min: -250, max: 250 }),
  fc.integer({ min: -10, max: 500 }),
)
const cornersOf = ({ positions }: SolidPart): readonly Point3[] =>
  Array.from({ length: positions.length / 3 }, (_, at) => [...positions.subarray(at * 3, at * 3 + 3)] as never)

describe('the look at the stand', () => {
  it('shows the right of the front at the right, what is near as near, and turns', () => {
    const view = viewAt({ ...FRONT, awayMm: null })
    expect(view([10, 0, 100]).x).toBe(10)
    expect(view([0, -10, 0]).near).toBeGreaterThan(view([0, 10, 0]).near)
    expect(view([0, 0, 110]).y).toBeCloseTo(10 * Math.cos(Math.PI / 18), 9)
    expect(viewAt({ ...FRONT, turnDeg: 90 })([0, -10, 100]).x).toBeCloseTo(10)
  })
  it('sees the front at the foot from above, the back from behind, and what is near a little larger', () => {
    expect(viewAt({ ...FRONT, downDeg: 90 })([0, -50, 100]).y).toBeLessThan(0)
    const back = viewAt({ ...FRONT, turnDeg: 180 })
    expect(back([0, 50, 100]).near).toBeGreaterThan(back([0, -50, 100]).near)
    const level = viewAt({ ...FRONT, downDeg: 0 })
    // 2600 ÷ (2600 − 100) for what stands 100 mm before the middle.
    expect(level([50, -100, 100]).x).toBeCloseTo((50 * 2600) / 2500, 9)
  })
  it('looks along a line that is seen as one place, away from the viewer', () =>
    fc.assert(
      fc.property(aLook, fc.integer({ min: 0, max: 900 }), (look, distance) => {
        const { from, along } = sightLine({ x: 31, y: 77 }, look)
        const at = (far: number): Point3 => [0, 1, 2].map((axis) => from[axis]! + along[axis]! * far) as never
        const [near, far] = [viewAt(look)(at(distance + 1)), viewAt(look)(at(distance + 500))]
        expect(Math.hypot(...along)).toBeCloseTo(1, 9)
        expect([near.x, near.y]).toEqual([expect.closeTo(31, 6), expect.closeTo(77, 6)])
        expect(far.near).toBeLessThan(near.near)
      }),
    ))
  it('is the same for the drawing library: its two matrices put every point where the view sees it', () => {
    const through = (matrix: Matrix, [x, y, z, w]: readonly number[]): readonly number[] =>
      [0, 1, 2, 3].map((row) => [x, y, z, w].reduce((sum: number, each, at) => sum + matrix[at * 4 + row]! * each!, 0))
    const window = { left: -300, top: -420, width: 560, height: 700 }
    fc.assert(
      fc.property(aLook, aPoint, (look, point) => {
        const inView = through(viewMatrix(look), [...point, 1])
        const [x, y, depth, w] = through(projectionMatrix(look, window, 900), inView) as [
          number,
          number,
          number,
          number,
        ]
        const seen = viewAt(look)(point)
        expect((x / w + 1) / 2).toBeCloseTo((seen.x - window.left) / window.width, 9)
        expect((1 - y / w) / 2).toBeCloseTo((-seen.y - window.top) / window.height, 9)
        expect(Math.abs(depth / w)).toBeLessThanOrEqual(1)
      }),
    )
  })
  it('hides what is far behind what is near in the drawing library too', () => {
    const depth = (near: number): number => {
      const matrix = projectionMatrix(FRONT, { left: -1, top: -1, width: 2, height: 2 }, 500)
      return (matrix[10]! * near + matrix[14]!) / (matrix[11]! * near + matrix[15]!)
    }
    expect(depth(500)).toBeCloseTo(-1, 9)
    expect(depth(-500)).toBeCloseTo(1, 9)
    expect(depth(100)).toBeLessThan(depth(0))
  })
  it('has a window that holds all that takes up some room, however it is turned, and keeps proportions', () =>
    fc.assert(
      fc.property(aLook, fc.integer({ min: 0, max: 360 }), (look, angle) => {
        const window = windowOf(look, { outMm: 170, upMm: 400, belowMm: 12 }, 1)
        const view = viewAt(look)
        for (const height of [-12, 400]) {
          const { x, y } = view([170 * Math.cos(angle), 170 * Math.sin(angle), height])
          expect(x).toBeGreaterThan(window.left - 2)
          expect(x).toBeLessThan(window.left + window.width + 2)
          expect(-y).toBeGreaterThan(window.top - 2)
          expect(-y).toBeLessThan(window.top + window.height + 2)
        }
        const wide = fitted(window, 800, 400)
        expect(wide.width / wide.height).toBeCloseTo(2, 9)
        expect(wide.left + wide.width / 2).toBeCloseTo(window.left + window.width / 2, 9)
        const close = nearer(window, 2, { x: 0, y: 0 })
        expect(close.width * 2).toBeCloseTo(window.width, 9)
      }),
      { numRuns: 60 },
    ))
})

/** What a closed skin encloses, mm³, by adding up what each triangle makes with the origin. */
const enclosedMm3 = (part: SolidPart): number => {
  const points = cornersOf(part)
  let sum = 0
  for (let at = 0; at < part.corners.length; at += 3) {
    const [a, b, c] = [0, 1, 2].map((step) => points[part.corners[at + step]!]!) as [Point3, Point3, Point3]
    sum += a[0] * (b[1] * c[2] - b[2] * c[1]) + a[1] * (b[2] * c[0] - b[0] * c[2]) + a[2] * (b[0] * c[1] - b[1] * c[0])
  }
  return sum / 6
}
const bare = (stack: StandScene['stack']): StandScene => ({ board, stack, elements: [], accents: [] })

describe('tiers as solids', () => {
  it('enclose section times height, less what the rounded edge takes; their light points outwards', () =>
    fc.assert(
      fc.property(anyTier, (tier) => {
        const stack = stackOf({ ...tier, taperDeg: 0, spacer: null })
        const solids = standSolids(bare(stack))
        expect(solids.map(({ kind }) => kind)).toEqual(['board', 'tier'])
        const [skin] = solids[1]!.parts
        const [standing] = stack
        // Open at its foot: what is missing there lies at the height of the board's top, and adds nothing.
        const whole = areaMm2(standing!.shape) * (standing!.topMm - standing!.footMm)
        expect(enclosedMm3(skin!) / whole).toBeGreaterThan(0.93)
        expect(enclosedMm3(skin!) / whole).toBeLessThan(1.001)
        for (let at = 0; at < skin!.normals.length; at += 3)
          expect(Math.hypot(...skin!.normals.subarray(at, at + 3))).toBeCloseTo(1, 4)
      }),
      { numRuns: 25 },
    ))
  it('stand on their separators, and are known again', () => {
    const solids = standSolids(bare(two))
    expect(solids[2]!.parts.map(({ matter }) => matter.name)).toEqual(['Fondant', 'separator', 'contact shadow'])
    const heights = cornersOf(solids[2]!.parts[1]!).map(([, , z]) => z)
    expect([Math.min(...heights), Math.max(...heights)]).toEqual([100, 120])
    expect(standSolids(bare(two))[2]).toBe(solids[2])
  })
  it('carry the comb on set buttercream alone', () => {
    const texture = (covering: Tier['covering']) =>
      standSolids(bare(stackOf({ ...roundTier('x', 200, 120), covering })))[1]!.parts[0]!.matter.texture
    expect([texture('setButtercream'), texture('whippedCream'), texture('fondant')]).toEqual([
      'combed',
      'rough',
      'smooth',
    ])
  })
})

describe('sheets as solids', () => {
  const folded = (byDeg: number): SolidPart => {
    const [c, s] = [Math.cos((byDeg * Math.PI) / 180), Math.sin((byDeg * Math.PI) / 180)]
    const face = (points: readonly Point3[]): Face => ({ points, colour: '#d9572b', cover: 1 })
    const [low, high]: [Point3, Point3] = [
      [0, 0, 0],
      [0, 0, 10],
    ]
    return smoothPart(
      [face([[-10, 0, 0], low, high, [-10, 0, 10]]), face([high, low, [10 * c, 10 * s, 0], [10 * c, 10 * s, 10]])],
      WAFER,
    )
  }
  const spread = (part: SolidPart): number => new Set(cornersOf(part).map((point) => point.join())).size
  it('run their light on over soft folds, and keep an edge at sharp ones', () => {
    expect(folded(20).positions.length / 3).toBe(spread(folded(20)))
    expect(folded(90).positions.length / 3).toBeGreaterThan(spread(folded(90)))
  })
  it('keep the area of a hollow outline', () => {
    const star = Array.from({ length: 10 }, (_, at): Point3 => {
      const [reach, angle] = [at % 2 === 0 ? 20 : 8, (at * Math.PI) / 5]
      return [reach * Math.cos(angle), 5, reach * Math.sin(angle)]
    })
    const [part] = meshParts({ faces: [{ points: star, opacity: 1, light: 0 }], lines: [] }, '#d9572b', WAFER)
    const points = cornersOf(part!)
    let area = 0
    for (let at = 0; at < part!.corners.length; at += 3) {
      const [a, b, c] = [0, 1, 2].map((step) => points[part!.corners[at + step]!]!) as [Point3, Point3, Point3]
      area += Math.abs((b[0] - a[0]) * (c[2] - a[2]) - (c[0] - a[0]) * (b[2] - a[2])) / 2
    }
    // Ten triangles of 20 and 8 mm at 36°.
    expect(area).toBeCloseTo(10 * 0.5 * 20 * 8 * Math.sin(Math.PI / 5), 3)
  })
  it('of film let what is behind them through, of wafer do not', () => {
    const mesh = {
      faces: [
        {
          points: [
            [0, 0, 0],
            [9, 0, 0],
            [0, 0, 9],
          ] as Point3[],
          opacity: 1,
          light: 0,
        },
      ],
      lines: [],
    }
    const cover = (matter: typeof FILM): number => meshParts(mesh, '#d9572b', matter)[0]!.colours[3]!
    expect(cover(FILM)).toBeLessThan(255)
    expect(cover(WAFER)).toBe(255)
    expect(meshParts(mesh, '#d9572b', FILM)).toBe(meshParts(mesh, '#d9572b', FILM))
  })
  it('have wires and beads as thick as they are', () => {
    const [wire, ball] = [partBuilder(WAFER), partBuilder(WAFER)]
    addTube(
      wire,
      [
        [0, 0, 0],
        [0, 0, 10],
        [6, 0, 18],
      ],
      1.5,
      '#333333',
    )
    addBall(ball, [1, 2, 3], 4, '#ffffff')
    const atFoot = cornersOf(wire.made()).slice(0, 3)
    atFoot.forEach((point) => expect(Math.hypot(...point)).toBeCloseTo(1.5, 5))
    cornersOf(ball.made()).forEach(([x, y, z]) => expect(Math.hypot(x - 1, y - 2, z - 3)).toBeCloseTo(4, 5))
  })
})

/** A disc of 20 mm before or behind the upper tier, standing on the ledge. */
const disc = (y: number): StandScene['elements'][number] => ({
  mesh: {
    faces: [
      {
        points: Array.from({ length: 8 }, (_, at): Point3 => {
          const angle = (at * Math.PI) / 4
          return [10 * Math.cos(angle), y, 140 + 10 * Math.sin(angle)]
        }),
        opacity: 1,
        light: 0,
      },
    ],
    lines: [],
  },
  colour: '#d9572b',
  isFilm: false,
})

describe('what is touched', () => {
  const scene = { ...bare(two), elements: [disc(-80), disc(80)] }
  const solids = standSolids(scene)
  const metAt = (point: Point3, look: Viewpoint): string | undefined =>
    metBy(sightLine(viewAt(look)(point), look), solids)?.solid.id
  it('is hidden by the tier before it, and met from behind and from above', () => {
    expect(metAt([0, -80, 140], FRONT)).toBe('element-0')
    expect(metAt([0, 80, 140], FRONT)).toBe('tier-1')
    expect(metAt([0, 80, 140], { ...FRONT, turnDeg: 180 })).toBe('element-1')
    expect(metAt([0, -80, 140], { ...FRONT, turnDeg: 180 })).toBe('tier-1')
    expect(metAt([0, 80, 149.5], { ...FRONT, downDeg: 60, turnDeg: 150 })).toBe('element-1')
    expect(metAt([0, 0, 200], { ...FRONT, downDeg: 90 })).toBe('tier-1')
    expect(metAt([150, 0, 0], { ...FRONT, downDeg: 90 })).toBe('board')
    expect(metAt([400, 0, 300], FRONT)).toBeUndefined()
  })
  it('says where: on the face that was looked at', () => {
    const met = metBy(sightLine(viewAt(FRONT)([0, -80, 140]), FRONT), solids)!
    expect(met.point).toEqual([expect.closeTo(0, 6), expect.closeTo(-80, 6), expect.closeTo(140, 6)])
  })
  it('is hidden in the flat drawing as well', () => {
    const order = flatStand(scene, viewAt(FRONT)).map(({ id }) => id)
    expect(order[0]).toBe('board')
    expect(order.indexOf('element-1')).toBeLessThan(order.indexOf('tier-1'))
    expect(order.indexOf('element-0')).toBeGreaterThan(order.indexOf('tier-1'))
    const touched = (point: Point3): string | undefined => {
      const view = viewAt(FRONT)
      return flatAt(flatStand(scene, view), view(point))?.id
    }
    expect(touched([0, -80, 140])).toBe('element-0')
    expect(touched([0, 0, 190])).toBe('tier-1')
    expect(touched([90, -80, 50])).toBe('tier-0')
    expect(touched([400, 0, 300])).toBeUndefined()
  })
})

describe('the stand drawn flat', () => {
  const view = viewAt({ ...FRONT, downDeg: 0, awayMm: null })
  it('has its separators, and tiers as wide and high as they are', () => {
    const flats = new Map(flatStand(bare(two), view).map(({ id, outlines }) => [id, outlines.flat()]))
    const size = (id: string): readonly number[] => {
      const corners = flats.get(id)!
      return (['x', 'y'] as const).map((way) => {
        const values = corners.map((corner) => corner[way])
        return Math.max(...values) - Math.min(...values)
      })
    }
    expect([...flats.keys()][0]).toBe('board')
    for (const [id, wide, high] of [
      ['tier-0', 200, 100],
      ['spacer-1', 60, 20],
      ['tier-1', 120, 80],
      ['board', 340, 12],
    ] as const) {
      const [across, up] = size(id)
      expect(across).toBeCloseTo(wide, 0)
      expect(up).toBeCloseTo(high, 6)
    }
  })
  it('shows the hollows of a scalloped tier from above', () => {
    const scalloped = stackOf({
      ...roundTier('x', 200, 100),
      shape: { kind: 'scalloped', lobes: 8, marksMm: 180, cutterMm: 60 },
    })
    const above = viewAt({ ...FRONT, downDeg: 90, awayMm: null })
    const { outlines } = flatStand(bare(scalloped), above).find(({ id }) => id === 'tier-0')!
    expect(convexHull(outlines[0]!).length).toBeLessThan(outlines[0]!.length)
  })
  it('has one size on paper from the front and from the back, however things stand on it', () => {
    const shown = [-140, 60].map((x) => ({
      parts: [disc(0).mesh.faces[0]!.points.map(([across, y, z]): Point3 => [across + x, y, z])],
      colour: '#d9572b',
      shown: 'hidden' as const,
    }))
    const [front, back] = (['front', 'back'] as const).map((side) => paperStand(two, board, shown, side))
    expect(back!.widthMm).toBeCloseTo(front!.widthMm, 6)
    expect(back!.heightMm).toBeCloseTo(front!.heightMm, 6)
    // What is hidden is not drawn, and one's left is the other's right.
    expect(front!.shapes.some((shape) => shape.kind === 'outline' && shape.fill === '#d9572b')).toBe(false)
    expect(front!.middles[0]!.x + back!.middles[0]!.x).toBeCloseTo(front!.widthMm, 6)
  })
})

describe('the demo as solids', () => {
  const commission = demoCommission(0)
  const plan = derivePlan({ commission, workshop: demoWorkshop(), now: 0, units: 'metric' })
  const solids = standSolids({ ...bare(plan.stack), board: chosenOption(commission).cake.board })
  it('has every corner of a tier within its outline, from any side', () =>
    fc.assert(
      fc.property(aLook, (look) => {
        const view = viewAt(look)
        for (const solid of solids) {
          const outline = outlineSeen(solid, view)
          expect(convexHull(outline)).toHaveLength(outline.length)
          const [x, y] = [0, 1].map(
            (axis) => outline.reduce((sum, point) => sum + (axis === 0 ? point.x : point.y), 0) / outline.length,
          ) as [number, number]
          expect(isInside({ x, y }, outline)).toBe(true)
        }
      }),
      { numRuns: 20 },
    ))
})
