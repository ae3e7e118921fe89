import { sumOf, type Working } from '../quantity'
import { CARRIER_WORDS, type Carrier, type Dish } from '../tint'

/** Something besides dye that colouring takes: what it is thinned with, dust and paint for finishes. */
export type ColourNeed = { readonly name: string; readonly amount: Working }

/** A finish on a decoration with what it takes. */
type Finished = {
  readonly name: string
  readonly finishes: readonly { readonly name: string; readonly colour: string; readonly amount: Working }[]
}

/**
 * What dishes are thinned with, by carrier, water aside, and what finishes take, by finish and colour.
 *
 * By hand: dishes of 4.8 ml and 5.8 ml in strong clear alcohol take 10.6 ml of it.
 */
export function colourNeeds(dishes: readonly Dish[], decorations: readonly Finished[]): readonly ColourNeed[] {
  const thinned = dishes.filter(({ isStirredIn, colouring: { carrier } }) => !isStirredIn && carrier !== 'water')
  const carriers = [...new Set(thinned.map(({ colouring: { carrier } }) => carrier))].map(
    (carrier: Carrier): ColourNeed => {
      const own = thinned.filter(({ colouring }) => colouring.carrier === carrier)
      return {
        name: CARRIER_WORDS[carrier],
        amount: sumOf(
          CARRIER_WORDS[carrier],
          'volume',
          'dishes added up',
          own.map(({ ml, uses }) => ({ ...ml, label: `for ${uses.map(({ name }) => name.toLowerCase()).join(', ')}` })),
        ),
      }
    },
  )
  const finishes = new Map<string, { readonly name: string; readonly amounts: Working[] }>()
  for (const { name: decoration, finishes: own } of decorations) {
    for (const { name, colour, amount } of own) {
      const key = `${name} ${colour.toLowerCase()}`
      const labelled = { ...amount, label: `on ${decoration.toLowerCase()}` }
      const known = finishes.get(key)
      if (known) known.amounts.push(labelled)
      else finishes.set(key, { name: `${amount.label}, ${name.toLowerCase()}`, amounts: [labelled] })
    }
  }
  return [
    ...carriers,
    ...[...finishes.values()].map(({ name, amounts }): ColourNeed => ({
      name,
      amount: sumOf(name, amounts[0]!.kind, 'decorations added up', amounts),
    })),
  ]
}
