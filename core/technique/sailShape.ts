import { add, cross, outward, scale, unit, type Point3 } from '../geometry'
import { between, seededStream } from '../quantity'
import type { Portion, SizedElement } from './film'

/**
 * A draped sheet as a net of points: rows from foot to rim, columns from one side to the other, in the space of the
 * cake.
 */
export type SailNet = { readonly rows: readonly (readonly Point3[])[] }

/** Where a sail stands, and the seed that makes it unlike the others. */
export type SailPlace = { readonly point: Point3; readonly facingDeg: number; readonly seed: number }

/** The foot sits this far off the wall, so that it does not cut into it. */
const FOOT_OFF_MM = 1
const NET_ROWS = 9
const NET_COLUMNS = 33

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

/**
 * The shape of a soaked sail once draped and dry: gathered at its foot, falling in a few deep folds that wander, its
 * rim waved, one shoulder higher, curling away from the cake.
 * The same place and size give the same shape; every seed its own folds, lean and rim.
 */
export function sailNet(
  { portion, seenHeightMm, seenWidthMm }: Pick<SizedElement, 'portion' | 'seenHeightMm' | 'seenWidthMm'>,
  place: SailPlace,
): SailNet {
  const stream = seededStream(place.seed)
  const pick = (low: number, high: number): number => between(stream, low, high)
  const lean = pick(0.22, 0.5)
  const roll = pick(-0.38, 0.38)
  const folds = pick(1.5, 2.5) * (portion === 'quarter' ? 0.8 : 1)
  const phase = pick(0, 6.28)
  const wander = pick(-0.9, 0.9)
  const foldDepth = seenHeightMm * pick(0.12, 0.18)
  const curl = seenHeightMm * pick(0.08, 0.26)
  const peak = pick(-0.55, 0.55)
  const twist = pick(-0.35, 0.35)
  const ripple = pick(0.025, 0.05)
  const { spread, footShare, shoulder } = FALL[portion]
  const halfWidth = seenWidthMm / 2

  const out = outward(place.facingDeg)
  const up: Point3 = [0, 0, 1]
  const across = cross(up, out)
  const rolledUp = add(scale(up, Math.cos(roll)), scale(across, Math.sin(roll)))
  const along = unit(add(scale(rolledUp, Math.cos(lean)), scale(out, Math.sin(lean))))
  const side = unit(add(scale(across, Math.cos(roll)), scale(up, -Math.sin(roll))))
  const face = unit(cross(side, along))
  const foot = add(place.point, scale(out, FOOT_OFF_MM))

  const pointOf = (v: number, u: number): Point3 => {
    const rim = 1 - (shoulder * (u - peak) ** 2) / (1 + Math.abs(peak)) ** 1.4 + ripple * Math.sin(7.3 * u + phase) * v
    const length = v * rim * seenHeightMm
    const opened = footShare + (1 - footShare) * Math.sin((Math.min(1, v * 1.08) * Math.PI) / 2) ** 1.15
    const sideways = halfWidth * (u * opened + twist * 0.35 * v * v + 0.05 * Math.sin(3 * u + phase) * v)
    const drop = (1 - Math.cos(u * spread)) * length * 0.55
    const fold =
      Math.sin(folds * Math.PI * u + phase + wander * v) +
      0.35 * Math.sin(2.3 * folds * Math.PI * u + 1.7 * phase - wander * v)
    const depth = foldDepth * (0.25 + 0.75 * v) * v ** 0.6 * fold + curl * v ** 2.2 + twist * u * v * halfWidth * 0.5
    return add(foot, add(scale(side, sideways), add(scale(along, length - drop), scale(face, -depth))))
  }
  return {
    rows: Array.from({ length: NET_ROWS }, (_, row) =>
      Array.from({ length: NET_COLUMNS }, (__, column) =>
        pointOf(0.03 + (0.97 * row) / (NET_ROWS - 1), (2 * column) / (NET_COLUMNS - 1) - 1),
      ),
    ),
  }
}
