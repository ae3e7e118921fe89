/** Hands-on work with its amounts: what the steps of the decorations and of the cake come to for this job. */
import { asTimed, type Learned, type UsedFactor } from '../learn'
import { derive, found, sumOf, type Working } from '../quantity'
import type { PlaceId } from '../technique'
import type { LaidPiece } from './loads'
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

/** What a step occupies: until its rest is over, or until a later step takes the pieces up. */
type StepHold = { readonly place: PlaceId; readonly name: string; readonly untilStep: string | null }

/** A step of making a decoration: hands, then a rest. A rest that began at an earlier step says at which. */
export type MakingStep = {
  readonly id: string
  readonly name: string
  readonly turns: readonly Turn[]
  readonly rest: Working
  readonly since: string | null
  /** Minutes in the oven after it, when it dries there. */
  readonly ovenMin: Working | null
  readonly hold: StepHold | null
  /** The step whose turns it goes by. */
  readonly turnsOf: string | null
  readonly putDown: boolean
  readonly onTheCake: boolean
}

/** Making a decoration, step after step. `place` is what setting it on the cake takes. */
export type Making = {
  readonly decoration: string
  readonly name: string
  readonly hands: Working
  readonly place: Working
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

export type Work = {
  readonly pack: Working
  readonly place: Working
  readonly loadCar: Working
  readonly cover: Working
  readonly stack: Working
  readonly photograph: Working
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

/**
 * Minutes of work for a job.
 * @param tiers tiers to cover and stack here
 * @param hands how long these hands take, where it was timed often enough
 */
export function workFor(
  making: readonly Making[],
  inTurn: Work['inTurn'],
  completion: Completion,
  pace: Pace,
  tiers: Working,
  hands: Learned['hands'] = {},
): Work {
  const of = (key: keyof Pace): Working => paceWorking(pace, key, hands)
  const parts = {
    pack: of('packMin'),
    place:
      completion === 'handedOver'
        ? NO_TIME
        : placing(
            making.map(({ place }) => place),
            hands[PLACE],
          ),
    loadCar: of('loadMin'),
    cover: derive(
      'cover the tiers',
      'duration',
      'hands-on time',
      '{tiers} × {each}',
      { tiers, each: of('coverMin') },
      (v) => v.tiers * v.each,
    ),
    stack: derive(
      'stack the tiers',
      'duration',
      'hands-on time',
      '( {tiers} − 1 ) × {each}',
      { tiers, each: of('stackMin') },
      (v) => Math.max(0, v.tiers - 1) * v.each,
    ),
    photograph: completion === 'handedOver' ? NO_TIME : of('photographMin'),
  }
  const total = sumOf('hands-on', 'duration', 'tasks added up', [
    ...Object.values(parts),
    ...making.map((each) => each.hands),
  ])
  return { ...parts, making, inTurn, total }
}
