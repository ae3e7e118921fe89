import { describe, expect, it } from 'vitest'
import { cutSheetPicture, darken, lighten, paperStand, rulerShapes, type Shape } from '.'
import { demoCommission, demoWorkshop } from '../demo'
import { outlineAreaMm2, type Point3 } from '../geometry'
import { derivePlan } from '../plan'

const commission = demoCommission(0)
const plan = derivePlan({ commission, workshop: demoWorkshop(), now: 0, units: 'metric' })
const isSail = ({ technique }: { readonly technique: string }): boolean => technique === 'soakedSail'
const sails = plan.decorations.find(isSail)!
const board = { outline: 'round' as const, acrossMm: 340, thicknessMm: 12 }
const coordinates = (shape: Shape): readonly number[] =>
  shape.kind === 'label'
    ? [shape.at.x, shape.at.y]
    : [shape.outline.start, ...shape.outline.segments.map(({ to }) => to)].flatMap(({ x, y }) => [x, y])

describe('the cake from above', () => {
  const at = (x: number, y: number, z: number): readonly Point3[] => [
    [x - 5, y - 5, z],
    [x + 5, y - 5, z],
    [x, y + 5, z],
  ]
  const shown = [
    { parts: [at(0, -60, 400)], colour: '#d9572b', shown: 'strong' as const },
    { parts: [at(300, 0, 20)], colour: '#343a63', shown: 'pale' as const },
  ]
  const view = paperStand(plan.stack, board, shown, 'above')
  it('has the front at its foot, and room for all that reaches over the board', () => {
    expect(view.at([0, -60, 0]).y).toBeLessThan(view.heightMm / 2)
    expect(view.at([60, 0, 0]).x).toBeGreaterThan(view.widthMm / 2)
    // 300 + 5 mm to one side, 16 mm round it.
    expect(view.widthMm).toBe(2 * 321)
    for (const { x, y } of view.middles.map((middle) => middle!)) {
      expect(x > 0 && x < view.widthMm).toBe(true)
      expect(y > 0 && y < view.heightMm).toBe(true)
    }
  })
  it('lies what is higher over what is lower', () => {
    const fills = view.shapes.flatMap((shape) => (shape.kind === 'outline' && shape.fill ? [shape.fill] : []))
    expect(fills.indexOf('#d9572b')).toBeGreaterThan(fills.indexOf('#343a63'))
  })
})

describe('a disc', () => {
  const group = plan.groups.find(({ way }) => way === 'sectors')!
  const pictures = group.layout.sheets.map((sheet) => cutSheetPicture(sheet, 'discs'))
  it('draws its sectors at their true area', () => {
    group.layout.sheets.forEach(({ pieces }, at) => {
      const filled = pictures[at]!.shapes.filter((shape) => shape.kind === 'outline' && shape.fillOpacity === 0.55)
      const area = filled.reduce(
        (sum, shape) => sum + (shape.kind === 'outline' ? outlineAreaMm2(shape.outline) : 0),
        0,
      )
      const share = { whole: 1, half: 0.5, quarter: 0.25 }
      expect(Math.abs(area)).toBeCloseTo(
        pieces.reduce(
          (sum, { part: { sector } }) => sum + (Math.PI * sector!.discMm ** 2 * share[sector!.portion]) / 4,
          0,
        ),
        3,
      )
    })
  })
  it('carries the number of every piece', () => {
    const texts = pictures
      .flatMap(({ shapes }) => shapes)
      .flatMap((shape) =>
        shape.kind === 'label' && /^\d+$/.test(shape.text) && shape.bold ? [Number(shape.text)] : [],
      )
    const numbers = group.layout.sheets.flatMap(({ pieces }) => pieces.map(({ number }) => number))
    expect(texts.sort((one, other) => one - other)).toEqual(numbers.sort((one, other) => one - other))
    expect(numbers).toHaveLength(sails.pieces.value)
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
