import { describe, expect, it } from 'vitest'
import { darken, discShapes, lighten, rulerShapes, standLayers, viewAt, type Shape } from '.'
import { demoCommission, demoWorkshop } from '../demo'
import { outlineAreaMm2 } from '../geometry'
import { derivePlan } from '../plan'

const plan = derivePlan({ commission: demoCommission(0), workshop: demoWorkshop(), now: 0, units: 'metric' })
const scene = {
  board: { outline: 'round' as const, acrossMm: 340, thicknessMm: 12 },
  stack: plan.arrangement.stack,
  sails: plan.arrangement.sails.map(({ net, place }) => ({ net, facingDeg: place.facingDeg, colour: '#d9572b' })),
  elements: [],
  accents: [],
}
const coordinates = (shape: Shape): readonly number[] =>
  shape.kind === 'label'
    ? [shape.at.x, shape.at.y]
    : [shape.outline.start, ...shape.outline.segments.map(({ to }) => to)].flatMap(({ x, y }) => [x, y])

describe('the stand', () => {
  it('shows the right of the front at the right, and what is near as near', () => {
    const view = viewAt(0)
    expect(view([10, 0, 0]).x).toBe(10)
    expect(view([0, -10, 0]).near).toBeGreaterThan(view([0, 10, 0]).near)
    expect(view([0, 0, 10]).y).toBeGreaterThan(9)
    expect(viewAt(90)([0, -10, 0]).x).toBeCloseTo(10)
  })
  it.each([0, 45, 90, 180, 270])('draws every tier and sail once, finite, turned by %d°', (turn) => {
    const layers = standLayers(scene, turn)
    expect(layers.filter(({ kind }) => kind === 'tier')).toHaveLength(3)
    expect(
      layers
        .filter(({ kind }) => kind === 'sail')
        .map(({ index }) => index)
        .sort((one, other) => one - other),
    ).toEqual(scene.sails.map((_, index) => index))
    expect(layers.flatMap(({ shapes }) => shapes.flatMap(coordinates)).every(Number.isFinite)).toBe(true)
  })
  it('puts sails before the cake seen from the front and behind it seen from the back', () => {
    const order = (turn: number) => standLayers(scene, turn).map(({ kind }) => kind)
    expect(order(0).at(-1)).toBe('sail')
    expect(order(180).at(-1)).toBe('tier')
  })
})

describe('a disc', () => {
  it('draws its sectors at their true area', () => {
    const disc = plan.discs.find(({ sectors }) => sectors.length > 1)!
    const filled = discShapes(disc, { x: 0, y: 0 }, () => '#d9572b', true).filter(
      (shape) => shape.kind === 'outline' && shape.fill === '#d9572b',
    )
    const area = filled.reduce((sum, shape) => sum + (shape.kind === 'outline' ? outlineAreaMm2(shape.outline) : 0), 0)
    expect(area).toBeCloseTo(
      disc.sectors.reduce((sum, { radiusMm, sweepDeg }) => sum + (Math.PI * radiusMm ** 2 * sweepDeg) / 360, 0),
      6,
    )
  })
  it('carries the number of every piece', () => {
    const texts = plan.discs
      .flatMap((disc) => discShapes(disc, { x: 0, y: 0 }, () => '#d9572b', true))
      .flatMap((shape) => (shape.kind === 'label' ? [Number(shape.text)] : []))
    expect(texts.sort((one, other) => one - other)).toEqual(plan.cutList.pieces.map(({ number }) => number))
  })
  it('has a ruler whose last tick is at its length', () => {
    const far = Math.max(
      ...rulerShapes({ x: 0, y: 0 }, 100)
        .filter(({ kind }) => kind === 'outline')
        .flatMap(coordinates),
    )
    expect(far).toBe(100)
  })
})

describe('shading', () => {
  it('goes to white and to black and nowhere at nothing', () => {
    expect([lighten('#d9572b', 1), darken('#d9572b', 1), lighten('#d9572b', 0)]).toEqual([
      '#ffffff',
      '#000000',
      '#d9572b',
    ])
    expect(() => lighten('brickish', 0.5)).toThrow('brickish')
  })
})
