<script setup lang="ts">
import { computed } from 'vue'
import type { CurvePoint, DryingEstimate } from '#core/dry'
import { afterFigures } from '~/composables/afterFigures'
import { usePreferences } from '~/stores/preferences'
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

const preferences = usePreferences()
const ink = useChartInk()
const data = computed(() => dryingData(props.estimate, props.damp, props.forecast, props.roomC, ink.value))
const options = computed(() => dryingOptions(props.estimate, ink.value))
const plugins = computed(() => [stateNames(props.estimate, props.roomC, ink.value)])
</script>

<template>
  <div class="h-64">
    <LineChart
      :key="`${preferences.theme}${estimate.way}${roomC}`"
      :data="data"
      :options="options"
      :plugins="plugins"
      :label="label"
    />
  </div>
</template>
