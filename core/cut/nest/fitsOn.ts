import { convexHull, type Point } from '../../geometry'
import type { NestPart, NestSheet } from './job'

/** Lengths that differ by less are the same, mm. */
const SAME_MM = 1e-6

/** How much wider or higher a hull is than a rectangle when it is turned, mm; at most 0 when it fits. */
function excessMm(hull: readonly Point[], turn: number, widthMm: number, heightMm: number): number {
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)]
  let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity]
  for (const { x, y } of hull) {
    const [turnedX, turnedY] = [x * cos - y * sin, x * sin + y * cos]
    left = Math.min(left, turnedX)
    right = Math.max(right, turnedX)
    low = Math.min(low, turnedY)
    high = Math.max(high, turnedY)
  }
  return Math.max(right - left - widthMm, high - low - heightMm)
}

const STEPS = 180

/**
 * The turn (radians) that lies best within a rectangle, and by how much it is too large then, mm.
 * Angles at which an edge lies along the rectangle are tried beside an even round; between them the excess is smooth,
 * and is searched by thirds.
 */
export function bestTurn(
  hull: readonly Point[],
  widthMm: number,
  heightMm: number,
): { readonly turn: number; readonly excessMm: number } {
  const along = hull.map((one, at) => {
    const next = hull[(at + 1) % hull.length]!
    return -Math.atan2(next.y - one.y, next.x - one.x)
  })
  const turns = [
    ...Array.from({ length: STEPS }, (_, at) => (at * Math.PI) / STEPS),
    ...along,
    ...along.map((turn) => turn + Math.PI / 2),
  ]
  const tried = turns
    .map((turn) => ({ turn, excessMm: excessMm(hull, turn, widthMm, heightMm) }))
    .sort((one, other) => one.excessMm - other.excessMm)
  const [best] = tried
  if (best!.excessMm <= SAME_MM) return best!
  let [low, high] = [best!.turn - Math.PI / STEPS, best!.turn + Math.PI / STEPS]
  for (let round = 0; round < 40; round += 1) {
    const [one, other] = [low + (high - low) / 3, high - (high - low) / 3]
    if (excessMm(hull, one, widthMm, heightMm) < excessMm(hull, other, widthMm, heightMm)) high = other
    else low = one
  }
  const found = { turn: (low + high) / 2, excessMm: excessMm(hull, (low + high) / 2, widthMm, heightMm) }
  return found.excessMm < best!.excessMm ? found : best!
}

/** The smallest circle round points. @see Welzl 1991, as a walk without recursion */
export function enclosingCircle(points: readonly Point[]): { readonly middle: Point; readonly radius: number } {
  let circle = { middle: points[0]!, radius: 0 }
  const holds = ({ middle, radius }: typeof circle, { x, y }: Point): boolean =>
    Math.hypot(x - middle.x, y - middle.y) <= radius * (1 + 1e-12) + 1e-12
  points.forEach((one, first) => {
    if (holds(circle, one)) return
    circle = { middle: one, radius: 0 }
    points.slice(0, first).forEach((two, second) => {
      if (holds(circle, two)) return
      circle = {
        middle: { x: (one.x + two.x) / 2, y: (one.y + two.y) / 2 },
        radius: Math.hypot(one.x - two.x, one.y - two.y) / 2,
      }
      points.slice(0, second).forEach((three) => {
        if (!holds(circle, three)) circle = throughThree(one, two, three) ?? circle
      })
    })
  })
  return circle
}

function throughThree(one: Point, two: Point, three: Point): { middle: Point; radius: number } | null {
  const [twoX, twoY, threeX, threeY] = [two.x - one.x, two.y - one.y, three.x - one.x, three.y - one.y]
  const twice = 2 * (twoX * threeY - twoY * threeX)
  if (twice === 0) return null
  const [two2, three2] = [twoX ** 2 + twoY ** 2, threeX ** 2 + threeY ** 2]
  const [x, y] = [(threeY * two2 - twoY * three2) / twice, (twoX * three2 - threeX * two2) / twice]
  return { middle: { x: one.x + x, y: one.y + y }, radius: Math.hypot(x, y) }
}

/**
 * Whether a part, by its hull, can lie on an empty sheet within the margin. A remnant is judged by its own extent: it
 * may still be too narrow inside.
 */
export function fitsOn(
  hull: readonly Point[],
  { rotations }: Pick<NestPart, 'rotations'>,
  sheet: NestSheet,
  marginMm: number,
): boolean {
  if (sheet.shape === 'disc') return enclosingCircle(hull).radius <= sheet.diameter / 2 - marginMm + SAME_MM
  const around = sheet.shape === 'remnant' ? convexHull(sheet.outline.map(([x, y]) => ({ x, y }))) : null
  const [width, height] = around ? spanOf(around) : sheet.shape === 'rect' ? [sheet.width, sheet.height] : [0, 0]
  const [widthMm, heightMm] = [width - 2 * marginMm, height - 2 * marginMm]
  if (rotations === 'free') return bestTurn(hull, widthMm, heightMm).excessMm <= SAME_MM
  return rotations.some((degrees) => excessMm(hull, (degrees * Math.PI) / 180, widthMm, heightMm) <= SAME_MM)
}

function spanOf(points: readonly Point[]): readonly [number, number] {
  const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)]
  return [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)]
}
