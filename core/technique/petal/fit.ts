import type { Point } from '../../geometry'
import { halfWidthAt, type PetalShape } from './outline'

/** A petal fitted to a drawn outline, and how far its half width is off on average, as a share of its length. */
export type FittedPetal = { readonly shape: PetalShape; readonly offShare: number }

const LEVELS = 40
const TRIES = 20

/** How far an outline reaches to both sides at a height, half of it; 0 where it is not. */
function halfAcross(ring: readonly Point[], y: number): number {
  let [left, right] = [Infinity, -Infinity]
  ring.forEach((to, at) => {
    const from = ring[(at + ring.length - 1) % ring.length]!
    if (from.y > y === to.y > y) return
    const x = from.x + ((y - from.y) / (to.y - from.y)) * (to.x - from.x)
    left = Math.min(left, x)
    right = Math.max(right, x)
  })
  return right > left ? (right - left) / 2 : 0
}

const between = (value: number, least: number, most: number): number =>
  Math.round(Math.min(most, Math.max(least, value)) * 100) / 100

/** How high an outline reaches along its middle: below its highest point where it is notched. */
function middleTop(ring: readonly Point[], x: number): number {
  let top = -Infinity
  ring.forEach((to, at) => {
    const from = ring[(at + ring.length - 1) % ring.length]!
    if (from.x > x === to.x > x) return
    top = Math.max(top, from.y + ((x - from.x) / (to.x - from.x)) * (to.y - from.y))
  })
  return top
}

/**
 * The petal that comes nearest to a drawn outline, whose foot is down and tip up, in any unit.
 * Width and shoulder are read off, pointed is the best of twenty tries, the notch is what the middle lies below the
 * tip.
 */
export function fitPetal(ring: readonly Point[]): FittedPetal {
  const [ys, xs] = [ring.map(({ y }) => y), ring.map(({ x }) => x)]
  const [low, long] = [Math.min(...ys), Math.max(...ys) - Math.min(...ys)]
  const levels = Array.from({ length: LEVELS }, (_, level) => (level + 0.5) / LEVELS)
  const halves = levels.map((up) => halfAcross(ring, low + up * long) / long)
  const widest = halves.indexOf(Math.max(...halves))
  const base = { wide: between(2 * halves[widest]!, 0.2, 1.6), shoulder: between(levels[widest]!, 0.25, 0.85), wave: 0 }
  const off = (point: number): number =>
    levels.reduce((sum, up, at) => sum + Math.abs(halves[at]! - halfWidthAt(up, { ...base, point })), 0) / LEVELS
  const points = Array.from({ length: TRIES + 1 }, (_, step) => step / TRIES)
  const point = points.reduce((best, each) => (off(each) < off(best) ? each : best), 0)
  const middle = (Math.min(...xs) + Math.max(...xs)) / 2
  return {
    shape: { ...base, point, notch: between((low + long - middleTop(ring, middle)) / long, 0, 0.4) },
    offShare: off(point),
  }
}
