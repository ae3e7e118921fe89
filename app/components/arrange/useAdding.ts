import { computed } from 'vue'
import { MOST_BOUQUETS, MOST_DECORATIONS, startingDecoration, startingGathering } from '#core/commission'
import { standingBefore } from '#core/decoration'
import type { TechniqueId } from '#core/technique'
import { usePlanned } from '~/composables/planned'
import { useChosenDecoration } from './chosen'

/** How many decorations a bouquet begins with. */
const IN_A_BOUQUET = 4

/** Puts decorations on the open option, and opens what was put on. */
export function useAdding() {
  const { plan, option, cake, editOption } = usePlanned()
  const { choose } = useChosenDecoration(() => option.value)
  return {
    isFull: computed(() => option.value.decorations.length >= MOST_DECORATIONS),
    hasRoomForBouquet: computed(
      () =>
        option.value.bouquets.length < MOST_BOUQUETS &&
        option.value.decorations.length + IN_A_BOUQUET <= MOST_DECORATIONS,
    ),
    addBouquet(): void {
      const { bouquet, decorations } = startingGathering(crypto.randomUUID().slice(0, 8), cake.value.tiers)
      editOption('gather a bouquet', (each) => {
        each.bouquets.push(bouquet)
        each.decorations.unshift(...decorations)
      })
      choose(bouquet.id)
    },
    /** What stands there already keeps its place: the new one begins beside it. */
    add(technique: TechniqueId): void {
      const id = crypto.randomUUID()
      const standing = standingBefore(plan.value.decorations)
      const begun = startingDecoration(id, technique, cake.value.tiers, undefined, standing)
      editOption('add a decoration', (each) => {
        each.decorations.push(begun)
      })
      choose(id)
    },
  }
}
