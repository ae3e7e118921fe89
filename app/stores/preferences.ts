import { useStorage, type RemovableRef } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { UnitSystem } from '#core/quantity'
import { browserStorage } from '~/database/browserStorage'

/** The user's own studio, or the demo's. */
export type StudioName = 'own' | 'demo'

const kept = <Value extends string | object>(name: string, beginning: Value): RemovableRef<Value> =>
  useStorage<Value>(name, beginning, browserStorage)

/** What a person likes to see: units, light, how much the stand may draw, what was open. Kept in this browser. */
export const usePreferences = defineStore('preferences', () => {
  const units = kept<UnitSystem>('lamellon.units', 'metric')
  const theme = kept<'light' | 'dark'>('lamellon.theme', 'light')
  const stand = kept<'byMeasure' | 'small'>('lamellon.stand', 'byMeasure')
  /** Whether sheets are laid closer while they are looked at, which takes a core of the machine. */
  const layCloser = kept<'yes' | 'no'>('lamellon.layCloser', 'yes')
  const studio = kept<StudioName>('lamellon.studio', 'own')
  const open = {
    own: kept<string>('lamellon.commission', ''),
    demo: kept<string>('lamellon.demoCommission', ''),
  }
  /** The commission that was open last in this studio. */
  const lastCommission = computed({
    get: () => open[studio.value].value,
    set: (id: string) => {
      open[studio.value].value = id
    },
  })
  /** When the user's own studio was last saved to a file, ms by the world's clock, and how many edits were made since. */
  const studioFile = kept<{ at: number | null; edits: number }>('lamellon.studioFile', {
    at: null,
    edits: 0,
  })
  /** What is done in the demo is not counted. */
  const countEdit = (): void => {
    if (studio.value === 'own') studioFile.value.edits += 1
  }
  return { units, theme, stand, layCloser, studio, lastCommission, studioFile, countEdit }
})
