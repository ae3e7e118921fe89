/** Where decorations stand, as far as it asks for a look: on what feet rest, ledges too narrow, sweeps that end in the air. */
import { firstPile, type StandingTier } from '../../cake'
import { HOLDER_ROOM_MM } from '../../care'
import type { Decoration } from '../../commission'
import type { Bouquet } from '../../compose'
import type { PlannedDecoration } from '../../decoration'
import { coveringOf } from '../../material'
import { techniqueOf } from '../../technique'

/** The tiers that some decorations touch. */
export const tiersTouched = (decorations: readonly PlannedDecoration[], stack: readonly StandingTier[]) =>
  [...new Set(decorations.flatMap(({ elements }) => elements.map(({ tier }) => tier)))].map((tier) => stack[tier]!)

/** The first bouquet on a ledge that has no room for holders. */
export function narrowLedgeOf(
  bouquets: readonly Bouquet[],
  stack: readonly StandingTier[],
): { readonly bouquet: string; readonly mm: number } | null {
  const narrow = bouquets.find(
    ({ place, tier }) => place === 'ledge' && stack[tier]?.carries && stack[tier].ledge.leastMm < HOLDER_ROOM_MM,
  )
  return narrow ? { bouquet: narrow.name, mm: stack[narrow.tier]!.ledge.leastMm } : null
}

/** How far sweeps end above the cake. */
export const aboveTopOf = (
  wanted: readonly Decoration[],
  decorations: readonly PlannedDecoration[],
  stack: readonly StandingTier[],
) =>
  wanted.flatMap(({ id, composition, gathered }) => {
    if (composition.kind !== 'sweep' || gathered) return []
    const byMm = Math.max(composition.fromHeightMm, composition.toHeightMm) - firstPile(stack).at(-1)!.topMm
    return byMm > 0.5 ? [{ id, name: decorations.find((each) => each.id === id)!.name, byMm }] : []
  })

/** Coverings on which feet of what stands free would rest; what is on a skewer or a wire rests on that. */
export function feetOn(decorations: readonly PlannedDecoration[], stack: readonly StandingTier[]) {
  const standing = decorations.filter(
    ({ technique, removals }) =>
      techniqueOf(technique).stands && !removals.some(({ stays, count }) => stays && count > 0),
  )
  return [...new Set(tiersTouched(standing, stack).map(({ covering }) => covering))].map(coveringOf)
}
