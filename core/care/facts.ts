import type { Moment, UnitSystem } from '../quantity'
import type { ColourFault } from './colourFit'

/** What the plan knows that may go wrong. Sizes in mm, times in minutes, humidity and chances as shares. */
export type Facts = {
  readonly now: Moment
  readonly eventAt: Moment
  readonly units: UnitSystem
  readonly clearanceMm: Readonly<Record<'wide' | 'deep' | 'high', number>>
  readonly tiers: number
  /** Decorations on a paper they must not be made of, and why. */
  readonly unfitPapers: readonly { readonly id: string; readonly because: string }[]
  /** Decorations with an ingredient that the client wants left out. */
  readonly unwantedIngredients: readonly {
    readonly id: string
    readonly name: string
    readonly ingredients: readonly string[]
  }[]
  /** Accents that lie near nothing, and those for show on a cake that is eaten. */
  readonly strayAccents: readonly string[]
  readonly forShow: readonly string[]
  /** For show only, and on a tier that is eaten. */
  readonly showOnEaten: readonly string[]
  readonly largerThanSheet: readonly { readonly name: string; readonly why: string }[]
  readonly notPlaced: readonly { readonly id: string; readonly name: string }[]
  /** Decorations of which fewer fit than were asked for, or none, and what would give all of them a place. */
  readonly fewerFit: readonly {
    readonly id: string
    readonly name: string
    readonly asked: number
    readonly fit: number
    readonly ways: readonly string[]
  }[]
  /** A bouquet bound to a ledge too narrow for its holders. */
  readonly narrowLedge: { readonly bouquet: string; readonly mm: number } | null
  /** How far the board must be set off the box's middle; nothing where it may stand there. */
  readonly boxShift: { readonly rightMm: number; readonly backMm: number } | null
  readonly neededBoxMm: Readonly<Record<'wide' | 'deep' | 'high', number>>
  readonly overhang: { readonly tier: number; readonly byMm: number } | null
  readonly boardTooSmall: boolean
  /** Scalloped tiers, counted from the bottom, whose cutter is too narrow. */
  readonly lobesApart: readonly number[]
  readonly leansTooFar: readonly number[]
  readonly tall: boolean
  /**
   * Tiers whose filling must stay chilled; minutes until they stand above the dew point, null when they never do
   * within a day.
   */
  readonly chilled: {
    readonly tiers: readonly number[]
    readonly warmMin: number | null
    readonly dewGdm2: number
    readonly dewC: number
  } | null
  readonly keeping: 'roomTemperature' | 'chilledSealed'
  readonly coolCar: boolean
  readonly roadMin: number
  /** What is of soaked film, set hard: when it goes soft in the air of car and venue, minutes; none where it does not. */
  readonly softens: {
    readonly names: readonly string[]
    readonly roadMin: number | null
    readonly venueMin: number | null
  } | null
  readonly dairyCoverings: readonly string[]
  /** Decorations whose sweep ends above the cake, and how far. */
  readonly aboveTop: readonly { readonly id: string; readonly name: string; readonly byMm: number }[]
  /** Elements that stay lower than wished, because no sheet is large enough. */
  readonly shortReach: readonly {
    readonly id: string
    readonly called: string
    readonly count: number
    readonly byMm: number
  }[]
  /** Papers of which no size is in use. */
  readonly noSheets: readonly string[]
  readonly feetOnWet: readonly string[]
  readonly feetOnMoist: readonly string[]
  readonly sheetsShort: readonly { readonly name: string; readonly missing: number }[]
  /** Decorations whose deepest colour no mix of dyes reaches. */
  readonly outOfReach: readonly string[]
  /** Decorations of which a colour cannot be mixed at all: these dyes make another. */
  readonly notMixed: readonly string[]
  /** Colours that do not suit their paper, the heat or the client. */
  readonly unsuitedColours: readonly ({ readonly id: string; readonly name: string } & Pick<
    ColourFault,
    'severity' | 'say'
  >)[]
  readonly bathDays: number
  readonly tooBigForFormer: number
  readonly former: string
  readonly inOven: boolean
  readonly isSoaked: boolean
  readonly isColoured: boolean
  readonly isCut: boolean
  readonly roomHumidity: number
  /** Of soaked film in this room, without an oven: how likely it sets hard, and whether it ever does; none where there is none. */
  readonly setting: { readonly chance: number; readonly atAll: boolean } | null
  /** Damped paper that never gets as dry, in its way of drying here, as one of its steps asks. */
  readonly paperNeverDry: readonly string[]
  readonly venueHumidity: number
  /** What is set on the cake in the workshop, and lies on a covering that makes it soft before the event is over. */
  readonly laidTooEarly: readonly {
    readonly id: string
    readonly name: string
    readonly covering: string
    readonly from: Moment
  }[]
  readonly timetableProblem: string | null
  readonly startBy: Moment | null
  /** How likely it is to be ready, where that is less than what is wanted, and what helps. */
  readonly unsure: { readonly chance: number; readonly wanted: number; readonly help: readonly string[] } | null
  readonly atVenueBy: Moment | null
  readonly venueOpensAt: Moment
}
