import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { PETAL_SHAPES } from '#core/technique'
import { petalHandles, petalPage, pulledPetal } from './petalHandles'

const shapes = fc.constantFrom(...PETAL_SHAPES.map(({ shape }) => shape))

describe('the handles of a petal', () => {
  it('leave the petal as it is when they are let go where they were', () =>
    fc.assert(
      fc.property(shapes, (shape) =>
        petalHandles(shape).every((handle) =>
          Object.entries(pulledPetal(shape, handle.id, handle)).every(
            ([name, value]) => Math.abs(value - shape[name as 'wide' | 'point']) < 0.011,
          ),
        ),
      ),
    ))
  it('lie where they were pulled to, as far as a petal may be so', () =>
    fc.assert(
      fc.property(
        shapes,
        fc.double({ min: 15, max: 75, noNaN: true }),
        fc.double({ min: 30, max: 80, noNaN: true }),
        (shape, x, y) => {
          const changed = { ...shape, ...pulledPetal(shape, 'shoulder', { x, y }) }
          const shoulder = petalHandles(changed).find(({ id }) => id === 'shoulder')!
          return Math.abs(shoulder.x - x) < 1 && Math.abs(shoulder.y - y) < 1
        },
      ),
    ))
  it('never make what no petal is, however far they are pulled', () =>
    fc.assert(
      fc.property(
        shapes,
        fc.constantFrom('shoulder' as const, 'point' as const, 'notch' as const),
        fc.double({ min: -1000, max: 1000, noNaN: true }),
        fc.double({ min: -1000, max: 1000, noNaN: true }),
        (shape, id, x, y) => {
          const { wide, shoulder, point, notch } = { ...shape, ...pulledPetal(shape, id, { x, y }) }
          const within = (value: number, least: number, most: number) => value >= least && value <= most
          return within(wide, 0.2, 1.6) && within(shoulder, 0.25, 0.85) && within(point, 0, 1) && within(notch, 0, 0.4)
        },
      ),
    ))
  it('make a page with the petal at true size and 3 mm of paper round it', () => {
    const shape = { ...PETAL_SHAPES[0].shape, wide: 0.5 }
    expect(petalPage(shape, 40)).toMatchObject({ widthMm: 26, heightMm: 46 })
  })
})
