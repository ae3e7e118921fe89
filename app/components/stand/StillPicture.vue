<script setup lang="ts">
import { flatStand, viewAt } from '#core/draw'
import FlatStand from './FlatStand.vue'
import type { StillWish } from '~/workers/stills'
import { useStill } from './render/stills'

/** A still picture that fills its parent; flat where the browser draws nothing in depth. */
const props = defineProps<{ wish: StillWish; says: string }>()
const address = useStill(() => props.wish)
</script>

<template>
  <div class="relative h-full w-full" role="img" :aria-label="says" :data-drawn="address === undefined ? 'no' : 'yes'">
    <img v-if="address" :src="address" alt="" class="h-full w-full object-contain" />
    <FlatStand v-else-if="address === null" :flats="flatStand(wish.scene, viewAt(wish.look))" :window="wish.window" />
  </div>
</template>
