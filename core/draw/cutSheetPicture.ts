import {
  circle,
  cornersAlong,
  isInside,
  laidOut,
  laidPoint,
  polyline,
  rectangle,
  type Outline,
  type Point,
} from '../geometry'
import { boxOf, CHORD_MM, sizeOf, type CutPart, type CutPiece, type CutSheet } from '../cut'
import { rulerShapes } from './ruler'
import type { Picture, Shape } from './shape'

const INK = '#2a1c2c'
const CUT_MM = 0.3
const STRAIGHT = '#a8283a'

/** Where a part's number stands, by its own origin: well inside it, though it be hollow. */
function insideOfPart({ outline }: CutPart): Point {
  const corners = cornersAlong(outline, CHORD_MM * 40)
  const middle = {
    x: corners.reduce((sum, { x }) => sum + x, 0) / corners.length,
    y: corners.reduce((sum, { y }) => sum + y, 0) / corners.length,
  }
  if (isInside(middle, corners)) return middle
  const crossings = corners
    .flatMap((one, at) => {
      const next = corners[(at + 1) % corners.length]!
      return one.y > middle.y === next.y > middle.y
        ? []
        : [one.x + ((middle.y - one.y) / (next.y - one.y)) * (next.x - one.x)]
    })
    .sort((one, other) => one - other)
  const widest = crossings
    .flatMap((from, at) =>
      at % 2 === 0 && at + 1 < crossings.length
        ? [{ x: (from + crossings[at + 1]!) / 2, wide: crossings[at + 1]! - from }]
        : [],
    )
    .sort((one, other) => other.wide - one.wide)[0]
  return widest ? { x: widest.x, y: middle.y } : middle
}

/** What every piece of a part has in common, by the part's own origin. */
type PartMarks = { readonly inside: Point; readonly leastSideMm: number }

/** Sheets hold many pieces of few parts, and are drawn anew whenever one of them is laid closer. */
const marks = new WeakMap<CutPart, PartMarks>()

function marksOf(part: CutPart): PartMarks {
  const known = marks.get(part)
  if (known) return known
  const { widthMm, heightMm } = boxOf(cornersAlong(part.outline, CHORD_MM * 40))
  const found = { inside: insideOfPart(part), leastSideMm: Math.min(widthMm, heightMm) }
  marks.set(part, found)
  return found
}

/** Where a piece's number stands on its sheet. */
export const insideOf = (piece: CutPiece): Point => laidPoint(marksOf(piece.part).inside, piece)

/** How high a piece's number may be, so that it stays inside. */
export const numberHeightMm = ({ part }: CutPiece, mostMm: number): number =>
  Math.max(1.6, Math.min(mostMm, marksOf(part).leastSideMm * 0.36))

/** The lines of a piece as it is cut: its outline and what is cut out of it. */
export const pieceOutlines = (piece: CutPiece): readonly Outline[] =>
  [piece.part.outline, ...piece.part.holes].map((outline) => laidOut(outline, piece))

/** The edge of a sheet, of a disc or of a remnant, from the lower left of its box. */
export function sheetOutline({ remnant, shape }: Pick<CutSheet, 'remnant' | 'shape'>): Outline {
  if (remnant) return remnant.outline
  if (shape.kind === 'rect') return rectangle(0, 0, shape.widthMm, shape.heightMm)
  return circle({ x: shape.diameterMm / 2, y: shape.diameterMm / 2 }, shape.diameterMm / 2)
}

/** A sheet with its cuts and pieces, from its lower left corner, mm. @param numberMm height of the numbers */
function cutSheetShapes(sheet: CutSheet, numberMm: number): readonly Shape[] {
  const { pieces, cuts } = sheet
  return [
    {
      kind: 'outline',
      outline: sheetOutline(sheet),
      fill: '#fffdf8',
      stroke: '#b9aa9a',
      strokeMm: CUT_MM,
    },
    ...cuts.map(({ from, to }): Shape => ({
      kind: 'outline',
      outline: polyline([from, to]),
      stroke: STRAIGHT,
      strokeMm: 0.25,
      strokeOpacity: 0.7,
      dash: [4, 2],
    })),
    ...pieces.flatMap((piece): Shape[] =>
      pieceOutlines(piece).map((outline, at): Shape => ({
        kind: 'outline',
        outline,
        fill: at === 0 ? piece.part.colour : '#fffdf8',
        fillOpacity: at === 0 ? 0.55 : 1,
        stroke: INK,
        strokeMm: CUT_MM,
      })),
    ),
    ...pieces.map((piece): Shape => ({
      kind: 'label',
      at: insideOf(piece),
      text: String(piece.number),
      sizeMm: numberHeightMm(piece, numberMm),
      colour: INK,
      anchor: 'middle',
      bold: true,
    })),
  ]
}

const FOOT_MM = 26

/** A sheet at true size with its name and a ruler below. */
export function cutSheetPicture(sheet: CutSheet, title: string): Picture {
  const size = sizeOf(sheet)
  const lift = ({ x, y }: Point): Point => ({ x, y: y + FOOT_MM })
  const shapes = cutSheetShapes(sheet, 4).map((shape): Shape =>
    shape.kind === 'label'
      ? { ...shape, at: lift(shape.at) }
      : { ...shape, outline: laidOut(shape.outline, { x: 0, y: FOOT_MM, rotationDeg: 0, mirrored: false }) },
  )
  return {
    widthMm: size.widthMm,
    heightMm: size.heightMm + FOOT_MM,
    shapes: [
      ...shapes,
      ...rulerShapes({ x: 8, y: 14 }, 100),
      { kind: 'label', at: { x: 8, y: 3 }, text: title, sizeMm: 3.6, colour: INK, anchor: 'start' },
    ],
  }
}
