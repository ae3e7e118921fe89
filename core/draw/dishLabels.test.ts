import { describe, expect, it } from 'vitest'
import { outlineAreaMm2 } from '../geometry'
import { dishLabels, type DishLabel } from '.'

const label = (place: number): DishLabel => ({
  place,
  name: `shade ${place}`,
  hex: '#d9572b',
  doses: ['red 7 drops', 'yellow 15 drops'],
  pieces: 'dip 1, 4, 9',
})

describe('labels of dishes', () => {
  it('have a card for each dish with all that is on it, two in a row', () => {
    for (const count of [1, 2, 5]) {
      const { shapes, widthMm, heightMm } = dishLabels(
        'Quillfinch Press',
        Array.from({ length: count }, (_, at) => label(at + 1)),
      )
      const texts = shapes.flatMap((shape) => (shape.kind === 'label' ? [shape] : []))
      for (const words of ['red 7 drops', 'yellow 15 drops', 'dip 1, 4, 9'])
        expect(texts.filter(({ text }) => text === words)).toHaveLength(count)
      expect(texts.map(({ text }) => text)).toEqual(
        expect.arrayContaining(['1', `${count}`, `shade ${count}`, 'Quillfinch Press']),
      )
      for (const { at } of texts) {
        expect(at.x).toBeLessThan(widthMm)
        expect(at.y).toBeGreaterThan(0)
        expect(at.y).toBeLessThan(heightMm)
      }
      const cards = shapes.flatMap((shape) =>
        shape.kind === 'outline' && shape.fill === undefined ? [Math.abs(outlineAreaMm2(shape.outline))] : [],
      )
      expect(cards).toEqual(Array.from({ length: count }, () => 90 * 50))
      expect(shapes.filter((shape) => shape.kind === 'outline' && shape.fill === '#d9572b')).toHaveLength(count)
    }
  })

  it('cut a name that would not fit short', () => {
    const { shapes } = dishLabels('x', [
      { ...label(1), pieces: `dip ${Array.from({ length: 40 }, (_, at) => at).join(', ')}` },
    ])
    for (const shape of shapes) if (shape.kind === 'label') expect(shape.text.length).toBeLessThanOrEqual(44)
  })
})
