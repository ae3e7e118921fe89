<script setup lang="ts">
import { computed } from 'vue'
import { flatStand, viewAt, type Solid, type Viewpoint, type Window } from '#core/draw'
import { pointsOf } from './shapePaint'

/** The cake as flat patches, where the browser draws nothing in depth. */
const props = defineProps<{ solids: readonly Solid[]; look: Viewpoint; window: Window }>()
const patches = computed(() => flatStand(props.solids, viewAt(props.look)))
</script>

<template>
  <svg
    class="pointer-events-none h-full w-full"
    :viewBox="`${props.window.left} ${props.window.top} ${props.window.width} ${props.window.height}`"
    aria-hidden="true"
  >
    <polygon
      v-for="patch in patches"
      :key="patch.id"
      :points="pointsOf(patch.outline)"
      :fill="patch.colour"
      stroke="var(--ink-soft)"
      stroke-width="0.4"
    />
  </svg>
</template>
