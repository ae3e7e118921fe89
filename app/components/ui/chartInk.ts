import { useMutationObserver } from '@vueuse/core'
import { shallowRef, type Ref } from 'vue'

/** Colours and face of charts, as the room's light has them. */
export type ChartInk = {
  readonly line: string
  readonly damp: string
  readonly text: string
  readonly grid: string
  readonly paper: string
}

export const CHART_FONT = { family: '"Figtree Variable", sans-serif', size: 12.5 }

function inkNow(): ChartInk {
  const style = getComputedStyle(document.documentElement)
  const colour = (name: string): string => style.getPropertyValue(name).trim()
  return {
    line: colour('--go'),
    damp: colour('--look'),
    text: colour('--ink-soft'),
    grid: colour('--line'),
    paper: colour('--paper'),
  }
}

/** The ink of the open theme; it changes with the theme. */
export function useChartInk(): Readonly<Ref<ChartInk>> {
  const ink = shallowRef(inkNow())
  // The page is told of another theme a moment after it was chosen, and has no other colours before.
  useMutationObserver(document.documentElement, () => (ink.value = inkNow()), { attributeFilter: ['data-theme'] })
  return ink
}
