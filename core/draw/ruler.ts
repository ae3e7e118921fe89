import { polyline, type Point } from '../geometry'
import type { Shape } from './shape'

const CUT_LINE = '#2a1c2c'

/** A ruler in centimetres above and inches below, to check a print by. */
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
