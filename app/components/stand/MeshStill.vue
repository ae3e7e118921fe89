<script setup lang="ts">
import { computed } from 'vue'
import { pictureOfMesh, type StandLayer } from '#core/draw'
import type { Mesh } from '#core/technique'
import CakeCanvas from './CakeCanvas.vue'

/** One element alone, as large as its picture allows, or in a picture that shows so many millimetres. */
const props = defineProps<{ mesh: Mesh; colour: string; says: string; sideMm?: number }>()

const MARGIN = 0.06
const layers = computed<readonly StandLayer[]>(() => [
  { id: 'alone', kind: 'element', index: 0, ...pictureOfMesh(props.mesh, props.colour) },
])
const view = computed(() => {
  const { outline } = layers.value[0]!
  const [xs, ys] = [outline.map(({ x }) => x), outline.map(({ y }) => y)]
  const [left, top] = [Math.min(...xs), -Math.max(...ys)]
  const side = props.sideMm ?? Math.max(Math.max(...xs) - left, -Math.min(...ys) - top) * (1 + 2 * MARGIN)
  return {
    left: (left + Math.max(...xs) - side) / 2,
    top: (top - Math.min(...ys) - side) / 2,
    width: side,
    height: side,
  }
})
</script>

<template>
  <div class="relative aspect-square" role="img" :aria-label="says"><CakeCanvas :layers="layers" :view="view" /></div>
</template>
