import type { Working } from '#core/quantity'
import { perCommission } from '~/composables/perCommission'

/** The figure whose working is open; one at a time. */
const opened = perCommission<Working | null>(() => null)

/** The panel that shows how a figure comes about. */
export const useWorkingPanel = () => ({
  opened,
  open: (working: Working): void => {
    opened.value = working
  },
  /** A figure that came out anew while its working is open is shown anew. */
  follow: (before: Working | null | undefined, now: Working | null | undefined): void => {
    if (before && now && opened.value === before) opened.value = now
  },
  close: (): void => {
    opened.value = null
  },
})
