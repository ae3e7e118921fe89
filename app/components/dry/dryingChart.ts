import type { ChartData, ChartOptions, Plugin } from 'chart.js'
import { CHART_FONT as font, type ChartInk } from '~/components/ui/chartInk'
import { DRYING_WORDS, moistureOf, READINESS, type CurvePoint, type DryingEstimate, type Readiness } from '#core/dry'

/** Names of the states as the chart and the table show them. */
export const STATE_NAMES: Readonly<Record<Readiness, string>> = {
  touch: 'dry to touch',
  handle: 'handle',
  firm: 'firm',
  set: 'set hard',
}

type XY = { x: number; y: number }

const MINUTES = 60
const MOST_POINTS = 160

/** Hours shown: long enough for the room's curve to set, or two days where it does not. */
function hoursShown({ curve }: DryingEstimate): number {
  const set = curve.reachedMin.set
  if (set === null) return 48
  const hours = (set / MINUTES) * 1.15
  return hours < 3 ? Math.ceil(hours * 6) / 6 : Math.ceil(hours)
}

const inHours = (points: readonly CurvePoint[], hours: number): XY[] => {
  const within = points.filter(({ minute }) => minute / MINUTES <= hours)
  const stride = Math.max(1, Math.floor(within.length / MOST_POINTS))
  return within
    .filter((_, at) => at % stride === 0)
    .map(({ minute, moisture }) => ({ x: minute / MINUTES, y: moisture * 100 }))
}

/**
 * Lines of the drying chart: this room, a room at 75 %, the air of the forecast, and where each state lies. Water in
 * percent of the dry weight.
 */
export function dryingData(
  estimate: DryingEstimate,
  damp: DryingEstimate | null,
  forecast: readonly CurvePoint[],
  roomC: number,
  ink: ChartInk,
): ChartData<'line', XY[]> {
  const hours = hoursShown(estimate)
  const plain = { pointRadius: 0, borderWidth: 1.2, borderDash: [2, 4], borderColor: ink.text, label: '' }
  return {
    datasets: [
      {
        label: DRYING_WORDS[estimate.way].name,
        data: inHours(estimate.curve.points, hours),
        borderColor: ink.line,
        borderWidth: 3,
        pointRadius: 0,
        tension: 0.2,
      },
      ...(damp
        ? [
            {
              label: 'at 75 %',
              data: inHours(damp.curve.points, hours),
              borderColor: ink.damp,
              borderWidth: 2,
              borderDash: [6, 4],
              pointRadius: 0,
              tension: 0.2,
            },
          ]
        : []),
      ...(forecast.length > 0
        ? [
            {
              label: 'as forecast',
              data: inHours(forecast, hours),
              borderColor: ink.text,
              borderWidth: 2,
              borderDash: [1, 4],
              pointRadius: 0,
              tension: 0.2,
            },
          ]
        : []),
      ...READINESS.map((state) => ({
        ...plain,
        data: [
          { x: 0, y: moistureOf(state, roomC) * 100 },
          { x: hours, y: moistureOf(state, roomC) * 100 },
        ],
      })),
      {
        label: 'reached',
        showLine: false,
        pointRadius: 6,
        pointBorderWidth: 2.5,
        pointBackgroundColor: ink.paper,
        pointBorderColor: ink.line,
        borderColor: ink.line,
        data: READINESS.flatMap((state) => {
          const minute = estimate.curve.reachedMin[state]
          return minute === null ? [] : [{ x: minute / MINUTES, y: moistureOf(state, roomC) * 100 }]
        }),
      },
    ],
  }
}

/**
 * Writes the names of the states beside the points where they are reached, or at the right end of the line of one that
 * is not. A chart keeps what is drawn over it from its beginning, so that is asked for what it shows each time.
 */
export const stateNames = (
  shown: () => { readonly estimate: DryingEstimate; readonly roomC: number; readonly ink: ChartInk },
): Plugin<'line'> => ({
  id: 'state-names',
  afterDatasetsDraw(chart) {
    const { estimate, roomC, ink } = shown()
    const { curve } = estimate
    const {
      ctx,
      scales: { x, y },
      chartArea,
    } = chart
    if (!x || !y) return
    ctx.save()
    ctx.font = '600 12px "Figtree Variable", sans-serif'
    ctx.fillStyle = ink.text
    ctx.strokeStyle = ink.paper
    ctx.lineWidth = 4
    for (const state of READINESS) {
      const minute = curve.reachedMin[state]
      const name = STATE_NAMES[state]
      const beside = minute === null ? chartArea.right : x.getPixelForValue(minute / MINUTES) + 8
      const left = Math.min(beside, chartArea.right - ctx.measureText(name).width)
      const foot = y.getPixelForValue(moistureOf(state, roomC) * 100) - 8
      ctx.strokeText(name, left, foot)
      ctx.fillText(name, left, foot)
    }
    ctx.restore()
  },
})

/** How the chart is laid out. The axis begins where readiness is decided; the wet beginning lies above it. */
export function dryingOptions(estimate: DryingEstimate, ink: ChartInk): ChartOptions<'line'> {
  const hours = hoursShown(estimate)
  const inMinutes = hours < 3
  return {
    responsive: true,
    maintainAspectRatio: false,
    animation: false,
    parsing: false,
    normalized: true,
    scales: {
      x: {
        type: 'linear',
        min: 0,
        max: hours,
        title: {
          display: true,
          text: inMinutes ? 'minutes after draping' : 'hours after draping',
          color: ink.text,
          font,
        },
        grid: { color: ink.grid },
        ticks: {
          color: ink.text,
          font,
          maxTicksLimit: 9,
          callback: (value) => (inMinutes ? Math.round(Number(value) * MINUTES) : Math.round(Number(value) * 10) / 10),
        },
      },
      y: {
        min: 10,
        max: 40,
        title: { display: true, text: 'water, % of dry weight', color: ink.text, font },
        grid: { color: ink.grid },
        ticks: { color: ink.text, font, stepSize: 5 },
      },
    },
    plugins: { legend: { display: false }, tooltip: { enabled: false } },
  }
}
