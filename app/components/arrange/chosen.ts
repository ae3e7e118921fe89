import { computed } from 'vue'
import type { Option } from '#core/commission'
import { perCommission } from '~/composables/perCommission'

/** What the Arrange leaf has open: a decoration or a bouquet by its id. */
const chosen = perCommission(() => '')

export const useChosenDecoration = (option: () => Option) => ({
  /** The one that was chosen while it is there, else the first; nothing on a bare cake. */
  open: computed(() => {
    const { decorations, bouquets } = option()
    const isThere = [...decorations, ...bouquets].some(({ id }) => id === chosen.value)
    return isThere ? chosen.value : (decorations[0]?.id ?? bouquets[0]?.id ?? '')
  }),
  choose: (id: string): void => {
    chosen.value = id
  },
})
