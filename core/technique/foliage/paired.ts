/** What branches of paired leaves have in common, whichever way a leaf holds its wire. */
import { z } from 'zod'
import { chosen } from '../chosen'
import type { HoldingPart, PieceKind, PlacedElement, Wall } from '../define'
import { branchWiring } from '../wiring'
import { branchMesh } from './branch'
import { leafFields } from './leaf'
import { leafPieces } from './pieces'
import { countBySize, joinedFromTheTip, leavesInPairs, pairsOn } from './sizes'
import { branchStance } from './stance'

const parameters = z.strictObject({
  lengthMm: z.number().min(40).max(300).meta({ label: 'Branch long', kind: 'length', help: 'Of the longest' }),
  leafMm: z.number().min(14).max(110).meta({ label: 'Largest leaf', kind: 'length' }),
  ...leafFields,
  openDeg: z.number().min(15).max(85).meta({ label: 'Leaves stand off by', kind: 'angle' }),
  foldDeg: z.number().min(0).max(50).meta({ label: 'Folded', kind: 'angle', help: 'Along the middle' }),
  arch: z.number().min(0).max(0.6).meta({ label: 'Arch', kind: 'share' }),
})

type Branch = z.infer<typeof parameters>

/** How a leaf is made: of how many plies, which face out, and how far up it its wire goes, as a share of the leaf. */
type Leaf = {
  readonly plies: 1 | 2
  readonly face: PieceKind['face']
  readonly upLeaf: number
  readonly patched: boolean
  /** What its technique begins with. */
  readonly began: Branch
}

/** Form, pieces, wires, assembly and drawing of a branch of paired leaves. */
export const pairedLeaves = ({ plies, face, upLeaf, patched, began }: Leaf) => {
  const long = ({ lengthMm }: Pick<Branch, 'lengthMm'>) => chosen('branch long', lengthMm, began.lengthMm, 'length')
  const pairsOf = (branch: Pick<Branch, 'lengthMm'>) => pairsOn(long(branch))
  return {
    element: 'branch',
    compositions: ['cluster', 'crown', 'sweep', 'scatter', 'pair', 'single'] as const,
    gathers: { kind: 'spray', girth: 0.3 } as const,
    finishes: ['dusting', 'edgeGilding', 'speckle', 'twoTone'] as const,
    parameters,
    sizedBy: ['lengthMm', 'leafMm'] as const,
    seen: ({ lengthMm, leafMm }: Branch) => ({ widthMm: leafMm * 1.7, heightMm: lengthMm }),

    pieces: ({ lengthMm, leafMm, leaf, leafWide }: Branch, size: number) => {
      const leaves = countBySize(leavesInPairs(pairsOf({ lengthMm }).value))
      const largest = chosen('largest leaf', leafMm, began.leafMm, 'length')
      return leafPieces({ leaf, leafWide }, largest, leaves, size, plies, face)
    },

    figures: (values: Branch) => [pairsOf(values)],

    wiring: (values: Branch, size: number) =>
      branchWiring({ ...values, size, leaves: 2 * pairsOf(values).value + 1, upLeaf, patched }),

    assembly: (values: Branch) => ({
      kind: 'branch' as const,
      shape: values,
      lengthMm: long(values),
      moves: joinedFromTheTip(leavesInPairs(pairsOf(values).value), values.lengthMm),
    }),

    holdingParts: ({ lengthMm }: Branch): readonly HoldingPart[] => [
      { id: 'leafWire', name: 'wires of leaves', perElement: 2 * pairsOf({ lengthMm }).value + 1, stays: true },
      { id: 'stemWire', name: 'stem wires', perElement: 1, stays: true },
    ],

    draw: ({ lengthMm, leafMm, leaf, leafWide, openDeg, foldDeg, arch }: Branch, element: PlacedElement, wall: Wall) =>
      branchMesh(
        {
          lengthMm: lengthMm * element.size,
          leafMm: leafMm * element.size,
          shape: { leaf, leafWide },
          leaves: leavesInPairs(pairsOf({ lengthMm }).value),
          openDeg,
          foldDeg,
          arch,
          stem: '#6d6a45',
        },
        element.seed,
        branchStance(element, wall),
      ),
    startingParameters: began,
  }
}
