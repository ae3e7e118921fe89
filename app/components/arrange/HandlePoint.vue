<script setup lang="ts">
import { arrowMove } from './arrowKeys'

/** A point that is pulled with finger, mouse or arrow keys, on the unrolled side or on the stand. */
defineProps<{ x: number; y: number; perPixel: number; says: string; isHeart?: boolean }>()
const emit = defineEmits<{ grab: [event: PointerEvent]; nudge: [right: number, up: number] }>()

function onKey(event: KeyboardEvent): void {
  const by = arrowMove(event, 2, 10)
  if (!by) return
  event.stopPropagation()
  emit('nudge', ...by)
}
</script>

<template>
  <g
    tabindex="0"
    role="button"
    class="cursor-grab"
    style="touch-action: none"
    :aria-label="`${says}; arrow keys move it`"
    @pointerdown.stop="emit('grab', $event)"
    @click.stop
    @keydown="onKey"
  >
    <circle :cx="x" :cy="y" :r="18 * perPixel" fill="transparent" />
    <circle :cx="x" :cy="y" :r="8.5 * perPixel" fill="var(--paper)" stroke="var(--ink)" :stroke-width="2 * perPixel" />
    <circle v-if="isHeart" :cx="x" :cy="y" :r="3 * perPixel" fill="var(--ink)" />
    <slot />
  </g>
</template>
