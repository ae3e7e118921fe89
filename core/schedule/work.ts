/** Hands-on work with its amounts: what the steps of the decorations and of the cake come to for this job. */
import { asTimed, type Learned, type UsedFactor } from '../learn'
import { derive, found, starting, sumOf, type Working } from '../quantity'
import type { Glued, PlaceId } from '../technique'
import type { LaidPiece } from './loads'
import type { Drying } from './task'
import { paceWorking, type Pace } from './pace'

/**
 * Where the work on the cake is done: in the workshop before driving, at the venue, or by somebody else from a box
 * handed over.
 */
export const COMPLETIONS = ['beforeDriving', 'atVenue', 'handedOver'] as const
export type Completion = (typeof COMPLETIONS)[number]

/** What lies on a mat or a tray together; `again` when its pieces are cut again in place of broken ones. */
export type Load = { readonly number: number; readonly laid: readonly LaidPiece[]; readonly again: boolean }

/** A step, or what of it is done in one go: hands, how many places it takes, what lies there. */
export type Turn = {
  readonly task: string
  readonly hands: Working
  readonly units: number
  readonly load: Load | null
}

/** What a step occupies: until its rest is over, until a later step takes the pieces up, or while hands are at it. */
type StepHold = {
  readonly place: PlaceId
  readonly name: string
  readonly untilStep: string | null
  readonly whileHands: boolean
}

/** A step of making a decoration: hands, then a rest. A rest that began at an earlier step says at which. */
export type MakingStep = {
  readonly id: string
  readonly name: string
  readonly turns: readonly Turn[]
  readonly rest: Working
  /** What the rest usually takes, where it is drying. */
  readonly drying: Drying | null
  readonly since: string | null
  /** Minutes in the oven after it, when it dries there. */
  readonly ovenMin: Working | null
  readonly hold: StepHold | null
  /** What stands over it or holds it while it dries, besides where it lies: a fan, a rack, a dry room. */
  readonly air: { readonly place: PlaceId; readonly name: string } | null
  /** The step whose turns it goes by. */
  readonly turnsOf: string | null
  readonly putDown: boolean
  /** After its rest paper is supple for so long; null where it does not matter. */
  readonly suppleMin: number | null
  readonly onCake: boolean
}

/**
 * Making a decoration, step after step. A skin is glued on at its last step; `place` is what setting anything else on
 * the cake takes.
 */
export type Making = {
  readonly decoration: string
  readonly name: string
  /** What its luck hangs on: its technique, and which of that technique it is. */
  readonly luck: string
  readonly hands: Working
  readonly place: Working
  /** When it is glued on, for a skin. */
  readonly skin: Glued | null
  /** Tiers it is on, the lowest 0. */
  readonly tiers: readonly number[]
  readonly steps: readonly MakingStep[]
  readonly again: readonly MadeAgain[]
  readonly goesOff: boolean
}

/** Pieces of a decoration made again in place of broken ones: all steps of making them, and the longest rest among these. */
export type MadeAgain = {
  readonly task: string
  readonly name: string
  readonly hands: Working
  readonly rest: Working
}

/** What is counted of the cake and of what holds its decorations, for the work on it. */
export type CakeCounts = {
  /** Tiers that stand on another. */
  readonly stacked: Working
  readonly filled: Working
  readonly covered: Working
  /** Picks and pins that come out again before anybody eats. */
  readonly picks: Working
}

export type Work = {
  readonly fill: Working
  readonly cover: Working
  readonly stack: Working
  readonly place: Working
  readonly picksOut: Working
  readonly photograph: Working
  readonly pack: Working
  readonly loadCar: Working
  readonly handOver: Working
  readonly making: readonly Making[]
  /** Tasks that go one after the other because one bath serves them, pale first. */
  readonly inTurn: readonly (readonly string[])[]
  readonly total: Working
}

/** What placing is called in the ledger. */
export const PLACE = 'place'

function placing(each: readonly Working[], timed: UsedFactor | undefined): Working {
  const usual = sumOf('place', 'duration', 'hands-on time', each)
  return timed ? asTimed(usual, timed) : usual
}

const NO_TIME = found('place', 0, 'duration', 'left to whoever receives the box')

/** Taking one pick out and counting it, and looking over the cake for what is left. Guesses. */
const PICK_MIN = starting('for each', 0.1, 'duration', 'guess')
const LOOK_OVER_MIN = starting('to look it over', 2, 'duration', 'guess')

/**
 * Minutes of work for a job.
 * @param counts tiers to fill, cover and stack here, and picks to take out
 * @param hands how long these hands take, where it was timed often enough
 */
export function workFor(
  making: readonly Making[],
  inTurn: Work['inTurn'],
  completion: Completion,
  pace: Pace,
  { stacked, filled, covered, picks }: CakeCounts,
  hands: Learned['hands'] = {},
): Work {
  const of = (key: keyof Pace): Working => paceWorking(pace, key, hands)
  const forEach = (label: string, count: Working, key: 'fillMin' | 'coverMin'): Working =>
    derive(
      label,
      'duration',
      'hands-on time',
      '{tiers} × {each}',
      { tiers: count, each: of(key) },
      (v) => v.tiers * v.each,
    )
  const parts = {
    fill: forEach('fill and crumb-coat the tiers', filled, 'fillMin'),
    cover: forEach('cover the tiers', covered, 'coverMin'),
    place:
      completion === 'handedOver'
        ? NO_TIME
        : placing(
            making.map(({ place }) => place),
            hands[PLACE],
          ),
    picksOut:
      picks.value > 0
        ? derive(
            'take the picks out',
            'duration',
            'hands-on time',
            '{picks} × {each} + {look}',
            { picks, each: PICK_MIN, look: LOOK_OVER_MIN },
            (v) => v.picks * v.each + v.look,
          )
        : found('take the picks out', 0, 'duration', 'nothing is held by picks'),
    stack: derive(
      'stack the tiers',
      'duration',
      'hands-on time',
      '{stacked} × {each}',
      { stacked, each: of('stackMin') },
      (v) => v.stacked * v.each,
    ),
    photograph: completion === 'handedOver' ? NO_TIME : of('photographMin'),
    pack: of('packMin'),
    loadCar: of('loadMin'),
    handOver: of('handOverMin'),
  }
  const total = sumOf('hands-on', 'duration', 'tasks added up', [
    ...Object.values(parts),
    ...making.map((each) => each.hands),
  ])
  return { ...parts, making, inTurn, total }
}
