<script setup lang="ts">
/** A drawn line chart. It is loaded where it is shown: the drawing of charts is no part of a leaf's first load. */
import {
  Chart,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  type ChartData,
  type ChartOptions,
  type Plugin,
} from 'chart.js'
import { Line } from 'vue-chartjs'

type Points = { x: number; y: number }[]

defineProps<{
  data: ChartData<'line', Points>
  options: ChartOptions<'line'>
  plugins?: Plugin<'line'>[]
  label: string
}>()

Chart.register(LineController, LineElement, PointElement, LinearScale)
</script>

<template>
  <Line :data="data" :options="options" :plugins="plugins ?? []" :aria-label="label" role="img" />
</template>
