<script setup lang="ts">
import { computed } from 'vue'
import type { Spot } from '#core/compose'
import { facesViewer, pointOfSpot, spotAt, viewAt, type Viewpoint } from '#core/draw'
import type { Point } from '#core/geometry'
import { useArranging } from '~/components/arrange/arranging'
import { arrowMove } from '~/components/arrange/arrowKeys'
import HandlePoint from '~/components/arrange/HandlePoint.vue'
import { vPull, type PointerPlace } from '~/composables/pulled'

/**
 * The handles of the open composition, and the picked element, on the stand itself. The parent says which place of its
 * drawing is under a pointer.
 */
const props = defineProps<{
  look: Viewpoint
  perPixel: number
  placeUnder: (at: PointerPlace) => Point | null
}>()

const { stack, handles, pickedElement, pullingOver, nudge, nudgeHandle } = useArranging()

const seen = (spot: Spot) => {
  const { x, y } = viewAt(props.look)(pointOfSpot(spot, stack.value))
  return { x, y: -y }
}
const shown = computed(() =>
  handles.value
    .filter((handle) => facesViewer(handle, stack.value, props.look))
    .map((handle) => ({ ...handle, ...seen(handle) })),
)
const picked = computed(() =>
  pickedElement.value && facesViewer(pickedElement.value, stack.value, props.look) ? seen(pickedElement.value) : null,
)

/** The spot of the cake under a pointer. */
function spotUnder(at: PointerPlace): Spot | null {
  const place = props.placeUnder(at)
  return place && spotAt(stack.value, props.look, place)
}

const { pullHandle, pullPicked } = pullingOver(spotUnder)

function onKey(event: KeyboardEvent): void {
  const by = arrowMove(event, 2, 10)
  if (!by) return
  event.stopPropagation()
  nudge(...by)
}
</script>

<template>
  <g data-testid="stand-handles">
    <HandlePoint
      v-for="handle in shown"
      :key="handle.id"
      :x="handle.x"
      :y="handle.y"
      :per-pixel="perPixel"
      :says="`${handle.name} of the composition, on the stand`"
      :is-heart="handle.id === 'heart' || handle.id === 'middle'"
      :data-testid="`stand-handle-${handle.id}`"
      @pull="pullHandle(handle.id, $event)"
      @nudge="(right, up) => nudgeHandle(handle.id, right, up)"
    >
      <title>{{ handle.name }}</title>
    </HandlePoint>
    <g
      v-if="picked"
      v-pull="{ pull: pullPicked }"
      tabindex="0"
      role="button"
      class="cursor-move"
      style="touch-action: none"
      aria-label="The picked one, on the stand; arrow keys move it"
      data-testid="stand-picked"
      @click.stop
      @keydown="onKey"
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
