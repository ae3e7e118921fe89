import { derive, found, starting, type Working } from '../quantity'
import { areaMm2 } from './shape'
import type { StandingTier } from './standing'

/** A portion at a party, seen from above, mm², and what is lost to trimming and odd ends. Usual practice. */
const PORTION_MM2 = 25 * 50
const LOST_SHARE = 0.1
const MM2_PER_DM2 = 10_000

/** How many portions a tier gives, cut from above through its whole height; none of a dummy. An estimate. */
export function portionsOf({ shape, isDummy }: Pick<StandingTier, 'shape' | 'isDummy'>): Working {
  if (isDummy) return found('portions', 0, 'count', 'a dummy is not eaten')
  return derive(
    'portions',
    'count',
    'cut through from above; an estimate',
    '{area} × (1 − {lost}) ÷ {portion}, whole ones',
    {
      area: found('top', areaMm2(shape) / MM2_PER_DM2, 'area', 'its section'),
      lost: starting('lost in cutting', LOST_SHARE, 'share', 'usual'),
      portion: starting('a portion', PORTION_MM2 / MM2_PER_DM2, 'area', 'usual'),
    },
    (v) => Math.floor((v.area * (1 - v.lost)) / v.portion),
  )
}
