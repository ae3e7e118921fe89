<script setup lang="ts">
import { vPull, type PointerPlace } from '~/composables/pulled'
import { arrowMove } from './arrowKeys'

/** A point that is pulled with finger, mouse or arrow keys, on a drawing or on the stand. */
defineProps<{ x: number; y: number; perPixel: number; says: string; isHeart?: boolean }>()
const emit = defineEmits<{ pull: [at: PointerPlace]; nudge: [right: number, up: number] }>()

function onKey(event: KeyboardEvent): void {
  const by = arrowMove(event, 2, 10)
  if (!by) return
  event.stopPropagation()
  emit('nudge', ...by)
}
</script>

<template>
  <g
    v-pull="{ pull: (at) => emit('pull', at) }"
    tabindex="0"
    role="button"
    class="cursor-grab"
    style="touch-action: none"
    :aria-label="`${says}; arrow keys move it`"
    @click.stop
    @keydown="onKey"
  >
    <circle :cx="x" :cy="y" :r="18 * perPixel" fill="transparent" />
    <circle :cx="x" :cy="y" :r="8.5 * perPixel" fill="var(--paper)" stroke="var(--ink)" :stroke-width="2 * perPixel" />
    <circle v-if="isHeart" :cx="x" :cy="y" :r="3 * perPixel" fill="var(--ink)" />
    <slot />
  </g>
</template>
