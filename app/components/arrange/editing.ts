import type { PlannedDecoration } from '#core/decoration'
import type { Decoration } from '#core/commission'
import { computed } from 'vue'
import { usePlanned } from '~/composables/planned'

/** A decoration as it is edited on its leaf. */
export function useDecoration(id: () => string) {
  const { plan, option, editOption } = usePlanned()
  return {
    decoration: computed<Decoration>(() => option.value.decorations.find((each) => each.id === id())!),
    made: computed<PlannedDecoration | null>(() => plan.value.decorations.find((each) => each.id === id()) ?? null),
    /** Changes it. @param merge edits in a row with the same word are undone together */
    edit: (label: string, change: (decoration: Decoration) => void, merge = ''): void =>
      editOption(
        label,
        ({ decorations }) => {
          const each = decorations.find((one) => one.id === id())
          if (each) change(each)
        },
        merge && `${id()} ${merge}`,
      ),
  }
}
