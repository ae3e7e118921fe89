/** In which sizes elements are made, and how many of those that were asked for find no place. */
import { askedFor, waysToFit, type Decoration, type LyingOn, type WayToFit } from '../commission'
import type { AnyTechnique, Layout, Means, PlacedElement } from '../technique'
import { cutSizes, punchSizes, toldSizes } from './cutSizes'

/** How many were asked for, how many found a place, and what would give all of them one. */
export type Fewer = { readonly asked: number; readonly fit: number; readonly ways: readonly WayToFit[] }

/** Elements in the sizes they are made in: those that were told, by the punches there are, or a few of all that are seen. */
export function sized(
  technique: AnyTechnique,
  { elements }: Layout,
  decoration: Decoration,
  means: Means,
  punchesMm: readonly number[],
) {
  const { sizes: told, byHand, cutting, parameters } = decoration
  const isPut = ({ index }: PlacedElement): boolean => byHand.put.some((put) => put.index === index)
  const own = elements.map(({ size }) => size)
  const wished = told.length > 0 ? toldSizes(elements, told, isPut) : own
  if (technique.fit) return technique.fit(parameters, resized(elements, wished), means)
  if (technique.layOut && decoration.composition.kind === 'band') return elements
  const punched =
    technique.punchMm && punchesMm.length > 0 ? punchSizes(wished, technique.punchMm(parameters), punchesMm) : null
  return resized(elements, punched ?? (told.length > 0 ? wished : cutSizes(wished, cutting.sizes)))
}

const resized = (elements: readonly PlacedElement[], sizes: readonly number[]): readonly PlacedElement[] =>
  elements.map((element, at) => ({ ...element, size: sizes[at]! }))

/** How many find no place where they are asked for, or where none does, and what would give them one. */
export function fewerOf(decoration: Decoration, { elements }: Layout, on: LyingOn, means: Means): Fewer | null {
  const [asked, fit] = [askedFor(decoration) ?? 1, elements.length]
  return fit >= asked ? null : { asked, fit, ways: waysToFit(decoration, on, means, asked, fit) }
}
