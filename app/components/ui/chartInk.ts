import { computed, ref, watchEffect } from 'vue'
import { usePreferences } from '~/stores/preferences'

/** Colours and face of charts, as the room's light has them. */
export type ChartInk = {
  readonly line: string
  readonly damp: string
  readonly text: string
  readonly grid: string
  readonly paper: string
}

export const CHART_FONT = { family: '"Figtree Variable", sans-serif', size: 12.5 }

/** The ink of the open theme; it changes with the theme. */
export function useChartInk() {
  const preferences = usePreferences()
  const ink = ref<ChartInk>({ line: '#17695c', damp: '#d7951a', text: '#65545f', grid: '#eadfce', paper: '#ffffff' })
  watchEffect(() => {
    void preferences.theme
    const style = getComputedStyle(document.documentElement)
    const colour = (name: string): string => style.getPropertyValue(name).trim()
    ink.value = {
      line: colour('--go'),
      damp: colour('--look'),
      text: colour('--ink-soft'),
      grid: colour('--line'),
      paper: colour('--paper'),
    }
  })
  return computed(() => ink.value)
}
