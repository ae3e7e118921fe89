import type { ComputedRef } from 'vue'
import type { Point } from '#core/geometry'
import { useLook } from './look'

/** Fewer pixels than this are a touch, not a drag. */
const STILL_PX = 4
const TURN_DEG_PER_PX = 0.6
const TILT_DEG_PER_PX = 0.4
const WHEEL_PER_PX = 0.0016

type Hands = {
  /** Millimetres of the picture to a pixel of the screen. */
  readonly perPixel: ComputedRef<number>
  readonly placeUnder: (at: { clientX: number; clientY: number }) => Point | null
  readonly hover: (event: PointerEvent) => void
  readonly touch: (event: MouseEvent) => void
}

/**
 * What hands do to the stand: one finger turns and tilts it, two come nearer and move it, a wheel comes nearer, a touch
 * opens. With the shift key a mouse moves it too.
 * @returns what listens on the drawing
 */
export function useGestures({ perPixel, placeUnder, hover, touch }: Hands) {
  const look = useLook()
  const fingers = new Map<number, { readonly clientX: number; readonly clientY: number }>()
  let began: Point | null = null
  let wasDrag = false
  let hovered = 0

  const towards = (at: { clientX: number; clientY: number }, times: number): void => {
    const place = placeUnder(at)
    if (place) look.comeNearer(times, { x: place.x, y: -place.y })
  }

  function down(event: PointerEvent): void {
    fingers.set(event.pointerId, event)
    began = { x: event.clientX, y: event.clientY }
    wasDrag = fingers.size > 1
  }

  function drag(event: PointerEvent): void {
    const before = fingers.get(event.pointerId)
    if (!before || event.buttons === 0) {
      window.cancelAnimationFrame(hovered)
      hovered = window.requestAnimationFrame(() => hover(event))
      return
    }
    fingers.set(event.pointerId, event)
    if (began && Math.hypot(event.clientX - began.x, event.clientY - began.y) > STILL_PX && !wasDrag) {
      wasDrag = true
      ;(event.currentTarget as Element | null)?.setPointerCapture(event.pointerId)
    }
    if (!wasDrag) return
    const [right, lower] = [event.clientX - before.clientX, event.clientY - before.clientY]
    const other = [...fingers].find(([id]) => id !== event.pointerId)?.[1]
    if (other) {
      const apart = (at: typeof before): number => Math.hypot(at.clientX - other.clientX, at.clientY - other.clientY)
      const middle = { clientX: (event.clientX + other.clientX) / 2, clientY: (event.clientY + other.clientY) / 2 }
      towards(middle, apart(event) / Math.max(1, apart(before)))
      look.moveBy({ x: (-right / 2) * perPixel.value, y: (-lower / 2) * perPixel.value })
    } else if (event.shiftKey) {
      look.moveBy({ x: -right * perPixel.value, y: -lower * perPixel.value })
    } else {
      look.turnBy(-right * TURN_DEG_PER_PX)
      look.tiltBy(lower * TILT_DEG_PER_PX)
    }
  }

  const lift = (event: PointerEvent): void => {
    fingers.delete(event.pointerId)
  }

  return {
    pointerdown: down,
    pointermove: drag,
    pointerup: lift,
    pointercancel: lift,
    click: (event: MouseEvent) => {
      if (!wasDrag) touch(event)
    },
    wheel: (event: WheelEvent) => {
      event.preventDefault()
      towards(event, Math.exp(-event.deltaY * WHEEL_PER_PX))
    },
  }
}
