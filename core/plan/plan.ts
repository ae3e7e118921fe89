import type { BoxFit, StandingTier } from '../cake'
import type { CareCard, Caution, Leaf } from '../care'
import type { Commission } from '../commission'
import type { PlannedDecoration } from '../decoration'
import type { Learned } from '../learn'
import type { MadeMixture } from '../mixture'
import type { Moment, Result, UnitSystem, Working } from '../quantity'
import type { NoTimetable, Stretch, Timetable, Work } from '../schedule'
import type { DyeUse, SheetNeed, SheetSupply } from '../supply'
import type { Workshop } from '../workshop'
import type { PlannedAccent } from './stages/accents'
import type { PlannedBouquet } from './stages/bouquets'
import type { Fitting } from './stages/boxFit'
import type { CakeFacts } from './stages/cake'
import type { CutGroup, Nested } from './stages/cutting/group'
import type { Conditioned } from './stages/conditioned'
import type { Liquids } from './stages/liquids'
import type { SoakedDrying } from './stages/dry'
import type { Slowing } from './stages/rests'
import type { Inedible } from './stages/inedible'
import type { OnTier } from './stages/onTheCake'
import type { DishWork } from './stages/tint'
import type { WireWork } from './stages/wires'

/** What goes into a plan: what is wanted, what we have, and the hour it is now. */
export type PlanInputs = {
  readonly commission: Commission
  readonly workshop: Workshop
  readonly now: Moment
  readonly units: UnitSystem
  /** What a search for closer layouts has found so far; nothing when none was made. */
  readonly nested?: Nested
  /** Hours that hands are at other commissions. */
  readonly others?: readonly Stretch[]
  /** How many orders of work are tried for the timetable; a few when it is not said. */
  readonly walks?: number
}

export type TallyId = 'pieces' | 'paper' | 'colours' | 'handsOn' | 'startBy' | 'cost' | 'warnings'

/** A figure of the tally; `working` is null when there is none to give, and `none` says why. */
export type TallyFigure = {
  readonly id: TallyId
  readonly label: string
  readonly working: Working | null
  readonly beside: string
  readonly none: string
}

export type LeafState = 'empty' | 'ready' | 'look' | 'stop'

/** Why there is no timetable. */
export type NoTimetableReason = NoTimetable | { readonly code: 'never-sets' } | { readonly code: 'nothing-to-make' }

/** Everything that follows from a commission and a workshop. */
export type Plan = {
  /** What the studio's own trials say, as this plan goes by it. */
  readonly learned: Learned
  readonly stack: readonly StandingTier[]
  readonly cake: CakeFacts
  readonly decorations: readonly PlannedDecoration[]
  readonly bouquets: readonly PlannedBouquet[]
  readonly accents: readonly PlannedAccent[]
  /** As it travels. */
  readonly fit: BoxFit
  readonly finished: Fitting['finished']
  readonly remedies: Fitting['remedies']
  /** Sheets and discs with what is cut from them, and how many of each size are opened. */
  readonly groups: readonly CutGroup[]
  readonly sheets: readonly SheetNeed[]
  /** Sheets torn whole for slurry, among them. */
  readonly torn: SheetNeed | null
  /** Mixtures that each decoration takes, step by step. */
  readonly liquids: Liquids
  /** Colours in dishes and baths, and whether they suit. */
  readonly dishes: DishWork
  /** How this room dries damped paper; each way in which soaked film dries. */
  readonly slowing: Slowing
  readonly conditioned: readonly Conditioned[]
  readonly dryings: readonly SoakedDrying[]
  /** How long paper stays stiff on each tier. */
  readonly onTheCake: readonly OnTier[]
  readonly work: Work
  /** Pieces larger than the mat or tray they dry on. */
  readonly tooBig: number
  readonly timetable: Result<Timetable, NoTimetableReason>
  readonly supplies: readonly SheetSupply[]
  /** What the job takes of each dye. */
  readonly dyeUses: readonly DyeUse[]
  readonly cost: Working
  readonly wires: WireWork
  readonly mixtures: readonly MadeMixture[]
  readonly careCard: CareCard
  /** What is not food and goes in, so that it comes out again. */
  readonly inedible: readonly Inedible[]
  readonly cautions: readonly Caution[]
  readonly tally: readonly TallyFigure[]
  readonly leafStates: Readonly<Record<Leaf, LeafState>>
}
