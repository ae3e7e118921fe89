/** A trouble as it is seen, with its causes. */
/** What is known of the work that went wrong. */
export type TroubleFacts = {
  readonly isFilm: boolean
  readonly isThin: boolean
  readonly heat: 'pan' | 'oil' | 'steam' | null
  /** Coloured with water, brushed or misted. */
  readonly isWetted: boolean
  /** Names of dyes with sugar in them that are used. */
  readonly sugarDyes: readonly string[]
  readonly roomHumidity: number
  readonly venueHumidity: number
  /** Chance that this room sets film hard. */
  readonly chanceOfSetting: number
  readonly soakWaterC: number
  /** Lifted before it was planned to be ready, minutes; 0 when it was not. */
  readonly liftedEarlyMin: number
  /** Trials of its shrink. */
  readonly shrinkTrials: number
  /** Coverings it stands on that are moist or wet, by name. */
  readonly moistCoverings: readonly string[]
  readonly isChilled: boolean
  readonly isSkewered: boolean
  readonly isWired: boolean
  readonly doses: number
  readonly shimmers: boolean
  readonly breakageShare: number | null
  readonly spareShare: number
}

/** A change to the plan that would keep it from happening again. */
export type TroubleChange = 'ovenDrying' | 'skewers' | 'roomDrier' | 'placeAtVenue'

type Cause = {
  readonly id: string
  readonly words: string
  readonly now: string
  readonly next: string
  /** How much it speaks for this cause: 1 is no reason for or against, 0 rules it out. */
  readonly weight: (facts: TroubleFacts) => number
  /** Why, by the plan's own facts. */
  readonly because?: (facts: TroubleFacts) => string
  readonly change?: TroubleChange
}

export type Trouble = { readonly id: string; readonly seen: string; readonly causes: readonly Cause[] }

/** A weight where something holds, another where it does not. */
export const when = (holds: boolean, then: number, otherwise = 1): number => (holds ? then : otherwise)
/** Air in which paper stays soft long, relative humidity. */
export const DAMP = 0.6
