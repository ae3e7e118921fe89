<script setup lang="ts">
import { computed } from 'vue'
import { boxEdges, type Viewpoint } from '#core/draw'

/** The box that the cake travels in, as dotted edges: those behind the cake, or those before it. */
const props = defineProps<{
  box: { readonly widthMm: number; readonly depthMm: number; readonly heightMm: number }
  footMm: number
  look: Viewpoint
  perPixel: number
  fits: boolean
  side: 'behind' | 'before'
}>()

const edges = computed(() =>
  boxEdges(props.box, props.footMm, props.look).filter(({ isBehind }) => isBehind === (props.side === 'behind')),
)
</script>

<template>
  <g :stroke="fits ? 'var(--ink-soft)' : 'var(--stop)'" stroke-linecap="round" pointer-events="none">
    <line
      v-for="{ id, from, to } in edges"
      :key="id"
      :x1="from.x"
      :y1="-from.y"
      :x2="to.x"
      :y2="-to.y"
      :stroke-width="1.2 * perPixel"
      :stroke-opacity="side === 'behind' ? 0.9 : 0.45"
      :stroke-dasharray="`${2 * perPixel} ${5 * perPixel}`"
    />
  </g>
</template>
