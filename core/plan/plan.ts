import type { BoxFit } from '../cake'
import type { Fitting } from './boxFit'
import type { CakeFacts } from './cakeStage'
import type { CareCard, Caution, Leaf } from '../care'
import type { CutDisc } from '../cut'
import type { DryingEstimate, DryingRemedy } from '../dry'
import type { MadeMixture } from '../mixture'
import type { CutList } from '../piece'
import type { Moment, Result, UnitSystem, Working } from '../quantity'
import type { FormerLoad, NoTimetable, Stretch, Timetable, Work } from '../schedule'
import type { DiscSupply, DyeUse } from '../supply'
import type { Learned, LearnedDye } from '../learn'
import type { LadderStep, Recipe, SteppedBath } from '../tint'
import type { PlannedAccent } from './accents'
import type { Arrangement } from './arrange'
import type { PlannedBouquet } from './bouquets'
import type { Commission } from './commission'
import type { CutGroup, Nested } from './cutting'
import type { DishWork } from './dishes'
import type { Inedible } from './inedible'
import type { Slowing } from './making'
import type { OnTier } from './onTheCake'
import type { Paperwork } from './paperwork'
import type { WireWork } from './wiring'
import type { Workshop } from './workshop'

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

export type TallyId = 'sails' | 'discs' | 'paper' | 'bath' | 'handsOn' | 'startBy' | 'cost' | 'warnings'

/** A figure of the tally; `working` is null when there is none to give, and `none` says why. */
export type TallyFigure = {
  readonly id: TallyId
  readonly label: string
  readonly working: Working | null
  readonly beside: string
  readonly none: string
}

export type LeafState = 'empty' | 'ready' | 'look' | 'stop'

/** Everything that follows from a commission and a workshop. */
export type Plan = {
  /** What the studio's own trials say, as this plan goes by it. */
  readonly learned: Learned
  readonly arrangement: Arrangement
  readonly paperwork: readonly Paperwork[]
  readonly bouquets: readonly PlannedBouquet[]
  readonly wires: WireWork
  readonly mixtures: readonly MadeMixture[]
  readonly accents: readonly PlannedAccent[]
  readonly cake: CakeFacts
  /** As it travels. */
  readonly fit: BoxFit
  readonly finished: Fitting['finished']
  readonly remedies: Fitting['remedies']
  readonly cost: Working
  readonly mix: Recipe
  /** Every dye of the shelf, in its order, as its strips have it. */
  readonly dyes: readonly LearnedDye[]
  readonly ladder: readonly LadderStep[]
  readonly cutList: CutList
  readonly discs: readonly CutDisc[]
  readonly strokes: Working
  /** Sheets with what is cut from them. */
  readonly groups: readonly CutGroup[]
  readonly supplies: readonly DiscSupply[]
  readonly bath: SteppedBath | null
  /** Colours for what is cut from sheets, and whether they suit. */
  readonly dishes: DishWork
  /** What the job takes of each dye. */
  readonly dyeUses: readonly DyeUse[]
  readonly drying: DryingEstimate
  /** The same film in the same way in a room at 75 %. */
  readonly dryingWhenDamp: DryingEstimate
  /** Ways of drying the film compared, as it is first. */
  readonly dryingRemedies: readonly DryingRemedy[]
  /** How this room dries paper. */
  readonly slowing: Slowing
  /** How long paper stays stiff on each tier. */
  readonly onTheCake: readonly OnTier[]
  readonly loads: readonly FormerLoad[]
  readonly work: Work
  readonly timetable: Result<
    Timetable,
    NoTimetable | { readonly code: 'never-sets' } | { readonly code: 'nothing-to-make' }
  >
  readonly careCard: CareCard
  /** What is not food and goes in, so that it comes out again. */
  readonly inedible: readonly Inedible[]
  readonly cautions: readonly Caution[]
  readonly tally: readonly TallyFigure[]
  readonly leafStates: Readonly<Record<Leaf, LeafState>>
}
