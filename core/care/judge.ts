import type { Caution } from './caution'
import type { Facts } from './facts'
import { ARRANGE_RULES } from './rules/arrange'
import { CAKE_RULES } from './rules/cake'
import { COLOUR_RULES } from './rules/colour'
import { DRYING_RULES } from './rules/drying'
import { HOUR_RULES } from './rules/hours'
import { SHEET_RULES } from './rules/sheets'

/** In the order of the work: of two that weigh the same, the earlier is said first. */
const RULES = [...HOUR_RULES, ...CAKE_RULES, ...ARRANGE_RULES, ...SHEET_RULES, ...COLOUR_RULES, ...DRYING_RULES]

/** Everything to know about a plan, what stops it first. */
export function judge(facts: Facts): readonly Caution[] {
  const order = { stop: 0, look: 1, note: 2 } as const
  return RULES.flatMap((each) => each(facts)).sort((one, other) => order[one.severity] - order[other.severity])
}
