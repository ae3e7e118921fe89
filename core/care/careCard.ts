import { printDuration } from '../quantity'

/** A thing that is not food and goes in at one step and must come out: counted both ways. */
type Removal = { readonly name: string, readonly count: number, readonly where: string }

export type CareFacts = {
  readonly sails: number
  readonly glues: readonly string[]
  readonly venueHumidity: number
  readonly venueSoftMin: number | null
  readonly skewers: number
  /** Decorations of paper besides the sails, and what holds them that is not food. */
  readonly paper: readonly { readonly name: string, readonly removals: readonly { readonly name: string, readonly count: number, readonly stays: boolean }[] }[]
  /** Food-safe holders in the cake. */
  readonly holders: number
  /** Pearls, leaf, a topper: eaten or for show. */
  readonly accents: readonly { readonly many: string, readonly count: number, readonly edible: boolean }[]
  readonly dummyTiers: readonly string[]
}

export type CareCard = { readonly keep: readonly string[], readonly eat: readonly string[], readonly remove: readonly Removal[], readonly ask: readonly string[] }

/** What whoever keeps, cuts and eats the cake must know. It informs; food rules and labels decide. */
export function careCard({ sails, glues, venueHumidity, venueSoftMin, skewers, paper, holders, accents, dummyTiers }: CareFacts): CareCard {
  const isWired = ({ removals }: CareFacts['paper'][number]): boolean => removals.some(({ stays }) => stays)
  const [wired, plain] = [paper.filter(isWired), paper.filter((each) => !isWired(each))]
  const namesOf = (some: CareFacts['paper']): string => some.map(({ name }) => name).join(', ')
  const soft = venueSoftMin === null
    ? `At ${Math.round(venueHumidity * 100)} % humidity the sails should keep their shape for the evening (an estimate).`
    : `At ${Math.round(venueHumidity * 100)} % humidity expect the sails to soften after about ${printDuration(venueSoftMin)} (an estimate).`
  return {
    keep: [soft, 'Keep out of sun, steam and the refrigerator: cold cakes sweat, and sails droop.', 'Do not touch the sails: they snap like glass.'],
    eat: [
      ...(sails > 0 ? [`The ${sails} sails are edible: starch film and food colour, fixed with ${glues.join('; ')}. Brittle and plain, some guests leave them.`, 'Lift the sails off whole before cutting; loose flakes are sharp.'] : []),
      ...(wired.length > 0 ? [`On wires: ${namesOf(wired)}. Lift them off whole, with their holders, before cutting; petals and leaves taken off their wires may be eaten.`] : []),
      ...(plain.length > 0 ? [`Edible paper: ${namesOf(plain)}. Cut through it, or lift it off.`] : []),
      ...(accents.some(({ edible }) => edible) ? [`Edible with it: ${accents.filter(({ edible }) => edible).map(({ many, count }) => `${count} ${many}`).join(', ')}. Hard: mind teeth and little children.`] : []),
      ...dummyTiers.map((tier) => `${tier} is a dummy and is not eaten.`),
    ],
    remove: [
      ...(skewers > 0 ? [{ name: 'wooden skewers', count: skewers, where: 'one in the foot of each sail' }] : []),
      ...paper.flatMap(({ name, removals }) => removals.map((part) => ({ name: part.name, count: part.count, where: part.stays ? `in the ${name}; out before the cake is cut` : `with the ${name}; out before it leaves the bench` }))),
      ...(holders > 0 ? [{ name: 'food-safe holders', count: holders, where: 'in the cake, below what stands on wires' }] : []),
      ...accents.filter(({ edible }) => !edible).map(({ many, count }) => ({ name: many, count, where: 'for show only; off before the cake is cut' })),
    ],
    ask: ['Ask the guests about allergies; the film and colours may carry traces named on their packets.', 'Local food rules and the labels of all products come before this card.'],
  }
}
