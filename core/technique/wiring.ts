import { derive, found, starting, type Working } from '../quantity'

/** Wire gauges in use: the higher, the thinner. */
export const GAUGES = [26, 24, 22, 20] as const
export type Gauge = (typeof GAUGES)[number]

/** Wires alike that an element takes: what they carry, their gauge, how long each is cut. */
type WireNeed = {
  readonly name: string
  readonly gauge: Gauge
  readonly length: Working
  readonly perElement: number
}

/** Tape wound round wires of an element: full width, or slit in half for thin wires. */
export type TapeNeed = { readonly width: 'full' | 'half'; readonly length: Working }

/**
 * What an element is wired with, the patches that hold its wires, and whether its foot goes into a holder in the cake.
 */
export type Wiring = {
  readonly wires: readonly WireNeed[]
  readonly tape: readonly TapeNeed[]
  readonly patches: number
  readonly holders: number
}

/** A hook or a flattened loop takes so much of a wire, mm. */
const HOOK_MM = 12
/** What stands in the holder, mm: between 40 and 60. */
export const HOLDER_MM = 50
/** Blooms less than this across stand on the thinnest wire. */
const SMALL_BLOOM_MM = 26
/** Above this a bloom wants more than the usual wire. */
const LARGE_BLOOM_MM = 85

/** Tape for a wound length: it runs round at a slant and is stretched as it goes. */
export function tapeFor(wound: Working, width: TapeNeed['width']): TapeNeed {
  const slant = starting(`tape for a length wound, ${width} width`, width === 'full' ? 1.9 : 2.4, 'ratio', 'guess')
  return {
    width,
    length: derive(
      `${width === 'full' ? 'full' : 'half'} tape`,
      'length',
      'tape wound on wire',
      '{wound} × {slant} ÷ {stretch}',
      { wound, slant, stretch: starting('stretched', 1.6, 'ratio', 'usual') },
      (v) => (v.wound * v.slant) / v.stretch,
    ),
  }
}

/** A wire as long as what is seen of it, its hook, and its foot in the holder. */
export const wireLength = (label: string, seen: Working, hooked: boolean, inHolder: boolean): Working =>
  derive(
    label,
    'length',
    'wires',
    `{seen}${hooked ? ' + {hook}' : ''}${inHolder ? ' + {foot}' : ''}`,
    {
      seen,
      ...(hooked && { hook: starting('hook or loop', HOOK_MM, 'length', 'usual') }),
      ...(inHolder && { foot: starting('in the holder', HOLDER_MM, 'length', 'usual') }),
    },
    () => seen.value + (hooked ? HOOK_MM : 0) + (inHolder ? HOLDER_MM : 0),
  )

/** Wire, tape and holder of one bloom on its own stem. */
export function bloomWiring({
  acrossMm,
  stem,
  hooked,
}: {
  readonly acrossMm: number
  /** Below the bloom. */
  readonly stem: Working
  readonly hooked: boolean
}): Wiring {
  const gauge: Gauge = acrossMm < SMALL_BLOOM_MM ? 26 : acrossMm > LARGE_BLOOM_MM ? 22 : 24
  return {
    wires: [{ name: 'bloom', gauge, length: wireLength('wire of a bloom', stem, hooked, true), perElement: 1 }],
    tape: [tapeFor(stem, gauge === 26 ? 'half' : 'full')],
    patches: 0,
    holders: 1,
  }
}

type BranchNeeds = {
  readonly lengthMm: number
  readonly leafMm: number
  readonly size: number
  readonly leaves: number
  readonly upLeaf: number
  readonly patched: boolean
}

/**
 * Wires of a branch: a thin one to each leaf, reaching up it by a share, and a heavy one for the stem; a patch holds
 * each leaf's wire unless it lies between two plies.
 */
export function branchWiring({ lengthMm, leafMm, size, leaves, upLeaf, patched }: BranchNeeds): Wiring {
  const leaf = found('largest leaf here', leafMm * size, 'length', 'from its place')
  const stem = found('branch here', lengthMm * size, 'length', 'from its place')
  const upTheLeaf = derive(
    'wire of a leaf',
    'length',
    'wires of leaves',
    '{leaf} × {up} + {joint}',
    {
      leaf,
      up: starting('up the leaf', upLeaf, 'share', 'usual'),
      joint: starting('down the stem to its joint', 45, 'length', 'usual'),
    },
    (v) => v.leaf * v.up + v.joint,
  )
  return {
    wires: [
      { name: 'leaf', gauge: leafMm * size > 45 ? 24 : 26, length: upTheLeaf, perElement: leaves },
      { name: 'stem', gauge: 20, length: wireLength('wire of a stem', stem, false, true), perElement: 1 },
    ],
    tape: [
      tapeFor(stem, 'full'),
      tapeFor(
        derive(
          'joints',
          'length',
          'tape wound on wire',
          '{leaves} × {each}',
          {
            leaves: found('leaves', leaves, 'count', 'by the technique'),
            each: starting('wound below a leaf', 20, 'length', 'usual'),
          },
          (v) => v.leaves * v.each,
        ),
        'half',
      ),
    ],
    patches: patched ? leaves : 0,
    holders: 1,
  }
}
