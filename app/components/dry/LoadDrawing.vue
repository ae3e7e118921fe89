<script setup lang="ts">
import { computed } from 'vue'
import { counted } from '#core/quantity'
import type { Load } from '#core/schedule'
import { bathStep } from '#core/tint'
import { usePlanned } from '~/composables/planned'

/** What lies together on a mat or a tray, seen from above. */
const props = defineProps<{ load: Load; decoration: string; former: 'mat' | 'tray' }>()
const { plan, workshop } = usePlanned()
const size = computed(() => (props.former === 'tray' ? workshop.value.trays : workshop.value.mats))
const made = computed(() => plan.value.decorations.find(({ id }) => id === props.decoration))
const pieces = computed(() =>
  props.load.laid.map((laid) => {
    const piece = made.value?.classes.find(({ id }) => id === laid.part)
    const shade = piece?.shade ?? 0
    return {
      laid,
      colour: plan.value.dishes.foretold[props.decoration]?.[shade] ?? piece?.colour ?? 'var(--paper)',
      name: piece?.name ?? '',
      dish: bathStep(shade, made.value?.colour.steps ?? 1) + 1,
    }
  }),
)
const described = computed(() => {
  const many = new Map<string, number>()
  for (const { name } of pieces.value) many.set(name, (many.get(name) ?? 0) + 1)
  const words = [...many].map(([name, count]) => counted(count, name))
  return `Load ${props.load.number}: ${words.join(', ')}`
})
</script>

<template>
  <svg :viewBox="`-4 -4 ${size.lengthMm + 8} ${size.widthMm + 8}`" role="img" :aria-label="described">
    <rect
      :width="size.lengthMm"
      :height="size.widthMm"
      rx="14"
      fill="var(--paper-deep)"
      stroke="var(--line)"
      stroke-width="3"
    />
    <g v-for="({ laid, colour, dish }, at) in pieces" :key="at">
      <path
        :d="`M${laid.xMm} ${laid.yMm + laid.heightMm * 0.2}q${laid.widthMm * 0.25} ${-laid.heightMm * 0.28}
          ${laid.widthMm * 0.5} 0t${laid.widthMm * 0.5} 0l${
            -laid.widthMm * 0.28
          } ${laid.heightMm * 0.8}h${-laid.widthMm * 0.44}z`"
        :fill="colour"
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
        {{ dish }}
      </text>
    </g>
  </svg>
</template>
