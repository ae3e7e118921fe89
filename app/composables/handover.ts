import type { Commission } from '#core/commission'
import { stockOf } from '#core/workshop'
import { computed } from 'vue'
import { handoverPack, packingOf, placingsOf, quotePaper, shoppingPaper } from '#core/deliver'
import { needsOf, quoteOf, type Plan } from '#core/plan'
import { shoppingList } from '#core/supply'
import { usePreferences } from '~/stores/preferences'
import { usePlanned } from './planned'

/** What goes out of the house: placing, packing, papers; and what comes in: needs, shopping, quote. */
export function useHandover() {
  const { studio, commission, workshop, plan } = usePlanned()
  const preferences = usePreferences()
  const about = computed(() => ({ plan: plan.value, commission: commission.value, units: preferences.units }))
  /** Whoever unpacks at the venue reads the pack. */
  const aboutPack = computed(() => ({ ...about.value, units: commission.value.brief.venueUnits ?? preferences.units }))
  const placings = computed(() => placingsOf(plan.value, commission.value))
  /** Packing, needs, shopping and quote of a plan: that of the open commission, or of another of its options. */
  const boughtFor = (planned: Plan, of: Commission) => {
    const { prices, pricing, pieceBoxes } = workshop.value
    const packed = packingOf(planned, of, pieceBoxes)
    const needed = needsOf(planned, of, prices, packed.boxes.length)
    const list = shoppingList(needed, (item) => stockOf(workshop.value, item), studio.reserved)
    return { packed, needed, list, quote: quoteOf(planned, list, prices, pricing) }
  }
  const bought = computed(() => boughtFor(plan.value, commission.value))
  const packing = computed(() => bought.value.packed)
  const needs = computed(() => bought.value.needed)
  const shopping = computed(() => bought.value.list)
  const quote = computed(() => bought.value.quote)
  return {
    boughtFor,
    placings,
    packing,
    needs,
    shopping,
    quote,
    pack: computed(() => handoverPack(aboutPack.value, placings.value, packing.value, commission.value.bench)),
    shoppingSheet: computed(() => shoppingPaper(about.value, shopping.value)),
    quoteSheet: computed(() => quotePaper(about.value, quote.value)),
  }
}
