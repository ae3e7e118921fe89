import { add, cross, scale, unit, type Point3 } from '../../geometry'
import { between, seededStream } from '../../quantity'
import type { Fitted, PlacedElement, Wall } from '../define'
import type { Mesh, MeshFace, MeshLine } from '../mesh'
import type { Portion } from './portion'

/** The foot sits this far off the wall, so that it does not cut into it. */
const FOOT_OFF_MM = 1
const ROWS = 9
const COLUMNS = 33
const RADIANS = Math.PI / 180

/**
 * How a portion falls: half the angle its folds fan through, radians; how much of its width stays at the gathered
 * foot; how far the rim drops towards the sides.
 */
const FALL: Readonly<
  Record<Portion, { readonly spread: number; readonly footShare: number; readonly shoulder: number }>
> = {
  whole: { spread: 0.5, footShare: 0.2, shoulder: 0.5 },
  half: { spread: 0.74, footShare: 0.16, shoulder: 0.34 },
  quarter: { spread: 0.46, footShare: 0.1, shoulder: 0.3 },
}

/** How dense the gathered film is at its foot, and at its rim. */
const DENSE = { foot: 0.92, rim: 0.7 }
/** Columns to a face. */
const STRIP = 2
/** Film that bends more than this is creased. */
const CREASED = 0.09

type Draped = Pick<Fitted, 'portion' | 'widthMm' | 'heightMm'>

/** Points of a draped sheet: rows from foot to rim, columns from one side to the other. */
function netOf(
  { portion, widthMm, heightMm }: Draped,
  element: PlacedElement,
  wall: Wall,
): readonly (readonly Point3[])[] {
  const stream = seededStream(element.seed)
  const pick = (low: number, high: number): number => between(stream, low, high)
  const lean = pick(0.22, 0.5)
  const roll = pick(-0.38, 0.38) + element.rollDeg * RADIANS * 0.5
  const folds = pick(1.5, 2.5) * (portion === 'quarter' ? 0.8 : 1)
  const phase = pick(0, 6.28)
  const wander = pick(-0.9, 0.9)
  const foldDepth = heightMm * pick(0.12, 0.18)
  const curl = heightMm * pick(0.08, 0.26)
  const peak = pick(-0.55, 0.55)
  const twist = pick(-0.35, 0.35)
  const ripple = pick(0.025, 0.05)
  const { spread, footShare, shoulder } = FALL[portion]
  const halfWidth = widthMm / 2

  const outMm = element.on === 'top' ? element.outMm : 0
  const [point, beyond] = [0, 10].map((away) => wall(element.angleDeg, element.heightMm, outMm + away)) as [
    Point3,
    Point3,
  ]
  const out = unit([beyond[0] - point[0], beyond[1] - point[1], 0])
  const up: Point3 = [0, 0, 1]
  const across = cross(up, out)
  const rolledUp = add(scale(up, Math.cos(roll)), scale(across, Math.sin(roll)))
  const along = unit(add(scale(rolledUp, Math.cos(lean)), scale(out, Math.sin(lean))))
  const side = unit(add(scale(across, Math.cos(roll)), scale(up, -Math.sin(roll))))
  const face = unit(cross(side, along))
  const foot = add(point, scale(out, FOOT_OFF_MM))

  const pointOf = (v: number, u: number): Point3 => {
    const rim = 1 - (shoulder * (u - peak) ** 2) / (1 + Math.abs(peak)) ** 1.4 + ripple * Math.sin(7.3 * u + phase) * v
    const length = v * rim * heightMm
    const opened = footShare + (1 - footShare) * Math.sin((Math.min(1, v * 1.08) * Math.PI) / 2) ** 1.15
    const sideways = halfWidth * (u * opened + twist * 0.35 * v * v + 0.05 * Math.sin(3 * u + phase) * v)
    const drop = (1 - Math.cos(u * spread)) * length * 0.55
    const fold =
      Math.sin(folds * Math.PI * u + phase + wander * v) +
      0.35 * Math.sin(2.3 * folds * Math.PI * u + 1.7 * phase - wander * v)
    const depth = foldDepth * (0.25 + 0.75 * v) * v ** 0.6 * fold + curl * v ** 2.2 + twist * u * v * halfWidth * 0.5
    return add(foot, add(scale(side, sideways), add(scale(along, length - drop), scale(face, -depth))))
  }
  return Array.from({ length: ROWS }, (_, row) =>
    Array.from({ length: COLUMNS }, (__, column) =>
      pointOf(0.03 + (0.97 * row) / (ROWS - 1), (2 * column) / (COLUMNS - 1) - 1),
    ),
  )
}

const between3 = (one: Point3, other: Point3): Point3 => [other[0] - one[0], other[1] - one[1], other[2] - one[2]]

/** How sharply three points in a row turn: 0 straight on, 2 straight back. */
function turnAt(before: Point3, here: Point3, after: Point3): number {
  const [one, other] = [unit(between3(before, here)), unit(between3(here, after))]
  return 1 - (one[0] * other[0] + one[1] * other[1] + one[2] * other[2])
}

/** Columns along which the film bends most: where a fold's back or valley runs. */
function creasesOf(net: readonly (readonly Point3[])[]): readonly number[] {
  const row = net[5]!
  const bend = row.map((_, at) =>
    at === 0 || at === row.length - 1 ? 0 : turnAt(row[at - 1]!, row[at]!, row[at + 1]!),
  )
  return bend.flatMap((amount, at) =>
    amount > CREASED && amount >= bend[at - 1]! && amount > bend[at + 1]! ? [at] : [],
  )
}

/**
 * A draped sheet once dry: gathered at its foot, falling in a few deep folds that wander, its rim waved, one shoulder
 * higher, curling away from the cake. The same place and size give the same shape; every seed its own folds and lean.
 */
export function drapedMesh(draped: Draped, element: PlacedElement, wall: Wall): Mesh {
  const net = netOf(draped, element, wall)
  const faces = net.slice(1).flatMap((high, low) =>
    Array.from({ length: (COLUMNS - 1) / STRIP }, (_, strip): MeshFace => {
      const columns = [0, 1, 2].map((step) => strip * STRIP + step)
      return {
        points: [
          ...columns.map((column) => net[low]![column]!),
          ...[...columns].reverse().map((column) => high[column]!),
        ],
        opacity: DENSE.foot + ((DENSE.rim - DENSE.foot) * low) / (ROWS - 2),
        light: 0.02,
      }
    }),
  )
  const creases = creasesOf(net).map((column): MeshLine => ({
    points: net.slice(0, -1).map((row) => row[column]!),
    widthMm: 0.7,
    light: -0.42,
    opacity: 0.34,
  }))
  const rim: MeshLine = { points: net.at(-1)!, widthMm: 1.5, light: 0.5, opacity: 0.95, edge: true }
  return { faces, lines: [...creases, rim] }
}
