import { shallowRef } from 'vue'
import type { Working } from '#core/quantity'

/** The figure whose working is open; one at a time. */
const opened = shallowRef<Working | null>(null)

/** The panel that shows how a figure comes about. */
export const useWorkingPanel = () => ({
  opened,
  open: (working: Working): void => { opened.value = working },
  close: (): void => { opened.value = null },
})
