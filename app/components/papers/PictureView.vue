<script setup lang="ts">
import { computed } from 'vue'
import type { Picture } from '#core/draw'
import { paintShapes } from '~/components/stand/shapePaint'

/** A picture of plain shapes, as wide as there is room. */
const props = defineProps<{ picture: Picture; says: string; mark: string }>()
const painted = computed(() => paintShapes(props.picture.shapes, props.mark))
const labels = computed(() => props.picture.shapes.flatMap((shape) => (shape.kind === 'label' ? [shape] : [])))
</script>

<template>
  <svg :viewBox="`0 0 ${picture.widthMm} ${picture.heightMm}`" role="img" :aria-label="says" class="w-full">
    <g :transform="`translate(0 ${picture.heightMm})`">
      <path
        v-for="(path, at) in painted.paths"
        :key="at"
        :d="path.d"
        :fill="path.fill"
        :fill-opacity="path.fillOpacity"
        :stroke="path.stroke"
        :stroke-width="path.strokeWidth"
        :stroke-opacity="path.strokeOpacity"
        :stroke-dasharray="path.dash"
      />
      <text
        v-for="(label, at) in labels"
        :key="at"
        :x="label.at.x"
        :y="-label.at.y"
        :text-anchor="label.anchor"
        dominant-baseline="central"
        :font-size="label.sizeMm"
        :font-weight="label.bold ? 700 : 400"
        :fill="label.colour"
      >
        {{ label.text }}
      </text>
    </g>
  </svg>
</template>
