/**
 * Reads outlines from DXF: closed polylines, circles, ellipses and splines, and lines and arcs that join into rings.
 */
import DxfParser, {
  type IArcEntity,
  type ICircleEntity,
  type IEllipseEntity,
  type IEntity,
  type ILineEntity,
  type ILwpolylineEntity,
  type IPolylineEntity,
  type ISplineEntity,
} from 'dxf-parser'
import type { Point } from '../../geometry'
import { refuse, type Result } from '../../quantity'
import {
  arcPoints,
  MOST_CHARACTERS,
  MOST_POINTS,
  outlineFrom,
  type ImportedOutline,
  type OutlineProblem,
  type Ring,
} from './rings'
import { soundDxf } from './soundDxf'

const MOST_ENTITIES = 20_000
/** Millimetres for each unit, by the number that a file gives its units. */
const MM_PER_UNIT: Readonly<Record<number, number>> = { 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1000 }
const SPLINE_STEPS = 96
/** Ends nearer than this share of the drawing are one. */
const JOIN_SHARE = 0.001

type Vertex = { readonly x: number; readonly y: number; readonly bulge?: number }

/** Points of a polyline; a bulge is the tangent of a quarter of the angle of its arc. */
function polylinePoints(vertices: readonly Vertex[], closed: boolean): readonly Point[] {
  return vertices.flatMap(({ x, y, bulge = 0 }, at): readonly Point[] => {
    const next = vertices[at + 1] ?? (closed ? vertices[0] : undefined)
    if (!next || !Number.isFinite(bulge) || Math.abs(bulge) < 1e-6) return [{ x, y }]
    const sweep = 4 * Math.atan(bulge)
    const [dx, dy] = [next.x - x, next.y - y]
    const chord = Math.hypot(dx, dy)
    if (chord === 0) return [{ x, y }]
    const radius = chord / (2 * Math.sin(Math.abs(sweep) / 2))
    const away = radius * Math.cos(sweep / 2) * Math.sign(bulge)
    const centre = { x: (x + next.x) / 2 - (dy / chord) * away, y: (y + next.y) / 2 + (dx / chord) * away }
    return arcPoints(centre, [radius, radius], Math.atan2(y - centre.y, x - centre.x), sweep).slice(0, -1)
  })
}

/** A point of a B-spline at a parameter. @see de Boor 1972 */
function splinePoint(degree: number, knots: readonly number[], points: readonly Vertex[], at: number): Point {
  let span = degree
  while (span < points.length - 1 && knots[span + 1]! <= at) span += 1
  const row = Array.from({ length: degree + 1 }, (_, index) => ({
    x: points[span - degree + index]!.x,
    y: points[span - degree + index]!.y,
  }))
  for (let level = 1; level <= degree; level += 1) {
    for (let index = degree; index >= level; index -= 1) {
      const knot = span - degree + index
      const width = knots[knot + degree - level + 1]! - knots[knot]!
      const share = width > 0 ? (at - knots[knot]!) / width : 0
      row[index] = {
        x: row[index - 1]!.x + (row[index]!.x - row[index - 1]!.x) * share,
        y: row[index - 1]!.y + (row[index]!.y - row[index - 1]!.y) * share,
      }
    }
  }
  return row[degree]!
}

function splinePoints({
  degreeOfSplineCurve: degree,
  knotValues: knots = [],
  controlPoints: points = [],
  fitPoints = [],
}: ISplineEntity): readonly Point[] {
  if (points.length <= degree || knots.length < points.length + degree + 1)
    return fitPoints.map(({ x, y }) => ({ x, y }))
  const [from, to] = [knots[degree]!, knots[points.length]!]
  return Array.from({ length: SPLINE_STEPS + 1 }, (_, step) =>
    splinePoint(degree, knots, points, Math.min(to - (to - from) * 1e-9, from + ((to - from) * step) / SPLINE_STEPS)),
  )
}

type Line = { readonly points: readonly Point[]; readonly closed: boolean }

/** Something that does not say where it is. */
const NOWHERE: Line = { points: [], closed: false }

/** An entity as a line; null when it is none that can be cut. */
function lineOf(entity: IEntity): Line | null {
  switch (entity.type) {
    case 'LINE':
      return { points: (entity as ILineEntity).vertices ?? [], closed: false }
    case 'LWPOLYLINE': {
      const { vertices = [], shape } = entity as ILwpolylineEntity
      return { points: polylinePoints(vertices as readonly Vertex[], shape), closed: shape }
    }
    case 'POLYLINE': {
      const { vertices = [], shape } = entity as IPolylineEntity
      return { points: polylinePoints(vertices as readonly Vertex[], shape), closed: shape }
    }
    case 'CIRCLE': {
      const { center, radius } = entity as ICircleEntity
      if (!center) return NOWHERE
      return { points: arcPoints(center, [radius, radius], 0, 2 * Math.PI).slice(0, -1), closed: true }
    }
    case 'ARC': {
      const { center, radius, startAngle, endAngle } = entity as IArcEntity
      if (!center) return NOWHERE
      const sweep = (((endAngle - startAngle) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI)
      return {
        points: arcPoints(center, [radius, radius], startAngle, sweep === 0 ? 2 * Math.PI : sweep),
        closed: false,
      }
    }
    case 'ELLIPSE': {
      const { center, majorAxisEndPoint, axisRatio, startAngle, endAngle } = entity as IEllipseEntity
      if (!center || !majorAxisEndPoint) return NOWHERE
      const { x, y } = majorAxisEndPoint
      const [long, sweep] = [Math.hypot(x, y), endAngle - startAngle]
      return {
        points: arcPoints(center, [long, long * axisRatio], startAngle, sweep, Math.atan2(y, x)),
        closed: Math.abs(sweep) > 2 * Math.PI - 0.01,
      }
    }
    case 'SPLINE':
      return { points: splinePoints(entity as ISplineEntity), closed: (entity as ISplineEntity).closed }
    default:
      return null
  }
}

const near = (one: Point, other: Point, within: number): boolean =>
  Math.hypot(one.x - other.x, one.y - other.y) <= within

/**
 * Open lines joined end to end into rings; what does not close is counted. Ends are looked up by the square of a grid
 * that they lie in.
 */
function joined(
  lines: readonly (readonly Point[])[],
  within: number,
): { readonly rings: readonly Ring[]; readonly open: number } {
  const squareOf = ({ x, y }: Point): readonly [number, number] => [Math.round(x / within), Math.round(y / within)]
  const squares = new Map<string, Set<number>>()
  const ends = (line: readonly Point[]): readonly Point[] => [line[0]!, line.at(-1)!]
  lines.forEach((line, at) =>
    ends(line).forEach((end) => {
      const key = squareOf(end).join()
      const here = squares.get(key) ?? new Set()
      here.add(at)
      squares.set(key, here)
    }),
  )
  const left = new Set(lines.keys())
  const nextAt = (end: Point): number | undefined => {
    const [x, y] = squareOf(end)
    for (const [dx, dy] of [
      [0, 0],
      [1, 0],
      [-1, 0],
      [0, 1],
      [0, -1],
      [1, 1],
      [-1, -1],
      [1, -1],
      [-1, 1],
    ] as const) {
      for (const at of squares.get([x + dx, y + dy].join()) ?? [])
        if (left.has(at) && ends(lines[at]!).some((other) => near(other, end, within))) return at
    }
    return undefined
  }
  const rings: Ring[] = []
  let open = 0
  for (const [at, line] of lines.entries()) {
    if (!left.delete(at)) continue
    const chain = [...line]
    for (
      let next = nextAt(chain.at(-1)!);
      next !== undefined && !near(chain[0]!, chain.at(-1)!, within);
      next = nextAt(chain.at(-1)!)
    ) {
      left.delete(next)
      const following = lines[next]!
      const forward = near(following[0]!, chain.at(-1)!, within)
      for (const point of (forward ? following : [...following].reverse()).slice(1)) chain.push(point)
    }
    if (chain.length > 3 && near(chain[0]!, chain.at(-1)!, within)) rings.push(chain.slice(0, -1))
    else open += 1
  }
  return { rings, open }
}

const isSound = (points: readonly Point[]): boolean =>
  points.length > 1 && points.every((point) => Number.isFinite(point?.x) && Number.isFinite(point?.y))

/** The outline drawn in a DXF file. */
export function outlineFromDxf(text: string): Result<ImportedOutline, OutlineProblem> {
  if (text.trim() === '') return refuse({ code: 'empty' })
  if (text.length > MOST_CHARACTERS) return refuse({ code: 'too-large', what: 'more than two million characters' })
  if (text.includes('\0'))
    return refuse({ code: 'not-readable', what: 'it is binary; only DXF written as text is read' })
  const sound = soundDxf(text)
  if (!sound) return refuse({ code: 'not-readable', what: 'it is not sound DXF, or was cut off' })
  if (sound.lines > MOST_ENTITIES) return refuse({ code: 'too-large', what: `more than ${MOST_ENTITIES} lines` })
  let entities: readonly IEntity[]
  let unit: unknown
  try {
    const drawing = new DxfParser().parseSync(sound.text)
    entities = drawing?.entities ?? []
    unit = drawing?.header?.$INSUNITS
  } catch {
    return refuse({ code: 'not-readable', what: 'it is not sound DXF, or was cut off' })
  }
  const known = entities.map(lineOf)
  const lines = known.filter((line): line is Line => line !== null && isSound(line.points))
  const points = lines.reduce((sum, line) => sum + line.points.length, 0)
  if (points > MOST_POINTS) return refuse({ code: 'too-large', what: `more than ${MOST_POINTS} points` })
  const reach = lines.reduce(
    (most, line) => line.points.reduce((far, { x, y }) => Math.max(far, Math.abs(x), Math.abs(y)), most),
    0,
  )
  const { rings, open } = joined(
    lines.filter(({ closed }) => !closed).map((line) => line.points),
    Math.max(1e-9, reach * JOIN_SHARE),
  )
  const other = sound.others
  const all = [...lines.filter(({ closed }) => closed).map((line) => line.points), ...rings]
  if (all.length === 0 && open > 0) return refuse({ code: 'no-outline', what: 'all its lines are open' })
  return outlineFrom({
    rings: all,
    mmPerUnit: MM_PER_UNIT[Number(unit)] ?? null,
    notes: [
      ...(open > 0 ? [`${open} open ${open === 1 ? 'line was' : 'lines were'} left out.`] : []),
      ...(other > 0
        ? [
            `${other} ${other === 1 ? 'thing that is' : 'things that are'} no line, such as text or blocks, were left out.`,
          ]
        : []),
    ],
  })
}
