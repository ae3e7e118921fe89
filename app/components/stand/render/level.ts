import { computed, ref } from 'vue'
import { usePreferences } from '~/stores/preferences'
import { CANVAS_TRAITS } from './canvasTraits'

/**
 * How the stand is drawn: `full` all the time; `resting` in plain light while it moves and in full as soon as it
 * rests; `small` in plain light and coarse always.
 */
export type Level = 'full' | 'resting' | 'small'

/** Made once: where a processor draws, the first picture waits a second and more for graphics to begin. */
let first: { readonly canvas: HTMLCanvasElement; readonly hasDepth: boolean; isTaken: boolean } | null = null

function firstCanvas() {
  if (first) return first
  const canvas = document.createElement('canvas')
  first = { canvas, hasDepth: canvas.getContext('webgl2', CANVAS_TRAITS) !== null, isTaken: false }
  return first
}

/** Whether this browser draws anything in depth. */
export const drawsInDepth = (): boolean => firstCanvas().hasDepth

/** A canvas to draw on in depth: at first the one that was asked whether that can be done. */
export function takeCanvas(): HTMLCanvasElement {
  const known = firstCanvas()
  if (known.isTaken) return document.createElement('canvas')
  known.isTaken = true
  return known.canvas
}

/** A frame that moves is in time below this, ms; a picture at rest may take this long. */
const MOVING_MS = 70
const SWIFT_MS = 25
const STILL_MS = 2500
/** So many slow ones after each other: one alone may be due to something else that the machine had to do. */
const SLOW_PICTURES = 2
const COARSEST = 0.45

/**
 * Finds out by drawing how much the machine can draw.
 * @returns the level, the share of the screen's pixels that a moving frame has, and what is told each time
 */
export function useLevel() {
  const preferences = usePreferences()
  let slow = 0
  const measured = ref<Level>('full')
  const level = computed<Level>(() => (preferences.stand === 'small' ? 'small' : measured.value))
  const moving = ref(1)
  const density = computed(() => (level.value === 'small' ? COARSEST : moving.value))
  return {
    level,
    density,
    /** Told once, when it is known what draws. */
    begin(isSoftware: boolean): void {
      if (isSoftware && measured.value === 'full') measured.value = 'resting'
    },
    /** Told how long a picture took. */
    took(ms: number, wasFull: boolean): void {
      if (level.value === 'small') return
      if (wasFull && level.value === 'full' && ms > MOVING_MS) measured.value = 'resting'
      else if (wasFull && ms > STILL_MS) {
        slow += 1
        if (slow >= SLOW_PICTURES) measured.value = 'small'
      } else if (wasFull) slow = 0
      else if (ms > MOVING_MS) moving.value = Math.max(COARSEST, moving.value * 0.8)
      else if (ms < SWIFT_MS) moving.value = Math.min(1, moving.value * 1.1)
    },
  }
}
