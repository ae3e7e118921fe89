/** Elements of a decoration where its composition, or its technique's own rule, puts them. */
import { askedOf, bandRoom, compositionOf, keepingFree, type Ground } from '../compose'
import { techniqueOf, type Layout, type Means } from '../technique'
import type { Decoration } from './commission'

/** What of a decoration says where its elements are. */
export type Arranged = Pick<Decoration, 'technique' | 'parameters' | 'composition' | 'sizes'>

/** The cake that a decoration is laid out on, what must stay free of it, how high it may reach. */
export type LyingOn = Omit<Ground, 'seen' | 'asked'>

/** Whether a technique fills its band by a rule of its own, so that nobody says how many. */
const fillsByRule = ({ technique, composition }: Pick<Arranged, 'technique' | 'composition'>): boolean =>
  composition.kind === 'band' && techniqueOf(technique).layOut !== undefined

/** How many a decoration asks for: by its sizes, or by its composition; null where as many are placed as fill it. */
export function askedFor(arranged: Omit<Arranged, 'parameters'>): number | null {
  const { composition, sizes } = arranged
  if (fillsByRule(arranged) || !('count' in composition)) return null
  const bySizes = sizes.length > 0 ? sizes.reduce((sum, { many }) => sum + many, 0) : null
  return askedOf(composition, { asked: bySizes })
}

/** Elements of a decoration on a cake, in the sizes that its composition gives them. */
export function laidOut(arranged: Arranged, on: LyingOn, means?: Means): Layout {
  const { composition, parameters, sizes } = arranged
  const technique = techniqueOf(arranged.technique)
  const seen = technique.seen(parameters, means)
  const ground: Ground = { ...on, seen, asked: sizes.length > 0 ? askedFor(arranged) : null }
  return technique.layOut && composition.kind === 'band'
    ? keepingFree(technique.layOut(parameters, bandRoom(on.stack, composition), means), ground)
    : compositionOf(composition.kind).layOut(composition, ground)
}
