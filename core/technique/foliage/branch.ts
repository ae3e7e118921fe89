import { between, seededStream } from '../../quantity'
import type { Frame } from '../frame'
import type { Mesh, MeshFace, MeshLine } from '../mesh'
import { leafForm, type LeafShape } from './leaf'

/**
 * One leaf of a branch: how far up the stem it sits as a share, on which side, and how long as a share of the longest.
 */
export type LeafPlace = { readonly up: number; readonly side: -1 | 1 | 0; readonly share: number }

/**
 * How a branch is drawn: how long, its leaves, how open they stand, how folded along the middle, how far it arches;
 * the stem's colour.
 */
type BranchForm = {
  readonly lengthMm: number
  readonly leafMm: number
  readonly shape: LeafShape
  readonly leaves: readonly LeafPlace[]
  readonly openDeg: number
  readonly foldDeg: number
  readonly arch: number
  readonly stem: string | null
}

const RADIANS = Math.PI / 180
/** A leaf has a stalk: it starts off the stem by this share of its length. */
const STALK = 0.14

/** A leaf's faces, veins and edge where it sits: along its own length, to its side, off its plane; mm. */
function leafParts(
  shape: LeafShape,
  longMm: number,
  foldDeg: number,
  curl: number,
  at: Frame,
): { readonly faces: readonly MeshFace[]; readonly lines: readonly MeshLine[] } {
  const { half, veins } = leafForm(shape)
  const rise = Math.tan(foldDeg * RADIANS)
  const place = (side: number, x: number, y: number) =>
    at(side * x * longMm, y * longMm, (x * rise + curl * y * y) * longMm)
  const rib = Array.from({ length: 5 }, (_, step) => place(1, 0, step / 4))
  const sides = [-1, 1].map((side) => half.map(({ x, y }) => place(side, x, y)))
  return {
    faces: sides.map((edge, index) => ({
      points: [...edge, ...[...rib].reverse().slice(1, -1)],
      opacity: 0.95,
      light: index === 0 ? 0.05 : -0.07,
    })),
    lines: [
      { points: rib, widthMm: 0.5, light: -0.3, opacity: 0.7 },
      ...veins.flatMap(([from, to]) =>
        [-1, 1].map((side): MeshLine => ({
          points: [place(side, from.x, from.y), place(side, to.x, to.y)],
          widthMm: 0.35,
          light: -0.24,
          opacity: 0.55,
        })),
      ),
      ...sides.map((edge): MeshLine => ({ points: edge, widthMm: 0.5, light: 0.32, opacity: 0.7, edge: true })),
    ],
  }
}

/** A branch from its foot: an arching stem with its leaves, each turned and curled its own way. */
export function branchMesh(
  { lengthMm, leafMm, shape, leaves, openDeg, foldDeg, arch, stem }: BranchForm,
  seed: number,
  at: Frame,
): Mesh {
  const stream = seededStream(seed)
  const sweep = arch * between(stream, 0.6, 1.3) * (between(stream, -1, 1) < 0 ? -1 : 1)
  const bulge = lengthMm * between(stream, 0.05, 0.12)
  const stemAt = (up: number) => ({
    across: sweep * lengthMm * up * up,
    up: lengthMm * up * (1 - 0.18 * Math.abs(sweep) * up),
    out: 2 + bulge * Math.sin(up * Math.PI * 0.8),
  })
  const parts = leaves.map(({ up, side, share }) => {
    const foot = stemAt(up)
    const heading = Math.atan2(2 * sweep * up, 1) / RADIANS
    const away = (heading + side * (openDeg + between(stream, -11, 11))) * RADIANS
    const long = leafMm * share * between(stream, 0.92, 1.06)
    const [tip, roll] = [between(stream, 0.06, 0.42), between(stream, -0.35, 0.35)]
    const leafAt: Frame = (across, ahead, off) => {
      const forward = ahead + STALK * long
      const [level, lifted] = [across * Math.cos(roll), across * Math.sin(roll) + off + forward * tip]
      return at(
        foot.across + forward * Math.sin(away) * Math.cos(tip) + level * Math.cos(away),
        foot.up + forward * Math.cos(away) * Math.cos(tip) - level * Math.sin(away),
        foot.out + lifted,
      )
    }
    const stalk: MeshLine = {
      points: [at(foot.across, foot.up, foot.out), leafAt(0, 0, 0)],
      widthMm: 0.6,
      light: -0.3,
      opacity: 0.9,
      ...(stem && { tint: stem }),
    }
    const drawn = leafParts(shape, long, foldDeg + between(stream, -8, 8), between(stream, -0.22, 0.16), leafAt)
    return { faces: drawn.faces, lines: [stalk, ...drawn.lines] }
  })
  const line: MeshLine = {
    points: Array.from({ length: 9 }, (_, step) => {
      const { across, up, out } = stemAt((step / 8) * (leaves.at(-1)?.up ?? 1))
      return at(across, up, out)
    }),
    widthMm: 1.1,
    light: -0.3,
    opacity: 1,
    ...(stem && { tint: stem }),
  }
  return { faces: parts.flatMap(({ faces }) => faces), lines: [line, ...parts.flatMap(({ lines }) => lines)] }
}
