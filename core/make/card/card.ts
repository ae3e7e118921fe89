/** A card: one task as it is done, with what it takes and what to mind. */
import { type Commission } from '../../commission'
import { type TaskRecord } from '../../ledger'
import { TIMED_RULE } from '../../learn'
import { type Plan } from '../../plan'
import { workingsBelow, type Moment, type UnitSystem, type Working } from '../../quantity'
import { type Load, type SlotKind, type TaskOf } from '../../schedule'

/** A timer that a card offers. */
type OfferedTimer = { readonly name: string; readonly minutes: number }

/** What is seen on a card: what lies on its mat, sheets with their pieces, an element of a decoration, the cake. */
export type CardPicture =
  | { readonly kind: 'load'; readonly decoration: string; readonly load: Load; readonly former: 'mat' | 'tray' }
  | { readonly kind: 'sheets'; readonly decoration: string }
  | { readonly kind: 'element'; readonly decoration: string }
  | { readonly kind: 'cake' }

export type StepCard = {
  readonly task: string
  readonly kind: SlotKind
  /** Which step of which decoration it is; none at the cake and on the road. */
  readonly of: TaskOf | null
  readonly name: string
  readonly from: Moment
  readonly to: Moment
  readonly planned: Working
  readonly record: TaskRecord | null
  readonly say: readonly string[]
  readonly amounts: readonly { readonly label: string; readonly text: string }[]
  /** What is seen when it goes wrong, and why. */
  readonly watch: readonly string[]
  readonly cautions: readonly string[]
  readonly timers: readonly OfferedTimer[]
  /** What it is left to do by itself after, and for how long. */
  readonly rest: OfferedTimer | null
  /**
   * The parts that are in hand, how many of each, and whether they come out finished here; none where nothing is
   * counted.
   */
  readonly counts: {
    readonly technique: string
    readonly finishes: boolean
    readonly parts: readonly { readonly id: string; readonly many: number }[]
  } | null
  /** What the ledger calls it, and how long it takes by starting values; none where its speed is not learned. */
  readonly ledger: { readonly step: string; readonly standardMin: number } | null
  readonly picture: CardPicture
}

export type Wanted = { readonly plan: Plan; readonly commission: Commission; readonly units: UnitSystem }

export const NOTHING = {
  say: [],
  amounts: [],
  watch: [],
  cautions: [],
  timers: [],
  rest: null,
  counts: null,
  ledger: null,
} as const
export type Told = Omit<StepCard, 'task' | 'kind' | 'of' | 'name' | 'from' | 'to' | 'planned' | 'record'>

/**
 * How long work takes by starting values: what was learned of it is taken out again, so that factors are always told
 * against the same beginning.
 */
export function ledgerOf(
  step: string,
  working: Working,
  { learned }: Pick<Plan, 'learned'>,
): NonNullable<StepCard['ledger']> {
  const isTimed = workingsBelow(working).some(({ source }) => source.from === 'derived' && source.rule === TIMED_RULE)
  return { step, standardMin: working.value / (isTimed ? (learned.hands[step]?.median ?? 1) : 1) }
}
