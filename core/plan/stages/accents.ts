/** What follows from the accents of a cake: where they lie, how many, eaten or not. */
import { accentMesh, accentOf, followed, type AccentId, type Anchor, type FollowingAccent } from '../../accent'
import type { StandingTier } from '../../cake'
import type { Working } from '../../quantity'
import type { Mesh, PlacedElement } from '../../technique'
import { wallFor, type PlannedDecoration } from '../../decoration'

export type PlannedAccent = {
  readonly id: string
  readonly accent: AccentId
  readonly name: string
  readonly many: string
  readonly follows: string
  readonly elements: readonly PlacedElement[]
  readonly count: Working
  readonly edible: boolean
  readonly caution: string
}

/** Elements that accents can gather round: those of a decoration. */
export function anchorsOf(follows: string, decorations: readonly PlannedDecoration[]): readonly Anchor[] {
  const made = decorations.find(({ id }) => id === follows)
  return made ? made.elements.map((element) => ({ element, seen: made.seen })) : []
}

export function accentStage({
  accent,
  anchors,
  stack,
}: {
  readonly accent: FollowingAccent
  readonly anchors: readonly Anchor[]
  readonly stack: readonly StandingTier[]
}): PlannedAccent {
  const { name, many, caution } = accentOf(accent.accent)
  const { elements, count } = followed(accent, anchors, stack)
  return {
    id: accent.id,
    accent: accent.accent,
    name,
    many,
    follows: accent.follows,
    elements,
    count: { ...count, label: many },
    edible: accent.edible,
    caution,
  }
}

/** Accents as they are drawn. */
export const accentMeshesOf = (
  accent: FollowingAccent,
  elements: readonly PlacedElement[],
  stack: readonly StandingTier[],
): readonly Mesh[] => elements.map((element) => accentMesh(accent, element, wallFor(element, stack)))
