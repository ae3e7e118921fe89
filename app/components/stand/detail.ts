import { ref } from 'vue'

/**
 * Faces of all elements together while the stand turns: it begins here, and goes up and down with what the machine can
 * paint.
 */
const BEGINS = 900
const LEAST = 240
const MOST = 6000
const FEWER = 0.7
const MORE = 1.3
/** A frame that took longer than this was late; so many in time in a row, and more detail is tried. */
const LATE_MS = 21
const PAUSED_MS = 250
const CALM_FRAMES = 40

/**
 * How fine the stand is drawn while it turns: as fine as keeps up with the screen.
 * @returns the number, and what is to be told at each frame that shows a turn
 */
export function useTurningDetail() {
  const mostFaces = ref(BEGINS)
  let before = 0
  let calm = 0
  function frame(atMs: number): void {
    const took = atMs - before
    before = atMs
    if (took > PAUSED_MS) return
    if (took > LATE_MS) {
      calm = 0
      mostFaces.value = Math.max(LEAST, Math.round(mostFaces.value * FEWER))
    } else if ((calm += 1) >= CALM_FRAMES) {
      calm = 0
      mostFaces.value = Math.min(MOST, Math.round(mostFaces.value * MORE))
    }
  }
  return { mostFaces, frame }
}
