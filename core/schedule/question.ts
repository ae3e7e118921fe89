/** What a timetable is asked for. */
import type { Moment } from '../quantity'
import type { Person, Resource } from './task'
import type { Completion, Work } from './work'

/** A tier as it is filled, covered and made ready. */
export type TierToDress = {
  readonly id: string
  /** Cake with a filling; a dummy has none. */
  readonly isFilled: boolean
  readonly isChilled: boolean
  /** Whether it stands on another tier. */
  readonly isStacked: boolean
  /** What it is covered with here; none for a bare dummy. */
  readonly covering: {
    readonly id: string
    readonly name: string
    /** Minutes until its skin takes paper, and what to wait for. */
    readonly readyMin: number
    readonly readyWhen: string
    /** Covered no earlier than so long before the event. */
    readonly keepsMin: number
  } | null
}

export type TimetableQuestion = {
  readonly eventAt: Moment
  /** On the road, with stops. */
  readonly driveMin: number
  /** The cake, the lowest tier first. */
  readonly tiers: readonly TierToDress[]
  /** Kept chilled until guests look at it; else it is out of the refrigerator from the hour paper goes on. */
  readonly isKeptChilled: boolean
  /**
   * Minutes a chilled cake stands out of the refrigerator until it is above the dew point, where it is decorated and
   * where it is shown; 0 when nothing is chilled.
   */
  readonly warmMin: { readonly here: number; readonly there: number }
  /** Minutes that what was placed sets before picks come out. */
  readonly setMin: number
  /** Ready so long before the event, minutes. */
  readonly aheadMin: number
  /** Nobody is let in before. */
  readonly venueOpensAt: Moment
  /** The chance of being ready that is wanted. */
  readonly wantedChance: number
  readonly completion: Completion
  readonly work: Work
  /** Mats, trays, places in the oven, moulds: how many there are of what steps occupy. */
  readonly resources: readonly Resource[]
  readonly people: readonly Person[]
  /** Tasks that were put at an hour by hand. */
  readonly pins: Readonly<Record<string, Moment>>
}
