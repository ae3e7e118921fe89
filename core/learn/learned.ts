/** What a studio's own trials and runs say, wherever there are enough of them to go by. */
import type { DryingLearned } from '../dry'
import { breakageOf, handsFactor, type Breakage, type Run } from './hands'
import { DRY_STATES, dryingFactor, driedPaper, limitOf, limitShift, type DriedPaper, type DryingTrial } from './drying'
import { shrinkBelief, SHRINK_WAYS, type ShrinkBelief, type ShrinkTrial, type ShrinkWay } from './shrink'

/**
 * Everything that was tried and timed, in which room the work is done now, and from how many trials on a plan goes by
 * them.
 */
export type Ledger = {
  readonly shrinkTrials: readonly ShrinkTrial[]
  readonly dryingTrials: readonly DryingTrial[]
  readonly runs: readonly Run[]
  readonly room: string
  readonly learnFrom: number
}

type Known<Key extends string, Value> = Readonly<Partial<Record<Key, Value>>>

/** A factor that is used: median, deviation of the logarithm of one more case, how many trials. */
export type UsedFactor = { readonly median: number; readonly deviation: number; readonly trials: number }

/** What plans go by instead of their starting values; nothing where there are too few trials. */
export type Learned = {
  readonly shrink: Known<ShrinkWay, ShrinkBelief>
  /** How long paper takes to dry so far in this room, against the drying curve. */
  readonly drying: Known<DriedPaper, UsedFactor>
  /** The humidity up to which this room sets film. */
  readonly limit: DryingLearned['limit']
  /** How long steps take, against starting values. */
  readonly hands: Known<string, UsedFactor>
  readonly breakage: Known<string, Breakage>
}

const entriesOf = <Key extends string, Value>(
  keys: readonly Key[],
  of: (key: Key) => Value | null,
): Known<Key, Value> =>
  Object.fromEntries(
    [...new Set(keys)].flatMap((key) => {
      const value = of(key)
      return value === null ? [] : [[key, value]]
    }),
  ) as unknown as Known<Key, Value>

/** Factors of every paper and state that was tried often enough. */
function dryingsFrom(
  trials: readonly DryingTrial[],
  room: string,
  shift: number,
  learnFrom: number,
): Learned['drying'] {
  const papers = [...new Set(trials.map(({ paper }) => paper))]
  return Object.fromEntries(
    papers.flatMap((paper) =>
      DRY_STATES.flatMap((state) => {
        const { median, deviation, sightings } = dryingFactor(paper, state, room, trials, shift)
        return sightings >= learnFrom ? [[driedPaper(paper, state), { median, deviation, trials: sightings }]] : []
      }),
    ),
  )
}

/**
 * What a ledger says with enough trials behind it.
 * @param startingSpares the share of pieces each technique begins with as spare
 */
export function learnedFrom(
  { shrinkTrials, dryingTrials, runs, room, learnFrom }: Ledger,
  startingSpares: Readonly<Record<string, number>>,
): Learned {
  const told = limitOf(room, dryingTrials)
  const limit = told.trials >= learnFrom ? told : null
  const shift = limitShift(limit)
  return {
    limit,
    shrink: entriesOf(SHRINK_WAYS, (way) => {
      const belief = shrinkBelief(way, shrinkTrials)
      return belief.trials >= learnFrom ? belief : null
    }),
    drying: dryingsFrom(dryingTrials, room, shift, learnFrom),
    hands: entriesOf(
      runs.map(({ step }) => step),
      (step) => {
        const { median, deviation, sightings } = handsFactor(step, runs)
        return sightings >= learnFrom ? { median, deviation, trials: sightings } : null
      },
    ),
    breakage: entriesOf(
      runs
        .map(({ technique }) => technique)
        .filter((technique) => technique !== '' && startingSpares[technique] !== undefined),
      (technique) => {
        const breakage = breakageOf(technique, startingSpares[technique]!, runs)
        return breakage.runs >= learnFrom ? breakage : null
      },
    ),
  }
}
