<script setup lang="ts">
import { computed } from 'vue'
import { standLayers, type StandScene } from '#core/draw'
import CakeCanvas from './CakeCanvas.vue'
import type { StandWindow } from './standScene'

/** A small still picture of a cake, painted: many stand on one page. */
const props = defineProps<{ scene: StandScene; view: StandWindow; turnDeg?: number; says: string }>()
const layers = computed(() => standLayers(props.scene, props.turnDeg ?? 0))
</script>

<template>
  <div class="relative" role="img" :aria-label="says" :style="{ aspectRatio: `${view.width} / ${view.height}` }">
    <CakeCanvas :layers="layers" :view="view" />
  </div>
</template>
