<script setup lang="ts">
import { computed } from 'vue'
import type { CurvePoint, DryingEstimate } from '#core/dry'
import { afterFigures } from '~/composables/afterFigures'
import { useChartInk } from '~/components/ui/chartInk'
import { dryingData, dryingOptions, stateNames } from './dryingChart'

const props = defineProps<{
  estimate: DryingEstimate
  damp: DryingEstimate | null
  forecast: readonly CurvePoint[]
  roomC: number
  label: string
}>()

const LineChart = afterFigures(() => import('~/components/ui/LineChart.vue'))

const ink = useChartInk()
const data = computed(() => dryingData(props.estimate, props.damp, props.forecast, props.roomC, ink.value))
const options = computed(() => dryingOptions(props.estimate, ink.value))
const plugins = [stateNames(() => ({ estimate: props.estimate, roomC: props.roomC, ink: ink.value }))]
</script>

<template>
  <div class="h-64">
    <LineChart :key="`${estimate.way}${roomC}`" :data="data" :options="options" :plugins="plugins" :label="label" />
  </div>
</template>
