import { DROP_ML, POWDER_G_PER_DROP, POWDER_G_PER_ML, type Dye } from '../material'
import { derive, found, sumOf, starting, type Working } from '../quantity'
import type { Bath, Dish } from '../tint'

/** What a job takes of a dye. */
export type DyeUse = { readonly dye: string; readonly ml: Working }

const dropVolume = (name: string, drops: Working): Working =>
  derive(
    name,
    'volume',
    'drops',
    '{drops} × {drop}',
    { drops, drop: starting('one drop', DROP_ML, 'volume', 'usual') },
    (v) => v.drops * v.drop,
  )

/** A powder that colours like so many drops, loose in its pot. */
const powderVolume = (name: string, drops: Working): Working =>
  derive(
    name,
    'volume',
    'powder, loose',
    '{powder} ÷ {weighs}',
    {
      powder: derive(
        'powder',
        'mass',
        'as strong as so many drops',
        '{drops} × {each}',
        { drops, each: starting('powder as strong as a drop', POWDER_G_PER_DROP, 'mass', 'guess') },
        (v) => v.drops * v.each,
      ),
      weighs: starting('weight of a millilitre in g', POWDER_G_PER_ML, 'ratio', 'guess'),
    },
    (v) => v.powder / v.weighs,
  )

/**
 * What the baths and the dishes take of each dye, whole drops.
 *
 * By hand: 40 drops in the bath and 12 in a dish: 52 × 0.045 ml = 2.3 ml.
 */
export function dyeUses(
  dyes: readonly Pick<Dye, 'id' | 'name' | 'base'>[],
  baths: readonly Bath[],
  dishes: readonly Dish[],
): readonly DyeUse[] {
  return dyes.flatMap(({ id, name, base }): DyeUse[] => {
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
        ml: base === 'powder' ? powderVolume(name, drops) : dropVolume(name, drops),
      },
    ]
  })
}
