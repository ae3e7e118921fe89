import { edgePoints, roundShape, sectionAt, widened, type Board, type StandingTier } from '../cake'
import { coveringOf } from '../material'
import type { Point, Point3 } from '../geometry'
import { smoothPart, partBuilder, type Face, type Matter, type Solid, type SolidPart } from './solid'

const BOARD: Matter = { name: 'board', gloss: 0.1, thin: 0, texture: 'smooth' }
const SPACER: Matter = { name: 'separator', gloss: 0.1, thin: 0, texture: 'smooth' }
export const SHADE: Matter = { name: 'contact shadow', gloss: 0, thin: 0, texture: 'smooth' }
export const SPACER_COLOUR = '#e6d9c4'
export const BOARD_COLOUR = '#efe3cf'
const SHADE_COLOUR = '#2a1c2c'
const ORIGIN: Point = { x: 0, y: 0 }
const STEPS = 96
/** How far the edge of a finished tier is rounded, mm. */
const ROUNDED_MM = { rolled: 5, spread: 2.5, board: 1.5 }

type Section = StandingTier['shape']
type Ring = readonly Point3[]

/** A section drawn through the same angles at every height, so that its points belong together. */
const ringOf = (shape: Section, insetMm: number, turnDeg: number, middle: Point, heightMm: number): Ring =>
  edgePoints(widened(shape, -insetMm), turnDeg, middle, STEPS).map(({ x, y }) => [x, y, heightMm])

/** The ring with as many points as another: those nearest to its points. Insets of sharp shapes lose corners. */
const matched = (ring: Ring, to: Ring): Ring =>
  ring.length === to.length
    ? ring
    : to.map(([x, y]) =>
        ring.reduce((best, point) =>
          Math.hypot(point[0] - x, point[1] - y) < Math.hypot(best[0] - x, best[1] - y) ? point : best,
        ),
      )

/** Skin between rings one above the other, closed at its top. */
function skinOf(rings: readonly Ring[], colour: string, matter: Matter): SolidPart {
  const [foot] = rings
  const even = rings.map((ring) => matched(ring, foot!))
  const faces: Face[] = []
  const between = (low: Ring, high: Ring): void =>
    low.forEach((from, at) => {
      const next = (at + 1) % low.length
      faces.push({ points: [from, low[next]!, high[next]!, high[at]!], colour, cover: 1 })
    })
  even.slice(1).forEach((ring, at) => between(even[at]!, ring))
  const top = even.at(-1)!
  const middle: Point3 = [
    top.reduce((sum, [x]) => sum + x, 0) / top.length,
    top.reduce((sum, [, y]) => sum + y, 0) / top.length,
    top[0]![2],
  ]
  top.forEach((from, at) => faces.push({ points: [from, top[(at + 1) % top.length]!, middle], colour, cover: 1 }))
  return smoothPart(faces, matter)
}

const ROUNDED_STEPS = 4

/** Rings of a block whose upper edge is rounded. @param insetAt how far its section has drawn in at a height */
function roundedRings(
  { shape, turnDeg, middle }: Pick<StandingTier, 'shape' | 'turnDeg' | 'middle'>,
  [footMm, topMm]: readonly [number, number],
  roundedMm: number,
  insetAt: (heightMm: number) => number,
): readonly Ring[] {
  const radius = Math.min(roundedMm, (topMm - footMm) / 3)
  const edge = Array.from({ length: ROUNDED_STEPS + 1 }, (_, step) => {
    const angle = (step * Math.PI) / 2 / ROUNDED_STEPS
    const height = topMm - radius + radius * Math.sin(angle)
    return ringOf(shape, insetAt(height) + radius * (1 - Math.cos(angle)), turnDeg, middle, height)
  })
  return [ringOf(shape, insetAt(footMm), turnDeg, middle, footMm), ...edge]
}

/** How a shade fades from where something stands to its end. */
const FADES = [
  { at: 0, share: 1 },
  { at: 0.3, share: 0.45 },
  { at: 0.62, share: 0.13 },
  { at: 1, share: 0 },
] as const

/** Where something stands it darkens what it stands on. */
function contactPart(
  { shape, turnDeg, middle }: Pick<StandingTier, 'shape' | 'turnDeg' | 'middle'>,
  heightMm: number,
  wideMm: number,
  cover: number,
): SolidPart {
  const shade = partBuilder(SHADE)
  const inner = edgePoints(shape, turnDeg, middle, STEPS)
  const outer = matched(
    edgePoints(widened(shape, wideMm), turnDeg, middle, STEPS).map(({ x, y }) => [x, y, heightMm]),
    inner.map(({ x, y }) => [x, y, heightMm]),
  )
  const up: Point3 = [0, 0, 1]
  const rings = FADES.map(({ at, share }) =>
    inner.map(({ x, y }, index) => {
      const [ox, oy] = outer[index]!
      return shade.corner([x + (ox - x) * at, y + (oy - y) * at, heightMm], up, SHADE_COLOUR, cover * share)
    }),
  )
  rings.slice(1).forEach((far, ring) => {
    const near = rings[ring]!
    near.forEach((corner, at) => {
      const next = (at + 1) % near.length
      shade.triangle([corner, far[at]!, far[next]!])
      shade.triangle([corner, far[next]!, near[next]!])
    })
  })
  return shade.made()
}

/** Shades lie this far above what they fall on, mm. */
const ABOVE_MM = 0.4
const CONTACT_MM = 20
const CONTACT_COVER = 0.42
const TABLE_SHADE_MM = 60
const TABLE_COVER = 0.34

export const boardShape = ({ outline, acrossMm }: Board): Section =>
  outline === 'round' ? roundShape(acrossMm) : { kind: 'square', sideMm: acrossMm, cornerMm: 2 }

/** The board, and the shade it throws on the table. */
export function boardSolid(board: Board): Solid {
  const block = { shape: boardShape(board), turnDeg: 0, middle: ORIGIN }
  const foot = -board.thicknessMm
  return {
    id: 'board',
    kind: 'board',
    index: 0,
    parts: [
      skinOf(
        roundedRings(block, [foot, 0], ROUNDED_MM.board, () => 0),
        BOARD_COLOUR,
        BOARD,
      ),
      contactPart(block, foot + ABOVE_MM, TABLE_SHADE_MM, TABLE_COVER),
    ],
  }
}

const known = new Map<string, Solid>()
const MOST_KNOWN = 60

/** A tier with its covering and the separator it stands on. @param freeMm what is free round its foot */
export function tierSolid(tier: StandingTier, freeMm: number): Solid {
  const key = JSON.stringify([tier, freeMm])
  const before = known.get(key)
  if (before) return before
  if (known.size > MOST_KNOWN) known.clear()
  const made = madeTier(tier, freeMm)
  known.set(key, made)
  return made
}

function madeTier(tier: StandingTier, freeMm: number): Solid {
  const covering = coveringOf(tier.covering)
  const matter: Matter = { name: covering.name, gloss: covering.gloss, thin: 0, texture: covering.texture }
  const slope = Math.tan((tier.taperDeg * Math.PI) / 180)
  const rings = roundedRings(
    tier,
    [tier.footMm, tier.topMm],
    covering.rolled ? ROUNDED_MM.rolled : ROUNDED_MM.spread,
    (height) => (height - tier.footMm) * slope,
  )
  const { spacer } = tier
  const foot = spacer
    ? { shape: roundShape(spacer.acrossMm), turnDeg: 0, middle: tier.middle }
    : { shape: sectionAt(tier, tier.footMm), turnDeg: tier.turnDeg, middle: tier.middle }
  const contact = Math.min(CONTACT_MM, freeMm)
  return {
    id: `tier-${tier.index}`,
    kind: 'tier',
    index: tier.index,
    parts: [
      skinOf(rings, tier.colour ?? covering.colour, matter),
      ...(spacer
        ? [
            skinOf(
              roundedRings(foot, [spacer.footMm, tier.footMm], 0.5, () => 0),
              SPACER_COLOUR,
              SPACER,
            ),
          ]
        : []),
      ...(contact > 1 ? [contactPart(foot, (spacer?.footMm ?? tier.footMm) + ABOVE_MM, contact, CONTACT_COVER)] : []),
    ],
  }
}
