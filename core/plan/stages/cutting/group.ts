/** What is cut together, once it is laid out. */
import {
  type CutLayout,
  type CutPart,
  type CuttingWay,
  type KeptSheet,
  type NestJob,
  type NestLayout,
  type Remainder,
} from '../../../cut'
import { type PaperId, type StockShape } from '../../../material'
import { type Working } from '../../../quantity'
import { type SheetNeed } from '../../../supply'

/** Layouts that a search has found so far, by the key of their job. */
export type Nested = Readonly<Record<string, NestLayout>>

/** Sheets that are cut together. */
export type CutGroup = {
  readonly id: string
  readonly paper: PaperId
  /** What it may be cut from. */
  readonly shapes: readonly StockShape[]
  readonly way: CuttingWay
  readonly plies: number
  /** To how many layers its strips are folded before pieces are cut out; 1 is not at all. */
  readonly layers: number
  /** The colour its sheets have all over, when they are coloured before they are cut. */
  readonly colour: string | null
  readonly parts: readonly CutPart[]
  readonly layout: CutLayout
  /** Locked sheets that hold, in the order of the first sheets of the layout. */
  readonly kept: readonly KeptSheet[]
  /** Locked sheets that no longer hold what they held, and are laid out anew. */
  readonly released: number
  /** What a search can lay closer; none when all is done by hand or locked. */
  readonly search: { readonly key: string; readonly job: NestJob } | null
  /** Whether a search has laid it; else pieces lie in strips for now. */
  readonly isNested: boolean
  /** Sheets saved by cutting these together rather than each so many at once as was chosen; null where they are not. */
  readonly savedSheets: Working | null
  readonly sheets: Working
  /** The same by size. */
  readonly needs: readonly SheetNeed[]
  readonly strokes: Working
  readonly minutes: Working
  /** Share of the paper that becomes pieces. */
  readonly used: Working
  /** What neither becomes pieces nor is worth keeping whole. */
  readonly offcuts: Working
  /** Straight pieces worth keeping, and the sheets they are left of. */
  readonly remainders: readonly { readonly sheet: number; readonly plies: number; readonly left: Remainder }[]
}
