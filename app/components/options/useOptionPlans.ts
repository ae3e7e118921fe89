import { choosing, type Option } from '#core/commission'
import { shallowRef, watch } from 'vue'
import { type Plan } from '#core/plan'
import { useStudio } from '~/stores/studio'

/** An option with the plan it would have. */
export type PlannedOption = { readonly option: Option; readonly plan: Plan }

/** The plans of all options of the open commission, worked out one after another and again after an edit. */
export function useOptionPlans() {
  const studio = useStudio()
  const planned = shallowRef<readonly PlannedOption[]>([])
  let asked = 0

  watch(
    [() => studio.commission, () => studio.workshop],
    async ([commission]) => {
      if (!commission) return
      const mine = (asked += 1)
      const all: PlannedOption[] = []
      for (const option of commission.options)
        all.push({ option, plan: await studio.planOf(choosing(commission, option.id)) })
      if (mine === asked) planned.value = all
    },
    { immediate: true },
  )
  return planned
}
