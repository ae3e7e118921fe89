import { computed } from 'vue'
import { handoverPack, packingOf, placingsOf } from '#core/deliver'
import { usePreferences } from '~/stores/preferences'
import { usePlanned } from './planned'

/** What goes out of the house: where everything is placed, how it is packed, and the papers that go with it. */
export function useHandover() {
  const { commission, workshop, plan } = usePlanned()
  const preferences = usePreferences()
  /** Whoever unpacks at the venue reads the pack. */
  const about = computed(() => ({
    plan: plan.value,
    commission: commission.value,
    units: commission.value.brief.venueUnits ?? preferences.units,
  }))
  const placings = computed(() => placingsOf(plan.value, commission.value))
  const packing = computed(() => packingOf(plan.value, commission.value, workshop.value.pieceBoxes))
  return { pack: computed(() => handoverPack(about.value, placings.value, packing.value, commission.value.bench)) }
}
