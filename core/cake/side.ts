/**
 * The side of a standing tier: where a point of it lies in space, how far it is along the edge, and how large it is
 * unrolled.
 */
import { add, outward, scale, type Point3 } from '../geometry'
import { derive, typed, type Working } from '../quantity'
import { areaMm2, facingDeg, insetShape, leastReachMm, outlineAngles, perimeterMm, perimeterOf, reachMm } from './shape'
import { RADIANS } from './shape/define'
import { sectionAt, type StandingTier } from './standing'

type Wall = Pick<StandingTier, 'shape' | 'footMm' | 'topMm' | 'taperDeg' | 'turnDeg' | 'middle'>

/** A point of the side: its place, and the angle from the front to which the side faces there. */
export type WallPoint = { readonly point: Point3; readonly facingDeg: number }

/** The point of a tier's side at an angle round its own middle (from the cake's front) and a height above the board. */
export function wallPoint(tier: Wall, angleDeg: number, heightMm: number): WallPoint {
  const section = sectionAt(tier, heightMm)
  const own = angleDeg - tier.turnDeg
  const reach = reachMm(section, own)
  return {
    point: [
      tier.middle.x + reach * Math.sin(angleDeg * RADIANS),
      tier.middle.y - reach * Math.cos(angleDeg * RADIANS),
      heightMm,
    ],
    facingDeg: facingDeg(section, own) + tier.turnDeg,
  }
}

/** A point so far off a tier's wall at an angle and a height, mm. */
export function offWall(tier: Wall, angleDeg: number, heightMm: number, outMm: number): Point3 {
  const { point, facingDeg: facing } = wallPoint(tier, angleDeg, heightMm)
  return add(point, scale(outward(facing), outMm))
}

/** The smallest distance from middle to rim on a tier's top, mm. */
export const leastReach = (tier: Wall): number => leastReachMm(sectionAt(tier, tier.topMm))

/**
 * How the way along the foot grows with the angle from the front: pairs from 0 to 360 degrees, mm, scaled so that a
 * whole turn is the perimeter.
 */
export type EdgeScale = readonly { readonly angleDeg: number; readonly alongMm: number }[]

type Edge = Pick<StandingTier, 'shape' | 'turnDeg' | 'perimeterMm'>

/** A tier's scale is asked for by everything that lies on it, and follows from the tier alone. */
const knownScales = new WeakMap<Edge, EdgeScale>()

/** Lengths along a tier's foot from the front, for unrolling its side. */
export function edgeScale(tier: Edge): EdgeScale {
  const known = knownScales.get(tier)
  if (known) return known
  const scale = measuredScale(tier)
  knownScales.set(tier, scale)
  return scale
}

function measuredScale({ shape, turnDeg, perimeterMm }: Edge): EdgeScale {
  const corners = outlineAngles(shape, 720).map((angle) => (((angle + turnDeg) % 360) + 360) % 360)
  const angles = [...new Set([0, ...corners, 360])].sort((one, other) => one - other)
  let alongMm = 0
  let before: readonly [number, number] | null = null
  const raw = angles.map((angleDeg) => {
    const reach = reachMm(shape, angleDeg - turnDeg)
    const here = [reach * Math.sin(angleDeg * RADIANS), reach * Math.cos(angleDeg * RADIANS)] as const
    if (before) alongMm += Math.hypot(here[0] - before[0], here[1] - before[1])
    before = here
    return { angleDeg, alongMm }
  })
  return raw.map((step) => ({ angleDeg: step.angleDeg, alongMm: (step.alongMm * perimeterMm) / alongMm }))
}

/** The first step whose column reaches a value, by halving: both columns only grow. */
function firstReaching(scale: EdgeScale, column: 'angleDeg' | 'alongMm', value: number): number {
  let [low, high] = [0, scale.length - 1]
  while (low < high) {
    const middle = (low + high) >> 1
    if (scale[middle]![column] >= value) high = middle
    else low = middle + 1
  }
  return low
}

/** Reads one column of a scale from the other, going on turn after turn. */
function readScale(scale: EdgeScale, value: number, from: 'angleDeg' | 'alongMm', to: 'angleDeg' | 'alongMm'): number {
  const whole = scale.at(-1)!
  const turns = Math.floor(value / whole[from])
  const rest = value - turns * whole[from]
  const after = Math.max(1, firstReaching(scale, from, rest))
  const [low, high] = [scale[after - 1]!, scale[after]!]
  const share = high[from] > low[from] ? (rest - low[from]) / (high[from] - low[from]) : 0
  return turns * whole[to] + low[to] + (high[to] - low[to]) * share
}

/** How far along the foot an angle lies from the front, mm; to the left negative. */
export const alongAt = (scale: EdgeScale, angleDeg: number): number => readScale(scale, angleDeg, 'angleDeg', 'alongMm')

/** The angle from the front of a place along the foot. */
export const angleAt = (scale: EdgeScale, alongMm: number): number => readScale(scale, alongMm, 'alongMm', 'angleDeg')

const SLICES = 12
const STEPS = 480
const NUDGE_MM = 0.25

/**
 * Length of one turn round a leaning side at a height, each bit lengthened by how far the face leans there, mm: the
 * area of a slice for each mm of height.
 * Surface element of (r sin θ, r cos θ, h): √(r² + r_θ² + r² r_h²).
 */
function leaningLengthMm(tier: Wall, heightMm: number): number {
  const section = sectionAt(tier, heightMm)
  const [wider, narrower] = [insetShape(section, -NUDGE_MM), insetShape(section, NUDGE_MM)]
  const lean = Math.tan(tier.taperDeg * RADIANS)
  const angles = [...outlineAngles(section, STEPS), 360]
  const pointAt = (angle: number): readonly [number, number] => {
    const reach = reachMm(section, angle)
    return [reach * Math.sin(angle * RADIANS), reach * Math.cos(angle * RADIANS)]
  }
  let [length, leaning] = [0, 0]
  for (let at = 1; at < angles.length; at += 1) {
    const [from, to, middle] = [pointAt(angles[at - 1]!), pointAt(angles[at]!), (angles[at - 1]! + angles[at]!) / 2]
    const bit = Math.hypot(to[0] - from[0], to[1] - from[1])
    const inward = (lean * (reachMm(wider, middle) - reachMm(narrower, middle))) / (2 * NUDGE_MM)
    length += bit
    leaning += bit * Math.hypot(1, inward * Math.cos((middle - facingDeg(section, middle)) * RADIANS))
  }
  return (perimeterMm(section) * leaning) / length
}

/** Area of a side, mm². Upright: perimeter times height. Leaning: slices added up by Simpson's rule. */
export function sideAreaMm2(tier: Wall): number {
  const rise = tier.topMm - tier.footMm
  if (tier.taperDeg === 0) return perimeterMm(tier.shape) * rise
  const sliceAt = (share: number): number => leaningLengthMm(tier, tier.footMm + rise * share)
  return meanBySimpson(sliceAt) * rise
}

/** Mean of a smooth function over 0 to 1, by Simpson's rule. */
function meanBySimpson(value: (share: number) => number): number {
  const weights = Array.from({ length: 2 * SLICES + 1 }, (_, at) =>
    at === 0 || at === 2 * SLICES ? 1 : at % 2 === 1 ? 4 : 2,
  )
  return weights.reduce((sum, weight, at) => sum + weight * value(at / (2 * SLICES)), 0) / (6 * SLICES)
}

/**
 * A tier's surfaces with their working: round the foot and round the top, the height of the face, the side unrolled,
 * the top.
 */
export type Surfaces = {
  readonly foot: Working
  readonly rim: Working
  readonly face: Working
  readonly side: Working
  readonly top: Working
}

const MM2_PER_DM2 = 10000

/** What there is to cover and to decorate on a tier; areas in dm². */
export function surfacesOf(tier: Wall): Surfaces {
  const height = typed('height', tier.topMm - tier.footMm, 'length', 'Tiers')
  const lean = typed('leans in', tier.taperDeg, 'angle', 'Tiers')
  const foot = perimeterOf(tier.shape)
  const topShape = sectionAt(tier, tier.topMm)
  const rim =
    tier.taperDeg === 0
      ? foot
      : derive(
          'perimeter at the top',
          'length',
          'a leaning side',
          'perimeter of the foot drawn in by {height} × tan {lean}',
          { height, lean },
          () => perimeterMm(topShape),
        )
  const face = derive(
    'face',
    'length',
    'a leaning side',
    '{height} ÷ cos {lean}',
    { height, lean },
    (v) => v.height / Math.cos(v.lean * RADIANS),
  )
  const side =
    tier.taperDeg === 0
      ? derive(
          'side',
          'area',
          'an upright side unrolled',
          '{foot} × {height}',
          { foot, height },
          (v) => (v.foot * v.height) / MM2_PER_DM2,
        )
      : derive(
          'side',
          'area',
          'a leaning side in slices',
          'slices from {foot} to {rim} over {height}, each as long as its face',
          { foot, rim, height },
          () => sideAreaMm2(tier) / MM2_PER_DM2,
        )
  const top = derive(
    'top',
    'area',
    'area within the rim',
    'area within {rim}',
    { rim },
    () => areaMm2(topShape) / MM2_PER_DM2,
  )
  return { foot, rim, face, side, top }
}

/** Volume of a tier, mm³: sections added up by Simpson's rule. */
export function volumeMm3(tier: Wall): number {
  const rise = tier.topMm - tier.footMm
  const sectionMm2 = (share: number): number => areaMm2(sectionAt(tier, tier.footMm + rise * share))
  return (tier.taperDeg === 0 ? sectionMm2(0) : meanBySimpson(sectionMm2)) * rise
}
