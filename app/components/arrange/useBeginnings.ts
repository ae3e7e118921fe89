import { chosenOption, STARTING_POINTS, type Commission, type Option, type StartingPoint } from '#core/commission'
import { onScopeDispose, shallowRef, watch } from 'vue'
import { type Plan } from '#core/plan'
import { useStudio } from '~/stores/studio'

export type ShownBeginning = {
  readonly point: StartingPoint
  readonly option: Option
  readonly commission: Commission
  readonly plan: Plan
}

/** The commission with a beginning laid on the option that is chosen. */
function beginningWith(commission: Commission, point: StartingPoint): Commission {
  const option = chosenOption(commission)
  return {
    ...commission,
    options: commission.options.map((each) => (each.id === option.id ? { ...each, ...point.on(option.cake) } : each)),
  }
}

/**
 * Every beginning as it would look on the user's own tiers, one after another; worked out again when the cake changes.
 */
export function useBeginnings() {
  const studio = useStudio()
  const shown = shallowRef<readonly ShownBeginning[]>([])
  let asked = 0
  const stop = watch(
    () => studio.commission && JSON.stringify(chosenOption(studio.commission).cake),
    async () => {
      if (!studio.commission) return
      const mine = (asked += 1)
      shown.value = []
      for (const point of STARTING_POINTS) {
        const commission = beginningWith(studio.commission, point)
        const plan = await studio.planOf(commission)
        if (mine !== asked) return
        shown.value = [...shown.value, { point, option: chosenOption(commission), commission, plan }]
      }
    },
    { immediate: true },
  )
  onScopeDispose(() => {
    asked += 1
    stop()
  })
  return shown
}
