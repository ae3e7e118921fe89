/** Outlines that a user brings, whatever they are written in: closed rings of points, tidied and measured. */
import { convexHull, type Point } from '../../geometry'
import { ok, refuse, type Result } from '../../quantity'

export type Ring = readonly Point[]

/** Rings as they were drawn: x to the right, y up. `mmPerUnit` is null where the file does not say how large it is. */
export type DrawnRings = {
  readonly rings: readonly Ring[]
  readonly mmPerUnit: number | null
  readonly notes: readonly string[]
}

/**
 * An outline without a size: 1 high, its foot at 0, its middle at 0 across; and its true height where the file says
 * so.
 */
export type ImportedOutline = {
  readonly rings: readonly (readonly (readonly [number, number])[])[]
  readonly heightMm: number | null
  readonly notes: readonly string[]
}

export type OutlineProblem =
  | { readonly code: 'empty' }
  | { readonly code: 'too-large'; readonly what: string }
  | { readonly code: 'not-readable'; readonly what: string }
  | { readonly code: 'refused'; readonly what: string }
  | { readonly code: 'no-outline'; readonly what: string }

/** What went wrong with an outline, in the user's words, and what to do. */
export function outlineSentence(problem: OutlineProblem): string {
  switch (problem.code) {
    case 'empty':
      return 'The file is empty. Save the outline again and open that file.'
    case 'too-large':
      return `The file is too large: ${problem.what}. Keep the one outline you want, simplify it, and save that.`
    case 'not-readable':
      return `The file cannot be read: ${problem.what}. Save the outline again as plain SVG or DXF.`
    case 'refused':
      return `The file was not opened: ${problem.what}. Save the outline again as plain SVG, without links and scripts.`
    case 'no-outline':
      return `No closed outline was found: ${problem.what}. Close the line, turn text into paths, and save again.`
  }
}

export const MOST_CHARACTERS = 2_000_000
export const MOST_POINTS = 60_000
const MOST_RINGS = 40
const MOST_RING_POINTS = 600
/** Rings smaller than this share of the whole are specks. */
const SPECK_SHARE = 1e-5
/** Points nearer to a straight line than this share of the height are left out. */
const TOLERANCE_SHARE = 0.0008

const areaOf = (ring: Ring): number =>
  Math.abs(
    ring.reduce((sum, { x, y }, at) => {
      const next = ring[(at + 1) % ring.length]!
      return sum + x * next.y - next.x * y
    }, 0),
  ) / 2

/**
 * Fewer points that stay within a tolerance of the line. Works through a list instead of calling itself: outlines may
 * be long. @see Douglas and Peucker 1973
 */
export function simplified(ring: Ring, tolerance: number): Ring {
  if (ring.length < 4) return ring
  const keep = new Uint8Array(ring.length)
  const far = ring.reduce(
    (best, { x, y }, at) =>
      Math.hypot(x - ring[0]!.x, y - ring[0]!.y) > Math.hypot(ring[best]!.x - ring[0]!.x, ring[best]!.y - ring[0]!.y)
        ? at
        : best,
    0,
  )
  keep[0] = keep[far] = 1
  const closed = [...ring, ring[0]!]
  const spans: [number, number][] = [
    [0, far],
    [far, ring.length],
  ]
  while (spans.length > 0) {
    const [from, to] = spans.pop()!
    const [one, other] = [closed[from]!, closed[to]!]
    const length = Math.hypot(other.x - one.x, other.y - one.y)
    let [most, at] = [tolerance, -1]
    for (let index = from + 1; index < to; index += 1) {
      const { x, y } = closed[index]!
      const away =
        length > 0
          ? Math.abs((other.x - one.x) * (one.y - y) - (one.x - x) * (other.y - one.y)) / length
          : Math.hypot(x - one.x, y - one.y)
      if (away > most) [most, at] = [away, index]
    }
    if (at === -1) continue
    keep[at] = 1
    spans.push([from, at], [at, to])
  }
  return ring.filter((_, at) => keep[at] === 1)
}

/** As few points as a ring may have, by a tolerance that is raised until they are. */
function fewEnough(ring: Ring, height: number): Ring {
  let tolerance = height * TOLERANCE_SHARE
  let result = simplified(ring, tolerance)
  while (result.length > MOST_RING_POINTS) {
    tolerance *= 1.6
    result = simplified(ring, tolerance)
  }
  return result
}

const rounded = (value: number): number => Math.round(value * 10000) / 10000

/** Drawn rings as an outline to cut: specks left out, as few points as its shape needs, standing on its foot. */
export function outlineFrom({ rings, mmPerUnit, notes }: DrawnRings): Result<ImportedOutline, OutlineProblem> {
  const sound = rings.filter(
    (ring) => ring.length >= 3 && ring.every(({ x, y }) => Number.isFinite(x) && Number.isFinite(y)),
  )
  const hull = convexHull(sound.flat())
  const whole = areaOf(hull)
  if (sound.length === 0 || !(whole > 0) || !Number.isFinite(whole))
    return refuse({ code: 'no-outline', what: rings.length > 0 ? 'its lines have no area' : 'there is none' })
  const lasting = sound
    .filter((ring) => areaOf(ring) > whole * SPECK_SHARE)
    .sort((one, other) => areaOf(other) - areaOf(one))
  const kept = lasting.slice(0, MOST_RINGS)
  if (kept.length === 0) return refuse({ code: 'no-outline', what: 'its lines have no area' })
  const all = kept.flat()
  const [left, right] = [
    all.reduce((least, { x }) => Math.min(least, x), Infinity),
    all.reduce((most, { x }) => Math.max(most, x), -Infinity),
  ]
  const [low, high] = [
    all.reduce((least, { y }) => Math.min(least, y), Infinity),
    all.reduce((most, { y }) => Math.max(most, y), -Infinity),
  ]
  const height = high - low
  if (!(height > 0) || (right - left) / height > 20 || (right - left) / height < 0.02)
    return refuse({ code: 'no-outline', what: 'it is a mere line' })
  const middle = (left + right) / 2
  const shape = kept
    .map((ring) =>
      fewEnough(ring, height).map(({ x, y }) => [rounded((x - middle) / height), rounded((y - low) / height)] as const),
    )
    .filter((ring) => ring.length >= 3)
  if (shape.length === 0) return refuse({ code: 'no-outline', what: 'it is a mere line' })
  return ok({
    rings: shape,
    heightMm: mmPerUnit === null ? null : height * mmPerUnit,
    notes: [
      ...notes,
      ...(lasting.length > MOST_RINGS ? [`${lasting.length - MOST_RINGS} of the smallest parts were left out.`] : []),
    ],
  })
}

/**
 * Points along a cubic curve without its beginning, near enough to it. @see the flatness bound of Wang, 1984: √(d ÷
 * 8t) steps
 */
export function cubicPoints(from: Point, one: Point, two: Point, to: Point, tolerance: number): readonly Point[] {
  const bend = Math.max(
    Math.hypot(from.x - 2 * one.x + two.x, from.y - 2 * one.y + two.y),
    Math.hypot(one.x - 2 * two.x + to.x, one.y - 2 * two.y + to.y),
  )
  const steps = Math.min(64, Math.max(1, Math.ceil(Math.sqrt((0.75 * bend) / Math.max(tolerance, 1e-9)))))
  return Array.from({ length: steps }, (_, step) => {
    const t = (step + 1) / steps
    const u = 1 - t
    return {
      x: u ** 3 * from.x + 3 * u * u * t * one.x + 3 * u * t * t * two.x + t ** 3 * to.x,
      y: u ** 3 * from.y + 3 * u * u * t * one.y + 3 * u * t * t * two.y + t ** 3 * to.y,
    }
  })
}

/** Points along an arc of an ellipse, its beginning included; angles in radians. */
export function arcPoints(
  centre: Point,
  radius: readonly [number, number],
  from: number,
  sweep: number,
  turn = 0,
): readonly Point[] {
  const steps = Math.min(128, Math.max(4, Math.ceil((Math.abs(sweep) / (2 * Math.PI)) * 72)))
  return Array.from({ length: steps + 1 }, (_, step) => {
    const angle = from + (sweep * step) / steps
    const [x, y] = [radius[0] * Math.cos(angle), radius[1] * Math.sin(angle)]
    return {
      x: centre.x + x * Math.cos(turn) - y * Math.sin(turn),
      y: centre.y + x * Math.sin(turn) + y * Math.cos(turn),
    }
  })
}
