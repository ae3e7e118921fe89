import { printDuration } from '../quantity'

/** A thing that is not food and goes in at one step and must come out: counted both ways. */
type Removal = {
  readonly id: string
  readonly name: string
  readonly count: number
  readonly where: string
  readonly stays: boolean
}

export type CareFacts = {
  readonly sails: number
  readonly glues: readonly string[]
  readonly venueHumidity: number
  readonly venueSoftMin: number | null
  /**
   * Decorations of paper besides the sails, and whether they stand on wires or the like, which stay until the cake is
   * cut.
   */
  readonly paper: readonly { readonly name: string; readonly isWired: boolean }[]
  /** Everything that is not food and was put in. */
  readonly inedible: readonly Removal[]
  /** Pearls, leaf, a topper: eaten or for show. */
  readonly accents: readonly { readonly many: string; readonly count: number; readonly edible: boolean }[]
  readonly dummyTiers: readonly string[]
}

export type CareCard = {
  readonly keep: readonly string[]
  readonly eat: readonly string[]
  readonly remove: readonly Removal[]
  readonly ask: readonly string[]
}

/** What whoever keeps, cuts and eats the cake must know. It informs; food rules and labels decide. */
export function careCard({
  sails,
  glues,
  venueHumidity,
  venueSoftMin,
  paper,
  inedible,
  accents,
  dummyTiers,
}: CareFacts): CareCard {
  const [wired, plain] = [paper.filter(({ isWired }) => isWired), paper.filter(({ isWired }) => !isWired)]
  const namesOf = (some: CareFacts['paper']): string => some.map(({ name }) => name).join(', ')
  const soft =
    venueSoftMin === null
      ? `At ${Math.round(venueHumidity * 100)} % humidity the sails should keep their shape for the evening (an estimate).`
      : `At ${Math.round(venueHumidity * 100)} % humidity expect the sails to soften ` +
        `after about ${printDuration(venueSoftMin)} (an estimate).`
  return {
    keep: [
      soft,
      'Keep out of sun, steam and the refrigerator: cold cakes sweat, and sails droop.',
      'Do not touch the sails: they snap like glass.',
    ],
    eat: [
      ...(sails > 0
        ? [
            `The ${sails} sails are edible: starch film and food colour, fixed with ` +
              `${glues.join('; ')}. Brittle and plain, some guests leave them.`,
            'Lift the sails off whole before cutting; loose flakes are sharp.',
          ]
        : []),
      ...(wired.length > 0
        ? [
            `On wires: ${namesOf(wired)}. Lift them off whole, with their holders, before ` +
              `cutting; petals and leaves taken off their wires may be eaten.`,
          ]
        : []),
      ...(plain.length > 0 ? [`Edible paper: ${namesOf(plain)}. Cut through it, or lift it off.`] : []),
      ...(accents.some(({ edible }) => edible)
        ? [
            `Edible with it: ${accents
              .filter(({ edible }) => edible)
              .map(({ many, count }) => `${count} ${many}`)
              .join(', ')}. Hard: mind teeth and little children.`,
          ]
        : []),
      ...dummyTiers.map((tier) => `${tier} is a dummy and is not eaten.`),
    ],
    remove: inedible,
    ask: [
      'Ask the guests about allergies; the film and colours may carry traces named on their packets.',
      'Local food rules and the labels of all products come before this card.',
    ],
  }
}
