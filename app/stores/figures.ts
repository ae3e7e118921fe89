/** The figures of what is open: the plan, whether it follows the last edit yet, and what the last edit changed in it. */
import { computed, ref, shallowRef } from 'vue'
import { tallyWith, type Plan, type PlanInputs, type TallyFigure, type TallyId } from '#core/plan'
import { differencesBetween, type Difference } from './differences'
import { planner } from './planning'
import { planTrouble, type Trouble } from './trouble'
import { afterPress } from './underTheFinger'

const DIFFERENCE_SHOWN_MS = 6000

/**
 * Asks for plans and keeps the last answer.
 * @param question what the plan follows from; null while nothing is open
 * @param answered called after each answer, and after each failure
 */
export function figuresOf(question: () => PlanInputs | null, answered: () => void) {
  const plan = shallowRef<Plan | null>(null)
  /** Figures of the last edit that are ahead of its plan; nothing once that is there. */
  const ahead = shallowRef<readonly TallyFigure[] | null>(null)
  const differences = shallowRef<Partial<Record<TallyId, Difference>>>({})
  /** Whether figures are being worked out: what is shown is not of the last edit yet. */
  const isPlanning = ref(false)
  /** What keeps the studio from opening, or its figures from following. */
  const trouble = shallowRef<Trouble | null>(null)
  let editedSincePlan = false
  let differenceTimer = 0
  let asked: PlanInputs | null = null

  function showDifferences(before: Plan, after: Plan): void {
    differences.value = differencesBetween(before.tally, after.tally, asked!.units)
    window.clearTimeout(differenceTimer)
    differenceTimer = window.setTimeout(() => {
      differences.value = {}
    }, DIFFERENCE_SHOWN_MS)
  }

  const { ask, ...others } = planner(
    afterPress(window, (answer: Plan) => {
      if (plan.value && editedSincePlan) showDifferences(plan.value, answer)
      editedSincePlan = false
      plan.value = answer
      ahead.value = null
      isPlanning.value = false
      trouble.value = null
      answered()
    }),
    (figures) => {
      ahead.value = figures
    },
    (reason) => {
      ahead.value = null
      isPlanning.value = false
      trouble.value = planTrouble(reason)
      answered()
    },
  )

  function askAnew(): void {
    asked = question()
    if (!asked) return
    isPlanning.value = true
    ask(asked)
  }

  return {
    ...others,
    plan,
    /** The figures that are always on the screen, each as new as it is known. */
    tally: computed((): readonly TallyFigure[] => {
      const tally = plan.value?.tally ?? []
      return ahead.value && plan.value ? tallyWith(ahead.value, tally) : tally
    }),
    differences,
    isPlanning,
    trouble,
    askAnew,
    /** Something was edited: the next figures are compared with these. */
    edited: (): void => {
      editedSincePlan = true
    },
    /** There are no figures any more: something else is open, or nothing. */
    clear(because: Trouble | null = null): void {
      plan.value = null
      ahead.value = null
      differences.value = {}
      trouble.value = because
    },
  }
}
