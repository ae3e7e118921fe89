/** What decorations use up at the bench and on the cake: oil, sugar, kitchen paper, what fixes them. */
import type { PlannedDecoration } from '../decoration'
import { benchSupplyOf, glueOf } from '../material'
import { derive, type Currency, type Working } from '../quantity'
import { inPacksOf, inUsualPacks, type Need } from '../supply'

/** A name as it is found in stock. */
export const keyOf = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')

/** A count that is used whole. */
export const whole = (working: Working): Working =>
  Number.isInteger(working.value)
    ? working
    : derive(working.label, 'count', 'whole ones', '{amount}, rounded up', { amount: working }, (v) =>
        Math.ceil(v.amount - 1e-9),
      )

/** Things used up, and glue that is bought; water and the covering itself never are. */
export function benchNeeds(
  decorations: readonly Pick<PlannedDecoration, 'name' | 'used' | 'gluings'>[],
  currency: Currency,
): readonly Need[] {
  const used = decorations
    .flatMap((each) => each.used)
    .map(({ supply, amount }): Need => {
      const { name, shelf, kind, pack } = benchSupplyOf(supply)
      const item = shelf === 'liquid' ? `liquid ${keyOf(name)}` : `bench ${supply}`
      return {
        item,
        name,
        shelf,
        kind,
        amount: kind === 'count' ? whole(amount) : amount,
        ...inPacksOf(pack, currency),
      }
    })
  const glues = decorations
    .flatMap(({ name, gluings }) =>
      gluings.map(({ glue, grams }) => ({ glue, grams: { ...grams, label: name.toLowerCase() } })),
    )
    .filter(({ glue, grams }) => glueOf(glue).isBought && grams.value > 0)
    .map(({ glue, grams }): Need => ({
      // Buttercream that glues comes from the bowl that covers.
      item: glue === 'buttercream' ? `covering ${keyOf('Fresh buttercream')}` : `liquid ${keyOf(glueOf(glue).name)}`,
      name: glueOf(glue).name,
      shelf: glue === 'buttercream' ? 'covering' : 'liquid',
      kind: 'mass',
      amount: grams,
      ...inUsualPacks(glue === 'buttercream' ? 'covering' : 'glue', currency),
    }))
  return [...glues, ...used]
}
