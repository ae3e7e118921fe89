import { printQuantity } from '../../quantity'
import type { Caution } from '../caution'
import type { Facts } from '../facts'

export type Rule = (facts: Facts) => readonly Caution[]

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
    applies(facts) ? [{ code, leaf, severity, say: say(facts) }] : []

/** A rule that speaks of one decoration at a time. */
export const ruleOf =
  <Thing extends { readonly id: string }>(
    code: string,
    leaf: Caution['leaf'],
    severity: Caution['severity'],
    things: (facts: Facts) => readonly Thing[],
    say: (thing: Thing, facts: Facts) => string,
  ): Rule =>
  (facts) =>
    things(facts).map((thing) => ({ code, leaf, severity, say: say(thing, facts), decoration: thing.id }))

export const length = (mm: number, { units }: Facts): string => printQuantity(mm, 'length', units)
