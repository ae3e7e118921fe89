import type { Point3 } from '../../geometry'
import { between, derive, seededStream, starting, type Working } from '../../quantity'
import type { ShrinkBelief } from '../../learn'
import { dampShrink } from '../flat'
import { piecesIn } from '../pieceCount'
import type { Mesh, MeshBead, MeshFace, MeshLine } from '../mesh'
import { halfWidthAt, notchAt, waveAt, type PetalShape } from './outline'

/**
 * A whorl of petals alike: how many, how long as a share of the longest, how far raised out of the bloom's plane (0
 * lies flat, 90 stands closed).
 * The outermost comes last.
 */
export type PetalLayer = {
  readonly name: string
  /** At least so many, and at most: no two blooms need be alike. */
  readonly petals: number
  readonly most: number
  readonly share: number
  readonly raisedDeg: number
}

/** How many petals of a whorl one bloom has, by its seed; counted as they are cut. */
function petalsOf({ name, petals, most }: Pick<PetalLayer, 'name' | 'petals' | 'most'>, seed: number): number {
  return piecesIn({ name: `${name} petal`, perElement: petals, mostPerElement: most }, seed)
}

/** How petals bend on the way from foot to tip: inwards above 0, as in a bowl, outwards below; degrees. */
type Bend = number

type Centre =
  | { readonly kind: 'stamens'; readonly count: number; readonly tint: string }
  | { readonly kind: 'fringe'; readonly count: number; readonly tint: string }
  | { readonly kind: 'none' }

type BloomForm = {
  readonly layers: readonly PetalLayer[]
  readonly shape: PetalShape
  readonly bend: Bend
  readonly cupShare: number
  readonly centre: Centre
}

const RADIANS = Math.PI / 180

/**
 * How long the longest petal is cut so that the bloom comes out as far across as wanted, by the shrink that trials
 * tell when there are enough.
 *
 * By hand: a bloom 50 mm across, outer petals raised by 25°, lapped by 20° ( 1 − 20 ÷ 360 = 0.944 ), shrinking 2 %:
 * 25 ÷ ( 0.944 × 0.906 × 0.98 ) = 29.8 mm.
 */
export function longestPetal(across: Working, raisedDeg: number, coneShare: Working, learned?: ShrinkBelief): Working {
  return derive(
    'longest petal',
    'length',
    'from bloom to petal',
    '{across} ÷ 2 ÷ ( {cone} × cos {raised} × ( 1 − {shrink} ) )',
    {
      across,
      cone: coneShare,
      raised: starting('outer petals raised', raisedDeg, 'angle', 'guess'),
      shrink: dampShrink(learned),
    },
    (v) => v.across / 2 / (v.cone * Math.cos(v.raised * RADIANS) * (1 - v.shrink)),
  )
}

/** How deep a bloom is from its back to its highest petal tip, mm. */
export function bloomDepth(longest: Working, layers: readonly PetalLayer[], coneShare: Working): Working {
  const rises = layers.map(({ share, raisedDeg }) => share * Math.sin(raisedDeg * RADIANS))
  const most = rises.indexOf(Math.max(...rises))
  const { share, raisedDeg, name } = layers[most]!
  return derive(
    'bloom deep',
    'length',
    'from petal to bloom',
    '{petal} × {cone} × {share} × sin {raised}',
    {
      petal: longest,
      cone: coneShare,
      share: starting(`${name} petals, of the longest`, share, 'share', 'guess'),
      raised: starting('raised', raisedDeg, 'angle', 'guess'),
    },
    (v) => v.petal * v.cone * v.share * Math.sin(v.raised * RADIANS),
  )
}

/** A point of a bloom: to its right, up, and towards the one who looks at its face; mm from the middle of its back. */
export type BloomFrame = (right: number, up: number, out: number) => Point3

/** How finely a petal is drawn: rows from foot to tip and places across, for petals so long and longer, mm. */
type Grain = { readonly fromMm: number; readonly rows: readonly number[]; readonly sides: readonly number[] }
const GRAINS: readonly Grain[] = [
  { fromMm: 17, rows: [0, 0.3, 0.56, 0.76, 0.91, 1], sides: [-1, -0.5, 0, 0.5, 1] },
  { fromMm: 9, rows: [0, 0.36, 0.7, 0.9, 1], sides: [-1, 0, 1] },
  { fromMm: 0, rows: [0, 0.6, 1], sides: [-1, 0, 1] },
]
const GOLDEN_DEG = 137.5

/**
 * Points of a petal's surface, row by row from its foot: out along the bloom, to its side, and off its plane; of
 * length 1.
 */
function petalSurface(
  shape: PetalShape,
  raisedDeg: number,
  bend: Bend,
  cupShare: number,
  { rows, sides }: Pick<Grain, 'rows' | 'sides'>,
): readonly (readonly (readonly [along: number, side: number, off: number])[])[] {
  const depth = Math.sqrt(Math.max(0, 1 - cupShare ** 2))
  let [along, off, before] = [0, 0, 0]
  return rows.map((up) => {
    const step = up - before
    before = up
    const tilt = (raisedDeg + bend * (up - step / 2 - 0.5)) * RADIANS
    along += step * Math.cos(tilt)
    off += step * Math.sin(tilt)
    const half = halfWidthAt(Math.min(up, 0.985), shape) * waveAt(up, shape.wave)
    return sides.map((side) => {
      const lifted = half * side * side * depth
      const back = up === 1 ? notchAt(side, shape.notch) : 0
      return [along - lifted * Math.sin(tilt) - back, side * half * cupShare, off + lifted * Math.cos(tilt)] as const
    })
  })
}

/**
 * A bloom as it is seen: its whorls from the outermost in, no two petals alike.
 * @param acrossMm finished diameter: the drawing is as large as the sum said
 */
export function bloomMesh(
  { layers, shape, bend, cupShare, centre }: BloomForm,
  acrossMm: number,
  seed: number,
  at: BloomFrame,
): Mesh {
  const stream = seededStream(seed)
  const outer = layers.at(-1)!
  const reach =
    Math.max(
      ...petalSurface(shape, outer.raisedDeg, bend, cupShare, GRAINS[0]!)
        .flat()
        .map(([along]) => along),
    ) * outer.share
  const scale = acrossMm / 2 / reach
  const faces: MeshFace[] = []
  const lines: MeshLine[] = []
  const turned = between(stream, 0, 360)
  ;[...layers].reverse().forEach((layer, depth) => {
    const grain = GRAINS.find(({ fromMm }) => scale * layer.share >= fromMm)!
    const { rows, sides } = grain
    const many = petalsOf(layer, seed)
    for (let petal = 0; petal < many; petal += 1) {
      const round =
        (turned + (depth * GOLDEN_DEG) / 2 + ((petal + between(stream, -0.16, 0.16)) * 360) / many) * RADIANS
      const long = scale * layer.share * between(stream, 0.9, 1.04)
      const surface = petalSurface(
        shape,
        layer.raisedDeg + between(stream, -7, 7),
        bend + between(stream, -10, 10),
        cupShare,
        grain,
      )
      const [lean, lift] = [between(stream, -0.12, 0.12), depth * scale * 0.035 + between(stream, 0, 0.4)]
      const points = surface.map((row) =>
        row.map(([along, side, off]): Point3 => {
          const [out, aside] = [along * long, (side + lean * along) * long]
          return at(
            out * Math.sin(round) + aside * Math.cos(round),
            out * Math.cos(round) - aside * Math.sin(round),
            off * long + lift,
          )
        }),
      )
      const deep = -0.1 - (0.1 * depth) / layers.length + between(stream, -0.06, 0.06)
      for (let row = 0; row + 1 < points.length; row += 1) {
        for (let side = 0; side + 1 < sides.length; side += 1) {
          faces.push({
            points: [
              points[row]![side]!,
              points[row]![side + 1]!,
              points[row + 1]![side + 1]!,
              points[row + 1]![side]!,
            ],
            opacity: 0.95,
            light: deep + 0.28 * rows[row + 1]!,
          })
        }
      }
      const [left, right] = [points.slice(1).map((row) => row[0]!), points.slice(1).map((row) => row.at(-1)!)]
      lines.push({
        points: [...left, ...points.at(-1)!.slice(1, -1), ...right.reverse()],
        widthMm: Math.min(0.6, long * 0.03),
        light: 0.34,
        opacity: 0.75,
        edge: true,
      })
    }
  })
  return { faces, lines: [...lines, ...fringe(centre, scale, stream, at)], beads: stamens(centre, scale, stream, at) }
}

function stamens(centre: Centre, scale: number, stream: () => number, at: BloomFrame): readonly MeshBead[] {
  if (centre.kind !== 'stamens') return []
  return Array.from({ length: centre.count }, (_, each): MeshBead => {
    const [round, away] = [each * GOLDEN_DEG * RADIANS, scale * 0.17 * Math.sqrt((each + 0.4) / centre.count)]
    return {
      at: at(away * Math.sin(round), away * Math.cos(round), scale * between(stream, 0.2, 0.34)),
      radiusMm: Math.max(0.5, scale * 0.034),
      tint: centre.tint,
      shine: 0.25,
    }
  })
}

function fringe(centre: Centre, scale: number, stream: () => number, at: BloomFrame): readonly MeshLine[] {
  if (centre.kind !== 'fringe') return []
  return Array.from({ length: centre.count }, (_, each): MeshLine => {
    const [round, away] = [each * GOLDEN_DEG * RADIANS, scale * 0.2 * Math.sqrt((each + 0.5) / centre.count)]
    const tip = away * 1.5 + scale * 0.03
    return {
      points: [
        at(away * 0.5 * Math.sin(round), away * 0.5 * Math.cos(round), scale * 0.1),
        at(tip * Math.sin(round), tip * Math.cos(round), scale * between(stream, 0.3, 0.42)),
      ],
      widthMm: Math.max(0.5, scale * 0.03),
      light: between(stream, -0.2, 0.25),
      opacity: 0.95,
      tint: centre.tint,
    }
  })
}
