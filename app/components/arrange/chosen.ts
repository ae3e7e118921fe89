import type { Option } from '#core/commission'
import { computed, ref } from 'vue'

/** What the Arrange leaf has open: the sails, a decoration cut from sheets or a bouquet by its id. */
const chosen = ref<string>('sails')

export const useChosenDecoration = (option: () => Option) => ({
  open: computed(() => {
    const paper = option().decorations.find(({ id }) => id === chosen.value)
    if (paper) return paper.id
    if (option().bouquets.some(({ id }) => id === chosen.value)) return chosen.value
    return option().decorations.length > 0 || option().decorations.length === 0 ? 'sails' : option().decorations[0]!.id
  }),
  choose: (id: string): void => {
    chosen.value = id
  },
})
