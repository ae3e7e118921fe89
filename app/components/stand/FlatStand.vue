<script setup lang="ts">
import { computed } from 'vue'
import { flatStand, viewAt, type StandScene, type Viewpoint, type Window } from '#core/draw'
import { pointsOf } from './shapePaint'

/** The cake as flat outlines, where the browser draws nothing in depth. */
const props = defineProps<{ scene: StandScene; look: Viewpoint; window: Window }>()
const flats = computed(() => flatStand(props.scene, viewAt(props.look)))
</script>

<template>
  <svg
    class="pointer-events-none h-full w-full"
    :viewBox="`${props.window.left} ${props.window.top} ${props.window.width} ${props.window.height}`"
    aria-hidden="true"
  >
    <g v-for="{ id, colour, outlines } in flats" :key="id" :fill="colour" stroke="var(--ink-soft)" stroke-width="0.4">
      <polygon v-for="(outline, at) in outlines" :key="at" :points="pointsOf(outline)" />
    </g>
  </svg>
</template>
