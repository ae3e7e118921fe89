<script setup lang="ts">
import { computed } from 'vue'
import { SHADOW, type StandLayer } from '#core/draw'
import { pathData } from '#core/format/svg'
import { flipMove } from '#core/geometry'
import { paintShapes } from './shapePaint'

const props = defineProps<{ layer: StandLayer; clip: string }>()

const shadow = computed(() => props.layer.shadow?.map((outline) => pathData(flipMove(outline, 0, 0))).join(''))
const painted = computed(() => paintShapes(props.layer.shapes, props.layer.id))
</script>

<template>
  <g>
    <defs v-if="painted.fades.length > 0">
      <linearGradient
        v-for="fade in painted.fades"
        :id="fade.id"
        :key="fade.id"
        gradientUnits="userSpaceOnUse"
        :x1="fade.x1"
        :x2="fade.x2"
        :y1="fade.y1"
        :y2="fade.y2"
      >
        <stop v-for="stop in fade.stops" :key="stop.at" :offset="stop.at" :stop-color="stop.colour" />
      </linearGradient>
    </defs>
    <path v-if="shadow" :d="shadow" :fill="SHADOW.fill" :fill-opacity="SHADOW.fillOpacity" :clip-path="clip" />
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
      stroke-linejoin="round"
    />
  </g>
</template>
