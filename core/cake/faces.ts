/** The flat faces of a tier with corners: what a panel can lie on without bending. */
import { fromFront } from '../geometry'
import { facingDeg, outlineAngles, reachMm, type Shape } from './shape'
import { RADIANS } from './shape/define'

export type FlatSide = { readonly middleDeg: number; readonly spanDeg: number; readonly widthMm: number }

const STEPS = 720
/** Facing may waver by this much along a face, since it is found by small steps. */
const SAME_DEG = 0.05
const LEAST_MM = 20

/** Faces of a shape turned by an angle, in order round it; none where the edge bends all the way. */
export function flatSides(shape: Shape, turnDeg: number): readonly FlatSide[] {
  const angles = outlineAngles(shape, STEPS)
  const at = angles.map((angle, index) => ({
    from: angle,
    to: angles[index + 1] ?? angle + 360 - angles.at(-1)! + angles[0]!,
    facing: facingDeg(shape, (angle + (angles[index + 1] ?? 360)) / 2),
  }))
  const same = (one: number, other: number): boolean => Math.abs(((one - other + 540) % 360) - 180) < SAME_DEG
  // Begins where the edge turns, so that no face is cut in two at the front.
  const begin = at.findIndex(({ facing }, index) => !same(facing, at.at(index - 1)!.facing))
  if (begin === -1) return []
  const round = [
    ...at.slice(begin),
    ...at.slice(0, begin).map((bit) => ({ ...bit, from: bit.from + 360, to: bit.to + 360 })),
  ]
  const runs: { from: number; to: number; facing: number }[] = []
  for (const bit of round) {
    const last = runs.at(-1)
    if (last && same(last.facing, bit.facing)) last.to = bit.to
    else runs.push({ ...bit })
  }
  const point = (angle: number): readonly [number, number] => [
    reachMm(shape, angle) * Math.sin(angle * RADIANS),
    reachMm(shape, angle) * Math.cos(angle * RADIANS),
  ]
  return runs
    .map(({ from, to }): FlatSide => {
      const [one, other] = [point(from), point(to)]
      return {
        middleDeg: fromFront((from + to) / 2 + turnDeg),
        spanDeg: to - from,
        widthMm: Math.hypot(one[0] - other[0], one[1] - other[1]),
      }
    })
    .filter(({ widthMm }) => widthMm >= LEAST_MM)
}
