import { ref, shallowRef } from 'vue'
import { forecastSchema, type Forecast } from '#core/dry'

const PATIENCE_MS = 8000

/** The last forecast that made sense, and what was wrong with the one after; kept while the studio is open. */
const last = shallowRef<{ readonly forecast: Forecast; readonly from: string } | null>(null)
const problem = ref('')
const asking = ref(false)

/** The ten-day forecast of the workroom's air. It is taken whole or not at all. */
export function useForecast() {
  async function ask(from: string): Promise<void> {
    asking.value = true
    try {
      const response = await fetch(`/api/forecast?from=${encodeURIComponent(from)}`, {
        signal: AbortSignal.timeout(PATIENCE_MS),
      })
      if (!response.ok) throw new Error('it was refused')
      const parsed = forecastSchema.safeParse(await response.json().catch(() => null))
      if (!parsed.success) throw new Error('it does not make sense')
      last.value = { forecast: parsed.data, from }
      problem.value = ''
    } catch (reason) {
      const why =
        reason instanceof DOMException && reason.name === 'TimeoutError'
          ? 'it did not come in time'
          : reason instanceof Error
            ? reason.message
            : String(reason)
      problem.value = `No new forecast: ${why}. ${last.value ? 'The last good one is shown.' : 'Plan by hand, or try again.'}`
    }
    asking.value = false
  }
  return { last, problem, asking, ask }
}
