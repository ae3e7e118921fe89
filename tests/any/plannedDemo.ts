/** The demo as leaves see it while they are tested: planned again after every change, nothing kept. */
import type { Workshop } from '../../core/workshop'
import { chosenOption, type Commission, type Decoration, type Option } from '../../core/commission'
import { produce } from 'immer'
import { computed, shallowRef } from 'vue'
import { demoCommission, demoWorkshop } from '../../core/demo'
import { createPlanner } from '../../core/plan'

const planner = createPlanner()

export const commission = shallowRef<Commission>(demoCommission(0))
export const workshop = shallowRef<Workshop>(demoWorkshop())
export const option = computed(() => chosenOption(commission.value))
export const plan = computed(() =>
  planner({ commission: commission.value, workshop: workshop.value, now: 0, units: 'metric' }),
)

/** The demo as it begins. */
export function beginAgain(): void {
  commission.value = demoCommission(0)
  workshop.value = demoWorkshop()
}

type Draft = { commission: Commission; workshop: Workshop }

function edit(_: string, change: (draft: Draft) => void): void {
  const next = produce({ commission: commission.value, workshop: workshop.value }, change)
  commission.value = next.commission
  workshop.value = next.workshop
}

/** Stands in for the composable of the same name. */
export const usePlannedDemo = () => ({
  plan,
  option,
  commission,
  workshop,
  studio: { edit },
  cake: computed(() => option.value.cake),
  cautionsOn: (leaf: string) => computed(() => plan.value.cautions.filter((caution) => caution.leaf === leaf)),
  editDecorations: (ids: readonly string[], label: string, change: (each: Decoration) => void): void =>
    edit(label, ({ commission: draft }) => {
      for (const each of chosenOption(draft).decorations) if (ids.includes(each.id)) change(each)
    }),
  editOption: (label: string, change: (each: Option) => void): void =>
    edit(label, ({ commission: draft }) => change(chosenOption(draft))),
})
