/** How quick hands are, and how many pieces break, from what was done at the bench. */
import { z } from 'zod'
import { factorOf, type Factor, type Sighting } from './factor'
import { foretold, type Foretold } from './progress'
import { trialFields } from './trial'

/**
 * Work that was done and timed: so many minutes for what takes `standardMin` by the values the plan begins with;
 * pieces that came out of it, and that broke.
 */
export const runSchema = z.strictObject({
  ...trialFields,
  /** Which work it was: a pace, or a technique and its step. */
  step: z.string().min(1).max(80),
  name: z.string().min(1).max(160),
  /** The commission it was for; none for a trial. */
  commission: z.string().max(60),
  standardMin: z.number().min(0.05).max(5000),
  minutes: z.number().min(0.05).max(5000).meta({ label: 'Took', kind: 'duration' }),
  /** Whose pieces, good and broken, are counted; none where there are none to count. */
  technique: z.string().max(40),
  good: z.number().int().min(0).max(5000).meta({ label: 'Good', kind: 'count' }),
  broken: z.number().int().min(0).max(5000).meta({ label: 'Broken', kind: 'count' }),
})

export type Run = z.infer<typeof runSchema>

/**
 * Hands stray so far from the plan's beginnings: each step for itself, a person all through, and one time from the
 * next. Guesses.
 */
const HANDS = { thing: 0.3, place: 0.3, noise: 0.2 } as const
const ONE_PAIR = 'hands'

const sightingsOf = (runs: readonly Run[]): readonly Sighting[] =>
  runs
    .filter(({ odd }) => !odd)
    .map((run) => {
      const seen = Math.log(run.minutes / run.standardMin)
      return { thing: run.step, place: ONE_PAIR, from: seen, to: seen }
    })

/** How long a step takes these hands, against what the plan began with. */
export const handsFactor = (step: string, runs: readonly Run[]): Factor =>
  factorOf(sightingsOf(runs), step, ONE_PAIR, HANDS)

/** How each time of a step was foretold. */
export const handsForetold = (step: string, runs: readonly Run[]): readonly Foretold[] =>
  foretold(sightingsOf(runs), step, HANDS)

/** What is believed of breaking: the usual share, how far it may be off, and of how many runs and pieces. */
export type Breakage = {
  readonly share: number
  readonly deviation: number
  readonly runs: number
  readonly pieces: number
  /** As many pieces as the belief is worth, with what the technique begins with. */
  readonly known: number
}

/** What a technique begins with counts as so many pieces. */
const PRIOR_PIECES = 20

/**
 * The share of pieces that breaks: a beta belief, as strong as twenty pieces to begin with. A run in which far more
 * broke than in the others counts as if no more had than twice what they tell.
 *
 * By hand: begun at 20 %, then 60 good and 6 broken: ( 4 + 6 ) ÷ ( 20 + 66 ) = 11.6 %.
 */
export function breakageOf(technique: string, startingShare: number, runs: readonly Run[]): Breakage {
  const own = runs.filter((run) => run.technique === technique && !run.odd && run.good + run.broken > 0)
  const usual = median([startingShare, ...own.map(({ good, broken }) => broken / (good + broken))])
  const most = 2 * Math.max(usual, startingShare)
  const pieces = own.reduce((sum, { good, broken }) => sum + good + broken, 0)
  const broken = own.reduce(
    (sum, each) => sum + Math.min(each.broken, own.length > 2 ? most * (each.good + each.broken) : Infinity),
    0,
  )
  const [lost, all] = [startingShare * PRIOR_PIECES + broken, PRIOR_PIECES + pieces]
  const share = lost / all
  return { share, deviation: Math.sqrt((share * (1 - share)) / (all + 1)), runs: own.length, pieces, known: all }
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((one, other) => one - other)
  const middle = (sorted.length - 1) / 2
  return (sorted[Math.floor(middle)]! + sorted[Math.ceil(middle)]!) / 2
}
