import { printQuantity } from '../../quantity'
import type { Caution } from '../caution'
import type { Facts } from '../facts'

export type Rule = (facts: Facts) => Caution | null

/** A rule: its code, where it is shown, how much it weighs, when it applies, what it says. */
export const rule =
  (
    code: string,
    leaf: Caution['leaf'],
    severity: Caution['severity'],
    applies: (facts: Facts) => boolean,
    say: (facts: Facts) => string,
  ): Rule =>
  (facts) =>
    applies(facts) ? { code, leaf, severity, say: say(facts) } : null

export const length = (mm: number, { units }: Facts): string => printQuantity(mm, 'length', units)
