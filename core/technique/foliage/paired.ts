/** What branches of paired leaves have in common, whichever way a leaf holds its wire. */
import { z } from 'zod'
import { derive, typed, type Working } from '../../quantity'
import { chosen } from '../chosen'
import type { HoldingPart, PieceKind, PlacedElement, Wall } from '../define'
import type { Frame } from '../frame'
import type { Mesh } from '../mesh'
import { branchWiring, SIDE_BRANCH_SHARE, wireFields } from '../wiring'
import { branchMesh, type LeafPlace } from './branch'
import { leafFields } from './leaf'
import { leafPieces } from './pieces'
import { countBySize, joinedFromTheTip, LEAF_SIZES, leavesOn, pairsOn } from './sizes'
import { branchStance } from './stance'

const parameters = z.strictObject({
  lengthMm: z.number().min(40).max(300).meta({ label: 'Branch long', kind: 'length', help: 'Of the longest' }),
  leaves: z
    .number()
    .int()
    .min(2)
    .max(41)
    .nullable()
    .meta({ label: 'Leaves', kind: 'count', help: 'None typed: in pairs, as many as fill it' }),
  pairMm: z.number().min(8).max(80).meta({ label: 'Pairs apart', kind: 'length' }),
  sideBranches: z.number().int().min(0).max(6).meta({ label: 'Side branches', kind: 'count', help: 'Half as long' }),
  leafMm: z.number().min(14).max(110).meta({ label: 'Largest leaf', kind: 'length' }),
  ...leafFields,
  openDeg: z.number().min(15).max(85).meta({ label: 'Leaves stand off by', kind: 'angle' }),
  foldDeg: z.number().min(0).max(50).meta({ label: 'Folded', kind: 'angle', help: 'Along the middle' }),
  arch: z.number().min(0).max(0.6).meta({ label: 'Arch', kind: 'share' }),
  footMm: z
    .number()
    .min(40)
    .max(60)
    .meta({ label: 'For the holder', kind: 'length', help: 'Of the stem, 40 to 60 mm' }),
  extensionMm: z.number().min(0).max(200).meta({ label: 'Extension wire', kind: 'length', help: '0 is none' }),
  ...wireFields,
})

export type Branch = z.infer<typeof parameters>

/** What is asked of a branch besides its size, leaf and stance. */
export const PLAIN_BRANCH = {
  leaves: null,
  pairMm: 25,
  sideBranches: 0,
  footMm: 50,
  extensionMm: 0,
  wireCut: 'quarter',
  gauge: 'usual',
} as const satisfies Partial<Branch>

/** How a leaf is made: of how many plies, which face out, and how far up it its wire goes, as a share of the leaf. */
type Leaf = {
  readonly plies: 1 | 2
  readonly face: PieceKind['face']
  readonly upLeaf: number
  readonly patched: boolean
  /** What its technique begins with. */
  readonly began: Branch
}

/** Leaves of a side branch are of the two smaller sizes. */
const onSideBranch = (place: LeafPlace): LeafPlace => ({
  ...place,
  share: place.share === LEAF_SIZES[0].share ? LEAF_SIZES[1].share : LEAF_SIZES[2].share,
})

/** Form, pieces, wires, assembly and drawing of a branch of paired leaves. */
export const pairedLeaves = ({ plies, face, upLeaf, patched, began }: Leaf) => {
  const long = ({ lengthMm }: Pick<Branch, 'lengthMm'>): Working =>
    chosen('branch long', lengthMm, began.lengthMm, 'length')
  const apart = ({ pairMm }: Branch): Working => chosen('pairs apart', pairMm, began.pairMm, 'length')
  /** Leaves along the stem, and along one of its side branches. */
  const onStem = (branch: Branch): Working =>
    branch.leaves === null
      ? derive(
          'leaves on the stem',
          'count',
          'in pairs, one at the tip',
          '2 × {pairs} + 1',
          { pairs: pairsOn(long(branch), apart(branch)) },
          (v) => 2 * v.pairs + 1,
        )
      : typed('leaves on the stem', branch.leaves, 'count', 'Arrange')
  const onSide = (branch: Branch): Working =>
    derive(
      'leaves on a side branch',
      'count',
      'half as many, one at the tip',
      'round( {onStem} ÷ 2 ), odd',
      { onStem: onStem(branch) },
      (v) => 2 * Math.floor(v.onStem / 4) + 1,
    )
  const leavesOf = (branch: Branch): Working =>
    branch.sideBranches === 0
      ? { ...onStem(branch), label: 'leaves' }
      : derive(
          'leaves',
          'count',
          'leaves of a branch',
          '{onStem} + {side} × {onSide}',
          {
            onStem: onStem(branch),
            side: typed('side branches', branch.sideBranches, 'count', 'Arrange'),
            onSide: onSide(branch),
          },
          (v) => v.onStem + v.side * v.onSide,
        )
  const placesOf = (branch: Branch): readonly LeafPlace[] => [
    ...leavesOn(onStem(branch).value),
    ...Array.from({ length: branch.sideBranches }, () => leavesOn(onSide(branch).value).map(onSideBranch)).flat(),
  ]
  return {
    element: 'branch',
    compositions: ['cluster', 'crown', 'sweep', 'scatter', 'pair', 'single'] as const,
    gathers: { kind: 'spray', girth: 0.3 } as const,
    finishes: ['dusting', 'edgeGilding', 'speckle', 'twoTone'] as const,
    parameters,
    sizedBy: ['lengthMm', 'leafMm'] as const,
    seen: ({ lengthMm, leafMm }: Branch) => ({ widthMm: leafMm * 1.7, heightMm: lengthMm }),

    pieces: (branch: Branch, size: number) => {
      const { leaf, leafWide, leafMm } = branch
      const largest = chosen('largest leaf', leafMm, began.leafMm, 'length')
      return leafPieces({ leaf, leafWide }, largest, countBySize(placesOf(branch)), size, plies, face)
    },

    figures: (branch: Branch) => [leavesOf(branch)],

    wiring: (branch: Branch, size: number) =>
      branchWiring({ ...branch, size, leaves: leavesOf(branch).value, upLeaf, patched }),

    assembly: (branch: Branch) => ({
      kind: 'branch' as const,
      shape: branch,
      lengthMm: long(branch),
      moves: joinedFromTheTip(leavesOn(onStem(branch).value), branch.lengthMm),
    }),

    holdingParts: (branch: Branch): readonly HoldingPart[] => [
      { id: 'leafWire', name: 'wires of leaves', perElement: leavesOf(branch).value, stays: true },
      {
        id: 'stemWire',
        name: 'stem wires',
        perElement: 1 + branch.sideBranches + (branch.extensionMm > 0 ? 1 : 0),
        stays: true,
      },
    ],

    draw: (branch: Branch, element: PlacedElement, wall: Wall): Mesh => {
      const { leaf, leafWide, openDeg, foldDeg, arch, sideBranches } = branch
      const stance = branchStance(element, wall)
      const [lengthMm, leafMm] = [branch.lengthMm * element.size, branch.leafMm * element.size]
      const form = { shape: { leaf, leafWide }, openDeg, foldDeg, arch, stem: '#6d6a45' }
      const main = branchMesh(
        { ...form, lengthMm, leafMm, leaves: leavesOn(onStem(branch).value) },
        element.seed,
        stance,
      )
      const sides = Array.from({ length: sideBranches }, (_, at): Mesh => {
        const side = at % 2 === 0 ? 1 : -1
        const up = lengthMm * (0.25 + (0.5 * (at + 0.5)) / sideBranches)
        const turn = side * SIDE_BRANCH_TURN
        const frame: Frame = (across, ahead, out) =>
          stance(
            across * Math.cos(turn) + ahead * Math.sin(turn),
            up + ahead * Math.cos(turn) - across * Math.sin(turn),
            out,
          )
        const leaves = leavesOn(onSide(branch).value)
        return branchMesh(
          { ...form, lengthMm: lengthMm * SIDE_BRANCH_SHARE, leafMm: leafMm * LEAF_SIZES[1].share, leaves },
          element.seed + at + 1,
          frame,
        )
      })
      return {
        faces: [main, ...sides].flatMap(({ faces }) => faces),
        lines: [main, ...sides].flatMap(({ lines }) => lines),
      }
    },
    startingParameters: began,
  }
}

/** A side branch leaves its stem at this angle, radians. */
const SIDE_BRANCH_TURN = 0.8
