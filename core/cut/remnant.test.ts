import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { outlineAreaMm2, polyline, type Point } from '../geometry'
import { valueOf } from '../quantity'
import { cornerSentence, cornersOnPhoto, readCorners, remnantOutline, type CornerProblem } from '.'

const areaOf = (outline: readonly (readonly [number, number])[]): number =>
  Math.abs(outlineAreaMm2(polyline(outline.map(([x, y]) => ({ x, y })) as [Point, ...Point[]], true)))

describe('typed corners', () => {
  it.each([
    [
      '0 0\n120 0\n60 80.5',
      [
        [0, 0],
        [120, 0],
        [60, 80.5],
      ],
    ],
    [
      '0,0\n120,0\n\n60,80',
      [
        [0, 0],
        [120, 0],
        [60, 80],
      ],
    ],
    [
      '0; 0\r\n120,5; 0\r\n60; 80,5\r\n',
      [
        [0, 0],
        [120.5, 0],
        [60, 80.5],
      ],
    ],
    [
      '0, 0\n120, 0\n60, 80',
      [
        [0, 0],
        [120, 0],
        [60, 80],
      ],
    ],
  ])('%j are read', (text, corners) => expect(valueOf(readCorners(text)).map(({ x, y }) => [x, y])).toEqual(corners))

  it.each([
    ['0 0\n12', 2],
    ['0 0\n1 2 3', 2],
    ['a b', 1],
    ['0 0\n\n4 x', 3],
    ['1,', 1],
  ])('%j are refused, and the line is named', (text, line) => {
    const read = readCorners(text)
    expect(read).toMatchObject({ ok: false, error: { code: 'not-a-corner', line } })
    if (!read.ok) expect(cornerSentence(read.error)).toContain(`Line ${line}`)
  })
})

describe('corners on a photograph', () => {
  it('have the size of what was photographed, however large the photograph', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 20, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        (pxPerMm, turn) => {
          const onPhoto = (x: number, y: number): Point => ({
            x: 400 + pxPerMm * (x * Math.cos(turn) - y * Math.sin(turn)),
            y: 900 - pxPerMm * (x * Math.sin(turn) + y * Math.cos(turn)),
          })
          const touched = [onPhoto(0, 0), onPhoto(90, 0), onPhoto(90, 60), onPhoto(30, 60)]
          const corners = valueOf(cornersOnPhoto(touched, onPhoto(-10, -20), onPhoto(90, -20), 100))
          const area = areaOf(valueOf(remnantOutline(corners)))
          expect(Math.abs(area - 4500)).toBeLessThan(20)
        },
      ),
    )
  })

  it('have none without a length that is known', () => {
    expect(cornersOnPhoto([], { x: 5, y: 5 }, { x: 5, y: 5 }, 100)).toMatchObject({ error: { code: 'no-scale' } })
    expect(cornersOnPhoto([], { x: 5, y: 5 }, { x: 6, y: 5 }, 0)).toMatchObject({ error: { code: 'no-scale' } })
  })
})

describe('the outline of a remnant', () => {
  it('begins at the lower left of its box', () => {
    expect(
      valueOf(
        remnantOutline([
          { x: 110, y: -20 },
          { x: 210, y: -20 },
          { x: 160, y: 60 },
        ]),
      ),
    ).toEqual([
      [0, 0],
      [100, 0],
      [50, 80],
    ])
  })

  const box = (side: number): Point[] => [
    { x: 0, y: 0 },
    { x: side, y: 0 },
    { x: side, y: side },
    { x: 0, y: side },
  ]
  it.each<[string, readonly Point[], CornerProblem['code'], RegExp]>([
    ['two corners', box(50).slice(2), 'too-few', /three at least/],
    ['a bow tie', [box(90)[0]!, box(90)[2]!, box(90)[1]!, box(90)[3]!], 'crosses', /in order round/],
    ['a crumb', box(10), 'too-small', /Tear it up/],
    ['a carpet', box(900), 'too-large', /Check the unit/],
    [
      'a crowd',
      Array.from({ length: 201 }, (_, at) => ({ x: 100 * Math.cos(at / 40), y: 100 * Math.sin(at / 40) })),
      'too-many',
      /Leave out/,
    ],
  ])('is not made of %s', (_, corners, code, words) => {
    const made = remnantOutline(corners)
    expect(made).toMatchObject({ ok: false, error: { code } })
    if (!made.ok) expect(cornerSentence(made.error)).toMatch(words)
  })
})
