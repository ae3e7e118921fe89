<script setup lang="ts">
import type { ChartData, ChartOptions } from 'chart.js'
import { computed } from 'vue'
import type { Warming } from '#core/cake'
import { CHART_FONT as font, useChartInk } from '~/components/ui/chartInk'
import { afterFigures } from '~/composables/afterFigures'
import { usePreferences } from '~/stores/preferences'

const props = defineProps<{ warming: Warming }>()

const LineChart = afterFigures(() => import('~/components/ui/LineChart.vue'))

const preferences = usePreferences()
const ink = useChartInk()
const shownC = (celsius: number): number => (preferences.units === 'metric' ? celsius : celsius * 1.8 + 32)
const data = computed<ChartData<'line', { x: number; y: number }[]>>(() => {
  const points = (key: 'usualC' | 'cautiousC') =>
    props.warming.curve.map((point) => ({ x: point.minute, y: shownC(point[key]) }))
  const dew = shownC(props.warming.dewPoint.value)
  return {
    datasets: [
      { label: 'usually', data: points('usualC'), borderColor: ink.value.line, borderWidth: 3, pointRadius: 0 },
      {
        label: 'cautiously',
        data: points('cautiousC'),
        borderColor: ink.value.damp,
        borderWidth: 2,
        borderDash: [6, 4],
        pointRadius: 0,
      },
      {
        label: 'dew point',
        data: [
          { x: 0, y: dew },
          { x: props.warming.curve.at(-1)!.minute, y: dew },
        ],
        borderColor: ink.value.text,
        borderWidth: 1.2,
        borderDash: [2, 4],
        pointRadius: 0,
      },
    ],
  }
})
const options = computed<ChartOptions<'line'>>(() => ({
  responsive: true,
  maintainAspectRatio: false,
  animation: false,
  parsing: false,
  normalized: true,
  scales: {
    x: {
      type: 'linear',
      min: 0,
      max: props.warming.curve.at(-1)!.minute,
      title: { display: true, text: 'minutes out', color: ink.value.text, font },
      grid: { color: ink.value.grid },
      ticks: {
        color: ink.value.text,
        font,
        stepSize: 30,
        maxTicksLimit: 9,
        callback: (value) => Math.round(Number(value)),
      },
    },
    y: {
      title: {
        display: true,
        text: preferences.units === 'metric' ? 'surface °C' : 'surface °F',
        color: ink.value.text,
        font,
      },
      grid: { color: ink.value.grid },
      ticks: { color: ink.value.text, font },
    },
  },
  plugins: { legend: { display: false }, tooltip: { enabled: false } },
}))
const label = computed(
  () =>
    `Surface temperature after the refrigerator; the dew point is reached after ` +
    `${Math.round(props.warming.usual?.value ?? 0)} minutes usually`,
)
</script>

<template>
  <div>
    <div class="h-44">
      <LineChart :key="preferences.theme" :data="data" :options="options" :label="label" />
    </div>
    <p class="mt-1 flex flex-wrap gap-x-4 text-[0.86rem] text-ink-soft">
      <span class="flex items-center gap-1.5"
        ><span class="h-[3px] w-5 rounded bg-go" aria-hidden="true" />usually</span
      >
      <span class="flex items-center gap-1.5"
        ><span class="w-5 border-t-2 border-dashed border-look" aria-hidden="true" />cautiously</span
      >
      <span class="flex items-center gap-1.5"
        ><span class="w-5 border-t-2 border-dotted border-ink-soft" aria-hidden="true" />dew point</span
      >
    </p>
  </div>
</template>
