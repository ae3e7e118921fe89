<script setup lang="ts">
import { computed } from 'vue'
import type { Viewpoint, Room, StandScene, Window } from '#core/draw'
import StillPicture from './StillPicture.vue'

/** A still picture of a cake, as wide as there is room. `pixels` is how wide it is drawn. */
const props = withDefaults(
  defineProps<{ scene: StandScene; look: Viewpoint; window: Window; room: Room; says: string; pixels?: number }>(),
  { pixels: 420 },
)
const wish = computed(() => ({
  scene: props.scene,
  look: props.look,
  window: props.window,
  room: props.room,
  width: props.pixels,
  height: Math.round((props.pixels * props.window.height) / props.window.width),
}))
</script>

<template>
  <div class="relative" :style="{ aspectRatio: `${window.width} / ${window.height}` }">
    <slot name="behind" />
    <StillPicture :wish="wish" :says="says" />
    <slot />
  </div>
</template>
