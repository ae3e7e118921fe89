import { Colors, DxfWriter, LWPolylineFlags, point3d, Units, type LWPolylineVertex } from '@tarikjabiri/dxf'
import { insideOf, numberHeightMm, pieceOutlines } from '../../draw'
import type { CutSheet, SheetSize } from '../../cut'
import type { Outline } from '../../geometry'

/** Sheets stand beside one another, so far apart, mm. */
const APART_MM = 20
const MOST_NUMBER_MM = 8

/** Corners of an outline with the bulge of the segment that leaves each: the tangent of a quarter of its turn. */
function vertices({ start, segments }: Outline): LWPolylineVertex[] {
  const bulges = segments.map((segment) => (segment.kind === 'arc' ? Math.tan((segment.turnDeg * Math.PI) / 720) : 0))
  const points = [start, ...segments.slice(0, -1).map(({ to }) => to)]
  return points.map((point, at) => ({ point, bulge: bulges[at]! }))
}

/**
 * Sheets as a DXF drawing in millimetres: pieces on a layer to cut, sheets, straight cuts and numbers each on their
 * own. Arcs stay arcs.
 */
export function writeDxf(sheets: readonly CutSheet[], { widthMm, heightMm }: SheetSize): string {
  const drawing = new DxfWriter()
  drawing.setUnits(Units.Millimeters)
  drawing.addLayer('CUT', Colors.Black, 'CONTINUOUS')
  drawing.addLayer('STRAIGHT', Colors.Red, 'CONTINUOUS')
  drawing.addLayer('SHEET', Colors.Cyan, 'CONTINUOUS')
  drawing.addLayer('NUMBER', Colors.Green, 'CONTINUOUS')
  sheets.forEach(({ pieces, cuts }, at) => {
    const moveX = at * (widthMm + APART_MM)
    const shifted = (points: readonly LWPolylineVertex[]): LWPolylineVertex[] =>
      points.map(({ point, ...rest }) => ({ point: { x: point.x + moveX, y: point.y }, ...rest }))
    drawing.addLWPolyline(
      [
        [0, 0],
        [widthMm, 0],
        [widthMm, heightMm],
        [0, heightMm],
      ].map(([x, y]) => ({ point: { x: x! + moveX, y: y! } })),
      { layerName: 'SHEET', flags: LWPolylineFlags.Closed },
    )
    for (const piece of pieces) {
      for (const outline of pieceOutlines(piece))
        drawing.addLWPolyline(shifted(vertices(outline)), { layerName: 'CUT', flags: LWPolylineFlags.Closed })
      const { x, y } = insideOf(piece)
      drawing.addText(point3d(x + moveX, y), numberHeightMm(piece, MOST_NUMBER_MM), String(piece.number), {
        layerName: 'NUMBER',
      })
    }
    for (const { from, to } of cuts)
      drawing.addLine(point3d(from.x + moveX, from.y), point3d(to.x + moveX, to.y), { layerName: 'STRAIGHT' })
  })
  return drawing.stringify()
}
