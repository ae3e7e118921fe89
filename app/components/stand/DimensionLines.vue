<script setup lang="ts">
import { computed } from 'vue'
import type { Board, StandingTier } from '#core/cake'
import { dimensionsOf, type Viewpoint } from '#core/draw'
import { printQuantity } from '#core/quantity'
import { usePreferences } from '~/stores/preferences'

const props = defineProps<{ stack: readonly StandingTier[]; board: Board; look: Viewpoint; perPixel: number }>()

const preferences = usePreferences()
const lines = computed(() => dimensionsOf(props.stack, props.board, props.look))
const length = (mm: number): string => printQuantity(mm, 'length', preferences.units)
</script>

<template>
  <g data-testid="dimensions" pointer-events="none">
    <g v-for="line in lines" :key="line.id">
      <line
        :x1="line.from.x"
        :y1="-line.from.y"
        :x2="line.to.x"
        :y2="-line.to.y"
        stroke="var(--ink)"
        :stroke-width="1.2 * perPixel"
      />
      <circle
        v-for="(end, at) in [line.from, line.to]"
        :key="at"
        :cx="end.x"
        :cy="-end.y"
        :r="2.4 * perPixel"
        fill="var(--ink)"
      />
      <text
        :x="
          line.at === 'below' ? (line.from.x + line.to.x) / 2 : line.from.x + (line.at === 'right' ? 6 : -6) * perPixel
        "
        :y="-(line.from.y + line.to.y) / 2 + (line.at === 'below' ? -5 : 4) * perPixel"
        :text-anchor="line.at === 'below' ? 'middle' : line.at === 'right' ? 'start' : 'end'"
        :font-size="12.5 * perPixel"
        font-weight="650"
        fill="var(--ink)"
        stroke="var(--paper)"
        :stroke-width="3.5 * perPixel"
        paint-order="stroke"
        >{{ length(line.lengthMm) }}</text
      >
    </g>
  </g>
</template>
