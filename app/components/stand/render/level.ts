import { ref } from 'vue'
import { usePreferences } from '~/stores/preferences'

/**
 * How the stand is drawn: `full` all the time; `resting` in plain light while it moves and in full as soon as it
 * rests; `small` in plain light and coarse always.
 */
export type Level = 'full' | 'resting' | 'small'

/** A frame that moves is in time below this, ms; a picture at rest may take this long. */
const MOVING_MS = 70
const SWIFT_MS = 25
const STILL_MS = 2500
const COARSEST = 0.45

/**
 * Finds out by drawing how much the machine can draw.
 * @returns the level, the share of the screen's pixels that a moving frame has, and what is told each time
 */
export function useLevel() {
  const preferences = usePreferences()
  const level = ref<Level>(preferences.stand === 'small' ? 'small' : 'full')
  const density = ref(level.value === 'small' ? COARSEST : 1)
  return {
    level,
    density,
    /** Told once, when it is known what draws. */
    begin(isSoftware: boolean): void {
      if (isSoftware && level.value === 'full') level.value = 'resting'
    },
    /** Told how long a picture took. */
    took(ms: number, wasFull: boolean): void {
      if (level.value === 'small') return
      if (wasFull && level.value === 'full' && ms > MOVING_MS) level.value = 'resting'
      else if (wasFull && ms > STILL_MS) {
        level.value = 'small'
        density.value = COARSEST
      } else if (!wasFull && ms > MOVING_MS) density.value = Math.max(COARSEST, density.value * 0.8)
      else if (!wasFull && ms < SWIFT_MS) density.value = Math.min(1, density.value * 1.1)
    },
  }
}
