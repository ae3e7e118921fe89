import DxfParser from 'dxf-parser'
import svgpath from 'svgpath'
import { describe, expect, it } from 'vitest'
import {
  inCuttingOrder,
  knifeLines,
  layByHand,
  STARTING_TOOLS,
  travelMm,
  type CutPart,
  type CutPiece,
  type CutSheet,
} from '../../cut'
import { cutSheetPicture } from '../../draw'
import {
  circle,
  cornersAlong,
  laidOut,
  outlineAreaMm2,
  polyline,
  sector,
  type Outline,
  type Point,
} from '../../geometry'
import { seededStream } from '../../quantity'
import { writeSvg } from '../svg'
import { writeDxf, writePlotter } from '.'

const A4 = { kind: 'rect', widthMm: 210, heightMm: 297 } as const
const part = (id: string, outline: Outline, holes: readonly Outline[] = []): CutPart => ({
  id,
  decoration: 'd',
  name: id,
  colour: '#d9572b',
  outline,
  holes,
  quantity: 3,
  mirror: true,
  members: [],
})
const parts = [
  part('sector', sector({ x: 0, y: 0 }, 40, 10, 130)),
  part('ring', circle({ x: 0, y: 0 }, 22), [circle({ x: 0, y: 0 }, 9)]),
  part(
    'kite',
    polyline(
      [
        { x: 0, y: 0 },
        { x: 20, y: 10 },
        { x: 0, y: 45 },
        { x: -20, y: 10 },
      ],
      true,
    ),
  ),
]
const sheet: CutSheet = {
  shape: A4,
  plies: 1,
  cuts: [{ from: { x: 0, y: 150 }, to: { x: 210, y: 150 } }],
  pieces: [
    [40, 40, 0, false],
    [130, 60, 33, true],
    [60, 180, 200, false],
    [150, 190, 90, false],
    [100, 120, 12, true],
  ].map(([x, y, rotationDeg, mirrored], at): CutPiece => ({
    part: parts[at % 3]!,
    number: at + 1,
    x: x as number,
    y: y as number,
    rotationDeg: rotationDeg as number,
    mirrored: mirrored as boolean,
  })),
}
const areas = sheet.pieces
  .flatMap(({ part: { outline, holes } }) => [outline, ...holes].map((each) => Math.abs(outlineAreaMm2(each))))
  .sort((one, other) => one - other)
const ringArea = (points: readonly Point[]): number =>
  Math.abs(outlineAreaMm2(polyline(points as unknown as readonly [Point, ...Point[]], true)))
const expectSame = (found: readonly number[]): void => {
  expect(found).toHaveLength(areas.length)
  ;[...found]
    .sort((one, other) => one - other)
    .forEach((area, at) => expect(Math.abs(area / areas[at]! - 1)).toBeLessThan(0.001))
}

type Polyline = {
  readonly type: string
  readonly layer: string
  readonly vertices: readonly { readonly x: number; readonly y: number; readonly bulge?: number }[]
}

/** Area of a polyline with bulges: the shoelace of its corners and the circular segments beside them. */
const bulgedArea = ({ vertices }: Polyline): number =>
  Math.abs(
    vertices.reduce((sum, { x, y, bulge = 0 }, at) => {
      const next = vertices[(at + 1) % vertices.length]!
      const chord = Math.hypot(next.x - x, next.y - y)
      const turn = 4 * Math.atan(bulge)
      const radius = bulge === 0 ? 0 : chord / (2 * Math.sin(turn / 2))
      return (
        sum +
        (x * next.y - next.x * y) / 2 +
        (Math.sign(bulge) * radius ** 2 * (Math.abs(turn) - Math.sin(Math.abs(turn)))) / 2
      )
    }, 0),
  )

describe('sheets as DXF', () => {
  const drawing = new DxfParser().parseSync(writeDxf([sheet, sheet], A4))!
  const entities = drawing.entities as unknown as readonly Polyline[]

  it('have every outline on the layer to cut, of the same area, in millimetres', () => {
    const cut = entities.filter(({ layer }) => layer === 'CUT')
    expectSame(cut.slice(0, areas.length).map(bulgedArea))
    expectSame(cut.slice(areas.length).map(bulgedArea))
    expect((drawing.header as Record<string, unknown>).$INSUNITS).toBe(4)
  })

  it('keep sheets, straight cuts and numbers apart', () => {
    expect(entities.filter(({ layer }) => layer === 'SHEET').map(bulgedArea)).toEqual([210 * 297, 210 * 297])
    expect(entities.filter(({ layer }) => layer === 'STRAIGHT')).toHaveLength(2)
    expect(entities.filter(({ layer }) => layer === 'NUMBER')).toHaveLength(10)
  })
})

describe('sheets as SVG', () => {
  it('have every outline at true size', () => {
    const text = writeSvg([cutSheetPicture(sheet, 'Sheet')], 'Sheets')
    expect(text).toContain('width="210mm"')
    const outlines = [...text.matchAll(/<path d="([^"]+)" fill="(#d9572b|#fffdf8)" fill-opacity/g)].map(([, d]) => d!)
    expectSame(
      outlines.map((d) => {
        const points: Point[] = []
        svgpath(d)
          .unarc()
          .iterate((segment, _, x, y) => {
            const [kind, ...to] = segment as [string, ...number[]]
            if (kind === 'C')
              for (let step = 1; step <= 40; step += 1) {
                const t = step / 40
                const at = (from: number, one: number, two: number, end: number): number =>
                  (1 - t) ** 3 * from + 3 * (1 - t) ** 2 * t * one + 3 * (1 - t) * t * t * two + t ** 3 * end
                points.push({ x: at(x, to[0]!, to[2]!, to[4]!), y: at(y, to[1]!, to[3]!, to[5]!) })
              }
            else if (to.length >= 2) points.push({ x: to.at(-2)!, y: to.at(-1)! })
          })
        return ringArea(points)
      }),
    )
  })
})

describe('a plotter’s file', () => {
  const text = writePlotter(sheet, 1.5)
  const lines = [...text.matchAll(/PU(-?\d+),(-?\d+);PD([-\d,]+);/g)].map(([, x, y, rest]) =>
    [Number(x), Number(y), ...rest!.split(',').map(Number)].map((step) => step / 40),
  )

  it('draws every outline at true size, on over its start by the overcut', () => {
    const closed = lines.slice(sheet.cuts.length)
    expectSame(
      closed.map((numbers) => {
        const points = Array.from({ length: numbers.length / 2 }, (_, at) => ({
          x: numbers[2 * at]!,
          y: numbers[2 * at + 1]!,
        }))
        const end = points.findIndex(({ x, y }, at) => at > 0 && Math.hypot(x - points[0]!.x, y - points[0]!.y) < 0.03)
        expect(end).toBeGreaterThan(2)
        const over = points.slice(end)
        expect(
          over.reduce(
            (sum, { x, y }, at) => (at === 0 ? 0 : sum + Math.hypot(x - over[at - 1]!.x, y - over[at - 1]!.y)),
            0,
          ),
        ).toBeCloseTo(1.5, 1)
        return ringArea(points.slice(0, end))
      }),
    )
  })

  it('begins and ends as such files do', () => {
    expect(text.startsWith('IN;\nSP1;\n')).toBe(true)
    expect(text.trimEnd().endsWith('SP0;')).toBe(true)
  })
})

describe('the order of cutting', () => {
  const stream = seededStream(4)
  const many = Array.from({ length: 60 }, (_, at): CutPiece => ({
    part: parts[2]!,
    number: at + 1,
    x: 200 * stream(),
    y: 280 * stream(),
    rotationDeg: 0,
    mirrored: false,
  }))

  it('goes from one edge to the other, with less way between pieces than by chance', () => {
    const ordered = inCuttingOrder(many)
    expect([...ordered].sort((one, other) => one.number - other.number)).toEqual(many)
    expect(travelMm(knifeLines(ordered, 0))).toBeLessThan(0.5 * travelMm(knifeLines(many, 0)))
    const firstHalf = ordered.slice(0, 30).reduce((sum, { y }) => sum + y, 0)
    expect(firstHalf).toBeLessThan(ordered.slice(30).reduce((sum, { y }) => sum + y, 0))
  })

  it('cuts what is inside a piece before its outline', () => {
    const lines = knifeLines(sheet.pieces, 0)
    const ring = lines.filter(({ piece }) => piece === 2)
    expect(ring.map(({ inner }) => inner)).toEqual([true, false])
  })

  it('starts at a sharp corner where there is one', () => {
    const [line] = knifeLines([sheet.pieces[2]!], 0)
    const sharp = cornersAlong(laidOut(parts[2]!.outline, sheet.pieces[2]!), 0.05)
    expect(sharp.some(({ x, y }) => Math.hypot(x - line!.points[0]!.x, y - line!.points[0]!.y) < 1e-9)).toBe(true)
  })

  it('numbers a hand-cut sheet so that each strip is done before the next', () => {
    const { sheets } = layByHand([parts[2]!], A4, { plies: 1, layers: 1 }, STARTING_TOOLS)
    const numbers = sheets[0]!.pieces.map(({ number }) => number)
    expect(numbers).toEqual([...numbers].sort((one, other) => one - other))
  })
})
