/**
 * How paper changes size as it dries, as r = ln(after / before): a belief to begin with, and what trials make of it.
 */
import { z } from 'zod'
import { derive, found, starting, type Working } from '../quantity'
import { trialFields } from './trial'

/**
 * What happens to paper while it dries: film held flat on a mat, or loose on parchment in the oven; wafer damped, or
 * dipped and dried in the pan.
 */
export const SHRINK_WAYS = ['mat', 'oven', 'damp', 'pan'] as const
export type ShrinkWay = (typeof SHRINK_WAYS)[number]
export const SHRINK_WORDS: Readonly<Record<ShrinkWay, string>> = {
  mat: 'Film on a mat',
  oven: 'Film in the oven',
  damp: 'Wafer, damped',
  pan: 'Wafer, dipped and dried in the pan',
}

/** A piece measured across before it was wetted and after it was dry. */
export const shrinkTrialSchema = z
  .strictObject({
    ...trialFields,
    way: z.enum(SHRINK_WAYS).meta({ label: 'What was dried' }),
    beforeMm: z.number().min(10).max(1000).meta({ label: 'Before', kind: 'length' }),
    afterMm: z.number().min(5).max(1000).meta({ label: 'After', kind: 'length' }),
  })
  .refine(({ beforeMm, afterMm }) => afterMm > beforeMm / 2 && afterMm < beforeMm * 1.2, {
    path: ['afterMm'],
    message: 'Between half of what it was and a fifth more is expected.',
  })

export type ShrinkTrial = z.infer<typeof shrinkTrialSchema>

/**
 * What is believed of a shrink: the usual one and how far one piece strays, as r; how surely, as pieces measured; how
 * many of them were.
 */
export type ShrinkBelief = {
  readonly mean: number
  readonly deviation: number
  readonly scale: number
  readonly freedom: number
  readonly trials: number
  /** What the way begins with, what the trials say by themselves, and as how many pieces they count. */
  readonly began: number
  readonly own: number
  readonly ownDeviation: number
  readonly weight: number
}

type StartingShrink = { readonly mean: number; readonly deviation: number }

/**
 * On a mat film is held flat; loose on parchment it draws in more; the dip and the pan draw wafer in most (guesses to
 * calibrate first).
 */
const STARTING_SHRINK: Readonly<Record<ShrinkWay, StartingShrink>> = {
  mat: { mean: -0.015, deviation: 0.015 },
  oven: { mean: -0.04, deviation: 0.025 },
  damp: { mean: -0.02, deviation: 0.012 },
  pan: { mean: Math.log(0.78), deviation: 0.06 },
}

/**
 * A normal-inverse-gamma belief as strong as two pieces measured, with six degrees of freedom. @see Gelman et al.
 * 2013, Bayesian Data Analysis, 3.3
 */
const PRIOR_MEANS = 2
const PRIOR_SHAPE = 3
const SHAPE_SHARE = 4 / 3
/** Further off than so many deviations, a measurement counts less. @see Huber 1964 */
const ODD_FROM = 1.5
const A_FEW = 3
const TURNS = 12
/** Exceeded by four in five of a standard normal. */
const FOUR_IN_FIVE = 0.8416212

/** Student's t exceeded by one in five, from the normal's. @see Cornish & Fisher 1938 */
const oneInFive = (freedom: number): number =>
  FOUR_IN_FIVE +
  (FOUR_IN_FIVE ** 3 + FOUR_IN_FIVE) / (4 * freedom) +
  (5 * FOUR_IN_FIVE ** 5 + 16 * FOUR_IN_FIVE ** 3 + 3 * FOUR_IN_FIVE) / (96 * freedom ** 2)

/**
 * What trials of a way make of the belief it begins with; odd ones are left out, and what lies far from the rest
 * counts less.
 *
 * By hand, five pieces on a mat that all came out at 93 %: r = −0.0726; mean ( 2 × −0.015 + 5 × −0.0726 ) ÷ 7 =
 * −0.0561.
 */
export function shrinkBelief(way: ShrinkWay, trials: readonly ShrinkTrial[]): ShrinkBelief {
  const { mean: began, deviation } = STARTING_SHRINK[way]
  const seen = trials
    .filter((trial) => trial.way === way && !trial.odd)
    .map(({ beforeMm, afterMm }) => Math.log(afterMm / beforeMm))
  let weights = seen.map(() => 1)
  let belief = { mean: began, squares: SHAPE_SHARE * deviation ** 2, weight: 0, own: began, within: 0 }
  for (let turn = 0; turn < TURNS; turn += 1) {
    const weight = weights.reduce((sum, each) => sum + each, 0)
    const own = weight > 0 ? seen.reduce((sum, each, at) => sum + each * weights[at]!, 0) / weight : began
    const within = seen.reduce((sum, each, at) => sum + weights[at]! * (each - own) ** 2, 0)
    belief = {
      weight,
      own,
      within,
      mean: (PRIOR_MEANS * began + weight * own) / (PRIOR_MEANS + weight),
      squares:
        SHAPE_SHARE * deviation ** 2 +
        within / 2 +
        (PRIOR_MEANS * weight * (own - began) ** 2) / (2 * (PRIOR_MEANS + weight)),
    }
    // A few agree with each other or not; one or two are held against what was begun with.
    const middle = seen.length >= A_FEW ? own : belief.mean
    weights = seen.map((each) => Math.min(1, (ODD_FROM * deviation) / Math.max(Math.abs(each - middle), 1e-9)))
  }
  const [means, shape] = [PRIOR_MEANS + belief.weight, PRIOR_SHAPE + belief.weight / 2]
  return {
    mean: belief.mean,
    deviation: Math.sqrt(belief.squares / (shape - 1)),
    scale: Math.sqrt((belief.squares * (means + 1)) / (shape * means)),
    freedom: 2 * shape,
    trials: seen.length,
    began,
    own: belief.own,
    ownDeviation: belief.weight > 1 ? Math.sqrt(belief.within / (belief.weight - 1)) : deviation,
    weight: belief.weight,
  }
}

/**
 * The shrink planned for: such that four pieces in five come out no smaller than wanted.
 *
 * @param belief what trials say, when there are enough to go by; else what the way begins with
 */
export function plannedShrink(way: ShrinkWay, belief: ShrinkBelief | null = null): Working {
  const { mean, scale, freedom, trials, began, own, weight } = belief ?? shrinkBelief(way, [])
  const learned = (label: string, value: number): Working =>
    found(label, value, 'ratio', `learned from ${trials} of your trials`)
  const usual = starting('begun with', -began, 'ratio', 'guess')
  const meanShrink = belief
    ? derive(
        'mean shrink',
        'ratio',
        'your trials, and what was begun with as two pieces more',
        `( ${PRIOR_MEANS} × {began} + {weight} × {own} ) ÷ ( ${PRIOR_MEANS} + {weight} )`,
        {
          began: usual,
          own: learned('your trials by themselves', -own),
          weight: learned('pieces that count', weight),
        },
        (v) => (PRIOR_MEANS * v.began + v.weight * v.own) / (PRIOR_MEANS + v.weight),
      )
    : starting('mean shrink', -mean, 'ratio', 'guess')
  const spread = belief
    ? learned('spread of one piece', scale)
    : starting('spread of one piece', scale, 'ratio', 'guess')
  const beyond = oneInFive(freedom)
  return derive(
    'shrink allowed for',
    'ratio',
    'shrink of four pieces in five',
    `1 − exp( −( {mean} + ${beyond.toFixed(2)} × {scale} ) )`,
    { mean: meanShrink, scale: spread },
    (v) => 1 - Math.exp(-(v.mean + beyond * v.scale)),
  )
}
