import { printDuration } from '../quantity'

/** A thing that is not food and goes in at one step and must come out: counted both ways. */
type Removal = {
  readonly id: string
  readonly name: string
  readonly count: number
  readonly where: string
  readonly stays: boolean
}

/** A decoration as whoever keeps and eats the cake must know it. */
type Kept = {
  readonly name: string
  readonly called: string
  readonly count: number
  readonly isFilm: boolean
  /** Stands on wires or the like, which stay until the cake is cut. */
  readonly isWired: boolean
}

export type CareFacts = {
  readonly decorations: readonly Kept[]
  /** What film is fixed with. */
  readonly glues: readonly string[]
  readonly venueHumidity: number
  /** Minutes until decorations go soft at the venue; none where they do not. */
  readonly venueSoftMin: number | null
  /** Everything that is not food and was put in. */
  readonly inedible: readonly Removal[]
  /** Pearls, leaf, a topper: eaten or for show. */
  readonly accents: readonly { readonly many: string; readonly count: number; readonly edible: boolean }[]
  readonly dummyTiers: readonly string[]
  /** Paint, dust and the like on the paper: what, and on which decorations. */
  readonly finishes: readonly { readonly name: string; readonly on: readonly string[] }[]
}

export type CareCard = {
  readonly keep: readonly string[]
  readonly eat: readonly string[]
  readonly remove: readonly Removal[]
  readonly ask: readonly string[]
}

const listed = (names: readonly string[]): string => names.join(', ')

/** How long decorations keep their shape where they are shown. */
function softWords({ decorations, venueHumidity, venueSoftMin }: CareFacts): readonly string[] {
  if (decorations.length === 0) return []
  const [air, what] = [
    `At ${Math.round(venueHumidity * 100)} % humidity`,
    listed([...new Set(decorations.map(({ called }) => called))]),
  ]
  return [
    venueSoftMin === null
      ? `${air} the ${what} should keep their shape for the evening (an estimate).`
      : `${air} expect the ${what} to soften after about ${printDuration(venueSoftMin)} (an estimate).`,
    'Keep out of sun, steam and the refrigerator: cold cakes sweat, and paper droops.',
  ]
}

/** What whoever keeps, cuts and eats the cake must know. It informs; food rules and labels decide. */
export function careCard(facts: CareFacts): CareCard {
  const { decorations, glues, inedible, accents, dummyTiers, finishes } = facts
  const film = decorations.filter(({ isFilm, isWired }) => isFilm && !isWired)
  const wired = decorations.filter(({ isWired }) => isWired)
  const plain = decorations.filter(({ isFilm, isWired }) => !isFilm && !isWired)
  const namesOf = (some: readonly Kept[]): string => listed(some.map(({ name }) => name))
  return {
    keep: [
      ...softWords(facts),
      ...(film.length > 0
        ? [`Do not touch the ${listed([...new Set(film.map(({ called }) => called))])}: they snap like glass.`]
        : []),
    ],
    eat: [
      ...film.map(
        ({ called, count }) =>
          `The ${count} ${called} are edible: starch film and food colour, fixed with ${glues.join('; ')}. Brittle and ` +
          `plain, some guests leave them.`,
      ),
      ...(film.length > 0 ? ['Lift what is of film off whole before cutting; loose flakes are sharp.'] : []),
      ...(wired.length > 0
        ? [
            `On wires or skewers: ${namesOf(wired)}. Lift them off whole, with their holders, before ` +
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
      ...finishes.map(
        ({ name, on }) =>
          `${name} on the ${listed(on)}: paint or dust sold as edible, in a thin coat; what its label says comes first.`,
      ),
      ...dummyTiers.map((tier) => `${tier} is a dummy and is not eaten.`),
    ],
    remove: inedible,
    ask: [
      'Ask the guests about allergies; paper and colours may carry traces named on their packets.',
      'Local food rules and the labels of all products come before this card.',
    ],
  }
}
