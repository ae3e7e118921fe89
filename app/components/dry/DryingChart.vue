<script setup lang="ts">
import { Chart, LinearScale, LineController, LineElement, PointElement } from 'chart.js'
import { computed } from 'vue'
import { Line } from 'vue-chartjs'
import type { CurvePoint, DryingEstimate } from '#core/dry'
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

Chart.register(LineController, LineElement, PointElement, LinearScale)

const preferences = usePreferences()
const ink = useChartInk()
const data = computed(() => dryingData(props.estimate, props.damp, props.forecast, props.roomC, ink.value))
const options = computed(() => dryingOptions(props.estimate, ink.value))
const plugins = computed(() => [stateNames(props.estimate, props.roomC, ink.value)])
</script>

<template>
  <div class="h-64">
    <Line
      :key="`${preferences.theme}${estimate.way}${roomC}`"
      :data="data"
      :options="options"
      :plugins="plugins"
      :aria-label="label"
      role="img"
    />
  </div>
</template>
