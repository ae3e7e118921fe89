/**
 * Card guides for a scalloped tier: two alike, one below and one above, cut along the lobes, laid on each other by
 * the same mark.
 * A circle of card is folded into as many sectors as there are lobes; where folds meet its edge are the marks, and
 * the cutter draws a lobe from mark to mark.
 */
import { circle, pointAt, polyline, type Outline, type Point, type Segment } from '../geometry'
import { derive, typed, type Working } from '../quantity'
import { chordMm, lobeOf, lobesMeet, type Scalloped } from './shape'

export type ScallopGuide = {
  /** The edge to cut along, its middle at (0, 0), a lobe towards positive y. */
  readonly edge: Outline
  /** The card's circle through the marks. */
  readonly markCircle: Outline
  readonly folds: readonly Outline[]
  readonly marks: readonly Point[]
  /** The notch that both cards get at the same place. */
  readonly registration: Outline
  /** Half the size of the guide, mm. */
  readonly reachMm: number
  readonly chord: Working
  readonly perimeter: Working
  /** False when the cutter is narrower than the chord: its lobes leave gaps. */
  readonly meets: boolean
  /** How a circle of card is folded to find the marks: numbers whose product is the count of lobes. */
  readonly foldBy: readonly number[]
}

/** The prime numbers that multiply to a count, smallest first: 12 is folded 2 × 2 × 3. */
function foldsFor(lobes: number): readonly number[] {
  const found: number[] = []
  let rest = lobes
  for (let by = 2; rest > 1; by += 1) {
    while (rest % by === 0) {
      found.push(by)
      rest /= by
    }
  }
  return found
}

const FRONT_DEG = 90
const NOTCH_MM = 6

/** The guide for a scalloped section. Where lobes do not meet, the edge runs along the mark circle between them. */
export function scallopGuide(shape: Scalloped): ScallopGuide {
  const { lobes, marksMm } = shape
  const radius = marksMm / 2
  const lobe = lobeOf(shape)
  const markAngles = Array.from({ length: lobes }, (_, valley) => FRONT_DEG + ((valley - 0.5) * 360) / lobes)
  const origin = { x: 0, y: 0 }
  const marks = markAngles.map((angle) => pointAt(origin, angle, radius))
  const meets = lobesMeet(shape)
  return {
    edge: meets
      ? metEdge(
          markAngles.map((angle) => pointAt(origin, angle, lobe.valleyMm)),
          lobe.radiusMm,
          lobe.halfTurn,
        )
      : gappedEdge(shape, markAngles),
    markCircle: circle(origin, radius),
    folds: markAngles.map((angle) => polyline([origin, pointAt(origin, angle, radius)])),
    marks,
    registration: polyline(
      [
        pointAt(origin, FRONT_DEG - 4, radius - NOTCH_MM),
        pointAt(origin, FRONT_DEG, radius),
        pointAt(origin, FRONT_DEG + 4, radius - NOTCH_MM),
      ],
      true,
    ),
    reachMm: Math.max(radius, lobe.middleMm + lobe.radiusMm),
    chord: derive(
      'chord',
      'length',
      'from mark to mark',
      '{marks} × sin( 180° ÷ {lobes} )',
      { marks: typed('across marks', marksMm, 'length', 'Tiers'), lobes: typed('lobes', lobes, 'count', 'Tiers') },
      () => chordMm(shape),
    ),
    perimeter: derive(
      'scalloped perimeter',
      'length',
      'round the lobes',
      '{lobes} arcs of {cutter} from mark to mark',
      { lobes: typed('lobes', lobes, 'count', 'Tiers'), cutter: typed('cutter', 2 * lobe.radiusMm, 'length', 'Tiers') },
      () => lobes * 2 * lobe.halfTurn * lobe.radiusMm,
    ),
    meets,
    foldBy: foldsFor(lobes),
  }
}

const DEGREES = 180 / Math.PI

/** Arcs from valley to valley, counter-clockwise. */
function metEdge(valleys: readonly Point[], radius: number, halfTurn: number): Outline {
  const segments = valleys.map((_, at): Segment => ({
    kind: 'arc',
    to: valleys[(at + 1) % valleys.length]!,
    radius,
    turnDeg: 2 * halfTurn * DEGREES,
  }))
  return { start: valleys[0]!, segments }
}

/** Lobes of the cutter set on the chords' middles, joined by straight gaps. */
function gappedEdge({ lobes, marksMm, cutterMm }: Scalloped, markAngles: readonly number[]): Outline {
  const middleMm = (marksMm / 2) * Math.cos(Math.PI / lobes)
  const ends = markAngles.map((angle) => {
    const towards = angle + 180 / lobes
    const middle = pointAt({ x: 0, y: 0 }, towards, middleMm)
    return [pointAt(middle, towards - 90, cutterMm / 2), pointAt(middle, towards + 90, cutterMm / 2)] as const
  })
  const segments = ends.flatMap(([, end], at): Segment[] => [
    { kind: 'arc', to: end, radius: cutterMm / 2, turnDeg: 180 },
    { kind: 'line', to: ends[(at + 1) % ends.length]![0] },
  ])
  return { start: ends[0]![0], segments }
}
