/** How film changes size as it dries, as r = ln(after / before), before any trial of the user's own. */
import { derive, starting, type Working } from '../quantity'
import type { DryingWay } from '../dry'

type StartingShrink = { readonly mean: number, readonly deviation: number }

/** On a mat the film is held flat; loose on parchment it draws in more (guesses to calibrate first). */
const STARTING_SHRINK: Readonly<Record<DryingWay, StartingShrink>> = {
  mat: { mean: -0.015, deviation: 0.015 },
  oven: { mean: -0.04, deviation: 0.025 },
}

/** Prior strength of a normal-inverse-gamma belief: as if two pieces had been measured. @see Gelman et al. 2013, Bayesian Data Analysis, 3.3 */
const PRIOR_MEANS = 2
/** Student's t with 6 degrees of freedom, exceeded by four in five. */
const T_ONE_IN_FIVE = -0.9057

/**
 * The shrink planned for: such that four pieces in five come out no smaller than wanted.
 * With no trials the predictive scale is the deviation × √(2/κ₀ × …) = deviation × √(2/3).
 */
export function plannedShrink(way: DryingWay): Working {
  const { mean, deviation } = STARTING_SHRINK[way]
  return derive('shrink allowed for', 'ratio', 'shrink of four pieces in five', '1 − exp( −( {mean} + 0.91 × {scale} ) )',
    {
      mean: starting('mean shrink', -mean, 'ratio', 'guess'),
      scale: starting('spread of one piece', deviation * Math.sqrt((PRIOR_MEANS + 1) / PRIOR_MEANS * (4 / 9)), 'ratio', 'guess'),
    }, (v) => 1 - Math.exp(-(v.mean - T_ONE_IN_FIVE * v.scale)))
}
