import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { chordMm, overLobes, overLobesMm, perimeterMm, scallopGuide, type Scalloped } from '.'
import { outlineAreaMm2, type Outline } from '../geometry'
import { areaMm2 } from './shape'

const shape = (lobes: number, marksMm: number, cutterMm: number): Scalloped => ({
  kind: 'scalloped',
  lobes,
  marksMm,
  cutterMm,
})
const drawnLengthMm = ({ start, segments }: Outline): number => {
  let from = start
  return segments.reduce((sum, segment) => {
    const bit =
      segment.kind === 'arc'
        ? ((Math.abs(segment.turnDeg) * Math.PI) / 180) * segment.radius
        : Math.hypot(segment.to.x - from.x, segment.to.y - from.y)
    from = segment.to
    return sum + bit
  }, 0)
}

describe('the way round scallops', () => {
  it('is 1171 mm for 12 lobes on 240 mm, and a cutter 0.2 mm wider moves it by one in two hundred', () => {
    const chord = chordMm({ lobes: 12, marksMm: 240 })
    expect(perimeterMm(shape(12, 240, chord))).toBeCloseTo(1171, 0)
    expect(perimeterMm(shape(12, 240, chord + 0.2))).toBeCloseTo(1166, 0)
  })
  it('is steady for any lobes: a little more cutter never moves it much', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 24 }),
        fc.integer({ min: 100, max: 400 }),
        fc.double({ min: 1, max: 1.6, noNaN: true }),
        (lobes, marks, wider) => {
          const cutter = chordMm({ lobes, marksMm: marks }) * wider
          const [one, other] = [cutter, cutter + 0.2].map((mm) => perimeterMm(shape(lobes, marks, mm)))
          return Math.abs(other! / one! - 1) < 0.06
        },
      ),
    ))
  it('from over the lobes: 250 mm from tip to tip is a circle of marks of 204 mm', () => {
    const from = overLobes(shape(12, 200, 60), 250)
    expect(from.marksMm).toBeCloseTo(250 / (Math.cos(Math.PI / 12) + Math.sin(Math.PI / 12)), 1)
    expect(overLobesMm(from)).toBeCloseTo(250, 0)
  })
})

describe('card guides for scallops', () => {
  it('of twelve lobes are folded 2 × 2 × 3 and drawn with a cutter as wide as the chord', () => {
    const guide = scallopGuide(shape(12, 200, 51.8))
    expect(guide.foldBy).toEqual([2, 2, 3])
    expect(guide.chord.value).toBeCloseTo(51.76, 1)
    expect(guide.meets).toBe(true)
    expect(guide.folds).toHaveLength(12)
  })
  it('warn when lobes would not meet, and draw the gaps', () => {
    const guide = scallopGuide(shape(12, 200, 40))
    expect(guide.meets).toBe(false)
    expect(guide.edge.segments.filter(({ kind }) => kind === 'line')).toHaveLength(12)
  })
  it('are closed, and as long and as large as the tier they guide', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 24 }),
        fc.integer({ min: 100, max: 400 }),
        fc.double({ min: 1.001, max: 4, noNaN: true }),
        (lobes, marks, wider) => {
          const scalloped = shape(lobes, marks, Math.min(marks, chordMm({ lobes, marksMm: marks }) * wider))
          const { edge, foldBy, marks: points, perimeter } = scallopGuide(scalloped)
          expect(edge.segments.at(-1)!.to.x).toBeCloseTo(edge.start.x, 6)
          expect(drawnLengthMm(edge)).toBeCloseTo(perimeterMm(scalloped), 3)
          expect(perimeter.value).toBeCloseTo(perimeterMm(scalloped), 6)
          expect(outlineAreaMm2(edge)).toBeCloseTo(areaMm2(scalloped), 1)
          expect(foldBy.reduce((product, by) => product * by, 1)).toBe(lobes)
          points.forEach(({ x, y }) => expect(Math.hypot(x, y)).toBeCloseTo(marks / 2, 6))
        },
      ),
    ))
})
