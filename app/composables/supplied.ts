import type { Commission } from '#core/commission'
import { stockOf } from '#core/workshop'
import { computed } from 'vue'
import { packingOf } from '#core/deliver'
import { needsOf, quoteOf, type Plan } from '#core/plan'
import { shoppingList } from '#core/supply'
import { usePlanned } from './planned'

/** What comes into the house: needs, shopping, and what is asked for it. */
export function useSupplied() {
  const { studio, commission, workshop, plan } = usePlanned()
  /** Needs, shopping and quote of a plan: that of the open commission, or of another of its options. */
  const suppliedFor = (planned: Plan, of: Commission) => {
    const { prices, pricing, pieceBoxes } = workshop.value
    const needs = needsOf(planned, of, prices, packingOf(planned, of, pieceBoxes).boxes.length)
    const shopping = shoppingList(needs, (item) => stockOf(workshop.value, item), studio.reserved)
    return { needs, shopping, quote: quoteOf(planned, shopping, prices, pricing) }
  }
  const supplied = computed(() => suppliedFor(plan.value, commission.value))
  return {
    suppliedFor,
    needs: computed(() => supplied.value.needs),
    shopping: computed(() => supplied.value.shopping),
    quote: computed(() => supplied.value.quote),
  }
}
