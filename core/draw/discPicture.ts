import type { CutDisc } from '../cut'
import { circle, pointAt, polyline, rectangle, sector, type Point } from '../geometry'
import type { Picture, Shape } from './shape'

const CUT_LINE = '#2a1c2c'
const CUT_MM = 0.35
const NUMBER_MM = 13

/** Where a sector's number stands: in the middle of a whole, else two thirds out along its middle. */
const labelAt = (centre: Point, { fromDeg, sweepDeg, radiusMm }: CutDisc['sectors'][number]): Point =>
  sweepDeg >= 360 ? centre : pointAt(centre, fromDeg + sweepDeg / 2, radiusMm * 0.55)

/**
 * A disc with its cuts, at true size: outlines, piece numbers (in a dashed ring for a spare), what to keep, and what
 * is trimmed.
 * @param tint the colour of a piece, by its shade
 * @param numberMm height of the piece numbers
 * @param numbers whether to print piece numbers (a pattern for several discs has none of its own)
 */
export function discShapes(
  disc: CutDisc,
  centre: Point,
  tint: (shade: number) => string,
  numbers: boolean,
  numberMm = NUMBER_MM,
): readonly Shape[] {
  const radius = disc.diameterMm / 2
  const used = 360 - disc.freeDeg
  return [
    { kind: 'outline', outline: circle(centre, radius), fill: '#fffdf8', stroke: '#b9aa9a', strokeMm: CUT_MM },
    ...(disc.freeDeg > 0 && disc.freeDeg < 360
      ? [
          {
            kind: 'outline' as const,
            outline: sector(centre, radius, used, disc.freeDeg),
            fill: '#f2ece1',
            stroke: '#b9aa9a',
            strokeMm: CUT_MM,
            dash: [3, 2],
          },
        ]
      : []),
    ...disc.sectors.flatMap((laid): Shape[] => [
      {
        kind: 'outline',
        outline: sector(centre, laid.radiusMm, laid.fromDeg, laid.sweepDeg),
        fill: tint(laid.piece.shade),
        fillOpacity: 0.8,
        stroke: CUT_LINE,
        strokeMm: CUT_MM,
      },
    ]),
    ...(numbers
      ? disc.sectors.map((laid): Shape => ({
          kind: 'label',
          at: labelAt(centre, laid),
          text: String(laid.piece.number),
          sizeMm: numberMm,
          colour: CUT_LINE,
          anchor: 'middle',
          bold: true,
        }))
      : []),
    ...(numbers
      ? disc.sectors
          .filter(({ piece }) => piece.element === null)
          .map((laid): Shape => ({
            kind: 'outline',
            outline: circle(labelAt(centre, laid), numberMm * 0.85),
            stroke: CUT_LINE,
            strokeMm: CUT_MM,
            dash: [1.5, 1.5],
          }))
      : []),
  ]
}

/** A ruler to check a print by: millimetres along its upper edge, inches along its lower. */
export function rulerShapes(at: Point, lengthMm: number): readonly Shape[] {
  const tick = (x: number, height: number, up: boolean): Shape => ({
    kind: 'outline',
    outline: polyline([
      { x: at.x + x, y: at.y },
      { x: at.x + x, y: at.y + (up ? height : -height) },
    ]),
    stroke: CUT_LINE,
    strokeMm: 0.2,
  })
  const label = (x: number, text: string, y: number): Shape => ({
    kind: 'label',
    at: { x: at.x + x, y: at.y + y },
    text,
    sizeMm: 3,
    colour: CUT_LINE,
    anchor: 'middle',
  })
  const millimetres = Array.from({ length: Math.floor(lengthMm / 5) + 1 }, (_, step) => step * 5)
  const inches = Array.from({ length: Math.floor(lengthMm / 25.4) + 1 }, (_, step) => step)
  return [
    { kind: 'outline', outline: polyline([at, { x: at.x + lengthMm, y: at.y }]), stroke: CUT_LINE, strokeMm: 0.3 },
    ...millimetres.map((mm) => tick(mm, mm % 10 === 0 ? 4 : 2, true)),
    ...millimetres.filter((mm) => mm % 50 === 0).map((mm) => label(mm, `${mm} mm`, 5.5)),
    ...inches.map((inch) => tick(inch * 25.4, 4, false)),
    ...inches.filter((inch) => inch > 0).map((inch) => label(inch * 25.4, `${inch} in`, -7.5)),
  ]
}

const EDGE_MM = 8
const RULER_ROOM_MM = 26

/** One disc pattern on a sheet of its own, with its name and a ruler. */
export function discSheet(disc: CutDisc, tint: (shade: number) => string, title: string, numbers: boolean): Picture {
  const widthMm = disc.diameterMm + 2 * EDGE_MM
  const heightMm = disc.diameterMm + 2 * EDGE_MM + RULER_ROOM_MM
  const centre = { x: widthMm / 2, y: heightMm - EDGE_MM - disc.diameterMm / 2 }
  return {
    widthMm,
    heightMm,
    shapes: [
      { kind: 'outline', outline: rectangle(0, 0, widthMm, heightMm), fill: '#ffffff' },
      ...discShapes(disc, centre, tint, numbers),
      ...rulerShapes({ x: EDGE_MM + 4, y: 16 }, 100),
      { kind: 'label', at: { x: EDGE_MM + 4, y: 3 }, text: title, sizeMm: 4, colour: CUT_LINE, anchor: 'start' },
    ],
  }
}
