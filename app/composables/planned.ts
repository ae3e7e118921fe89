import type { Workshop } from '#core/workshop'
import { chosenOption, type Commission, type Option } from '#core/commission'
import { computed } from 'vue'
import type { Cake } from '#core/cake'
import { type Plan, type SailSweep } from '#core/plan'
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
    decoration: computed<SailSweep | null>(() => option.value.decorations[0] ?? null),
    cautionsOn: (leaf: string) => computed(() => studio.plan!.cautions.filter((caution) => caution.leaf === leaf)),
    editOption,
    editCake: (label: string, change: (cake: Cake) => void, merge = ''): void =>
      editOption(label, ({ cake }) => change(cake), merge),
    /** Changes the decoration, when there is one. */
    editDecoration: (label: string, change: (decoration: SailSweep) => void, merge = ''): void =>
      editOption(
        label,
        ({ decorations }) => {
          if (decorations[0]) change(decorations[0])
        },
        merge,
      ),
  }
}
