import { derive, found, type Working } from '../quantity'
import type { UsedFactor } from './learned'

/** The rule of times that were learned. */
export const TIMED_RULE = 'as you timed it'

/** A usual time as these hands take it. */
export const asTimed = (usual: Working, { median, trials }: UsedFactor): Working =>
  derive(
    usual.label,
    'duration',
    TIMED_RULE,
    '{usual} × {yours}',
    {
      usual: { ...usual, label: 'usually' },
      yours: found('your hands', median, 'ratio', `learned from ${trials} times you did it`),
    },
    (v) => v.usual * v.yours,
  )
