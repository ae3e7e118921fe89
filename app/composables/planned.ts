import { computed } from 'vue'
import type { Cake } from '#core/cake'
import { chosenOption, type Commission, type Decoration, type Option } from '#core/commission'
import type { Plan } from '#core/plan'
import type { Workshop } from '#core/workshop'
import { useStudio } from '~/stores/studio'

/** What leaves show. They are only open while there is a commission and its plan. */
export function usePlanned() {
  const studio = useStudio()
  const option = computed<Option>(() => chosenOption(studio.commission!))
  /** Changes the option that is chosen. */
  const editOption = (label: string, change: (option: Option) => void, merge = ''): void =>
    studio.edit(label, ({ commission }) => change(chosenOption(commission)), merge)
  return {
    studio,
    commission: computed<Commission>(() => studio.commission!),
    workshop: computed<Workshop>(() => studio.workshop!),
    plan: computed<Plan>(() => studio.plan!),
    option,
    cake: computed<Cake>(() => option.value.cake),
    cautionsOn: (leaf: string) => computed(() => studio.plan!.cautions.filter((caution) => caution.leaf === leaf)),
    editOption,
    editCake: (label: string, change: (cake: Cake) => void, merge = ''): void =>
      editOption(label, ({ cake }) => change(cake), merge),
    /** Changes some decorations, each in the same way. */
    editDecorations: (
      ids: readonly string[],
      label: string,
      change: (decoration: Decoration) => void,
      merge = '',
    ): void =>
      editOption(
        label,
        ({ decorations }) => {
          for (const each of decorations) if (ids.includes(each.id)) change(each)
        },
        merge && `${ids.join(' ')} ${merge}`,
      ),
  }
}
