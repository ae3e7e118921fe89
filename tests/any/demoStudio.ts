/**
 * The studio as leaves see it while they are tested: the demo, planned again after every change, nothing kept, with a
 * clock that is set by hand. It stands in for the studio's store (`vitest.config.ts`).
 */
import { produce } from 'immer'
import { computed, ref, shallowRef } from 'vue'
import { chosenOption, type Commission } from '../../core/commission'
import { demoCommission, demoWorkshop } from '../../core/demo'
import { createPlanner } from '../../core/plan'
import type { Workshop } from '../../core/workshop'

const planner = createPlanner()

export const commission = shallowRef<Commission>(demoCommission(0))
export const workshop = shallowRef<Workshop>(demoWorkshop())
export const option = computed(() => chosenOption(commission.value))
export const plan = computed(() =>
  planner({ commission: commission.value, workshop: workshop.value, now: 0, units: 'metric' }),
)
/** The hour it is, minutes. */
export const hour = ref(0)

/** The demo as it begins. */
export function beginAgain(): void {
  commission.value = demoCommission(0)
  workshop.value = demoWorkshop()
  hour.value = 0
}

type Draft = { commission: Commission; workshop: Workshop }
type Attempt = { readonly startBy: number | null; readonly chance: number | null; readonly problem: string }

function edit(_: string, change: (draft: Draft) => void): void {
  const next = produce({ commission: commission.value, workshop: workshop.value }, change)
  commission.value = next.commission
  workshop.value = next.workshop
}

export const studio = {
  get plan() {
    return plan.value
  },
  get commission() {
    return commission.value
  },
  get workshop() {
    return workshop.value
  },
  get now() {
    return hour.value
  },
  isPlanning: false,
  reserved: new Map<string, number>(),
  tick: (): number => hour.value,
  attempt: (): Promise<Attempt> => Promise.reject(new Error('Nothing is attempted here.')),
  edit,
}

/** Stands in for the studio's store. */
export const useStudio = () => studio
