import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { UnitSystem } from '#core/quantity'

/** The user's own studio, or the demo's. */
export type StudioName = 'own' | 'demo'

/** What a person likes to see: units, light, how much the stand may draw, what was open. Kept in this browser. */
export const usePreferences = defineStore('preferences', () => {
  const units = useLocalStorage<UnitSystem>('lamellon.units', 'metric')
  const theme = useLocalStorage<'light' | 'dark'>('lamellon.theme', 'light')
  const stand = useLocalStorage<'byMeasure' | 'small'>('lamellon.stand', 'byMeasure')
  const studio = useLocalStorage<StudioName>('lamellon.studio', 'own')
  const open = {
    own: useLocalStorage<string>('lamellon.commission', ''),
    demo: useLocalStorage<string>('lamellon.demoCommission', ''),
  }
  /** The commission that was open last in this studio. */
  const lastCommission = computed({
    get: () => open[studio.value].value,
    set: (id: string) => {
      open[studio.value].value = id
    },
  })
  /** When the user's own studio was last saved to a file, ms by the world's clock, and how many edits were made since. */
  const studioFile = useLocalStorage<{ at: number | null; edits: number }>('lamellon.studioFile', {
    at: null,
    edits: 0,
  })
  return { units, theme, stand, studio, lastCommission, studioFile }
})
