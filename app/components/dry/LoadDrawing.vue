<script setup lang="ts">
import { computed } from 'vue'
import type { FormerLoad } from '#core/schedule'
import { usePlanned } from '~/composables/planned'

/** A load as it lies on its former, seen from above. */
defineProps<{ load: FormerLoad }>()
const { plan, workshop } = usePlanned()
const former = computed(() => (plan.value.drying.way === 'mat' ? workshop.value.mats : workshop.value.trays))
const colourOf = (shade: number): string => plan.value.bath?.steps[shade]?.predictedHex ?? '#efece2'
</script>

<template>
  <svg
    :viewBox="`-4 -4 ${former.lengthMm + 8} ${former.widthMm + 8}`"
    role="img"
    :aria-label="`Load ${load.number}: ${load.laid.map(({ piece }) => `piece ${piece.number}`).join(', ')}`"
  >
    <rect
      :width="former.lengthMm"
      :height="former.widthMm"
      rx="14"
      fill="var(--paper-deep)"
      stroke="var(--line)"
      stroke-width="3"
    />
    <g v-for="laid in load.laid" :key="laid.piece.number">
      <path
        :d="`M${laid.xMm} ${laid.yMm + laid.heightMm * 0.2}q${laid.widthMm * 0.25} ${-laid.heightMm * 0.28} 
          ${laid.widthMm * 0.5} 0t${laid.widthMm * 0.5} 0l${
            -laid.widthMm * 0.28
          } ${laid.heightMm * 0.8}h${-laid.widthMm * 0.44}z`"
        :fill="colourOf(laid.piece.shade)"
        fill-opacity="0.85"
        stroke="var(--ink)"
        stroke-opacity="0.35"
        stroke-width="2"
      />
      <text
        :x="laid.xMm + laid.widthMm / 2"
        :y="laid.yMm + laid.heightMm * 0.62"
        text-anchor="middle"
        font-size="27"
        font-weight="700"
        fill="#2a1c2c"
      >
        {{ laid.piece.number }}
      </text>
    </g>
  </svg>
</template>
