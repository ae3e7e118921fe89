import { Gesture } from '@use-gesture/vanilla'
import { onScopeDispose, watch, type ComputedRef, type Ref } from 'vue'
import type { Point } from '#core/geometry'
import type { PointerPlace } from '~/composables/pulled'
import { useLook } from './look'

/** Fewer pixels than this are a touch, not a drag. */
const STILL_PX = 4
const TURN_DEG_PER_PX = 0.6
const TILT_DEG_PER_PX = 0.4
const WHEEL_PER_PX = 0.0016

type Hands = {
  /** Millimetres of the picture to a pixel of the screen. */
  readonly perPixel: ComputedRef<number>
  readonly placeUnder: (at: PointerPlace) => Point | null
  readonly hover: (at: PointerPlace) => void
  readonly touch: (at: PointerPlace) => void
}

/**
 * What hands do to the stand: one finger turns and tilts it, two come nearer and move it, a wheel comes nearer, a touch
 * opens. With the shift key a mouse moves it too.
 */
export function useGestures(drawing: Ref<Element | null>, { perPixel, placeUnder, hover, touch }: Hands): void {
  const look = useLook()
  let hovered = 0
  let gesture: Gesture | null = null

  const towards = (at: PointerPlace, times: number): void => {
    const place = placeUnder(at)
    if (place) look.comeNearer(times, { x: place.x, y: -place.y })
  }
  const shift = (right: number, lower: number): void =>
    look.moveBy({ x: -right * perPixel.value, y: -lower * perPixel.value })

  function hear(element: Element): Gesture {
    return new Gesture(
      element,
      {
        onDrag: ({ pinching, cancel, canceled, tap, event, delta: [right, lower], shiftKey }) => {
          if (pinching) cancel()
          else if (tap) touch(event as PointerEvent)
          else if (canceled) return
          else if (shiftKey) shift(right, lower)
          else {
            look.turnBy(-right * TURN_DEG_PER_PX)
            look.tiltBy(lower * TILT_DEG_PER_PX)
          }
        },
        onPinch: ({ first, last, origin: [clientX, clientY], da: [apart], memo }) => {
          const before = memo as { readonly at: PointerPlace; readonly apart: number } | undefined
          const now = { at: { clientX, clientY }, apart: Math.max(1, apart) }
          if (first || last || !before) return now
          towards(now.at, now.apart / before.apart)
          shift(clientX - before.at.clientX, clientY - before.at.clientY)
          return now
        },
        onWheel: ({ last, event, delta: [, lower] }) => {
          if (last) return
          event.preventDefault()
          towards(event, Math.exp(-lower * WHEEL_PER_PX))
        },
        onMove: ({ dragging, event }) => {
          window.cancelAnimationFrame(hovered)
          if (!dragging) hovered = window.requestAnimationFrame(() => hover(event as PointerEvent))
        },
      },
      {
        eventOptions: { passive: false },
        drag: { filterTaps: true, tapsThreshold: STILL_PX, pointer: { keys: false } },
        pinch: { pinchOnWheel: false },
      },
    )
  }

  const stop = (): void => {
    gesture?.destroy()
    gesture = null
    window.cancelAnimationFrame(hovered)
  }
  watch(
    drawing,
    (element) => {
      stop()
      if (element) gesture = hear(element)
    },
    { immediate: true },
  )
  onScopeDispose(stop)
}
