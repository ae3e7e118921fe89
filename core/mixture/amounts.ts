import { derive, starting, sumOf, type Working } from '../quantity'
import type { Ingredient, MixtureId } from '../technique'
import { mixtureOf, withoutAny, type Swap } from './mixtures'

/** A mixture wanted somewhere: which, and how much. */
export type MixtureUse = { readonly mixture: MixtureId; readonly ml: Working }

/** A mixture to be made up for a job, with its parts and what it replaces. */
export type MadeMixture = {
  readonly id: MixtureId
  readonly name: string
  readonly ml: Working
  readonly parts: readonly { readonly name: string; readonly amount: Working; readonly isBought: boolean }[]
  readonly make: string
  readonly keeps: string
  readonly container: string
  readonly swap: Swap | null
}

/** Less cannot be mixed and used, ml. */
const LEAST_ML = 10
/** Kept in brush, dish and mister. */
const LEFT_OVER = 0.2

/**
 * Mixtures for everything that wants them, each made once.
 *
 * By hand: 6 ml and 14 ml of glue are 20 ml, a fifth more for the dish, 24 ml: 24 ml water and 24 × 0.08 = 1.9 g
 * offcuts.
 */
export function mixturesFor(uses: readonly MixtureUse[], unwanted: readonly Ingredient[]): readonly MadeMixture[] {
  const ids = [...new Set(uses.map(({ mixture }) => mixture))]
  return ids.map((id): MadeMixture => {
    const mixture = mixtureOf(id)
    const { name, parts, swap } = withoutAny(mixture, unwanted)
    const used = sumOf(
      `${name.toLowerCase()} used`,
      'volume',
      'decorations added up',
      uses.filter((use) => use.mixture === id).map(({ ml }) => ml),
    )
    const ml = derive(
      name.toLowerCase(),
      'volume',
      'mixtures',
      '{used} × ( 1 + {left} ), at least {least}',
      {
        used,
        left: starting('left in brush and dish', LEFT_OVER, 'share', 'guess'),
        least: starting('least that can be mixed', LEAST_ML, 'volume', 'usual'),
      },
      (v) => Math.max(v.least, v.used * (1 + v.left)),
    )
    return {
      id,
      name,
      ml,
      swap,
      make: mixture.make,
      keeps: mixture.keeps,
      container: mixture.container,
      parts: parts.map((part) => ({
        name: part.name,
        isBought: !part.isAtHand,
        amount: part.gramsPerMl
          ? derive(
              part.name,
              'mass',
              'mixtures',
              '{ml} × {grams}',
              { ml, grams: starting('grams to a millilitre', part.gramsPerMl, 'ratio', 'guess') },
              (v) => v.ml * v.grams,
            )
          : derive(
              part.name,
              'volume',
              'mixtures',
              '{ml} × {share}',
              { ml, share: starting('share', part.share, 'share', 'usual') },
              (v) => v.ml * v.share,
            ),
      })),
    }
  })
}

/** Offcuts that mixtures want, g. */
export const offcutsFor = (made: readonly MadeMixture[]): Working =>
  sumOf(
    'offcuts for mixtures',
    'mass',
    'mixtures added up',
    made.flatMap(({ parts }) => parts.filter(({ amount }) => amount.kind === 'mass').map(({ amount }) => amount)),
  )

/** Limits of a brief as ingredients that must not be in anything. */
export const unwantedOf = ({
  noGelatine,
  noDairy,
  noAlcohol,
}: {
  readonly noGelatine: boolean
  readonly noDairy: boolean
  readonly noAlcohol: boolean
}): readonly Ingredient[] => [
  ...(noGelatine ? ['gelatine' as const] : []),
  ...(noDairy ? ['dairy' as const] : []),
  ...(noAlcohol ? ['alcohol' as const] : []),
]
