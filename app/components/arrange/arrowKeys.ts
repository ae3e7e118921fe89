/**
 * How far an arrow key moves: to the right and up, in steps of the caller's own measure; further with shift. None for
 * other keys. The key is taken, so that the page does not scroll under it.
 */
export function arrowMove(event: KeyboardEvent, step: number, farStep: number): readonly [number, number] | null {
  const far = event.shiftKey ? farStep : step
  const moves: Readonly<Record<string, readonly [number, number]>> = {
    ArrowLeft: [-far, 0],
    ArrowRight: [far, 0],
    ArrowUp: [0, far],
    ArrowDown: [0, -far],
  }
  const by = moves[event.key] ?? null
  if (by) event.preventDefault()
  return by
}
