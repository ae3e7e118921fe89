<script setup lang="ts">
import { computed } from 'vue'
import { standLayers, type StandScene } from '#core/draw'
import DimensionLines from './DimensionLines.vue'
import { pointsOf } from './shapePaint'
import StandLayerView from './StandLayerView.vue'

/**
 * The cake on its board as part of an svg of millimetres, y down, for pages that show it still. `mark` keeps ids of
 * two pictures on one page apart.
 */
const props = withDefaults(
  defineProps<{ scene: StandScene; turnDeg: number; perPixel: number; mark: string; dimensions?: boolean }>(),
  { dimensions: false },
)

const layers = computed(() =>
  standLayers(props.scene, props.turnDeg).map((layer) => ({ ...layer, id: `${props.mark}-${layer.id}` })),
)
const foot = computed(() => props.scene.board.thicknessMm)
</script>

<template>
  <g>
    <defs>
      <radialGradient :id="`${mark}-ground`"
        ><stop offset="0.55" stop-color="#2a1c2c" stop-opacity="0.22" /><stop
          offset="1"
          stop-color="#2a1c2c"
          stop-opacity="0"
      /></radialGradient>
      <clipPath :id="`${mark}-cake`"
        ><polygon
          v-for="layer in layers.filter(({ kind }) => kind === 'tier')"
          :key="layer.id"
          :points="pointsOf(layer.outline)"
      /></clipPath>
    </defs>
    <ellipse
      cx="12"
      :cy="foot + 10"
      :rx="scene.board.acrossMm * 0.6"
      :ry="scene.board.acrossMm * 0.13"
      :fill="`url(#${mark}-ground)`"
    />
    <slot name="behind" />
    <StandLayerView v-for="layer in layers" :key="layer.id" :layer="layer" :clip="`url(#${mark}-cake)`" />
    <DimensionLines v-if="dimensions" :scene="scene" :turn-deg="turnDeg" :per-pixel="perPixel" />
  </g>
</template>
