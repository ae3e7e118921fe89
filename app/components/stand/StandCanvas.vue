<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue'
import { useRoute } from '#imports'
import type { Viewpoint, Room, Solid, Window } from '#core/draw'
import { afterPaint } from '~/composables/afterFigures'
import { takeCanvas, useLevel } from './render/level'
import type { StandRenderer } from './render/standRenderer'

/** The stand, drawn in depth on a canvas that fills its parent; drawn only when something has changed. */
const props = defineProps<{
  solids: readonly Solid[]
  look: Viewpoint
  window: Window
  room: Room
  isNeutral: boolean
  /** Solids of what is to be shown are still on their way. */
  isMaking: boolean
}>()

/** Whether it moves on a machine that draws slowly: what is drawn over it had better wait. */
const emit = defineEmits<{ hurried: [is: boolean] }>()

const around = ref<HTMLElement | null>(null)
const { width, height } = useElementSize(around)
const renderer = shallowRef<StandRenderer | null>(null)
/** Whether what is seen is what was asked for, in full. */
const isDrawn = ref(false)
/** How long the last picture took, ms. */
const tookMs = ref(0)
const route = useRoute()
const { level, density, begin, took } = useLevel()

const RESTED_MS = 160
/** One edit is often followed by the next, whose figures a full picture would hold up. */
const EDITED_MS = 600
const TURNED_MS = 500
let frame = 0
let rest = 0
let pauseMs = RESTED_MS
let wanted: 'moving' | 'still' | null = null
let shown: readonly Solid[] | null = null
let shownNeutral = false

const scaleOf = (isStill: boolean): number =>
  (window.devicePixelRatio || 1) * (isStill && level.value !== 'small' ? 1 : density.value)

function paint(): void {
  frame = 0
  // Before the first solids are there is nothing to draw, and drawing nothing would hold them up.
  if (!renderer.value || !wanted || width.value === 0 || (props.isMaking && props.solids.length === 0)) return
  const isStill = wanted === 'still'
  if (isStill) emit('hurried', false)
  wanted = null
  if (shown !== props.solids) {
    renderer.value.show(props.solids)
    shown = props.solids
  }
  shownNeutral = props.isNeutral
  const isFull = level.value === 'full' || (isStill && level.value === 'resting')
  const scale = scaleOf(isStill || level.value === 'full')
  const began = performance.now()
  renderer.value.draw({
    look: props.look,
    window: props.window,
    room: props.room,
    width: Math.max(1, Math.round(width.value * scale)),
    height: Math.max(1, Math.round(height.value * scale)),
    fullness: isFull ? 'full' : 'plain',
    isMoving: !isStill && !isFull,
    isNeutral: props.isNeutral,
  })
  void renderer.value.finished().then(() => {
    tookMs.value = performance.now() - began
    took(tookMs.value, isFull)
    if (isStill || isFull) isDrawn.value = wanted === null
    if (wanted && !frame) frame = window.requestAnimationFrame(paint)
    // At rest only once the last moving picture is there: how long that takes is the machine's.
    if (!isStill && !isFull && !wanted) rest = window.setTimeout(() => ask('still'), pauseMs)
  })
}

/** Draws once a frame at most, however much has changed, and no second picture while one is being drawn. */
function ask(kind: 'moving' | 'still'): void {
  isDrawn.value = false
  wanted = kind
  if (!frame && !renderer.value?.isBusy()) frame = window.requestAnimationFrame(paint)
}

function moved(): void {
  if (level.value !== 'full') emit('hurried', true)
  window.clearTimeout(rest)
  pauseMs = RESTED_MS
  ask('moving')
}

/** What was edited is shown in plain light at once where a full picture is long in coming. */
function edited(): void {
  window.clearTimeout(rest)
  pauseMs = EDITED_MS
  ask(level.value === 'resting' && shown !== null ? 'moving' : 'still')
}

watch([() => props.look, () => props.window, width, height], moved)
watch(() => props.solids, edited)
watch(level, () => ask('still'))
/** A full picture is long in coming on a slow machine: one that only turns over the leaves is spared it. */
watch([() => props.isNeutral, () => route.path], () => {
  if (isDrawn.value && props.isNeutral === shownNeutral) return
  isDrawn.value = false
  window.clearTimeout(rest)
  rest = window.setTimeout(() => {
    if (!isDrawn.value) ask('still')
  }, TURNED_MS)
})

onMounted(async () => {
  await afterPaint()
  const { createStandRenderer } = await import('./render/standRenderer')
  const canvas = takeCanvas()
  canvas.className = 'pointer-events-none h-full w-full'
  canvas.ariaHidden = 'true'
  around.value?.append(canvas)
  renderer.value = createStandRenderer(canvas)
  if (!renderer.value) return
  begin(renderer.value.isSoftware)
  ask('still')
})
onBeforeUnmount(() => {
  window.cancelAnimationFrame(frame)
  window.clearTimeout(rest)
  renderer.value?.dispose()
})
</script>

<template>
  <div
    ref="around"
    class="absolute inset-0"
    :data-drawn="isDrawn && !isMaking ? 'yes' : 'no'"
    :data-level="level"
    :data-took="tookMs"
    data-testid="stand-drawn"
  />
</template>
