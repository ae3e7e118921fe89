import { DROP_ML } from '../material'
import { derive, found, sumOf, starting, type Working } from '../quantity'
import type { Bath, Dish } from '../tint'

/** What a job takes of a dye. */
export type DyeUse = { readonly dye: string; readonly ml: Working }

/**
 * What the baths and the dishes take of each dye, whole drops.
 *
 * By hand: 40 drops in the bath and 12 in a dish: 52 × 0.045 ml = 2.3 ml.
 */
export function dyeUses(
  dyes: readonly { readonly id: string; readonly name: string }[],
  baths: readonly Bath[],
  dishes: readonly Dish[],
): readonly DyeUse[] {
  return dyes.flatMap(({ id, name }): DyeUse[] => {
    const inBaths = baths.map(({ uses, steps }) =>
      found(
        `in the bath for ${uses.map((use) => use.name.toLowerCase()).join(', ')}`,
        steps.reduce((sum, { wholeDrops }) => sum + (wholeDrops[id] ?? 0), 0),
        'drops',
        'whole drops of its steps',
      ),
    )
    const inDishes = dishes.map(({ uses, doses }) =>
      found(
        `in the dish for ${uses.map((use) => use.name.toLowerCase()).join(', ')}`,
        doses.find(({ dye }) => dye === id)?.whole ?? 0,
        'drops',
        'whole drops of its recipe',
      ),
    )
    const parts = [...inBaths, ...inDishes].filter(({ value }) => value > 0)
    if (parts.length === 0) return []
    const drops = sumOf(`drops of ${name}`, 'drops', 'bath and dishes added up', parts)
    return [
      {
        dye: id,
        ml: derive(
          name,
          'volume',
          'drops',
          '{drops} × {drop}',
          { drops, drop: starting('one drop', DROP_ML, 'volume', 'usual') },
          (v) => v.drops * v.drop,
        ),
      },
    ]
  })
}
