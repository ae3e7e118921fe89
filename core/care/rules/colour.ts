/** What may go wrong with colours. */
import type { Severity } from '../caution'
import type { Facts } from '../facts'
import { rule, ruleOf, type Rule } from './rule'

const unsuited = ({ unsuitedColours }: Facts, of: Severity): Facts['unsuitedColours'] =>
  unsuitedColours.filter(({ severity }) => severity === of)

const BATH_LIFE_DAYS = 3

export const COLOUR_RULES: readonly Rule[] = [
  rule(
    'colour-miss',
    'tint',
    'look',
    ({ outOfReach }) => outOfReach.length > 0,
    ({ outOfReach }) =>
      `The deepest colour cannot be reached with these dyes: ${outOfReach.join(', ')}. The swatch shows the nearest.`,
  ),
  rule(
    'colour-not-mixed',
    'tint',
    'stop',
    ({ notMixed }) => notMixed.length > 0,
    ({ notMixed }) =>
      `The dyes that suit make another colour than was asked for ${notMixed.join(', ')}: put one of its hue on the ` +
      `shelf, or choose another colour.`,
  ),
  ruleOf(
    'colour-stops',
    'tint',
    'stop',
    (facts) => unsuited(facts, 'stop'),
    ({ name, say }) => `${name}: ${say}`,
  ),
  ruleOf(
    'colour-unsuited',
    'tint',
    'look',
    (facts) => unsuited(facts, 'look'),
    ({ name, say }) => `${name}: ${say}`,
  ),
  rule(
    'bath-life',
    'tint',
    'look',
    ({ bathDays }) => bathDays > BATH_LIFE_DAYS,
    ({ bathDays }) =>
      `One bath serves ${Math.ceil(bathDays)} days of dipping. Keep it covered and cold, stir, and test a strip before ` +
      `each load; past ${BATH_LIFE_DAYS} days mix afresh.`,
  ),
  rule(
    'food-colour',
    'tint',
    'note',
    ({ isColoured }) => isColoured,
    () => 'Use colours sold as edible, within the amount on their label; some are restricted in some countries.',
  ),
]
