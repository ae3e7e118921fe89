import { computed, ref } from 'vue'
import { straightMm, type Touched } from '#core/draw'
import { perCommission } from '~/composables/perCommission'

const dimensionsShown = ref(false)
const measuring = perCommission(() => false)
const isLarge = ref(false)
const boxShown = ref(true)
const ends = perCommission<readonly Touched[]>(() => [])

/** Dimension lines, the tape measure and the size of the stand, shared by all that show or switch them. */
export const useStandTools = () => ({
  dimensionsShown,
  measuring,
  /** Whether the stand has the whole window but for the tally. */
  isLarge,
  /** Whether the box it travels in is drawn round the cake. */
  boxShown,
  ends,
  measuredMm: computed(() => (ends.value.length === 2 ? straightMm(ends.value[0]!.point, ends.value[1]!.point) : null)),
  toggleTape: (): void => {
    measuring.value = !measuring.value
    ends.value = []
  },
  /** Puts the tape to a point: the first end, then the other, then begins anew. */
  putTape: (touched: Touched): void => {
    ends.value = ends.value.length === 1 ? [...ends.value, touched] : [touched]
  },
})
