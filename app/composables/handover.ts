import { stockOf } from '#core/workshop'
import { computed } from 'vue'
import { handoverPack, packingOf, placingsOf, quotePaper, shoppingPaper } from '#core/deliver'
import { needsOf, quoteOf } from '#core/plan'
import { shoppingList } from '#core/supply'
import { usePreferences } from '~/stores/preferences'
import { usePlanned } from './planned'

/** What goes out of the house: placing, packing, papers; and what comes in: needs, shopping, quote. */
export function useHandover() {
  const { studio, commission, workshop, plan } = usePlanned()
  const preferences = usePreferences()
  const about = computed(() => ({ plan: plan.value, commission: commission.value, units: preferences.units }))
  const placings = computed(() => placingsOf(plan.value, commission.value))
  const packing = computed(() => packingOf(plan.value, commission.value, workshop.value.pieceBoxes))
  const needs = computed(() => needsOf(plan.value, commission.value, workshop.value.prices, packing.value.boxes.length))
  const shopping = computed(() => shoppingList(needs.value, (item) => stockOf(workshop.value, item), studio.reserved))
  const quote = computed(() => quoteOf(plan.value, shopping.value, workshop.value.prices, workshop.value.pricing))
  return {
    placings,
    packing,
    needs,
    shopping,
    quote,
    pack: computed(() => handoverPack(about.value, placings.value, packing.value, commission.value.bench)),
    shoppingSheet: computed(() => shoppingPaper(about.value, shopping.value)),
    quoteSheet: computed(() => quotePaper(about.value, quote.value)),
  }
}
