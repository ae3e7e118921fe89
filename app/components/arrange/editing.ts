import { computed } from 'vue'
import type { PaperDecoration, Paperwork } from '#core/plan'
import { usePlanned } from '~/composables/planned'

/** A decoration cut from sheets as it is edited on its leaf. */
export function useDecoration(id: () => string) {
  const { plan, option, editOption } = usePlanned()
  return {
    decoration: computed<PaperDecoration>(() => option.value.paperwork.find((each) => each.id === id())!),
    made: computed<Paperwork | null>(() => plan.value.paperwork.find((each) => each.id === id()) ?? null),
    /** Changes it. @param merge edits in a row with the same word are undone together */
    edit: (label: string, change: (decoration: PaperDecoration) => void, merge = ''): void =>
      editOption(
        label,
        ({ paperwork }) => {
          const each = paperwork.find((one) => one.id === id())
          if (each) change(each)
        },
        merge && `${id()} ${merge}`,
      ),
  }
}
