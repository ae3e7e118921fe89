<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { onMounted, ref, watch } from 'vue'
import type { StandLayer } from '#core/draw'
import { paintLayers } from './canvasPaint'
import type { StandWindow } from './standScene'

/** The stand's layers on a canvas that fills its parent, laid out as an svg of the same window would be. */
const props = defineProps<{ layers: readonly StandLayer[]; view: StandWindow }>()

const canvas = ref<HTMLCanvasElement | null>(null)
const { width, height } = useElementSize(canvas)
let asked = 0

function paint(): void {
  const context = canvas.value?.getContext('2d')
  if (!canvas.value || !context || width.value === 0) return
  const density = window.devicePixelRatio || 1
  const [across, down] = [Math.round(width.value * density), Math.round(height.value * density)]
  if (canvas.value.width !== across) canvas.value.width = across
  if (canvas.value.height !== down) canvas.value.height = down
  const scale = Math.min(across / props.view.width, down / props.view.height)
  context.setTransform(1, 0, 0, 1, 0, 0)
  context.clearRect(0, 0, across, down)
  context.setTransform(
    scale,
    0,
    0,
    scale,
    (across - props.view.width * scale) / 2 - props.view.left * scale,
    (down - props.view.height * scale) / 2 - props.view.top * scale,
  )
  context.lineJoin = 'round'
  paintLayers(context, props.layers)
}

/** Once a frame, however much has changed. */
function ask(): void {
  window.cancelAnimationFrame(asked)
  asked = window.requestAnimationFrame(paint)
}

watch([() => props.layers, () => props.view, width, height], ask)
onMounted(ask)
</script>

<template>
  <canvas ref="canvas" class="pointer-events-none absolute inset-0 h-full w-full" aria-hidden="true" />
</template>
