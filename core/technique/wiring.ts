import { z } from 'zod'
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

/** Wires are sold about so long, mm. */
export const STOCK_WIRE_MM = 360
/** How a stock wire is cut: as long as each piece asks, or in equal parts. */
const WIRE_CUTS = ['asLong', 'half', 'third', 'quarter'] as const
const PARTS: Readonly<Record<(typeof WIRE_CUTS)[number], number>> = { asLong: 1, half: 2, third: 3, quarter: 4 }
const WIRE_GAUGES = ['usual', '26', '24', '22', '20'] as const

/** How the wires of what stands on wires are cut, and how heavy they are. */
export const wireFields = {
  wireCut: z.enum(WIRE_CUTS).meta({
    label: 'Wires cut',
    kind: 'choice',
    options: { asLong: 'as long as each asks', half: 'in halves', third: 'in thirds', quarter: 'in quarters' },
  }),
  gauge: z.enum(WIRE_GAUGES).meta({
    label: 'Wire',
    kind: 'choice',
    options: { usual: 'the usual gauge', 26: 'gauge 26, thin', 24: 'gauge 24', 22: 'gauge 22', 20: 'gauge 20, heavy' },
  }),
}
type WireChoice = z.infer<z.ZodObject<typeof wireFields>>

/** The gauge that was chosen, or the usual one. */
const gaugeOf = ({ gauge }: Pick<WireChoice, 'gauge'>, usual: Gauge): Gauge =>
  gauge === 'usual' ? usual : (Number(gauge) as Gauge)

/** A wire as it is cut: a part of a stock wire, where that is long enough, else as long as it is asked. */
function asCut(label: string, asked: Working, { wireCut }: Pick<WireChoice, 'wireCut'>): Working {
  const part = STOCK_WIRE_MM / PARTS[wireCut]
  if (wireCut === 'asLong' || part < asked.value) return { ...asked, label }
  return derive(
    label,
    'length',
    'parts of a stock wire',
    '{stock} ÷ {parts}, at least {asked}',
    {
      stock: starting('stock wire', STOCK_WIRE_MM, 'length', 'usual'),
      parts: found('parts', PARTS[wireCut], 'count', 'chosen in Arrange'),
      asked,
    },
    (v) => v.stock / v.parts,
  )
}

/** A hook or a flattened loop takes so much of a wire, mm. */
const HOOK_MM = 12
/** What stands in the holder, mm: between 40 and 60. */
export const HOLDER_MM = 50
/** A side branch is so long against its stem. */
export const SIDE_BRANCH_SHARE = 0.5
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
  ...choice
}: WireChoice & {
  readonly acrossMm: number
  /** Below the bloom. */
  readonly stem: Working
  readonly hooked: boolean
}): Wiring {
  const gauge = gaugeOf(choice, acrossMm < SMALL_BLOOM_MM ? 26 : acrossMm > LARGE_BLOOM_MM ? 22 : 24)
  return {
    wires: [
      {
        name: 'bloom',
        gauge,
        length: asCut('wire of a bloom', wireLength('asked of a bloom', stem, hooked, true), choice),
        perElement: 1,
      },
    ],
    tape: [tapeFor(stem, gauge === 26 ? 'half' : 'full')],
    patches: 0,
    holders: 1,
  }
}

type BranchNeeds = WireChoice & {
  readonly lengthMm: number
  readonly leafMm: number
  readonly size: number
  readonly leaves: number
  readonly sideBranches: number
  readonly extensionMm: number
  readonly footMm: number
  readonly upLeaf: number
  readonly patched: boolean
}

/**
 * Wires of a branch: a thin one to each leaf, reaching up it by a share; one to each side branch; a heavy one for the
 * stem, lengthened by an extension where one is asked; a patch holds each leaf's wire unless it lies between two plies.
 */
export function branchWiring(needs: BranchNeeds): Wiring {
  const { lengthMm, leafMm, size, leaves, sideBranches, extensionMm, footMm, upLeaf, patched, ...choice } = needs
  const leaf = found('largest leaf here', leafMm * size, 'length', 'from its place')
  const stem = found('branch here', lengthMm * size, 'length', 'from its place')
  const foot = starting('left for the holder', footMm, 'length', 'usual')
  const upTheLeaf = derive(
    'asked of a leaf',
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
  const stemLong = derive(
    'wire of a stem',
    'length',
    'wires',
    '{stem} + {foot}',
    { stem, foot },
    (v) => v.stem + v.foot,
  )
  const side = derive(
    'wire of a side branch',
    'length',
    'wires',
    '{stem} × {share} + {joint}',
    {
      stem,
      share: starting('side branch, of the stem', SIDE_BRANCH_SHARE, 'share', 'usual'),
      joint: starting('down the stem to its joint', 45, 'length', 'usual'),
    },
    (v) => v.stem * v.share + v.joint,
  )
  const extension = derive(
    'extension wire',
    'length',
    'wires',
    '{extension} + {joint}',
    {
      extension: found('extension', extensionMm, 'length', 'chosen in Arrange'),
      joint: starting('beside the stem', 45, 'length', 'usual'),
    },
    (v) => v.extension + v.joint,
  )
  return {
    wires: [
      {
        name: 'leaf',
        gauge: gaugeOf(choice, leafMm * size > 45 ? 24 : 26),
        length: asCut('wire of a leaf', upTheLeaf, choice),
        perElement: leaves,
      },
      { name: 'stem', gauge: 20, length: stemLong, perElement: 1 },
      ...(sideBranches > 0
        ? [{ name: 'side branch', gauge: 24 as const, length: side, perElement: sideBranches }]
        : []),
      ...(extensionMm > 0 ? [{ name: 'extension', gauge: 20 as const, length: extension, perElement: 1 }] : []),
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
            leaves: found('leaves and side branches', leaves + sideBranches, 'count', 'by the technique'),
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
