import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import type { UnitSystem } from '#core/quantity'

/** What a person likes to see: units, light, how much the stand may draw. Kept in this browser. */
export const usePreferences = defineStore('preferences', () => {
  const units = useLocalStorage<UnitSystem>('lamellon.units', 'metric')
  const theme = useLocalStorage<'light' | 'dark'>('lamellon.theme', 'light')
  const stand = useLocalStorage<'byMeasure' | 'small'>('lamellon.stand', 'byMeasure')
  const lastCommission = useLocalStorage<string>('lamellon.commission', '')
  return { units, theme, stand, lastCommission }
})
