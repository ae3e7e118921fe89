import { computed } from 'vue'
import { DRYING_WORDS, type DryingWay } from '#core/dry'
import type { Plan } from '#core/plan'
import { printWorkingValue, type UnitSystem } from '#core/quantity'
import { perCommission } from '~/composables/perCommission'
import { usePlanned } from '~/composables/planned'
import { usePreferences } from '~/stores/preferences'

/** Figures of the tally as they are read. */
const figuresOf = ({ tally }: Pick<Plan, 'tally'>, units: UnitSystem): Readonly<Record<string, string>> =>
  Object.fromEntries(
    tally.map(({ label, working, none }) => [label, working ? printWorkingValue(working, units) : none || 'none']),
  )

/** Which figures are others than before, in words. */
export const differences = (
  before: Readonly<Record<string, string>>,
  now: Readonly<Record<string, string>>,
): readonly string[] =>
  Object.keys({ ...before, ...now }).flatMap((label) =>
    before[label] === now[label] ? [] : [`${label} ${before[label] ?? 'none'} → ${now[label] ?? 'none'}`],
  )

type Chosen = {
  readonly from: DryingWay
  readonly to: DryingWay
  readonly figures: Readonly<Record<string, string>>
}
/** The way that was chosen last, on whichever part of the leaf. */
const chosen = perCommission<Chosen | null>(() => null)

/** What another way of drying changed: says it once it was chosen, with everything else kept. */
export function useChangedWay() {
  const { plan } = usePlanned()
  const preferences = usePreferences()
  const words = computed(() => {
    if (!chosen.value) return null
    const { from, to, figures } = chosen.value
    const changed = differences(figures, figuresOf(plan.value, preferences.units))
    const what = `${DRYING_WORDS[to].name} instead of ${DRYING_WORDS[from].name.toLowerCase()}`
    return `${what}: ${changed.length > 0 ? changed.join('; ') : 'no figure of the tally changes'}. The rest is kept.`
  })
  /** Remembers how things stood before another way is taken. */
  function remember(from: DryingWay, to: DryingWay): void {
    chosen.value = { from, to, figures: figuresOf(plan.value, preferences.units) }
  }
  const forget = (): void => {
    chosen.value = null
  }
  return { words, remember, forget }
}
