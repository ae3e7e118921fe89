/** How long paper stays stiff on each tier of the cake, and from which hour it may go on. */
import { paperSheet, stiffOnCake, type Climate } from '../../dry'
import { coveringOf, type CoveringId } from '../../material'
import type { Moment } from '../../quantity'
import type { Slot } from '../../schedule'
import type { PlannedDecoration } from '../../decoration'

/**
 * A tier with what stands or lies on it: minutes it stays stiff, null for two days and more, and the earliest hour to
 * place it.
 */
export type OnTier = {
  readonly tier: number
  readonly covering: string
  readonly standingMin: number | null
  readonly lyingMin: number | null
  readonly placeFrom: Moment | null
}

/** Guests look at it so long. Usual practice. */
const SHOWN_MIN = 4 * 60
/** Standard wafer, the paper most is made of. */
const WAFER = paperSheet('wafer', 0.35)

type OnTheCakeInputs = { readonly coverings: readonly CoveringId[]; readonly air: Climate; readonly eventAt: Moment }

/** Decorations that are set on the cake in the workshop earlier than their tier lets them stay stiff. */
export function laidTooEarlyOf(
  tiers: readonly OnTier[],
  made: readonly Pick<PlannedDecoration, 'id' | 'name' | 'skin' | 'elements'>[],
  slots: readonly Slot[],
): readonly { readonly id: string; readonly name: string; readonly covering: string; readonly from: Moment }[] {
  return made
    .filter(({ skin, elements }) => skin && elements.length > 0)
    .flatMap(({ id, name, elements }) => {
      const on = tiers[elements[0]!.tier]
      const laid = slots.filter(({ of }) => of?.decoration === id).at(-1)
      return on && on.placeFrom !== null && laid && laid.from < on.placeFrom
        ? [{ id, name, covering: on.covering, from: on.placeFrom }]
        : []
    })
}

/** Every tier, the lowest first. */
export function onTheCakeStage({ coverings, air, eventAt }: OnTheCakeInputs): readonly OnTier[] {
  const stiff = new Map([...new Set(coverings)].map((id) => [id, stiffOnCake(WAFER, coveringOf(id), air)]))
  return coverings.map((id, tier): OnTier => {
    const covering = coveringOf(id)
    const { standingMin, lyingMin } = stiff.get(id)!
    return {
      tier,
      covering: covering.name.toLowerCase(),
      standingMin,
      lyingMin,
      placeFrom: lyingMin === null ? null : eventAt + SHOWN_MIN - lyingMin,
    }
  })
}
