<script setup lang="ts">
import type { Flat, Window } from '#core/draw'
import { pointsOf } from './shapePaint'

/** The cake as flat outlines from far to near, where the browser draws nothing in depth. */
defineProps<{ flats: readonly Flat[]; window: Window }>()
</script>

<template>
  <svg
    class="pointer-events-none h-full w-full"
    :viewBox="`${$props.window.left} ${$props.window.top} ${$props.window.width} ${$props.window.height}`"
    aria-hidden="true"
  >
    <g v-for="{ id, colour, outlines } in flats" :key="id" :fill="colour" stroke="var(--ink-soft)" stroke-width="0.4">
      <polygon v-for="(outline, at) in outlines" :key="at" :points="pointsOf(outline)" />
    </g>
  </svg>
</template>
