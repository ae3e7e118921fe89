import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { labelPlaces, type Labelled } from './labels'

const within = { left: -400, right: 400 }
const at = (id: string, x: number, y: number, words = id): Labelled => ({ id, x, y, words })
/** Room that words take, roughly, as they are written. */
const overlap = (one: Labelled, other: Labelled): boolean =>
  Math.abs(one.x - other.x) < (one.words.length + other.words.length) * 3 && Math.abs(one.y - other.y) < 12

describe('labels of points', () => {
  it('stand below their points where nothing is in the way', () => {
    const places = labelPlaces([at('heart', 0, 0), at('end', 200, 80)], 1, [], within)
    expect(places.get('heart')).toEqual({ x: 0, y: 24 })
    expect(places.get('end')).toEqual({ x: 200, y: 104 })
  })
  it('never lie over one another, nor over what is written, with four points anywhere', () => {
    const spot = fc.record({ x: fc.integer({ min: -300, max: 300 }), y: fc.integer({ min: 0, max: 300 }) })
    const words = ['lower edge', 'heart', 'beginning', 'end']
    const front = at('front', 0, 320)
    fc.assert(
      fc.property(fc.array(spot, { minLength: 4, maxLength: 4 }), (spots) => {
        const points = spots.map(({ x, y }, order) => at(words[order]!, x, y))
        const places = labelPlaces(points, 1, [front], within)
        const written = [front, ...points.map((each) => ({ ...each, ...places.get(each.id)! }))]
        for (const [order, one] of written.entries())
          for (const other of written.slice(order + 1)) expect(overlap(one, other)).toBe(false)
      }),
    )
  })
  it('are as far away as pixels are large', () =>
    expect(labelPlaces([at('heart', 0, 0)], 2, [], { left: -900, right: 900 }).get('heart')).toEqual({ x: 0, y: 48 }))
})
