<script setup lang="ts">
import { computed } from 'vue'
import type { Foretold } from '#core/learn'
import { CHART_FONT, useChartInk } from '~/components/ui/chartInk'
import { afterFigures } from '~/composables/afterFigures'
import { usePreferences } from '~/stores/preferences'

/** How far each trial lay from what was foretold: by starting values, and by the trials before it. */
const props = defineProps<{ foretold: readonly Foretold[]; label: string }>()
const LineChart = afterFigures(() => import('~/components/ui/LineChart.vue'))
const preferences = usePreferences()
const ink = useChartInk()

const off = (ratio: number): number => Math.round((ratio - 1) * 1000) / 10
const data = computed(() => ({
  datasets: [
    {
      label: 'by starting values',
      data: props.foretold.map(({ byStart }, at) => ({ x: at + 1, y: off(byStart) })),
      borderColor: ink.value.damp,
      backgroundColor: ink.value.paper,
      borderDash: [5, 4],
      pointRadius: 4,
      borderWidth: 1.5,
    },
    {
      label: 'by your trials before it',
      data: props.foretold.map(({ byTrials }, at) => ({ x: at + 1, y: off(byTrials) })),
      borderColor: ink.value.line,
      backgroundColor: ink.value.line,
      pointRadius: 4,
      borderWidth: 2,
    },
  ],
}))
const axis = computed(() => ({
  border: { display: false },
  ticks: { color: ink.value.text, font: CHART_FONT },
  title: { display: true, color: ink.value.text, font: CHART_FONT },
}))
const options = computed(() => ({
  animation: false as const,
  responsive: true,
  maintainAspectRatio: false,
  plugins: { legend: { display: false }, tooltip: { enabled: false } },
  scales: {
    x: {
      type: 'linear' as const,
      min: 0.5,
      max: props.foretold.length + 0.5,
      ...axis.value,
      grid: { display: false },
      ticks: {
        ...axis.value.ticks,
        stepSize: 1,
        callback: (value: number | string) => (Number.isInteger(Number(value)) ? String(value) : ''),
      },
      title: { ...axis.value.title, text: 'trial' },
    },
    y: {
      type: 'linear' as const,
      suggestedMin: -10,
      suggestedMax: 10,
      ...axis.value,
      grid: { color: ink.value.grid },
      ticks: { ...axis.value.ticks, callback: (value: number | string) => `${value} %` },
      title: { ...axis.value.title, text: 'off by' },
    },
  },
}))
</script>

<template>
  <div class="h-44">
    <LineChart :key="preferences.theme" :data="data" :options="options" :label="label" />
  </div>
</template>
