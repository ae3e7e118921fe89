<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Spot } from '#core/compose'
import { facesViewer, pointOfSpot, spotAt, viewAt } from '#core/draw'
import { useArranging } from '~/components/arrange/arranging'

/**
 * The handles of the open composition, and the picked element, on the stand itself. The parent gives the drawing they
 * lie in.
 */
const props = defineProps<{ turnDeg: number; perPixel: number; drawing: SVGSVGElement | null }>()

const { stack, handles, pickedElement, pull, move, nudge } = useArranging()
const held = ref<string | null>(null)
const PICKED = 'picked'

const seen = (spot: Spot) => {
  const { x, y } = viewAt(props.turnDeg)(pointOfSpot(spot, stack.value))
  return { x, y: -y }
}
const shown = computed(() =>
  handles.value
    .filter((handle) => facesViewer(handle, stack.value, props.turnDeg))
    .map((handle) => ({ ...handle, ...seen(handle) })),
)
const picked = computed(() =>
  pickedElement.value && facesViewer(pickedElement.value, stack.value, props.turnDeg)
    ? seen(pickedElement.value)
    : null,
)

function grab(id: string, event: PointerEvent): void {
  held.value = id
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
}

function drag(event: PointerEvent): void {
  const matrix = props.drawing?.getScreenCTM()
  if (held.value === null || !matrix) return
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
  const spot = spotAt(stack.value, props.turnDeg, { x, y: -y })
  if (!spot) return
  if (held.value === PICKED) move(spot)
  else pull(held.value, spot)
}

/** Keys may come faster than the drawing follows: the handle is taken where it is by now. */
function onKey(id: string, event: KeyboardEvent): void {
  const far = event.shiftKey ? 10 : 2
  const moves: Readonly<Record<string, readonly [number, number]>> = {
    ArrowLeft: [-far, 0],
    ArrowRight: [far, 0],
    ArrowUp: [0, far],
    ArrowDown: [0, -far],
  }
  const by = moves[event.key]
  if (!by) return
  event.preventDefault()
  event.stopPropagation()
  if (id === PICKED) {
    nudge(...by)
    return
  }
  const handle = handles.value.find((each) => each.id === id)
  if (!handle) return
  pull(
    id,
    handle.on === 'side'
      ? { ...handle, angleDeg: handle.angleDeg + by[0], heightMm: Math.max(0, handle.heightMm + by[1]) }
      : { ...handle, angleDeg: handle.angleDeg + by[0], outMm: Math.max(0, handle.outMm - by[1]) },
  )
}
</script>

<template>
  <g data-testid="stand-handles" @pointermove.stop="drag" @pointerup="held = null" @pointercancel="held = null">
    <g
      v-for="handle in shown"
      :key="handle.id"
      tabindex="0"
      role="button"
      class="cursor-grab"
      style="touch-action: none"
      :aria-label="`${handle.name} of the composition, on the stand; arrow keys move it`"
      :data-testid="`stand-handle-${handle.id}`"
      @pointerdown.stop="grab(handle.id, $event)"
      @click.stop
      @keydown="onKey(handle.id, $event)"
    >
      <circle :cx="handle.x" :cy="handle.y" :r="18 * perPixel" fill="transparent" />
      <circle
        :cx="handle.x"
        :cy="handle.y"
        :r="8 * perPixel"
        fill="var(--paper)"
        stroke="var(--ink)"
        :stroke-width="2 * perPixel"
      />
      <circle
        v-if="handle.id === 'heart' || handle.id === 'middle'"
        :cx="handle.x"
        :cy="handle.y"
        :r="3 * perPixel"
        fill="var(--ink)"
      />
      <title>{{ handle.name }}</title>
    </g>
    <g
      v-if="picked"
      tabindex="0"
      role="button"
      class="cursor-move"
      style="touch-action: none"
      aria-label="The picked one, on the stand; arrow keys move it"
      data-testid="stand-picked"
      @pointerdown.stop="grab(PICKED, $event)"
      @click.stop
      @keydown="onKey(PICKED, $event)"
    >
      <circle
        :cx="picked.x"
        :cy="picked.y"
        :r="20 * perPixel"
        fill="var(--go)"
        fill-opacity="0.12"
        stroke="var(--go)"
        :stroke-width="2 * perPixel"
        :stroke-dasharray="`${4 * perPixel} ${3 * perPixel}`"
      />
      <circle
        :cx="picked.x"
        :cy="picked.y"
        :r="4.5 * perPixel"
        fill="var(--go)"
        stroke="var(--paper)"
        :stroke-width="1.5 * perPixel"
      />
    </g>
  </g>
</template>
