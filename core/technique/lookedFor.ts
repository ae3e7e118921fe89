import { paperOf, type PaperId } from '../material'
import type { Heat } from './define'
import { FAMILIES, type FamilyId } from './family'

/** Words that a technique is found by: its own, those of its family, and those that people use for it. */
const wordsOf = ({ name, element, say, alsoCalled, family }: Findable): string =>
  [name, element, say, ...alsoCalled, FAMILIES.find(({ id }) => id === family)!.name].join(' ').toLowerCase()

type Findable = {
  readonly name: string
  readonly element: string
  readonly say: string
  readonly alsoCalled: readonly string[]
  readonly family: FamilyId
}

/** Techniques in which every word that is typed occurs, or begins one; all where nothing is typed. In their order. */
export function lookedFor<Technique extends Findable>(
  techniques: readonly Technique[],
  typed: string,
): readonly Technique[] {
  const wanted = typed.toLowerCase().split(/\s+/).filter(Boolean)
  return techniques.filter((technique) => wanted.every((word) => wordsOf(technique).includes(word)))
}

const HEAT_WORDS = { pan: 'a hot pan', oil: 'hot oil', steam: 'steam' } as const

/** What a technique needs besides paper glue and colour, the paper first. */
export const needsOfTechnique = ({
  papers,
  heat,
  tools = [],
}: {
  readonly papers: readonly PaperId[]
  readonly heat?: Heat
  readonly tools?: readonly string[]
}): readonly string[] => [paperOf(papers[0]!).name.toLowerCase(), ...(heat ? [HEAT_WORDS[heat]] : []), ...tools]
