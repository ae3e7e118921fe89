/** What is pulled with a finger or a mouse. */
import type { DragGesture } from '@use-gesture/vanilla'
import type { Directive } from 'vue'
import type { Point } from '#core/geometry'

/** Where a pointer is on the screen, px. */
export type PointerPlace = { readonly clientX: number; readonly clientY: number }

export type Pull = {
  /** It is taken hold of; false leaves it where it is. */
  readonly take?: (held: Element) => boolean | void
  /** Where the pointer is, and how far it went since it took hold, px to the right and down. */
  readonly pull: (at: PointerPlace, went: Point) => void
  /** It is let go; not kept where something else took the pointer away. */
  readonly drop?: (isKept: boolean) => void
}

const held = new WeakMap<Element, { pull: Pull; gesture: DragGesture | null }>()

/** How hands are followed is no part of the first load: nobody pulls before there is something to be seen. */
async function followed(element: Element): Promise<void> {
  const { DragGesture } = await import('@use-gesture/vanilla')
  const own = held.get(element)
  if (!own) return
  own.gesture = new DragGesture(
    element,
    ({ first, last, canceled, cancel, event, xy: [clientX, clientY], movement: [x, y] }) => {
      event.stopPropagation()
      const { pull } = own
      if (first && pull.take?.(element) === false) cancel()
      else if (last) pull.drop?.(!canceled && event.type === 'pointerup')
      else if (!first) pull.pull({ clientX, clientY }, { x, y })
    },
    // Arrow keys move in steps of their own.
    { pointer: { keys: false } },
  )
}

/** Makes an element follow the hand. What lies behind it does not feel it. */
export const vPull: Directive<Element, Pull> = {
  mounted(element, { value }) {
    held.set(element, { pull: value, gesture: null })
    void followed(element)
  },
  updated(element, { value }) {
    held.get(element)!.pull = value
  },
  unmounted(element) {
    held.get(element)?.gesture?.destroy()
    held.delete(element)
  },
}

/** The place on a drawing under a pointer, in the drawing's own measure, y down; null while it is not shown. */
export function placeOn(drawing: SVGSVGElement | null, { clientX, clientY }: PointerPlace): Point | null {
  const matrix = drawing?.getScreenCTM()
  if (!matrix) return null
  const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(matrix.inverse())
  return { x, y }
}
