/** Decorations in another order, and copies of them: beside themselves, on another tier, in another option. */
import type { Tier } from '../cake'
import { untouched, type Standing } from '../compose'
import { fitting } from './beginnings'
import type { Decoration } from './commission'

const LONGEST_NAME = 40
const SEEDS = 1_000_000

/** Whether two decorations stand in the same row: loose on the cake, or gathered in the same bouquet. */
const isBeside = (one: Decoration, other: Decoration): boolean =>
  (one.gathered?.bouquet ?? null) === (other.gathered?.bouquet ?? null)

/**
 * The decorations with one of them moved to a place among those beside it: what comes earlier chooses its places
 * first. @param at the place, from 0; beyond the ends it comes first or last
 */
export function movedTo(decorations: readonly Decoration[], id: string, at: number): readonly Decoration[] {
  const moved = decorations.find((each) => each.id === id)
  if (!moved) return decorations
  const others = decorations.filter((each) => each.id !== id && isBeside(each, moved))
  const place = Math.min(others.length, Math.max(0, at))
  const row = [...others.slice(0, place), moved, ...others.slice(place)]
  let next = 0
  return decorations.map((each) => (isBeside(each, moved) ? row[next++]! : each))
}

/** The place of a decoration among those beside it, from 0; -1 for none. */
export function placeOf(decorations: readonly Decoration[], id: string): number {
  const own = decorations.find((each) => each.id === id)
  return own ? decorations.filter((each) => isBeside(each, own)).findIndex((each) => each.id === id) : -1
}

/** A name that none has yet: “Moths 2” beside “Moths”. */
export function anotherName(name: string, taken: readonly string[]): string {
  const base = name.replace(/ \d+$/, '')
  for (let number = 2; ; number += 1) {
    const ending = ` ${number}`
    const next = `${base.slice(0, LONGEST_NAME - ending.length)}${ending}`
    if (!taken.includes(next)) return next
  }
}

/** A copy of a decoration with an id and a name of its own. */
const copyOf = (decoration: Decoration, id: string, name: string): Decoration => ({
  ...structuredClone(decoration),
  id,
  name,
})

/** The same beside itself: another throw of the dice, so that it does not stand in the very same places. */
export function duplicated(decoration: Decoration, id: string, name: string): Decoration {
  const copy = copyOf(decoration, id, name)
  return {
    ...copy,
    byHand: untouched(),
    composition: { ...copy.composition, seed: (copy.composition.seed + 1) % SEEDS },
  } as Decoration
}

/** A copy on another tier, as many as find a place there; null for what is not told by a tier. */
export function onAnotherTier(
  decoration: Decoration,
  { id, name, tier }: { readonly id: string; readonly name: string; readonly tier: number },
  tiers: readonly Tier[],
  standing: readonly Standing[],
): Decoration | null {
  if (!('tier' in decoration.composition)) return null
  const copy = duplicated(decoration, id, name)
  return fitting({ ...copy, composition: { ...copy.composition, tier } } as Decoration, tiers, standing)
}

/** A copy for another option of the cake: by itself, since the bouquet it was gathered in stays where it is. */
export const forAnotherOption = (decoration: Decoration, id: string): Decoration => ({
  ...copyOf(decoration, id, decoration.name),
  gathered: null,
})
